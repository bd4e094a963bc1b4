/** Clusters counted in linear time, against the segmenter asked at once (UAX #29, as ICU has it). */
import fc from 'fast-check';

import { checkExpansion, clustersOf, countClusters, hasMoreClusters, LIMITS, ShortcutFieldsSchema } from '.';

const segmenter = new Intl.Segmenter('und', { granularity: 'grapheme' });
const plainly = (text: string) =>
  Array.from(segmenter.segment(text), ({ segment, index }) => ({ text: segment, index }));

/** Parts that join with their neighbours, or could be thought to. */
const PARTS = [
  'a',
  'é',
  'e\u0301',
  '\u0301',
  'ß',
  'Ж',
  '漢',
  'か',
  '゙',
  'ｶﾞ',
  '한',
  '\u1100',
  '\u1161',
  '\u11a8',
  '😀',
  '👍',
  '🏽',
  '👨',
  '\u200d',
  '👩',
  '\ufe0f',
  '🇩',
  '🇪',
  '#',
  '\u20e3',
  'क',
  '्',
  'ष',
  'ि',
  'ก',
  'ำ',
  'เ',
  '่',
  'ຳ',
  'س',
  '\u0600',
  '\u064b',
  '\u00ad',
  ' ',
  '\n',
  '\r',
  '\t',
  '\ud83d',
  '½',
  '→',
  '♯',
  '®',
  '\u0e33',
  '\u{110bd}',
];
const texts = fc.array(fc.constantFrom(...PARTS), { maxLength: 40 }).map((parts) => parts.join(''));

test('texts of every kind of joint have the clusters that the segmenter finds', () => {
  fc.assert(
    fc.property(texts, fc.nat(300), (text, before) => {
      // Long enough for several pieces, with their seams at different places.
      const long = `${'🇩🇪'.repeat(before)}${text.repeat(12)}`;
      expect(countClusters(long)).toBe(plainly(long).length);
      expect(clustersOf(long)).toEqual(plainly(long));
    }),
    { numRuns: 300, seed: 19 },
  );
});

test.each([
  ['emoji', '😀', 20_000],
  ['flags', '🇩🇪', 5_000],
  ['families', '👨‍👩‍👧', 3_000],
  ['one letter with marks', 'a\u0301', 10_000],
  ['Thai', 'กำ', 8_000],
])('%s, many of them, are counted exactly', (_name, cluster, times) => {
  expect(countClusters(cluster.repeat(times))).toBe(times);
});

test('a letter with twenty thousand marks is one cluster', () => {
  expect(countClusters(`a${'\u0301'.repeat(20_000)}b`)).toBe(2);
});

test('the segmenter is never given a long text at once, whose cost it would not bear', () => {
  const given: number[] = [];
  const original = Intl.Segmenter.prototype.segment;
  Intl.Segmenter.prototype.segment = function (text) {
    given.push(text.length);
    return original.call(this, text);
  };
  try {
    for (const text of ['😀'.repeat(60_000), '🇩🇪'.repeat(30_000), 'กำ'.repeat(30_000)]) countClusters(text);
  } finally {
    Intl.Segmenter.prototype.segment = original;
  }
  expect(Math.max(...given)).toBeLessThanOrEqual(257);
});

const FIELDS = {
  code: ';a',
  content: { expansion: 'a', template: false, format: 'plain' },
  kind: 'message',
  setId: null,
  rules: {},
  usesAWeek: null,
  former: null,
  pinned: null,
  note: '',
  language: null,
  card: null,
  tagLimit: null,
};

test('a text far too long is refused by its length, before anything in it is counted', () => {
  const counted = jest.spyOn(Intl.Segmenter.prototype, 'segment');
  const result = ShortcutFieldsSchema.safeParse({ ...FIELDS, note: '😀'.repeat(60_000) });
  expect(result.error?.issues.map(({ path, message }) => [path.join('.'), message])).toEqual([
    ['note', `has more than ${LIMITS.noteClusters} characters`],
  ]);
  expect(counted).not.toHaveBeenCalled();
  counted.mockRestore();
});

test('a limit is of clusters, not of units', () => {
  const family = '👨‍👩‍👧';
  expect(ShortcutFieldsSchema.safeParse({ ...FIELDS, note: family.repeat(LIMITS.noteClusters) }).success).toBe(true);
  expect(hasMoreClusters(family.repeat(300), 300)).toBe(false);
  expect(hasMoreClusters(family.repeat(301), 300)).toBe(true);
  expect(checkExpansion('Ж'.repeat(LIMITS.expansionClusters + 1))).toEqual({
    type: 'too-many-clusters',
    limit: LIMITS.expansionClusters,
    found: LIMITS.expansionClusters + 1,
  });
});
