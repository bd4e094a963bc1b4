import { makeShortcut } from '../model/testing';
import type { Kind, Mark, Shortcut } from '../model';
import { formerCodes, FORMER_LASTS, idOfFormer, planRecodes } from '.';

let next = 0;
function one(code: string, expansion?: string, more: { kind?: Kind; setId?: string } = {}): Shortcut {
  next += 1;
  return makeShortcut(code, expansion, { id: String(next).padStart(4, '0'), ...more });
}
const COMMA: Mark = { place: 'before', marker: ',' };
const whole = (mark: Mark) => ({ scope: { of: 'list' }, mark, capitals: 'as they are' }) as const;
const codes = (plan: ReturnType<typeof planRecodes>) => plan.recodes.map(({ from, to }) => `${from} ${to}`);

describe('a list set in another mark', () => {
  test('changes what can be marked, and leaves what fits, what none marks, and exceptions', () => {
    const list = [
      one(';ten'),
      one('ttune'),
      one('book*'),
      one(',fits'),
      one('->'),
      one('teh', 'the', { kind: 'correction' }),
      one('keep'),
    ];
    const plan = planRecodes(list, whole(COMMA), new Set([list[6]!.id]));
    expect(codes(plan)).toEqual([';ten ,ten', 'ttune ,tune', 'book* ,book']);
    expect(plan.fitting).toEqual([list[3]!.id]);
    expect(plan.exempt).toEqual([list[4]!.id, list[5]!.id]);
    expect(plan.cannot).toEqual([]);
  });

  test('only in the scope', () => {
    const list = [one(';ten'), one(';tag', '#a #b', { kind: 'tags' }), one(';set', 'x', { setId: 's' })];
    expect(codes(planRecodes(list, { ...whole(COMMA), scope: { of: 'kind', kind: 'tags' } }))).toEqual([';tag ,tag']);
    expect(codes(planRecodes(list, { ...whole(COMMA), scope: { of: 'set', setId: 's' } }))).toEqual([';set ,set']);
  });

  test('gives the older of two the code, the other a free one near by under the same mark', () => {
    const list = [one(';ten', 'ten minutes away'), one('/ten', 'tenor part, second desk')];
    const [first, second] = planRecodes(list, whole(COMMA)).recodes;
    expect(first!.to).toBe(',ten');
    expect(second!.insteadOf).toBe(',ten');
    expect(second!.to).toMatch(/^,/);
    expect(second!.to).not.toBe(',ten');
  });

  test('never takes a code that stays, nor one twice', () => {
    const list = [one(',ten', 'ten'), one(';ten', '…'), one(';TEN', '—'), one('#ten', '***')];
    const plan = planRecodes(list, whole(COMMA));
    const after = list.map(({ id, code }) => plan.recodes.find((recode) => recode.id === id)?.to ?? code);
    expect(new Set(after.map((code) => code.toLowerCase())).size).toBeGreaterThanOrEqual(
      new Set(list.map(({ code }) => code.toLowerCase())).size,
    );
    expect(plan.recodes.length + plan.cannot.length).toBe(3);
    for (const { why } of plan.cannot) expect(why).toEqual({ type: 'in use', by: expect.any(String) as string });
  });

  test('says what would be no code any more', () => {
    const long = 'x'.repeat(40);
    const { cannot } = planRecodes([one(long)], whole(COMMA));
    expect(cannot[0]!.why).toEqual({
      type: 'not a code',
      problem: { type: 'too-many-clusters', limit: 40, found: 41 },
    });
  });

  test('may set capitals small', () => {
    expect(codes(planRecodes([one(';PK')], { ...whole(COMMA), capitals: 'small' }))).toEqual([';PK ,pk']);
  });
});

describe('former codes', () => {
  const now = 1_000_000;
  const moved = (code: string, former: string, until = now + FORMER_LASTS) => ({
    ...one(code),
    former: { code: former, until },
  });

  test('go on for their time, and tell whose they are', () => {
    const list = [moved(',ten', ';ten'), moved(',old', ';old', now), one('so')];
    const alive = formerCodes(list, now);
    expect(alive.map(({ code }) => code)).toEqual([';ten']);
    expect(idOfFormer(alive[0]!.id)).toBe(list[0]!.id);
    expect(idOfFormer(list[0]!.id)).toBeNull();
  });

  test('give way to whoever has the code now; of two the first has it', () => {
    const list = [moved(',ten', ';ten'), one(';ten'), moved(',a', ';x'), moved(',b', ';X')];
    expect(formerCodes(list, now).map(({ id }) => idOfFormer(id))).toEqual([list[2]!.id]);
  });
});
