import { maximalRepeats, type Repeat } from './repeats';
import { wordRowOf, type WordRow } from './wordRow';

/** Something that was typed again and again. */
export interface Phrase {
  /** As it was written most often. */
  readonly text: string;
  /** How often, without what overlaps. */
  readonly count: number;
  /** Where, in UTF-16 units of the text, in its order. */
  readonly places: readonly { readonly start: number; readonly end: number }[];
}

/** A phrase has two words, or one of so many characters. */
const LONG_WORD = 8;
/** Longer texts, in words, are cut: who sends the same page again and again has it somewhere. */
const MOST_WORDS = 400;
/** So many of those that save most are looked at closely. */
const MOST_LOOKED_AT = 20_000;
/** Characters that typing a code takes: a text has to be longer to save any. */
const OF_A_CODE = 4;

/**
 * What a text says again and again, `least` times or more, what saves most characters first. Of a phrase that is part of a longer one
 * only what the longer does not explain counts. Case, and marks between words, make no other phrase. Cost: the suffix
 * array of the text's words, linear, and each place of the phrases that are looked at.
 */
export function findPhrases(text: string, least = 3): Phrase[] {
  const row = wordRowOf(text);
  const bounds = { shortest: 1, longest: MOST_WORDS, least };
  const repeats = maximalRepeats(row.words, row.size, bounds)
    .filter((repeat) => repeat.length > 1 || lengthOf(row, repeat.places[0]!, 1) >= LONG_WORD)
    .map((repeat) => ({ repeat, saves: savedBy(row, repeat) }))
    .filter(({ saves }) => saves > 0)
    .sort((a, b) => b.saves - a.saves)
    .slice(0, MOST_LOOKED_AT)
    .map(({ repeat }) => repeat)
    // The longest first: they say what the shorter ones are part of.
    .sort((a, b) => b.length - a.length || b.places.length - a.places.length);
  /** Up to where a longer phrase that was found reaches over each word. */
  const reach = new Int32Array(row.words.length);
  const found: Phrase[] = [];
  for (const { length, places } of repeats) {
    const apart = withoutOverlaps(places, length).filter((place) => reach[place]! < place + length);
    if (apart.length < least) continue;
    for (const place of apart)
      for (let word = place; word < place + length; word += 1) reach[word] = Math.max(reach[word]!, place + length);
    found.push(phraseOf(row, apart, length));
  }
  return found.sort((a, b) => b.count * (b.text.length - OF_A_CODE) - a.count * (a.text.length - OF_A_CODE));
}

/** Places in their order, each behind the end of the one before. */
function withoutOverlaps(places: Int32Array, length: number): number[] {
  const apart: number[] = [];
  let end = 0;
  for (const place of places.slice().sort()) {
    if (place < end) continue;
    apart.push(place);
    end = place + length;
  }
  return apart;
}

function savedBy(row: WordRow, { length, places }: Repeat): number {
  return places.length * (lengthOf(row, places[0]!, length) - OF_A_CODE);
}

function lengthOf({ starts, ends }: WordRow, place: number, length: number): number {
  return ends[place + length - 1]! - starts[place]!;
}

function phraseOf({ text, starts, ends }: WordRow, apart: readonly number[], length: number): Phrase {
  const places = apart.map((place) => {
    const end = ends[place + length - 1]!;
    // A sentence is typed with what ends it.
    const mark = /^[.!?…]+(?=\s|$)/u.exec(text.slice(end, end + 3))?.[0] ?? '';
    return { start: starts[place]!, end: end + mark.length };
  });
  const written = new Map<string, number>();
  for (const { start, end } of places) {
    const one = text.slice(start, end);
    written.set(one, (written.get(one) ?? 0) + 1);
  }
  const [[most]] = [...written].sort(([, a], [, b]) => b - a) as [[string, number]];
  return { text: most, count: places.length, places };
}
