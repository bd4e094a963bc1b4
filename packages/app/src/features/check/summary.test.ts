import type { Brief, ListFigures } from '@yellow-latch/core/clash';

import { summarize, tellListFigure } from './summary';

const finding = (type: Brief['type'], more: object = {}): Brief =>
  ({
    type,
    severity: 'breaks',
    shortcuts: ['1', '2'],
    devices: [],
    count: 1,
    evidence: null,
    about: '',
    ...more,
  }) as Brief;

const misfires = (byDevice: Record<string, number>, isAssumed = false) => ({
  evidence: { byDevice, isAssumed, perTenThousand: Math.max(...Object.values(byDevice)) },
});

const codeOf = (id: string) => ({ '1': 'so', '2': ';ten' })[id] ?? '?';
const told = (...findings: Brief[]) => summarize(findings, 'so', codeOf);

describe('a row says the worst of a shortcut', () => {
  test.each<[string, Brief]>([
    ['An everyday word: it expands by mistake about 44 times in 10,000 words.', finding('word', misfires({ app: 44 }))],
    ['A word: it expands by mistake about every 4 months.', finding('word', misfires({ app: 0.12 }))],
    ['A common abbreviation: it expands each time you mean that.', finding('word', misfires({ app: 1 }, true))],
    [
      'Other words contain it: on the computer it expands by mistake about 2.4 times in 10,000 words.',
      finding('inside words', misfires({ expander: 2.4 })),
    ],
    [
      'Never expands on the phone, because “;ten” expands first.',
      finding('unreachable', { devices: ['phone-list'], evidence: { firesAtStart: false } }),
    ],
    ['Never expands, because “;ten” expands first.', finding('broken inside', { evidence: { firesAtStart: false } })],
    ['Waits for your next key, because “;ten” starts the same way.', finding('delayed')],
    ['Its text leads back to it and goes on forever.', finding('loop')],
    ['“so” looks just like “;ten”.', finding('look-alike')],
  ])('%s', (sentence, of) => expect(told(of)).toEqual({ sentence, others: null }));

  test('misfires in words and in parts of words are one reason, counted together where they are most', () => {
    expect(
      told(
        finding('beginning of words', misfires({ expander: 81 })),
        finding('word', misfires({ app: 44, expander: 44 })),
        finding('near miss'),
      ),
    ).toEqual({
      sentence: 'A word, and part of others: on the computer it expands by mistake about 130 times in 10,000 words.',
      others: '1 more reason',
    });
  });
});

describe('the figure of the whole list in a sentence', () => {
  const figures = (of: Record<string, number>) =>
    Object.fromEntries(
      Object.entries(of).map(([id, perTenThousand]) => [id, { perTenThousand }]),
    ) as unknown as ListFigures;
  const open = [
    finding('word', misfires({ app: 40, expander: 40 })),
    finding('word', { shortcuts: ['2'], ...misfires({ app: 1, expander: 30 }) }),
  ];

  test.each<[string, Record<string, number>]>([
    ['Your list practically never expands by mistake.', { app: 0.01 }],
    ['Your list expands by mistake about 41 times in 10,000 words, nearly all of it “so”.', { app: 41 }],
    [
      'On the computer, your list expands by mistake about 70 times in 10,000 words, mostly “so”.',
      { app: 41, expander: 70 },
    ],
    ['Your list expands by mistake about 42 times in 10,000 words, nearly all of it “so”.', { app: 42, expander: 41 }],
    ['Your list expands by mistake about 5 times in 10,000 words.', { 'tablet-list': 5 }],
  ])('%s', (sentence, of) => expect(tellListFigure(figures(of), open, codeOf)).toBe(sentence));
});
