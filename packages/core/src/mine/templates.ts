import { alignedTo, commonWords, MISSING } from './align';
import { BlankKinds, type BlankKind } from './blankKind';
import type { Candidate, Stretch } from './cover';
import { endOf } from './ending';
import { mostOften } from './mostOften';
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
/** Sentences are brought together by so many words in a row. */
const ANCHOR = 3;
/** So many of the common words another stands for in one sentence. */
const FEW_MISSING = 0.25;
/** So many of them differ from each other. */
const LEAST_DIFFERENT = 3;
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
    (Math.imul(words[at]!, 0x9e3779b1) ^
      Math.imul(words[at + 1]!, 0x85ebca6b) ^
      Math.imul(words[at + 2]!, 0xc2b2ae35)) &
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

/** What most sentences of a group have in common, and what stands between; null: too little, or nothing differs. */
function templateOf(row: WordRow, group: readonly Sentence[], kinds: BlankKinds, least: number): FoundTemplate | null {
  const common = commonWords(row, group);
  if (common === null) return null;
  const aligned = group.map((sentence) => ({
    sentence,
    at: alignedTo(common, row.words.subarray(sentence.from, sentence.to)),
  }));
  const whole = aligned.flatMap(({ sentence, at }): Fitting[] => {
    if (at.includes(MISSING)) return [];
    const gaps = gapsOf(row, sentence, at, null);
    return gaps ? [{ sentence, at, gaps }] : [];
  });
  const places = Array.from({ length: common.length + 1 }, (_, place) => place);
  // What stands in few of them belongs to none.
  const isOpen = places.map((place) => whole.filter(({ gaps }) => gaps[place] !== '').length * 2 > whole.length);
  const fitting = aligned.flatMap(({ sentence, at }): Fitting[] => {
    const gaps = gapsOf(row, sentence, at, isOpen);
    return gaps ? [{ sentence, at, gaps }] : [];
  });
  if (fitting.length < least || isOpen.filter(Boolean).length > MOST_GAPS || !isOpen.includes(true)) return null;
  if (new Set(fitting.map(({ gaps }) => gaps.join('\n'))).size < LEAST_DIFFERENT) return null;
  const written = partsOf(row, fitting, isOpen, kinds);
  const mark = written.at(-1);
  const isMark = typeof mark === 'string' && /^[.!?…)]+$/u.test(mark);
  // What ends a sentence goes with the gap before it.
  const parts = isMark && isAnything(written.at(-2)) ? written.slice(0, -1) : written;
  // Anything may stand before a text and behind it: that is no blank of it.
  const begins = isAnything(parts[0]);
  const ends = isAnything(parts.at(-1));
  const kept = parts.slice(begins ? 1 : 0, ends ? -1 : undefined);
  if (kept.every((part) => typeof part === 'string')) return null;
  const stretches = fitting.map(({ sentence: { from, to }, at, gaps }): Stretch => {
    const [first, last] = [at[0]!, at.at(-1)!];
    return {
      from: begins && first !== MISSING ? from + first : from,
      to: ends && last !== MISSING ? from + last + 1 : to,
      differing: gaps
        .slice(begins ? 1 : 0, ends ? -1 : undefined)
        .join(' ')
        .trim().length,
    };
  });
  return { parts: trimmed(kept), stretches };
}

function isAnything(part: string | Gap | undefined): boolean {
  return typeof part === 'object' && part.kind === 'text';
}

/** Without white space and commas where a gap was cut off. */
function trimmed(parts: readonly (string | Gap)[]): (string | Gap)[] {
  return parts.map((part, at) => {
    if (typeof part !== 'string') return part;
    const begun = at === 0 ? part.replace(/^[\s,;:]+/u, '') : part;
    return at === parts.length - 1 ? begun.replace(/[\s,;:]+$/u, '') : begun;
  });
}

