import { BlankKinds, type BlankKind } from './blankKind';
import { sentencesOf, type Sentence } from './sentences';
import { wordRowOf, type WordRow } from './wordRow';

/** A gap in sentences that agree otherwise, and what stood there, most often first. */
export interface Gap {
  readonly kind: BlankKind;
  readonly values: readonly { readonly text: string; readonly count: number }[];
}

/** Sentences that agree but for one to three places. */
export interface FoundTemplate {
  /** What all of them say, and the gaps between, in their order. */
  readonly parts: readonly (string | Gap)[];
  readonly count: number;
  /** Where each stands, in UTF-16 units of the text. */
  readonly places: readonly { readonly start: number; readonly end: number }[];
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
/** A group is read off so many different sentences. */
const MOST_READ = 60;

/**
 * Sentences that agree but for one to three places, `least` of them or more, those with most in common first. They are brought together
 * by the three words in a row that most sentences share, and aligned by what all have in common in the same order (longest
 * common subsequence, Hirschberg 1975 for the plain recurrence). Linear in the sentences, quadratic in their words.
 */
export function findTemplates(text: string, languages: readonly string[], least = 3): FoundTemplate[] {
  const row = wordRowOf(text);
  const sentences = sentencesOf(row, (word) => word >= row.firstBreak).filter(
    ({ from, to }) => to - from >= SHORTEST && to - from <= LONGEST,
  );
  const kinds = new BlankKinds(languages);
  const found: FoundTemplate[] = [];
  for (const group of groupsOf(row, sentences, least)) {
    const template = templateOf(row, group, kinds, least);
    if (template) found.push(template);
  }
  const saves = ({ parts, count }: FoundTemplate) =>
    count * parts.reduce((sum, part) => sum + (typeof part === 'string' ? part.length : 0), 0);
  return found.sort((a, b) => saves(b) - saves(a));
}

/** Sentences by the anchor that most of them share; what fits into no group of several is left out. */
function groupsOf({ words }: WordRow, sentences: readonly Sentence[], least: number): Sentence[][] {
  const anchorsOf = ({ from, to }: Sentence) =>
    Array.from({ length: to - from - ANCHOR + 1 }, (_, at) => words.slice(from + at, from + at + ANCHOR).join(' '));
  const counts = new Map<string, number>();
  for (const sentence of sentences)
    for (const anchor of new Set(anchorsOf(sentence))) counts.set(anchor, (counts.get(anchor) ?? 0) + 1);
  const groups = new Map<string, Sentence[]>();
  for (const sentence of sentences) {
    let best: string | null = null;
    for (const anchor of anchorsOf(sentence))
      if (best === null || counts.get(anchor)! > counts.get(best)!) best = anchor;
    if (best === null || counts.get(best)! < least) continue;
    const group = groups.get(best);
    if (group) group.push(sentence);
    else groups.set(best, [sentence]);
  }
  return [...groups.values()].filter((group) => group.length >= least);
}

/** What the sentences of a group have in common, and what stands between; null: too little, or nothing differs. */
function templateOf(row: WordRow, group: readonly Sentence[], kinds: BlankKinds, least: number): FoundTemplate | null {
  const { words, text, starts, ends } = row;
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
  const fitting = group.flatMap((sentence) => {
    const gaps = gapsOf(common, row, sentence);
    return gaps ? [{ sentence, gaps }] : [];
  });
  if (fitting.length < least) return null;
  const places = common.map((_, at) => at);
  const isOpen = [...places, common.length].map((at) => fitting.some(({ gaps }) => gaps[at] !== ''));
  if (isOpen.filter(Boolean).length > MOST_GAPS || !isOpen.includes(true)) return null;
  const model = fitting[0]!.sentence;
  const at = alignedTo(common, wordsOf(model));
  const parts: (string | Gap)[] = [];
  let begun: number | null = null;
  const end = (word: number) => {
    if (begun !== null) parts.push(text.slice(starts[model.from + at[begun]!], ends[model.from + at[word]!]));
    begun = null;
  };
  for (let word = 0; word <= common.length; word += 1) {
    if (isOpen[word]) {
      if (word > 0) end(word - 1);
      parts.push(
        gapOf(
          fitting.map(({ gaps }) => gaps[word]!).filter((value) => value !== ''),
          kinds,
        ),
      );
    }
    if (word < common.length) begun ??= word;
  }
  end(common.length - 1);
  return {
    parts,
    count: fitting.length,
    places: fitting.map(({ sentence: { from, to } }) => ({ start: starts[from]!, end: ends[to - 1]! })),
  };
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
