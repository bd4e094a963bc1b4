import { BlankKinds, type BlankKind } from './blankKind';
import type { Candidate, Stretch } from './cover';
import { OF_A_CODE } from './phrases';
import type { Sentence } from './sentences';
import type { WordRow } from './wordRow';

/** A gap in sentences that agree otherwise, and what stood there, most often first. */
export interface Gap {
  readonly kind: BlankKind;
  readonly values: readonly { readonly text: string; readonly count: number }[];
}

/** Sentences that agree but for one to three places. */
export interface FoundTemplate {
  /** What all of them say, and the gaps between, in their order; with something in each gap it is a sentence. */
  readonly parts: readonly (string | Gap)[];
  /** Where each stands in the row. */
  readonly stretches: readonly Stretch[];
}

/** Words a sentence has, at least and at most. */
const SHORTEST = 4;
const LONGEST = 40;
const MOST_GAPS = 3;
/** Words that a gap holds, at most. */
const WIDEST_GAP = 5;
/** So much of the words is the same in all. */
const SAME = 0.5;
/** Sentences are brought together by so many words in a row. */
const ANCHOR = 3;
/** So many of them differ from each other. */
const LEAST_DIFFERENT = 3;
/** A group is read off so many different sentences. */
const MOST_READ = 60;
/** How many counters of anchors there are; two anchors may share one, and their sentences are told apart later. */
const COUNTERS = 1 << 20;

/**
 * Sentences that agree but for one to three places, `least` of them or more, in no order. They are brought together
 * by the three words in a row that most sentences share, and aligned by what all have in common in the same order (longest
 * common subsequence, Hirschberg 1975 for the plain recurrence). Linear in the sentences, quadratic in their words. `languages`:
 * BCP 47, for the names of days and months.
 */
export function findTemplates(
  row: WordRow,
  sentences: readonly Sentence[],
  languages: readonly string[],
  least = 3,
): FoundTemplate[] {
  const fitting = sentences.filter(({ from, to }) => to - from >= SHORTEST && to - from <= LONGEST);
  const kinds = new BlankKinds(languages);
  const found: FoundTemplate[] = [];
  for (const group of groupsOf(row, fitting, least)) {
    const template = templateOf(row, group, kinds, least);
    if (template) found.push(template);
  }
  return found;
}

/** Going from one blank to the next, in characters. */
const OF_A_BLANK = 3;

/** Templates as what could be shortcuts. */
export function asCandidates(row: WordRow, templates: readonly FoundTemplate[]): Candidate<FoundTemplate>[] {
  return templates.map((what) => {
    const gaps = what.parts.filter((part) => typeof part !== 'string').length;
    const cost = OF_A_CODE + gaps * OF_A_BLANK;
    const characters = ({ from, to, differing = 0 }: Stretch) => row.ends[to - 1]! - row.starts[from]! - differing;
    const atMost = what.stretches.reduce((sum, one) => sum + characters(one) - cost, 0);
    return { what, atMost, cost, stretches: () => what.stretches };
  });
}

/** Sentences by the anchor that most of them share; what fits into no group of several is left out. */
function groupsOf({ words }: WordRow, sentences: readonly Sentence[], least: number): Sentence[][] {
  const counterOf = (at: number) =>
    (Math.imul(words[at]!, 0x9e3779b1) ^ Math.imul(words[at + 1]!, 0x85ebca6b) ^ Math.imul(words[at + 2]!, 0xc2b2ae35)) &
    (COUNTERS - 1);
  const counts = new Uint32Array(COUNTERS);
  /** The sentence that was counted last, so that none counts twice. */
  const last = new Int32Array(COUNTERS);
  sentences.forEach(({ from, to }, index) => {
    for (let at = from; at + ANCHOR <= to; at += 1) {
      const counter = counterOf(at);
      if (last[counter] === index + 1) continue;
      last[counter] = index + 1;
      counts[counter] = counts[counter]! + 1;
    }
  });
  const groups = new Map<number, Sentence[]>();
  for (const sentence of sentences) {
    let best = counterOf(sentence.from);
    for (let at = sentence.from + 1; at + ANCHOR <= sentence.to; at += 1) {
      const counter = counterOf(at);
      if (counts[counter]! > counts[best]!) best = counter;
    }
    if (counts[best]! < least) continue;
    const group = groups.get(best);
    if (group) group.push(sentence);
    else groups.set(best, [sentence]);
  }
  return [...groups.values()].filter((group) => group.length >= least);
}

