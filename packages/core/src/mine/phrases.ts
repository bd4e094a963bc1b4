import type { Candidate, Chosen, Stretch } from './cover';
import { endOf } from './ending';
import { mostOften } from './mostOften';
import { maximalRepeats, type Repeat } from './repeats';
import type { WordRow } from './wordRow';

/** A place in a text, in UTF-16 units. */
export interface Spot {
  readonly start: number;
  readonly end: number;
}

/** Something that was typed again and again. */
export interface Phrase {
  /** As it was written most often. */
  readonly text: string;
  /** How often, without what overlaps. */
  readonly count: number;
  /** Where, in the text’s order. */
  readonly places: readonly Spot[];
  /** Whether it is whole sentences, where it stands most often. */
  readonly isWhole: boolean;
}

/** A phrase has two words, or one of so many characters. */
const LONG_WORD = 8;
/** Longer texts, in words, are cut: who sends the same page again and again has it somewhere. */
const MOST_WORDS = 400;
/** So many of those that save most are looked at closely. */
const MOST_LOOKED_AT = 20_000;
/** Characters that typing a code takes: a text has to be longer to save any. */
export const OF_A_CODE = 4;
/** What is part of a sentence counts so many characters less: one wants the whole of it, with blanks. */
const OF_A_FRAGMENT = 4;
/** So few words of a sentence at an end are cut off, where others stand whole beside them. */
const RAGGED = 3;
/** And no more than one in so many of the characters. */
const RAG_IN = 3;

/** A row of words that comes again, without the rags at its ends. */
export interface Again {
  readonly length: number;
}

/**
 * What a row of words says again and again, `least` times or more: maximal repeats, each without the few words of a sentence that
 * goes on at its ends. Case, and marks between words, make no other one. Cost: the suffix array of the row, linear, and the
 * places of the twenty thousand that save most. `edges`: where sentences begin and end.
 */
export function repeatedPhrases(row: WordRow, edges: Uint8Array, least: number): Candidate<Again>[] {
  const { words, size } = row;
  const most = words.length;
  const repeats = maximalRepeats(words, size, {
    shortest: 1,
    longest: MOST_WORDS,
    least,
    isWanted: (length, count, place) => {
      const characters = lengthOf(row, place, length);
      // What overlaps itself all the time is a word or two, over and over.
      return characters > OF_A_CODE && (length > 1 || characters >= LONG_WORD) && count * length <= 2 * most;
    },
  });
  const saves = ({ length, places }: Repeat) => places.length * (lengthOf(row, places[0]!, length) - OF_A_CODE);
  return repeats
    .map((repeat) => ({ repeat, atMost: saves(repeat) }))
    .sort((a, b) => b.atMost - a.atMost)
    .slice(0, MOST_LOOKED_AT)
    .flatMap(({ repeat: { places, length: whole }, atMost }): Candidate<Again>[] => {
      const { from, length } = withoutRags(row, edges, places, whole);
      if (length === 1 && lengthOf(row, places[0]! + from, 1) < LONG_WORD) return [];
      const stretches = () => apart(places, from, length);
      const isWhole = mostly(places, (place) => edges[place + from] === 1 && edges[place + from + length] === 1);
      return [{ what: { length }, atMost, cost: OF_A_CODE + (isWhole ? 0 : OF_A_FRAGMENT), stretches }];
    });
}

/** Places in their order, each behind the end of the one before. */
function apart(places: Int32Array, from: number, length: number): Stretch[] {
  const stretches: Stretch[] = [];
  let end = 0;
  for (const place of places.slice().sort()) {
    const at = place + from;
    if (at < end) continue;
    end = at + length;
    stretches.push({ from: at, to: end });
  }
  return stretches;
}

