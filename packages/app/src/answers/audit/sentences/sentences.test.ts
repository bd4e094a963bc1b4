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
  tellHowOften,
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
  [
    '“so” is an everyday word. It would expand by mistake about 44 times in 10,000 words.',
    { type: 'word', evidence: misfires(43.5) },
  ],
  ['“so” is a word. It would expand by mistake about every 4 months.', { type: 'word', evidence: misfires(0.12) }],
  [
    '“no,” comes up in ordinary text. It would expand by mistake about 3.6 times in 10,000 words.',
    { type: 'word', evidence: misfires(3.6) },
    'no,',
  ],
  [
    '“thx” is a common abbreviation. It would expand every time you mean the abbreviation.',
    { type: 'word', evidence: misfires(0.4, true) },
    'thx',
  ],
  [
    '“so” is an everyday word. It would expand by mistake about once in 10,000 words.',
    { type: 'word', evidence: misfires(1) },
  ],
  [
    'At the start of a word, “;ten” expands first on the computer. “;tenp” never does.',
    { type: 'unreachable', devices: ['expander'], evidence: { firesAtStart: false } } as never,
    ';tenp',
  ],
  [
    'In the middle of a sentence, “;ten” expands first on the phone. “;tenp” never does.',
    { type: 'unreachable', devices: ['phone-list'], evidence: { firesAtStart: true } } as never,
    ';tenp',
  ],
  ['On the computer, “so” expands before you can finish “;ten”.', { type: 'hides', devices: ['expander'] } as never],
  [
    '“;ten” starts the same way, so this one waits for your next key. At the very end of a message, it doesn’t expand.',
    { type: 'delayed' } as never,
  ],
  [
    'Another shortcut already uses “so”, so this one never expands on the phone, the tablet and the computer.',
    { type: 'same code', devices: ['phone-list', 'tablet-list', 'expander'] } as never,
  ],
  ['“so” looks just like “;ten”.', { type: 'look-alike' }],
  [
    'Phone: its dashes get joined before you finish it.',
    {
      type: 'device trap',
      devices: ['phone-list'],
      evidence: { traps: [{ trap: 'smart dashes', device: 'phone-list', result: '—' }] },
    },
  ],
  [
    'This could be a typo. Did you mean “tomorrow”?',
    {
      type: 'faulty expansion',
      evidence: { faults: [{ fault: 'likely misspelling', start: 0, end: 8, better: 'tomorrow' }] },
    },
  ],
  [
    'Its text looks like an account number, and all your devices show it.',
    {
      type: 'secret',
      evidence: { secrets: [{ kind: 'account', start: 0, end: 22 }] },
    },
  ],
  [
    'Social networks use “#” for tags.',
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

test.each([
  [44, 'about 44 times a week'],
  [9.6, 'about 10 times a week'],
  [1, 'about once a week'],
  [1 / 2, 'about every 2 weeks'],
  [1 / 4.3, 'about once a month'],
  [1 / 8.7, 'about every 2 months'],
  [1 / 52, 'about once a year'],
  [1 / 60, 'practically never'],
  [0, 'practically never'],
])('%d times a week is said as one would', (timesAWeek, often) => expect(tellHowOften(timesAWeek)).toBe(often));

describe('fixes in words', () => {
  const shortcuts: Record<string, Named> = {
    '1': { code: 'so', content: { expansion: 'Sent from\nthe road' }, private: false },
    '2': { code: ';ten', content: { expansion: 'Ten minutes' }, private: false },
    '3': { code: ';ib', content: { expansion: 'GB82 WEST' }, private: true },
  };
  const shortcutOf = (id: string) => shortcuts[id];
  test.each<[Fix, string, string, string]>([
    [{ type: 'other code', id: '1', code: ';so', how: 'marked' }, 'Use ;so', 'With your marker', '“so” is now “;so”.'],
    [
      { type: 'other code', id: '2', code: ';tn', how: 'consonants' },
      'Use ;tn',
      'Without its vowels, instead of “;ten”',
      '“;ten” is now “;tn”.',
    ],
    [
      { type: 'other rules', id: '1', rules: { fires: 'offer' }, asks: 'offer' },
      'Only suggest it',
      'You see it while you type',
      '“so” is now only suggested.',
    ],
    [
      { type: 'other rules', id: '2', rules: { edge: 'word' }, asks: 'edge' },
      ';ten: Only at the start of a word',
      'It stops expanding',
      '“;ten” now expands only at the start of a word.',
    ],
    [
      { type: 'correct text', id: '1', expansion: 'Sent from the road.' },
      'Fix the text',
      '“Sent from the road.”',
      'Fixed the text of “so”.',
    ],
    [
      { type: 'merge', keep: '1', drop: ['2'] },
      'Keep only so',
      'You get “Sent from the road”. “;ten” is deleted.',
      'Kept only “so”.',
    ],
    [
      { type: 'make private', id: '2' },
      'Keep it only on this device',
      'It’s deleted',
      '“;ten” is now only on this device.',
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
      'Phone: 44 in 10,000 words → practically never',
    ]);
    expect(tellFigures({ before, after: before })).toEqual(['Misfires in ordinary text stay the same.']);
  });

  test('what goes and comes beside the finding itself', () => {
    expect(tellSideEffects(0, 0)).toBe('It changes nothing else.');
    expect(tellSideEffects(1, 2)).toBe('It also fixes 1 other problem and adds 2 new ones.');
    expect(tellSideEffects(0, 1)).toBe('It adds 1 new problem.');
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
  expect(told[0]).toBe('“;ten” expands right away');
});

test('a text is shown on one line and no longer than it may be', () => {
  expect(shortened('one\n two   three')).toBe('one two three');
  expect(shortened('x'.repeat(80))).toBe(`${'x'.repeat(60)}…`);
});
