import { randomNumbers } from '../learn/testing';
import { maximalRepeats, wordRowOf } from '.';
import { commonPrefixes, suffixArray } from './suffixArray';

/** A row of numbers below `size`. */
function randomRow(length: number, size: number, random: () => number): Int32Array {
  return Int32Array.from({ length }, () => Math.floor(random() * size));
}

function compareSuffixes(row: Int32Array, a: number, b: number): number {
  for (let step = 0; ; step += 1) {
    if (a + step >= row.length) return -1;
    if (b + step >= row.length) return 1;
    const difference = row[a + step]! - row[b + step]!;
    if (difference !== 0) return difference;
  }
}

/** Every row of words that stands there often enough and cannot be made longer: looked for one by one. */
function naiveRepeats(row: Int32Array, shortest: number, longest: number, least: number): string[] {
  const placesOf = new Map<string, number[]>();
  for (let from = 0; from < row.length; from += 1)
    for (let length = shortest; length <= longest && from + length <= row.length; length += 1) {
      const key = row.slice(from, from + length).join(' ');
      placesOf.set(key, [...(placesOf.get(key) ?? []), from]);
    }
  return [...placesOf]
    .filter(([key, places]) => {
      const length = key.split(' ').length;
      const around = (step: number) => new Set(places.map((place) => row[place + step] ?? `end ${place}`)).size > 1;
      return places.length >= least && around(-1) && around(length);
    })
    .map(([key, places]) => `${key} at ${places.join()}`)
    .sort();
}

const told = (row: Int32Array, repeats: ReturnType<typeof maximalRepeats>) =>
  repeats
    .map(({ length, places }) => {
      const sorted = [...places].sort((a, b) => a - b);
      return `${row.slice(sorted[0], sorted[0]! + length).join(' ')} at ${sorted.join()}`;
    })
    .sort();

describe('the suffix array', () => {
  test('is the order of all suffixes, and knows what neighbours have in common, on 300 random rows', () => {
    const random = randomNumbers(31);
    for (let round = 0; round < 300; round += 1) {
      const size = 1 + Math.floor(random() * 6);
      const row = randomRow(Math.floor(random() * 60), size, random);
      const array = suffixArray(row, size);
      const plain = [...row.keys()].sort((a, b) => compareSuffixes(row, a, b));
      expect([...array]).toEqual(plain);
      const common = commonPrefixes(row, array);
      array.forEach((place, at) => {
        if (at === 0) return;
        let length = 0;
        const other = array[at - 1]!;
        while (
          place + length < row.length &&
          other + length < row.length &&
          row[place + length] === row[other + length]
        )
          length += 1;
        expect(common[at]).toBe(length);
      });
    }
  });

  // The one package of the registry that makes suffix arrays (mnemonist 0.40.8) leaves some of these rows out of order.
  test('is the order in which JavaScript sorts the suffixes as texts, on rows of 5,000 words', () => {
    const random = randomNumbers(3);
    for (const size of [3, 50, 900]) {
      const row = randomRow(5_000, size, random);
      // Characters in the order of the numbers.
      const text = [...row].map((word) => String.fromCharCode(0x4e00 + word)).join('');
      const sorted = [...row.keys()].sort((a, b) => (text.slice(a) < text.slice(b) ? -1 : 1));
      expect([...suffixArray(row, size)]).toEqual(sorted);
    }
  });

  test.each([
    ['one word over and over', Int32Array.from({ length: 5_000 }, () => 0), 1],
    ['two words in turn', Int32Array.from({ length: 5_001 }, (_, at) => at % 2), 2],
    ['no word twice', Int32Array.from({ length: 5_000 }, (_, at) => 4_999 - at), 5_000],
  ])('of %s', (_what, row, size) => {
    const array = suffixArray(row, size);
    for (let at = 1; at < array.length; at += 97)
      expect(compareSuffixes(row, array[at - 1]!, array[at]!)).toBeLessThan(0);
    expect(new Set(array).size).toBe(row.length);
  });
});

describe('maximal repeats', () => {
  test('are those that a naive finder finds, on 300 random rows', () => {
    const random = randomNumbers(7);
    for (let round = 0; round < 300; round += 1) {
      const size = 2 + Math.floor(random() * 4);
      const row = randomRow(10 + Math.floor(random() * 40), size, random);
      const bounds = { shortest: 1 + (round % 3), longest: 9, least: 2 + (round % 2) };
      const { shortest, longest, least } = bounds;
      expect(told(row, maximalRepeats(row, size, bounds))).toEqual(naiveRepeats(row, shortest, longest, least));
    }
  });

  test('of a text: what is typed again and again, whatever its capitals and marks, and not across messages', () => {
    const text = [
      'Dear Rowena, thank you for booking a tuning. See you on Tuesday.',
      'Dear Wilf, Thank you for booking a tuning! See you soon.',
      'Hello. thank you, for booking a tuning',
    ].join('\n\n');
    const { words, size, starts, ends } = wordRowOf(text);
    const phrases = maximalRepeats(words, size, { shortest: 2, longest: 50, least: 2 }).map(({ length, places }) => {
      const first = Math.min(...places);
      return [text.slice(starts[first], ends[first + length - 1]), places.length];
    });
    expect(phrases.sort()).toEqual([
      ['thank you for booking a tuning', 3],
      ['thank you for booking a tuning. See you', 2],
    ]);
  });

  test('one word a million times is found in good time, as long as is asked for', () => {
    const { words, size } = wordRowOf('again '.repeat(1_000_000));
    const repeats = maximalRepeats(words, size, { shortest: 2, longest: 3, least: 3 });
    expect(repeats.map(({ length, places }) => [length, places.length]).sort()).toEqual([
      [2, 999_999],
      [3, 999_998],
    ]);
  });

  test('of nothing there are none', () => {
    for (const text of ['', '   ', '\n\n', 'one', '🙂 🙂 🙂']) {
      const { words, size } = wordRowOf(text);
      expect(maximalRepeats(words, size, { shortest: 1, longest: 9, least: 2 })).toEqual([]);
    }
  });
});

test('words keep what stands inside them, in any script', () => {
  const { text, starts, ends } = wordRowOf('I’ll mail ann@corrie.example, l’été 01632-960123 שלום עולם');
  expect([...starts].map((start, at) => text.slice(start, ends[at]))).toEqual([
    'I’ll',
    'mail',
    'ann@corrie.example',
    'l’été',
    '01632-960123',
    'שלום',
    'עולם',
  ]);
});
