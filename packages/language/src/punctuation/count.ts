/**
 * Counts how words stand in running text: what marks are around them, how often they begin a sentence, how figures are
 * written. Runs in Node, for `scripts/count-punctuation.mjs` and for tests; nothing of it is in the app.
 */
import { MARKS_AFTER, MARKS_BEFORE } from '@yellow-latch/core/clash';

/** How one word stands. */
export interface WordCounts {
  words: number;
  /** Times that it is the first of a sentence or paragraph. */
  begins: number;
  /** By `MARKS_AFTER`: times that mark is right behind it. */
  after: number[];
  /** By `MARKS_BEFORE`: times that mark is right before it. */
  before: number[];
}

export interface Counted {
  /** Words of letters. */
  words: number;
  begins: number;
  /** Marks right behind a word, up to the next blank or word, the first two of them: times by the marks. */
  after: Map<string, number>;
  /** Marks right before a word, back to the last blank or word, the last two of them. */
  before: Map<string, number>;
  /** One mark and no blank between two words of letters. */
  glued: Map<string, number>;
  /** Up to three marks with blanks on both sides. */
  alone: Map<string, number>;
  /** What holds a figure, without the marks around it, each figure as d. */
  figures: Map<string, number>;
  ofWord: Map<string, WordCounts>;
}

const WORD = /[\p{L}\p{M}\p{N}]+(?:['’][\p{L}\p{M}\p{N}]+)*/gu;
const HAS_FIGURE = /\p{N}/u;
const ENDS_SENTENCE = /[.!?]["')]*\s|\n\s*\n/u;

export function noCounts(): Counted {
  return {
    words: 0,
    begins: 0,
    after: new Map(),
    before: new Map(),
    glued: new Map(),
    alone: new Map(),
    figures: new Map(),
    ofWord: new Map(),
  };
}

/** Adds what one text has. Linear. */
export function countPunctuation(text: string, counts: Counted): void {
  const plain = straight(text);
  let last: { word: string; isFigure: boolean } | null = null;
  let end = 0;
  for (const match of [...plain.matchAll(WORD), null]) {
    const gap = plain.slice(end, match?.index ?? plain.length);
    const word = match?.[0].toLowerCase() ?? null;
    const isFigure = word !== null && HAS_FIGURE.test(word);
    const isGlued = gap !== '' && !/\s/u.test(gap);
    if (last && !last.isFigure) noteAfter(counts, last.word, isGlued && word === null ? gap : /^\S*/u.exec(gap)![0]);
    if (word !== null && !isFigure)
      noteBefore(counts, word, isGlued && last ? '' : /\S*$/u.exec(gap)![0], last === null || ENDS_SENTENCE.test(gap));
    if (last && word !== null && !last.isFigure && !isFigure && isGlued && gap.length === 1) add(counts.glued, gap);
    for (const [, alone] of gap.matchAll(/(?<=\s)(\S{1,3})(?=\s)/gu)) add(counts.alone, alone!);
    if (word !== null) last = { word, isFigure };
    end = match ? match.index + match[0].length : end;
  }
  for (const [token] of plain.matchAll(/\S*\p{Nd}\S*/gu)) {
    const bare = token
      .replace(/^["'([]+|["')\].,;:!?]+$/gu, '')
      .replaceAll(/\p{Nd}/gu, 'd')
      .toLowerCase();
    if (bare.length <= 8) add(counts.figures, bare);
  }
}

function noteAfter(counts: Counted, word: string, tail: string): void {
  const ofWord = wordCounts(counts, word);
  if (tail === '') return;
  add(counts.after, tail.slice(0, 2));
  const mark = (MARKS_AFTER as readonly string[]).indexOf(tail[0]!);
  if (mark >= 0) ofWord.after[mark]! += 1;
}

function noteBefore(counts: Counted, word: string, head: string, begins: boolean): void {
  const ofWord = wordCounts(counts, word);
  counts.words += 1;
  ofWord.words += 1;
  if (begins) {
    counts.begins += 1;
    ofWord.begins += 1;
  }
  if (head === '') return;
  add(counts.before, head.slice(-2));
  const mark = (MARKS_BEFORE as readonly string[]).indexOf(head.at(-1)!);
  if (mark >= 0) ofWord.before[mark]! += 1;
}

function wordCounts(counts: Counted, word: string): WordCounts {
  let ofWord = counts.ofWord.get(word);
  if (!ofWord)
    counts.ofWord.set(
      word,
      (ofWord = { words: 0, begins: 0, after: MARKS_AFTER.map(() => 0), before: MARKS_BEFORE.map(() => 0) }),
    );
  return ofWord;
}

function add(to: Map<string, number>, what: string): void {
  to.set(what, (to.get(what) ?? 0) + 1);
}

/** With straight quotes, and dots and dashes as they are typed. */
function straight(text: string): string {
  return text
    .replace(/[\u2018\u2019]/gu, "'")
    .replace(/[\u201c\u201d\u201e]/gu, '"')
    .replaceAll('\u2026', '...')
    .replace(/[\u2013\u2014]/gu, '-')
    .replace(/\r/gu, '');
}
