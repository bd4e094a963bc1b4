import { buildVocabulary } from '@yellow-latch/language/build';
import { parseVocabulary } from '@yellow-latch/language';

import { brownText } from '../../../../bench/brown';
import { CompiledList, settleRules } from '../fire';
import { DEVICE_PROFILES } from '../profile';
import { scanOwnText } from './ownText';
import { audit, find, listOf, shortcut } from './testing';
import { bandOf, weeksUntil } from './vocabulary';

const english = parseVocabulary(buildVocabulary('en'));
const rank = new Map(english.words.map((word, i) => [word, i]));
const frequency = (word: string) => english.perTenThousand[rank.get(word)!]!;

describe('known values of SUBTLEX-US (Brysbaert & New 2009)', () => {
  test('“so” fires by mistake about 44 times in 10,000 words, “ham” about 0.12', () => {
    const list = [shortcut('1', 'so'), shortcut('2', 'ham')];
    const checked = audit(list, { languages: [{ vocabulary: english }], profiles: [DEVICE_PROFILES['phone-list']] });
    const so = find(checked, '1', 'word')!;
    const ham = find(checked, '2', 'word')!;
    expect(so.evidence.perTenThousand).toBeCloseTo(43.5, 0);
    expect(so.severity).toBe('breaks');
    expect(ham.evidence.perTenThousand).toBeCloseTo(0.12, 2);
    expect(ham.severity).toBe('risky');
    expect(checked.figures['phone-list']!.perTenThousand).toBeCloseTo(43.65, 0);
  });
  test('two codes that meet in one word are counted once, for the one that fires', () => {
    const instant = { rules: { fires: 'instant' } } as const;
    const list = [shortcut('1', 'so', 'x', instant), shortcut('2', 'som', 'y', instant)];
    const checked = audit(list, {
      languages: [{ vocabulary: english }],
      profiles: [{ ...DEVICE_PROFILES.expander, edge: 'word' }],
    });
    const all = english.words.reduce(
      (sum, word, i) => sum + (word.startsWith('so') ? english.perTenThousand[i]! : 0),
      0,
    );
    expect(checked.figures.expander!.perTenThousand).toBeCloseTo(all, 6);
    expect(find(checked, '2', 'unreachable')).toBeDefined();
    expect(find(checked, '2', 'beginning of words')).toBeUndefined();
  });
  test('contractions are one word: a piece of one misfires no more than it is written alone', () => {
    expect(frequency("don't")).toBeGreaterThan(40);
    expect(frequency("it's")).toBeGreaterThan(30);
    for (const piece of ['don', 't', 's', 'll', 're']) expect(rank.has(piece)).toBe(false);
    const checked = audit([shortcut('1', 'don')], { languages: [{ vocabulary: english }] });
    expect(checked.findingsOf('1').filter(({ type }) => type === 'word')).toEqual([]);
  });
});

test('everyday abbreviations, which no film has, are told with an assumed range and never as none', () => {
  const codes = ['btw', 'imo', 'fyi', 'thx', 'ps', 'tbh'];
  const checked = audit(
    codes.map((code) => shortcut(code, code, `what ${code} stands for`)),
    { languages: [{ vocabulary: english }], profiles: [DEVICE_PROFILES['phone-list']] },
  );
  for (const code of codes) {
    const { evidence, severity } = find(checked, code, 'word')!;
    expect([code, severity, evidence.isAssumed]).toEqual([code, 'risky', true]);
    expect(evidence.perTenThousand * evidence.band.low).toBeCloseTo(0.008, 6);
    expect(evidence.perTenThousand * evidence.band.high).toBeCloseTo(4, 6);
  }
  expect(find(checked, 'btw', 'word')!.evidence.examples).toEqual([
    { word: 'btw', language: 'en', perTenThousand: 0.4 },
  ]);
});

test('once in N weeks at a pace of 5,000 words', () => {
  expect(weeksUntil(1)).toBe(2);
  expect(weeksUntil(0.1, 10_000)).toBe(10);
  expect(weeksUntil(0)).toBe(Infinity);
});

describe('beside the Brown Corpus (Francis & Kučera 1964; read from its package, nothing of it kept)', () => {
  const text = brownText(6_000_000, __filename);
  const words = text.toLowerCase().match(/[a-z]+(?:'[a-z]+)*/g)!;
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);

  test('the misfires that the engine counts are those of plain counting', () => {
    const codes = ['so', 'ham', 'in', 'am', 'may', 'key', 'sound', 'oar'];
    const list = CompiledList.compile(
      settleRules(listOf(codes.map((code) => shortcut(code, code)))),
      DEVICE_PROFILES['phone-list'],
    );
    const report = scanOwnText(text, list);
    // What fires: the word alone, no sign that joins before it, a delimiter behind it.
    for (const code of codes) {
      const plain =
        text.match(
          new RegExp(`(?<![\\p{L}\\p{N}_]|[\\p{L}]['.:]|[^\\s(\\[{"'a-z]\\B)${code}(?=[\\s.,;:!?)\\]}"])`, 'giu'),
        )?.length ?? 0;
      const counted = report.findings.find(({ id }) => id === code)?.count ?? 0;
      expect([code, Math.abs(counted - plain) <= Math.max(1, plain * 0.005)]).toEqual([code, true]);
    }
  });

  /** Words that should come five times or more, with the logarithm of counted by expected. */
  const pairs = english.words.flatMap((word, i) => {
    const expected = (english.perTenThousand[i]! * words.length) / 10_000;
    if (expected < 5 || !/^[a-z]+$/.test(word)) return [];
    return [{ frequency: english.perTenThousand[i]!, ratio: Math.log((counts.get(word) ?? 0.5) / expected) }];
  });
  const halves = [pairs.filter((_, i) => i % 2 === 0), pairs.filter((_, i) => i % 2 === 1)] as const;
  const classes = [
    [1, Infinity],
    [0.2, 1],
    [0, 0.2],
  ] as const;
  const inClass = (of: typeof pairs, [from, to]: readonly [number, number]) =>
    of
      .filter(({ frequency: one }) => one >= from && one < to)
      .map(({ ratio }) => ratio)
      .sort((a, b) => a - b);

  test('a band fitted on one half of the words covers 85 to 95 of 100 of the other half', () => {
    expect(pairs.length).toBeGreaterThan(4_000);
    for (const one of classes) {
      const fitted = inClass(halves[0], one);
      const low = fitted[Math.floor(fitted.length * 0.05)]!;
      const high = fitted[Math.floor(fitted.length * 0.95)]!;
      const other = inClass(halves[1], one);
      const covered = other.filter((ratio) => ratio >= low && ratio <= high).length / other.length;
      expect({
        one,
        low: Math.exp(low),
        high: Math.exp(high),
        holds: covered >= 0.85 && covered <= 0.95,
        covered,
      }).toMatchObject({ holds: true });
    }
  });

  test('the band that figures are told with covers as many', () => {
    for (const half of halves) {
      const covered = half.filter(({ frequency: one, ratio }) => {
        const { low, high } = bandOf(one);
        return ratio >= Math.log(low) && ratio <= Math.log(high);
      });
      expect(covered.length / half.length).toBeGreaterThan(0.85);
      expect(covered.length / half.length).toBeLessThan(0.95);
    }
  });
});
