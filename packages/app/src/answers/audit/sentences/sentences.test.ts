import type { Fix } from '@yellow-latch/core/clash';
import type { Finding } from '@yellow-latch/core/clash/finding';
import type { Explanation } from '@yellow-latch/core/fire';

import {
  MASK,
  shortened,
  tellDone,
  tellFigures,
  tellFinding,
  tellFix,
  tellPace,
  tellSideEffects,
  tellTraceLine,
  type Named,
} from '.';

const told = (finding: Partial<Finding> & Pick<Finding, 'type'>, code = 'so') =>
  tellFinding(
    { severity: 'note', shortcuts: ['1', '2'], devices: [], count: 1, evidence: null, ...finding } as Finding,
    code,
    (id) => ({ '1': code, '2': ';ten' })[id] ?? '?',
  );

const misfires = (perTenThousand: number, isAssumed = false) => ({
  perTenThousand,
  band: { low: 0.1, high: 4 },
  isAssumed,
  byDevice: {},
  examples: [],
});

test.each<[string, Parameters<typeof told>[0], string?]>([
  ['so is a word: about 44 misfires in 10,000 words.', { type: 'word', evidence: misfires(43.5) }],
  [
    'so is a word: about 0.12 misfires in 10,000 words, once in 4.2 to 170 weeks.',
    { type: 'word', evidence: misfires(0.12) },
  ],
  [
    '“no,” comes up in ordinary text: about 3.6 misfires in 10,000 words.',
    { type: 'word', evidence: misfires(3.6) },
    'no,',
  ],
  [
    'thx is a common abbreviation. It would expand by mistake whenever you write it out.',
    { type: 'word', evidence: misfires(0.4, true) },
    'thx',
  ],
  ['so is a word: about 1 misfire in 10,000 words.', { type: 'word', evidence: misfires(1) }],
  [
    'At the start of a word ;ten expands first on the computer, so ;tenp does not.',
    { type: 'unreachable', devices: ['computer-list'], evidence: { firesAtStart: false } } as never,
    ';tenp',
  ],
  [
    'In the middle of a sentence ;ten expands first on the phone, so ;tenp does not.',
    { type: 'unreachable', devices: ['phone-list'], evidence: { firesAtStart: true } } as never,
    ';tenp',
  ],
  ['The computer: so expands before you can finish ;ten.', { type: 'hides', devices: ['computer-list'] } as never],
  [
    'It is also the start of ;ten, so it waits for one more key. At the end of a message it does not expand.',
    { type: 'delayed' } as never,
  ],
  [
    'so is taken by another shortcut, which goes first on the phone, the tablet and the computer.',
    { type: 'same code', devices: ['phone-list', 'tablet-list', 'computer-list'] } as never,
  ],
  ['so looks like ;ten.', { type: 'look-alike' }],
  [
    'The phone: its dashes are changed before it is complete.',
    {
      type: 'device trap',
      devices: ['phone-list'],
      evidence: { traps: [{ trap: 'smart dashes', device: 'phone-list', result: '—' }] },
    },
  ],
  [
    'Perhaps a slip in the text: “tomorrow”?',
    {
      type: 'faulty expansion',
      evidence: { faults: [{ fault: 'likely misspelling', start: 0, end: 8, better: 'tomorrow' }] },
    },
  ],
  [
    'What it gives looks like an account number; every device shows it.',
    {
      type: 'secret',
      evidence: { secrets: [{ kind: 'account', start: 0, end: 22 }] },
    },
  ],
  [
    'Networks take # for a tag.',
    {
      type: 'claimed',
      evidence: {
        claims: [
          { beginning: '#', by: 'networks', meaning: 'a tag' },
          { beginning: '#', by: 'editors', meaning: 'a heading' },
        ],
      },
    },
  ],
])('%s', (...[sentence, finding, code]) => expect(told(finding, code)).toBe(sentence));

describe('how often something happens, at 5,000 words a week', () => {
  const band = { low: 0.1, high: 4 };
  test.each([
    [0.01, 'once in 50 to 2,000 weeks'],
    [0.6, 'between once in 33 weeks and 1.2 times a week'],
    [44, '2.2 to 88 times a week'],
  ])('%d in 10,000 words', (perTenThousand, pace) => expect(tellPace(perTenThousand, band)).toBe(pace));
});

