import { parseVocabulary } from '@yellow-latch/language';
import { buildVocabulary } from '@yellow-latch/language/build';

import { asksForAnotherCode, Audit, type AuditedShortcut } from '../clash';
import { KEYBOARDS } from '../effort/layouts';
import { pick, randomFrom } from '../fire/testing';
import { DEVICE_PROFILES } from '../profile';
import { guessKind } from '../mnemonic';
import { CHOSEN_CODES } from '../mnemonic/chosenCodes';
import { matchKey, type Mark } from '../model';
import { planCodes, type CodePlan, type Planned } from '.';

const MARK: Mark = { place: 'before', marker: ';' };
const keyboardOf = (id: string) => KEYBOARDS.find((keyboard) => keyboard.id === id)!;
const inUse = [
  { keyboard: keyboardOf('phone-en'), share: 6, pace: 1, device: DEVICE_PROFILES['phone-list'] },
  { keyboard: keyboardOf('hardware-en-gb'), share: 2, pace: 1, device: DEVICE_PROFILES.expander },
];
const profiles = inUse.map(({ device }) => device);
const english = parseVocabulary(buildVocabulary('en'));

const shortcut = (id: number, code: string, expansion: string): AuditedShortcut => ({
  id: String(id).padStart(4, '0'),
  code,
  content: { expansion, template: false, format: 'plain' },
  kind: guessKind(expansion),
  setId: null,
});

const auditOf = (shortcuts: readonly AuditedShortcut[]) =>
  Audit.run({ list: { sets: [], shortcuts }, profiles, languages: [{ vocabulary: english }] });

/** Pairs of codes that get in each other's way: these must be gone from any plan. */
const OF_PAIRS = new Set(['same code', 'unreachable', 'broken inside', 'hides']);

function plan(shortcuts: readonly AuditedShortcut[], price: number, locked: readonly string[] = []): CodePlan {
  const audit = auditOf(shortcuts);
  const planned = audit.entries.map((entry): Planned => {
    const { kind } = audit.shortcutOf(entry.id)!;
    const isUnsafe = audit.findingsOf(entry.id).some((one) => asksForAnotherCode(one) && !OF_PAIRS.has(one.type));
    return { entry, kind, mark: MARK, uses: 5, misfires: 0, isUnsafe, isLocked: locked.includes(entry.id) };
  });
  const steps = planCodes({
    shortcuts: planned,
    inUse,
    price,
    skeletonOf: null,
    unsafeWith: (codes) => {
      const after = audit.withCodes(codes);
      return shortcuts.map(({ id }) => id).filter((id) => after.findingsOf(id).some(asksForAnotherCode));
    },
  });
  let last = 0;
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
    expect(value).toBeGreaterThanOrEqual(last - 1e-9);
    last = value;
  }
}

const codesAfter = (shortcuts: readonly AuditedShortcut[], { moves }: CodePlan) =>
  shortcuts.map(({ id, code }) => moves.find((move) => move.id === id)?.to ?? code);

const GOOD = [
  shortcut(1, ';mail', 'ansel@corrieandvale.example'),
  shortcut(2, ';tel', '01632 960147'),
  shortcut(3, ';ty', 'Thank you for your message.'),
];

test('with a high price good codes stay; what clashes is changed all the same', () => {
  const list = [
    ...GOOD,
    shortcut(4, ';tel', '07700 900482'),
    shortcut(5, 'so', 'Sent from the road, so please forgive the short reply.'),
  ];
  const { moves, stuck, kept } = plan(list, 100);
  expect(moves.map(({ from }) => from).sort()).toEqual([';tel', 'so']);
  expect(kept).toBe(3);
  expect(stuck).toEqual([]);
  expect(new Set(codesAfter(list, plan(list, 100)).map(matchKey)).size).toBe(list.length);
});

test('started afresh, a list of long codes gets shorter ones and costs less', () => {
  const list = GOOD.map((one, at) => ({ ...one, code: `;zzqx${at}longcode` }));
  const { moves, before, after } = plan(list, 0);
  expect(moves).toHaveLength(3);
  expect(after).toBeLessThan(before);
  for (const { gain } of moves) expect(gain).toBeGreaterThan(0);
  expect(moves.reduce((sum, { gain }) => sum + gain, 0)).toBeCloseTo(before - after, 6);
});

test('a locked code stays, and others keep out of its way', () => {
  const list = [shortcut(1, ';tyf', 'Nothing like it'), shortcut(2, ';longcode', 'Thank you for it')];
  const { moves } = plan(list, 0, ['0001']);
  expect(moves.map(({ id }) => id)).toEqual(['0002']);
  expect(codesAfter(list, plan(list, 0, ['0001']))[0]).toBe(';tyf');
});

test('no keyboards, no shortcuts, nothing to type: a plan all the same', () => {
  expect(plan([], 0)).toMatchObject({ moves: [], kept: 0, before: 0, gap: 0 });
  const rtl = plan([shortcut(1, ';a', 'مرحبا بك'), shortcut(2, ';a', '你好')], 0);
  expect(new Set(codesAfter([shortcut(1, ';a', 'x'), shortcut(2, ';a', 'y')], rtl)).size).toBe(2);
});

// The check itself has the last word: its own engine types every code of the planned list on every device.
test.each([1, 2, 3, 4])('no plan has a clash by the judgement of the check, random list %i', (seed) => {
  const random = randomFrom(seed);
  const list = Array.from({ length: 60 }, (_, at) => {
    const [text] = pick(random, CHOSEN_CODES);
    const code =
      pick(random, [';', '', '#', ',']) + pick(random, ['a', 'ab', 'so', 'the', 'mail', 'xq', 'ten', 'tenp', `k${at}`]);
    return shortcut(at, code, `${text} ${'a'.repeat(Math.floor(random() * 3))}`);
  });
  const made = plan(list, pick(random, [0, 2, 100]));
  const after = auditOf(list.map((one, at) => ({ ...one, code: codesAfter(list, made)[at]! })));
  const clashes = after.findings.filter((one) => asksForAnotherCode(one) && !made.stuck.includes(one.shortcuts[0]!));
  expect(
    clashes.map(({ type, shortcuts }) => `${type} ${shortcuts.map((id) => after.shortcutOf(id)!.code).join(' ')}`),
  ).toEqual([]);
  expect(made.stuck).toEqual([]);
});

test('of 300 equal texts each has a code of its own', () => {
  const list = Array.from({ length: 300 }, (_, at) => shortcut(at, `;c${at}q`, 'Thank you for your message.'));
  const made = plan(list, 0);
  expect(new Set(codesAfter(list, made).map(matchKey)).size).toBe(300);
});
