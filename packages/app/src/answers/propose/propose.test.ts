import type { AuditedShortcut } from '@yellow-latch/core/clash';
import { asksForAnotherCode } from '@yellow-latch/core/clash';
import type { ChosenConvention, KeyboardUse } from '@yellow-latch/core/model';

import { AuditWorkerApi } from '@/answers/audit/workerApi';
import { EffortWorkerApi } from '@/answers/effort/workerApi';

import { ProposeWorkerApi, type ProposeRequest, type Wanted } from './workerApi';

const VOCABULARY = {
  format: 1,
  kind: 'counted',
  language: 'en',
  source: 'test',
  words: 'so sound ham book',
  total: 1_000,
  counts: '2s a 1 1',
};
const PHONE: KeyboardUse = { keyboard: 'phone-en', share: 1, pace: 1, device: 'phone-list' };
const ASKED: ProposeRequest = { keyboards: [PHONE], ownKeyboards: [], conventions: [] };

const shortcut = (
  id: string,
  code: string,
  expansion: string,
  more: Partial<AuditedShortcut> = {},
): AuditedShortcut => ({
  id,
  code,
  content: { expansion, template: false, format: 'plain' },
  kind: 'message',
  setId: null,
  ...more,
});

async function apisOf(...shortcuts: AuditedShortcut[]) {
  const audit = new AuditWorkerApi(
    (name) => Promise.resolve(name === 'en' ? VOCABULARY : []),
    () => Promise.resolve(),
  );
  const propose = new ProposeWorkerApi(audit, new EffortWorkerApi(audit), () => Promise.resolve());
  if (shortcuts.length > 0) {
    const list = { sets: [{ id: 's' }], shortcuts };
    await audit.run({ list, devices: ['phone-list', 'expander'], languages: ['en'] });
  }
  return { audit, propose };
}

const LIST = [
  shortcut('1', ';book', 'https://corrieandvale.example/book', { kind: 'link' }),
  shortcut('2', ';mail', 'ansel@corrieandvale.example', { kind: 'contact' }),
  shortcut('3', '#tun', '#pianotuner #pianotuning', { kind: 'tags' }),
  shortcut('4', '#res', '#restoration', { kind: 'tags' }),
  shortcut('5', '#wks', '#workshop', { kind: 'tags' }),
  shortcut('6', ';hi', 'Dear all,'),
];

test('five codes, the check finds nothing worse than a note about any; the list stays as it was', async () => {
  const { audit, propose } = await apisOf(...LIST);
  const draft = shortcut('~new', '', 'Thank you for your message. I am tuning and will call back this evening.');
  const proposals = propose.propose(draft, ASKED)!;
  expect(proposals).toHaveLength(5);
  for (const { code } of proposals) {
    expect(code.startsWith(';')).toBe(true);
    expect(audit.verdict({ ...draft, code })!.filter(asksForAnotherCode)).toEqual([]);
  }
  expect(audit.open('1')).toEqual([]);
  expect(audit.checked()!.audit.shortcutOf('~new')).toBeUndefined();
});

test('under the marker of its kind, of the convention that was chosen, or of the list', async () => {
  const { propose } = await apisOf(...LIST);
  const tags = shortcut('~new', '', '#grandpiano #restored', { kind: 'tags' });
  expect(propose.propose(tags, ASKED)![0]!.code).toMatch(/^#/u);
  const chosen: ChosenConvention = {
    id: 'c',
    mark: { place: 'after', marker: '*' },
    scope: { of: 'kind', kind: 'tags' },
    capitals: 'as they are',
    changed: 1,
  } as unknown as ChosenConvention;
  expect(propose.propose(tags, { ...ASKED, conventions: [chosen] })![0]!.code).toMatch(/\*$/u);
});

test('a second of its kind is like the first, which is named by its code', async () => {
  const { propose } = await apisOf(...LIST);
  const second = shortcut('~new', '', 'https://corrieandvale.example/book?from=mail', { kind: 'link' });
  const proposals = propose.propose(second, ASKED)!;
  expect(proposals.map(({ code }) => code)).not.toContain(';book');
  for (const { how, like } of proposals) expect(like).toBe(how === 'like' ? ';book' : null);
});

test('nothing is proposed before the list was checked', async () => {
  const { propose } = await apisOf();
  expect(propose.propose(shortcut('~new', '', 'Anything'), ASKED)).toBeNull();
});

describe('codes for several at once', () => {
  const wanted = (id: string, text: string, called: readonly string[] = [], isNamed = false): Wanted => ({
    shortcut: shortcut(`~${id}`, '', text, { kind: isNamed ? 'contact' : 'symbol' }),
    called,
    isNamed,
  });

  test('none in use, none twice, none that gets in the way of another', async () => {
    const { audit, propose } = await apisOf(...LIST);
    const all = [wanted('1', '½'), wanted('2', '½'), wanted('3', '→'), wanted('4', '♯'), wanted('5', '🦜', ['parrot'])];
    const done: number[] = [];
    const codes = (await propose.proposeAll(all, ASKED, (part) => done.push(part)))!;
    expect(new Set(codes).size).toBe(5);
    const put = all.map((one, at) => ({ ...one.shortcut, code: codes[at]! }));
    expect(propose.judge(put)).toEqual([null, null, null, null, null]);
    expect(audit.open('1')).toEqual([]);
  });

  test('a person’s name goes first, however cheap others are; a second thing of hers has another', async () => {
    const { propose } = await apisOf(...LIST);
    const ann = [
      wanted('1', '07700 900123', ['ann', 'annc', 'ac'], true),
      wanted('2', 'ann@corrie.example', ['anne', 'eann'], true),
    ];
    expect(await propose.proposeAll(ann, ASKED)).toEqual([';ann', ';anne']);
    // Where codes expand right away the first would hide one that goes on from it.
    const atOnce = { ...PHONE, keyboard: 'hardware-en-gb', device: 'expander' };
    expect(await propose.proposeAll(ann, { ...ASKED, keyboards: [PHONE, atOnce] })).toEqual([';ann', ';eann']);
  });

  test('what is overtaken gives nothing; what gets in the way of another is judged', async () => {
    const { propose } = await apisOf(...LIST);
    const many = Array.from({ length: 60 }, (_, at) => wanted(String(at), String.fromCodePoint(0x2_200 + at)));
    const first = propose.proposeAll(many, ASKED);
    propose.cancel();
    expect(await first).toBeNull();
    expect(propose.judge([{ ...many[0]!.shortcut, code: ';book' }])).not.toEqual([null]);
  });
});