describe('fixes in words', () => {
  const shortcuts: Record<string, Named> = {
    '1': { code: 'so', content: { expansion: 'Sent from\nthe road' }, private: false },
    '2': { code: ';ten', content: { expansion: 'Ten minutes' }, private: false },
    '3': { code: ';ib', content: { expansion: 'GB82 WEST' }, private: true },
  };
  const shortcutOf = (id: string) => shortcuts[id];
  test.each<[Fix, string, string, string]>([
    [{ type: 'other code', id: '1', code: ';so', how: 'marked' }, 'Type ;so', 'With your marker', 'so is now ;so.'],
    [
      { type: 'other code', id: '2', code: ';tn', how: 'consonants' },
      'Type ;tn',
      'Instead of ;ten, without its vowels',
      ';ten is now ;tn.',
    ],
    [
      { type: 'other rules', id: '1', rules: { fires: 'offer' }, asks: 'offer' },
      'Only offer it',
      'It is shown while you type',
      'so is only offered now.',
    ],
    [
      { type: 'other rules', id: '2', rules: { edge: 'word' }, asks: 'edge' },
      ';ten: only at the start of a word',
      'It no longer fires',
      ';ten fires only at the start of a word now.',
    ],
    [
      { type: 'correct text', id: '1', expansion: 'Sent from the road.' },
      'Set the text right',
      '“Sent from the road.”',
      'The text of so is set right.',
    ],
    [
      { type: 'merge', keep: '1', drop: ['2'] },
      'Keep only so',
      'It gives “Sent from the road”; ;ten is deleted.',
      'so is the only one now.',
    ],
    [
      { type: 'make private', id: '2' },
      'Keep it on this device only',
      'It is erased',
      ';ten is on this device only now.',
    ],
  ])('%j', (fix, label, hint, done) => {
    const told = tellFix(fix, '1', shortcutOf);
    expect(told.label).toBe(label);
    expect(told.hint).toContain(hint);
    expect(tellDone(fix, shortcutOf)).toBe(done);
  });

  test('of a private text say nothing of what it holds', () => {
    const merge = tellFix({ type: 'merge', keep: '3', drop: ['2'] }, '3', shortcutOf);
    const text = tellFix({ type: 'correct text', id: '3', expansion: 'GB82 WEST' }, '3', shortcutOf);
    for (const { hint } of [merge, text]) expect(hint).not.toContain('GB82');
    expect(merge.hint).toContain(MASK);
  });

  test('the figure of each device that changes, or that none does', () => {
    const figure = (perTenThousand: number) => ({
      perTenThousand,
      band: { low: 1, high: 1 },
      upTo: Math.max(perTenThousand, 0.0045),
      per100Contexts: 0,
    });
    const before = { 'phone-list': figure(43.5), 'tablet-list': figure(43.5) };
    expect(tellFigures({ before, after: { 'phone-list': figure(0), 'tablet-list': figure(43.5) } })).toEqual([
      'The phone: 44 → under 0.005 in 10,000 words',
    ]);
    expect(tellFigures({ before, after: before })).toEqual(['The list’s misfires in ordinary words stay as they are.']);
  });

  test('what goes and comes beside the finding itself', () => {
    expect(tellSideEffects(0, 0)).toBe('Nothing else is found that was not there before.');
    expect(tellSideEffects(1, 2)).toBe('1 other finding would be gone as well, 2 new ones would come.');
    expect(tellSideEffects(0, 1)).toBe('1 new one would come.');
  });
});

test('every rule of the engine’s trace has its words', () => {
  const rules: Explanation['rule'][] = [
    'fired-by-instant',
    'fired-by-delimiter',
    'waits',
    'no-edge',
    'other-capitals',
    'device-dash',
    'taken-back',
  ];
  const told = rules.map((rule) => tellTraceLine({ rule, typed: ';ten' }, () => '?', undefined));
  expect(new Set(told).size).toBe(rules.length);
  expect(told[0]).toBe(';ten fires at once');
});

test('a text is shown on one line and no longer than it may be', () => {
  expect(shortened('one\n two   three')).toBe('one two three');
  expect(shortened('x'.repeat(80))).toBe(`${'x'.repeat(60)}…`);
});