/** What was chosen of the repeats as phrases, those of the same words together, the commonest first. */
export function phrasesOf(row: WordRow, edges: Uint8Array, chosen: readonly Chosen<Again>[]): Phrase[] {
  const byWords = new Map<string, { length: number; places: number[] }>();
  for (const { what, stretches } of chosen) {
    const first = stretches[0]!;
    const key = row.words.subarray(first.from, first.to).join(' ');
    const places = stretches.map(({ from }) => from);
    const same = byWords.get(key);
    if (same) same.places.push(...places);
    else byWords.set(key, { length: what.length, places });
  }
  return [...byWords.values()]
    .map(({ length, places }) =>
      phraseOf(
        row,
        edges,
        places.sort((a, b) => a - b),
        length,
      ),
    )
    .sort((a, b) => b.count * (b.text.length - OF_A_CODE) - a.count * (a.text.length - OF_A_CODE));
}

/** Whether something holds at more than half of some places. */
function mostly(places: Int32Array | readonly number[], holds: (place: number) => boolean): boolean {
  let count = 0;
  for (const place of places) if (holds(place)) count += 1;
  return count * 2 > places.length;
}

/** What is left of a repeat without the few words of a sentence that goes on before it or behind it. */
function withoutRags(
  row: WordRow,
  edges: Uint8Array,
  places: Int32Array,
  whole: number,
): { from: number; length: number } {
  const { words, firstBreak } = row;
  const first = places[0]!;
  let from = 0;
  let to = whole;
  const begins = (at: number) => edges[first + at] === 1 && words[first + at]! < firstBreak;
  const all = lengthOf(row, first, whole);
  /** Whether some of its words are little beside the rest. */
  const isRag = (at: number, length: number) => lengthOf(row, first + at, length) * RAG_IN <= all;
  if (!mostly(places, (place) => edges[place + whole] === 1))
    for (let at = whole - 1; at >= whole - RAGGED && at > 0; at -= 1) if (begins(at) && isRag(at, whole - at)) to = at;
  if (!mostly(places, (place) => edges[place] === 1))
    for (let at = 1; at <= RAGGED && at < to; at += 1) if (begins(at) && isRag(0, at)) from = at;
  return { from, length: to - from };
}

function lengthOf({ starts, ends }: WordRow, place: number, length: number): number {
  return ends[place + length - 1]! - starts[place]!;
}

function phraseOf(row: WordRow, edges: Uint8Array, apart: readonly number[], length: number): Phrase {
  const { text, starts, ends } = row;
  const places = apart.map((place) => {
    const start = starts[place]!;
    return { start, end: endOf(text, start, ends[place + length - 1]!) };
  });
  const isWhole = mostly(apart, (place) => edges[place] === 1 && edges[place + length] === 1);
  const written = places.map(({ start, end }) => text.slice(start, end));
  return { text: mostOften(written), count: places.length, places, isWhole };
}

/**
 * The words of a row that are of texts of a list that were typed out there: 1; and how often each was, by id. Linear in the row,
 * beside the texts that begin alike.
 */
export function findKnown(
  { words }: WordRow,
  texts: readonly { readonly id: string; readonly words: Int32Array }[],
): { readonly covered: Uint8Array; readonly counts: ReadonlyMap<string, number> } {
  const byFirst = new Map<number, { id: string; words: Int32Array }[]>();
  for (const text of texts) {
    const first = text.words[0]!;
    const same = byFirst.get(first);
    if (same) same.push(text);
    else byFirst.set(first, [text]);
  }
  for (const same of byFirst.values()) same.sort((a, b) => b.words.length - a.words.length);
  const covered = new Uint8Array(words.length);
  const counts = new Map<string, number>();
  for (let at = 0; at < words.length; at += 1) {
    const longest = byFirst
      .get(words[at]!)
      ?.find((text) => text.words.every((word, step) => words[at + step] === word));
    if (!longest) continue;
    counts.set(longest.id, (counts.get(longest.id) ?? 0) + 1);
    covered.fill(1, at, at + longest.words.length);
    at += longest.words.length - 1;
  }
  return { covered, counts };
}