/** What the sentences of a group have in common, and what stands between; null: too little, or nothing differs. */
function templateOf(row: WordRow, group: readonly Sentence[], kinds: BlankKinds, least: number): FoundTemplate | null {
  const { words } = row;
  const wordsOf = ({ from, to }: Sentence) => words.subarray(from, to);
  const different = new Map(group.map((sentence) => [wordsOf(sentence).join(' '), sentence]));
  const [first, ...others] = [...different.values()].slice(0, MOST_READ);
  if (!first || others.length === 0) return null;
  let common: number[] = [...wordsOf(first)];
  for (const other of others) {
    const next = commonWords(common, wordsOf(other));
    // One that has little in common with the rest says something else.
    if (next.length >= SAME * common.length) common = next;
  }
  const places = Array.from({ length: common.length + 1 }, (_, at) => at);
  let fitting = group.flatMap((sentence) => {
    const gaps = gapsOf(common, row, sentence);
    return gaps ? [{ sentence, gaps }] : [];
  });
  // What stands in few of them belongs to none.
  const isOften = places.map((at) => fitting.filter(({ gaps }) => gaps[at] !== '').length * 2 >= fitting.length);
  fitting = fitting.filter(({ gaps }) => gaps.every((gap, at) => gap === '' || isOften[at]));
  const isOpen = places.map((at) => fitting.some(({ gaps }) => gaps[at] !== ''));
  if (fitting.length < least || isOpen.filter(Boolean).length > MOST_GAPS || !isOpen.includes(true)) return null;
  if (new Set(fitting.map(({ gaps }) => gaps.join('\n'))).size < LEAST_DIFFERENT) return null;
  const model = fitting.find(({ gaps }) => gaps.every((gap, at) => gap !== '' || !isOpen[at])) ?? fitting[0]!;
  const parts = partsOf(row, common, model.sentence, isOpen, (gap) =>
    gapOf(
      fitting.map(({ gaps }) => gaps[gap]!).filter((value) => value !== ''),
      kinds,
    ),
  );
  const stretches = fitting.map(({ sentence, gaps }) => ({ ...sentence, differing: gaps.join(' ').trim().length }));
  return { parts, stretches };
}

/** What all say as one of them writes it, with the gaps; put together again it is a sentence with its marks. */
function partsOf(
  row: WordRow,
  common: readonly number[],
  { from, to }: Sentence,
  isOpen: readonly boolean[],
  gapAt: (place: number) => Gap,
): (string | Gap)[] {
  const { text, words, starts, ends } = row;
  const at = alignedTo(common, words.subarray(from, to)).map((place) => place + from);
  const parts: (string | Gap)[] = [];
  /** Up to where the sentence is written out. */
  let done = starts[from]!;
  const write = (upTo: number) => {
    if (upTo > done) parts.push(text.slice(done, upTo));
    done = upTo;
  };
  for (let place = 0; place <= common.length; place += 1) {
    if (!isOpen[place]) continue;
    const next = at[place] ?? to;
    const first = place === 0 ? from : at[place - 1]! + 1;
    const isEmpty = first === next;
    write(isEmpty ? (starts[next] ?? done) : starts[first]!);
    parts.push(gapAt(place));
    if (!isEmpty) done = ends[next - 1]!;
  }
  const last = ends[to - 1]!;
  // A sentence is typed with what ends it.
  const mark = /^[.!?…]+(?=\s|$|\u001e)/u.exec(text.slice(last, last + 4))?.[0] ?? '';
  write(last + mark.length);
  return parts;
}

function gapOf(values: readonly string[], kinds: BlankKinds): Gap {
  const counts = new Map<string, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return {
    kind: kinds.of([...counts.keys()]),
    values: [...counts].map(([text, count]) => ({ text, count })).sort((a, b) => b.count - a.count),
  };
}

/** What stands before each of the common words in a sentence, and behind the last; null: it does not fit. */
function gapsOf(
  common: readonly number[],
  { words, text, starts, ends }: WordRow,
  { from, to }: Sentence,
): string[] | null {
  const sentence = words.subarray(from, to);
  if (common.length < SAME * sentence.length) return null;
  const at = alignedTo(common, sentence);
  if (at.length < common.length) return null;
  const gaps: string[] = [];
  let next = 0;
  for (const place of [...at, sentence.length]) {
    if (place - next > WIDEST_GAP) return null;
    gaps.push(place === next ? '' : text.slice(starts[from + next], ends[from + place - 1]));
    next = place + 1;
  }
  return gaps;
}

/** Where the common words stand in a sentence, each as early as it can; fewer: not all are there in this order. */
function alignedTo(common: readonly number[], sentence: Int32Array): number[] {
  const at: number[] = [];
  let next = 0;
  for (const word of common) {
    while (next < sentence.length && sentence[next] !== word) next += 1;
    if (next === sentence.length) break;
    at.push(next);
    next += 1;
  }
  return at;
}

/** The longest row of words that both have in the same order. */
function commonWords(a: readonly number[], b: Int32Array): number[] {
  const width = b.length + 1;
  const lengths = new Uint8Array((a.length + 1) * width);
  for (let x = a.length - 1; x >= 0; x -= 1)
    for (let y = b.length - 1; y >= 0; y -= 1)
      lengths[x * width + y] =
        a[x] === b[y]
          ? lengths[(x + 1) * width + y + 1]! + 1
          : Math.max(lengths[(x + 1) * width + y]!, lengths[x * width + y + 1]!);
  const common: number[] = [];
  for (let x = 0, y = 0; x < a.length && y < b.length;) {
    if (a[x] === b[y]) {
      common.push(a[x]!);
      x += 1;
      y += 1;
    } else if (lengths[(x + 1) * width + y]! >= lengths[x * width + y + 1]!) x += 1;
    else y += 1;
  }
  return common;
}
