import { matchKey } from '../model';

/** A text as a row of words: each word by a number, and where it stands in the text. */
export interface WordRow {
  readonly text: string;
  /** The number of each word; between two messages a number that is there once, so that no phrase goes across. */
  readonly words: Int32Array;
  /** Where each word begins and ends in the text, in UTF-16 units. */
  readonly starts: Int32Array;
  readonly ends: Int32Array;
  /** Numbers from here on stand between messages. */
  readonly firstBreak: number;
  /** Numbers are below this. */
  readonly size: number;
}

/** A word: letters and digits, with what stands inside one, and the sign of a currency before it. A blank line ends a message. */
const WORD_OR_BREAK = /\p{Sc}?[\p{L}\p{N}\p{M}]+(?:['’_.@\-][\p{L}\p{N}\p{M}]+)*|\n[^\S\n]*\n/gu;

/**
 * A text as a row of words. Case, and what stands between words, does not count: texts that differ only in that are the same
 * row. Linear; 12 bytes a word.
 */
export function wordRowOf(text: string): WordRow {
  const numbers = new Map<string, number>();
  const words: number[] = [];
  const starts: number[] = [];
  const ends: number[] = [];
  let breaks = 0;
  for (const { 0: found, index } of text.matchAll(WORD_OR_BREAK)) {
    starts.push(index);
    ends.push(index + found.length);
    if (found.startsWith('\n')) {
      breaks += 1;
      words.push(-breaks);
      continue;
    }
    const key = matchKey(found);
    let number = numbers.get(key);
    if (number === undefined) numbers.set(key, (number = numbers.size));
    words.push(number);
  }
  const size = numbers.size + breaks;
  // Breaks come after all words, each by a number of its own.
  const row = Int32Array.from(words, (word) => (word < 0 ? numbers.size - word - 1 : word));
  return {
    text,
    words: row,
    starts: Int32Array.from(starts),
    ends: Int32Array.from(ends),
    firstBreak: numbers.size,
    size,
  };
}
