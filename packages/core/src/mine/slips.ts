import type { WordRow } from './wordRow';

/** Shorter words are too much like others, in characters. */
const SHORTEST = 4;
/** A slip is there so often, or a tenth as often as what was meant. */
const RARE = 2;
const TENTH = 10;
/** What was meant is there so often, at least. */
const COMMON = 3;
/** The words around it stand beside what was meant so often elsewhere. */
const SEEN = 2;

/**
 * The row with slips taken for the words that were meant: a rare word that is one slip away from a much commoner one (a letter
 * more, less, another or two in turn: Damerau 1964), where both words around it stand beside the commoner one elsewhere too. What
 * is written stays as it is. Linear in the row and in the characters of its words.
 */
export function joinSlips(row: WordRow): WordRow {
  const { words, keys, firstBreak, size } = row;
  const counts = new Uint32Array(size);
  for (const word of words) counts[word] = counts[word]! + 1;
  const meantFor = meantWords(keys, counts);
  if (meantFor.size === 0) return row;
  const pair = (a: number, b: number) => a * size + b;
  const wanted = new Map<number, number>();
  const places: number[] = [];
  for (let at = 0; at < words.length; at += 1) {
    if (!meantFor.has(words[at]!)) continue;
    places.push(at);
    for (const meant of meantFor.get(words[at]!)!) {
      if (at > 0) wanted.set(pair(words[at - 1]!, meant), 0);
      if (at + 1 < words.length) wanted.set(pair(meant, words[at + 1]!), 0);
    }
  }
  for (let at = 0; at + 1 < words.length; at += 1) {
    const key = pair(words[at]!, words[at + 1]!);
    const count = wanted.get(key);
    if (count !== undefined) wanted.set(key, count + 1);
  }
  const isSeen = (a: number | undefined, b: number | undefined) =>
    a === undefined || b === undefined || a >= firstBreak || b >= firstBreak ? null : wanted.get(pair(a, b))! >= SEEN;
  const joined = words.slice();
  for (const at of places) {
    const meant = meantFor.get(words[at]!)!.find((one) => {
      const sides = [isSeen(words[at - 1], one), isSeen(one, words[at + 1])];
      // Where a message begins or ends the other side has to do.
      return !sides.includes(false) && sides.includes(true);
    });
    if (meant !== undefined) joined[at] = meant;
  }
  return { ...row, words: joined };
}

/** By rare word, the common ones that may have been meant, the commonest first. */
function meantWords(keys: readonly string[], counts: Uint32Array): Map<number, number[]> {
  const isWord = (key: string) => key.length >= SHORTEST && !/[\d#@/]/u.test(key);
  /** Common words by themselves without one character. */
  const shorter = new Map<string, number[]>();
  const put = (key: string, word: number) => {
    const same = shorter.get(key);
    if (same) same.push(word);
    else shorter.set(key, [word]);
  };
  keys.forEach((key, word) => {
    if (counts[word]! < COMMON || !isWord(key)) return;
    put(key, word);
    for (const short of withoutOne(key)) put(short, word);
  });
  const meantFor = new Map<number, number[]>();
  keys.forEach((key, word) => {
    if (!isWord(key)) return;
    const near = new Set<number>();
    for (const short of [key, ...withoutOne(key)])
      for (const meant of shorter.get(short) ?? [])
        if (isRareBeside(counts[word]!, counts[meant]!) && isOneSlip(key, keys[meant]!)) near.add(meant);
    if (near.size > 0)
      meantFor.set(
        word,
        [...near].sort((a, b) => counts[b]! - counts[a]!),
      );
  });
  return meantFor;
}

function isRareBeside(count: number, meant: number): boolean {
  return count < meant && (count <= RARE || count * TENTH <= meant);
}

function withoutOne(key: string): Set<string> {
  const short = new Set<string>();
  for (let at = 0; at < key.length; at += 1) short.add(key.slice(0, at) + key.slice(at + 1));
  return short;
}

/** Whether one becomes the other by one letter more, less or another, or by two in turn. Linear. */
export function isOneSlip(a: string, b: string): boolean {
  if (a === b || Math.abs(a.length - b.length) > 1) return false;
  let from = 0;
  while (from < a.length && a[from] === b[from]) from += 1;
  let [endA, endB] = [a.length, b.length];
  while (endA > from && endB > from && a[endA - 1] === b[endB - 1]) {
    endA -= 1;
    endB -= 1;
  }
  if (endA - from <= 1 && endB - from <= 1) return true;
  return endA - from === 2 && endB - from === 2 && a[from] === b[from + 1] && a[from + 1] === b[from];
}
