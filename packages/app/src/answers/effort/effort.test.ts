import type { AuditedShortcut } from '@yellow-latch/core/clash';
import { LAYOUTS } from '@yellow-latch/core/effort/layouts';
import type { KeyboardUse } from '@yellow-latch/core/model';

import { VOCABULARY } from '@/answers/audit/testing';
import { AuditWorkerApi } from '@/answers/audit/workerApi';
import { openDatabase } from '@yellow-latch/replica/storage/database';

import { EffortWorkerApi, type EffortRequest } from './workerApi';
import { inUseOf } from './keyboards';
import { countUse, readCounts, usesFrom } from '@yellow-latch/replica/storage/uses';
import { saidBy, usesChoices } from './usesChoices';
import { tellMark, tellTaps, tellUses } from './words';

const PHONE: KeyboardUse = { keyboard: 'phone-en', share: 1, pace: 1, device: 'phone-list' };

const shortcut = (
  id: string,
  code: string,
  expansion = `what ${id} gives`,
  setId: string | null = null,
): AuditedShortcut => ({
  id,
  code,
  content: { expansion, template: false, format: 'plain' },
  kind: 'message',
  setId,
});

async function apiOf(...shortcuts: AuditedShortcut[]): Promise<EffortWorkerApi> {
  const audit = new AuditWorkerApi(
    (name) => Promise.resolve(name === 'en' ? VOCABULARY : []),
    () => Promise.resolve(),
  );
  await audit.run({
    list: { sets: [{ id: 's' }], shortcuts },
    devices: ['phone-list', 'expander'],
    languages: ['en'],
  });
  return new EffortWorkerApi(audit);
}

const asked = (more: Partial<EffortRequest> = {}): EffortRequest => ({
  keyboards: [PHONE],
  ownKeyboards: [],
  uses: {},
  ownText: null,
  ...more,
});
const text = (own: string) => ({ bytes: new TextEncoder().encode(own), format: { type: 'text' } as const });

describe('the effort API', () => {
  test('has no answer before anything was checked', () => {
    const api = new EffortWorkerApi(
      new AuditWorkerApi(
        () => Promise.reject(new Error('not there')),
        () => Promise.resolve(),
      ),
    );
    expect(api.savings(asked())).toBeNull();
    expect(api.compare(asked(), { of: 'list' })).toBeNull();
    expect(api.tryCodes([])).toBeNull();
    expect(api.one(shortcut('1', ';a'), asked())).toBeNull();
  });

  test('prices one as it stands in the form, by the rules of its set', async () => {
    const api = await apiOf(shortcut('1', ';a'));
    const { on, saved } = api.one(shortcut('new', ';ten', 'I am about ten minutes away.'), asked())!;
    expect(on).toHaveLength(1);
    expect(saved!.taps).toBeGreaterThan(20);
  });

  test('takes uses as said or counted, else from what was typed out in own text', async () => {
    const api = await apiOf(
      shortcut('1', ';ten', 'ten minutes away'),
      shortcut('2', ';late', 'I am late'),
      shortcut('3', ';never', 'never said'),
    );
    const uses = { '1': { aWeek: 4, from: 'said' } } as const;
    const own = text('I am late, ten minutes away. I am late '.repeat(10));
    const { each } = api.savings(asked({ uses, ownText: own }))!;
    const usesOf = (id: string) => each.find((one) => one.id === id)!.uses;
    expect(usesOf('1')).toEqual(uses['1']);
    expect(usesOf('2')).toEqual({ aWeek: (20 / 90) * 5_000, from: 'own text' });
    expect(usesOf('3')).toBeNull();
    // A text that cannot be read tells nothing, and stops nothing.
    expect(api.savings(asked({ ownText: { ...own, bytes: new Uint8Array([65, 0, 66]) } }))!.week.seconds).toBe(0);
  });

  test('counts with how long somebody hesitated over a code, once that was measured', async () => {
    const api = await apiOf(shortcut('1', ';ten', 'ten minutes away'), shortcut('2', ';late', 'I am late'));
    const uses = { '1': { aWeek: 4, from: 'said' }, '2': { aWeek: 4, from: 'said' } } as const;
    const savingOf = (id: string, hesitations: EffortRequest['hesitations']) =>
      api.savings(asked({ uses, hesitations }))!.each.find((one) => one.id === id)!;
    const [assumed, measured] = [savingOf('1', undefined), savingOf('1', { '1': [0.2, 0.3, 0.3] })];
    expect([assumed.recall, measured.recall]).toEqual(['assumed', 'measured']);
    expect(measured.perUse!.seconds).toBeGreaterThan(assumed.perUse!.seconds);
    expect(savingOf('2', { '1': [0.2, 0.3, 0.3] })).toEqual(savingOf('2', undefined));
    const one = (hesitations?: EffortRequest['hesitations']) =>
      api.one(shortcut('1', ';ten', 'ten minutes away'), { ...asked(), hesitations })!.saved!.seconds;
    expect(one({ '1': [0.2, 0.3, 0.3] })).toBeGreaterThan(one());
  });

  test('weighs marks for a part of the list', async () => {
    const api = await apiOf(shortcut('1', ';ten'), shortcut('2', 'so', 'x', 's'));
    const all = api.compare(asked(), { of: 'list' });
    const part = api.compare(asked(), { of: 'set', setId: 's' });
    if (!all || 'type' in all || !part || 'type' in part) throw new Error('both can be compared');
    expect([all.codes, part.codes]).toEqual([2, 1]);
    expect(api.compare(asked(), { of: 'set', setId: 'gone' })).toEqual({ type: 'no codes' });
    expect(api.compare(asked({ keyboards: [{ ...PHONE, keyboard: 'gone' }] }), { of: 'list' })).toEqual({
      type: 'no keyboard',
    });
  });

  test('knows a mark for new codes only while none of the list has one', async () => {
    const [none, some] = await Promise.all([apiOf(shortcut('1', 'so')), apiOf(shortcut('1', '#so'))]);
    const wider = { ...PHONE, keyboard: 'tablet-en' };
    expect(some.usualMark(asked())).toBeNull();
    expect(none.usualMark(asked({ keyboards: [] }))).toBeNull();
    const mark = none.usualMark(asked({ keyboards: [PHONE, wider] }));
    expect(none.usualMark(asked({ keyboards: [PHONE, wider] }))).toBe(mark);
  });

  test('tries codes on the list, which stays as it is', async () => {
    const api = await apiOf(shortcut('1', 'so'), shortcut('2', ';te'), shortcut('3', '#ten'));
    const tried = api.tryCodes([
      { id: '1', to: ';so' },
      { id: '3', to: ';ten' },
      { id: 'gone', to: ';x' },
    ])!;
    expect(tried.before['phone-list']!.perTenThousand).toBeGreaterThan(0);
    expect(tried.after['phone-list']!.perTenThousand).toBe(0);
    expect(tried.came.map(({ type, shortcuts }) => [type, shortcuts[0]])).toContainEqual(['unreachable', '3']);
    expect(api.tryCodes([])).toMatchObject({ goneCount: 0, cameCount: 0 });
  });
});

