import { matchKey } from '../model';
import { Numbers } from './numbers';

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
  /** The words by number, in small letters. */
  readonly keys: readonly string[];
}

/** Stands between two messages: the record separator of ASCII, which no message has. */
export const MESSAGE_END = '\u001e';

/** Messages as one text, each with its own end. */
export function joinMessages(messages: readonly string[]): string {
  return messages.map((message) => message.replaceAll(MESSAGE_END, ' ')).join(MESSAGE_END);
}

/** What is one word though other characters stand in it: a link, a number to call, a tag; then words, with what stands inside one, and the sign of a currency before it. */
const LINK = String.raw`(?:https?:\/\/|\bwww\.)[^\s<>"“”\u001e]*[^\s<>"“”\u001e.,;:!?)\]’']`;
const NUMBER_TO_CALL = String.raw`(?:\+\d|\b0\d)(?:[ ()-]{0,2}\d){6,13}(?![\p{L}\p{N}])`;
const TAG = String.raw`#[\p{L}\p{N}_]+`;
const WORD = String.raw`\p{Sc}?[\p{L}\p{N}\p{M}]+(?:(?:['’_.@+&\-]|(?<=\p{N})[,:](?=\p{N}))[\p{L}\p{N}\p{M}]+)*`;
const TOKEN = new RegExp(`${LINK}|${NUMBER_TO_CALL}|${TAG}|${WORD}|${MESSAGE_END}`, 'gu');

/** Writing that has no spaces between words. */
const WITHOUT_SPACES =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u;
/** The first character of it: all that comes before is written with spaces. */
const FIRST_WITHOUT_SPACES = 0x0e00;

/**
 * A text as a row of words. Case, and what stands between words, does not count: texts that differ only in that are the same
 * row. Linear; 12 bytes a word. Words that are written without spaces are cut as Unicode (UAX #29) and the browser’s word lists say.
 */
export function wordRowOf(text: string): WordRow {
  const numbers = new Map<string, number>();
  /** As they are written, so that each is folded once. */
  const asWritten = new Map<string, number>();
  const keys: string[] = [];
  const [words, starts, ends] = [new Numbers(), new Numbers(), new Numbers()];
  let segmenter: Intl.Segmenter | null = null;
  let breaks = 0;
  const take = (found: string, start: number) => {
    let number = asWritten.get(found);
    if (number === undefined) {
      const key = /^[+0]/u.test(found) ? found.replaceAll(/[^\d\p{L}]/gu, '') : matchKey(found);
      number = numbers.get(key);
      if (number === undefined) {
        numbers.set(key, (number = numbers.size));
        keys.push(key);
      }
      asWritten.set(found, number);
    }
    words.push(number);
    starts.push(start);
    ends.push(start + found.length);
  };
  TOKEN.lastIndex = 0;
  for (let match = TOKEN.exec(text); match !== null; match = TOKEN.exec(text)) {
    const { 0: found, index } = match;
    if (found === MESSAGE_END) {
      breaks += 1;
      words.push(-breaks);
      starts.push(index);
      ends.push(index + 1);
    } else if (hasNoSpaces(found)) {
      segmenter ??= new Intl.Segmenter(undefined, { granularity: 'word' });
      for (const { segment, index: at, isWordLike } of segmenter.segment(found))
        if (isWordLike) take(segment, index + at);
    } else take(found, index);
  }
  // Breaks come after all words, each by a number of its own.
  const row = words.all;
  for (let at = 0; at < row.length; at += 1) if (row[at]! < 0) row[at] = numbers.size - row[at]! - 1;
  return {
    text,
    words: row,
    starts: starts.all,
    ends: ends.all,
    firstBreak: numbers.size,
    size: numbers.size + breaks,
    keys,
  };
}

function hasNoSpaces(found: string): boolean {
  for (let at = 0; at < found.length; at += 1)
    if (found.charCodeAt(at) >= FIRST_WITHOUT_SPACES) return WITHOUT_SPACES.test(found);
  return false;
}