/** A sentence that fits, and what stands before each of the common words in it, and behind the last. */
interface Fitting {
  readonly sentence: Sentence;
  /** Where each of the common words stands, from the sentence’s beginning; MISSING: another stands for it, as a slip. */
  readonly at: readonly number[];
  readonly gaps: readonly string[];
}

/** What all say, each stretch as most of them write it, with the gaps; put together it is a sentence with its marks. */
function partsOf(
  row: WordRow,
  fitting: readonly Fitting[],
  isOpen: readonly boolean[],
  kinds: BlankKinds,
): (string | Gap)[] {
  const unbroken = fitting.filter(({ at }) => !at.includes(MISSING));
  const whole = unbroken.filter(({ gaps }) => gaps.every((gap, place) => gap !== '' || !isOpen[place]));
  const written = (whole.length > 0 ? whole : unbroken.slice(0, 1)).map((one) => stretchesOf(row, one, isOpen));
  const parts: (string | Gap)[] = [];
  let stretch = 0;
  const write = () => {
    const text = mostOften(written.map((one) => one[stretch]!));
    if (text !== '') parts.push(text);
    stretch += 1;
  };
  for (const [place, open] of isOpen.entries()) {
    if (!open) continue;
    write();
    const values = fitting.map(({ gaps }) => gaps[place]!).filter((value) => value !== '');
    parts.push(gapOf(values, kinds));
  }
  write();
  return parts;
}

/** What stands around the gaps of a sentence, from its beginning to what ends it; one more than there are gaps. */
function stretchesOf(
  { text, starts, ends }: WordRow,
  { sentence: { from, to }, at }: Fitting,
  isOpen: readonly boolean[],
): string[] {
  const stretches: string[] = [];
  let done = starts[from]!;
  for (const [place, open] of isOpen.entries()) {
    if (!open) continue;
    const first = place === 0 ? from : from + at[place - 1]! + 1;
    const next = place < at.length ? from + at[place]! : to;
    stretches.push(text.slice(done, starts[first]));
    done = first === next ? starts[first]! : ends[next - 1]!;
  }
  stretches.push(text.slice(done, endOf(text, starts[from]!, ends[to - 1]!)));
  return stretches;
}

function gapOf(values: readonly string[], kinds: BlankKinds): Gap {
  const counts = new Map<string, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return {
    kind: kinds.of([...counts.keys()]),
    values: [...counts].map(([text, count]) => ({ text, count })).sort((a, b) => b.count - a.count),
  };
}

/**
 * What stands before each of the common words in a sentence, and behind the last; null: it does not fit. Where a common word is
 * missing another is taken for it, if it is known where gaps are.
 */
function gapsOf(
  { text, starts, ends }: WordRow,
  { from, to }: Sentence,
  at: readonly number[],
  isOpen: readonly boolean[] | null,
): string[] | null {
  const missing = at.filter((place) => place === MISSING).length;
  if (missing > at.length * FEW_MISSING || (at.length - missing) * 2 < to - from) return null;
  const gaps = at.map(() => '').concat('');
  const textOf = (first: number, past: number) =>
    first === past ? '' : text.slice(starts[from + first], ends[from + past - 1]);
  /** The common word and the word of the sentence behind the last one that is there. */
  let [common, word] = [0, 0];
  for (let next = 0; next <= at.length; next += 1) {
    if (next < at.length && at[next] === MISSING) continue;
    const end = next < at.length ? at[next]! : to - from;
    const lacking = next - common;
    const gap = isOpen === null ? next : isOpen.indexOf(true, common);
    const place = gap >= common && gap <= next ? gap : null;
    const width = end - word - lacking;
    if (width < 0 || width > (place === null ? 0 : WIDEST_GAP)) return null;
    if (place !== null) {
      const first = word + (place - common);
      gaps[place] = textOf(first, first + width);
      // Between the same two words there is no telling which of two gaps it is.
      const second = isOpen?.indexOf(true, place + 1) ?? -1;
      if (second >= 0 && second <= next) return null;
    }
    common = next + 1;
    word = end + 1;
  }
  return gaps;
}