describe('keyboards in use', () => {
  test('are made once for each layout, also when it comes as a new object', () => {
    const own = () => [{ id: 'own', changed: 0, layout: structuredClone(LAYOUTS['phone-de']!) }];
    const use = { ...PHONE, keyboard: 'own' };
    const [first] = inUseOf({ keyboards: [use], ownKeyboards: own() });
    const [second] = inUseOf({ keyboards: [use], ownKeyboards: own() });
    expect(second!.keyboard).toBe(first!.keyboard);
    expect(
      inUseOf({ keyboards: [{ ...PHONE, keyboard: 'gone', device: 'of a later version' }], ownKeyboards: [] }),
    ).toEqual([]);
    expect(inUseOf({ keyboards: [{ ...PHONE, device: 'of-a-later-version' }], ownKeyboards: [] })[0]!.device.id).toBe(
      'app',
    );
  });
});

describe('uses', () => {
  const WEEK = 7 * 24 * 60 * 60 * 1_000;

  test('are counted on this device', async () => {
    const db = await openDatabase('uses-test');
    await countUse(db, 'a', 1_000);
    await countUse(db, 'b', 2_000);
    await countUse(db, 'a', 3_000);
    expect(await readCounts(db)).toEqual({ since: 1_000, counts: { a: 2, b: 1 } });
    db.close();
  });

  test('as said go before those counted; less than a week stands for one', () => {
    const shortcuts = [
      { id: 'a', usesAWeek: 3 },
      { id: 'b', usesAWeek: null },
      { id: 'c', usesAWeek: null },
    ];
    const counted = { since: 0, counts: { a: 50, b: 8 } };
    expect(usesFrom(shortcuts, counted, 4 * WEEK)).toEqual({
      a: { aWeek: 3, from: 'said' },
      b: { aWeek: 2, from: 'counted' },
    });
    expect(usesFrom(shortcuts, counted, WEEK / 7).b).toEqual({ aWeek: 8, from: 'counted' });
    expect(usesFrom(shortcuts, null, WEEK)).toEqual({ a: { aWeek: 3, from: 'said' } });
  });

  test('are chosen from a few; one said otherwise is among them', () => {
    expect(usesChoices(null).map(({ value }) => value)).toContain(null);
    expect(usesChoices(2.5).at(-1)).toEqual({ value: '2.5', label: 'about 3 times a week' });
    expect(usesChoices(7)).toHaveLength(usesChoices(null).length);
    expect([saidBy('0.25'), saidBy(null)]).toEqual([0.25, null]);
  });
});

describe('in words', () => {
  test.each([
    [1, '1 tap'],
    [5.64, '5.6 taps'],
    [-1.6, '-1.6 taps'],
    [9_221.4, '9,221 taps'],
  ])('%p taps: %s', (taps, told) => {
    expect(tellTaps(taps)).toBe(told);
  });

  test('marks, and from where uses are known', () => {
    expect(tellMark({ place: 'after', marker: '*' })).toBe('“*” after the code');
    expect(tellMark({ place: 'doubled', marker: '' })).toBe('a doubled first letter');
    expect(tellUses({ aWeek: 3, from: 'counted' })).toBe('about 3 times a week, counted in Write');
  });
});
