/** Text as people count it: grapheme clusters, places of characters that cannot be stored, clean ends. */

const segmenter = new Intl.Segmenter('und', { granularity: 'grapheme' });
const ASCII = /^[\x20-\x7e]*$/;

/** Number of extended grapheme clusters in `text` (UAX #29). Linear in its length. */
export function countClusters(text: string): number {
  if (ASCII.test(text)) return text.length;
  let count = 0;
  for (const _ of segmenter.segment(text)) count += 1;
  return count;
}

/** The grapheme clusters of `text`, in order, each with its UTF-16 offset. */
export function clustersOf(text: string): { text: string; index: number }[] {
  return Array.from(segmenter.segment(text), ({ segment, index }) => ({ text: segment, index }));
}

/** Where a character stands, as a person counts: lines and clusters from 1. */
export interface Place {
  line: number;
  position: number;
}

/** The place of UTF-16 offset `index` in `text`. */
export function placeOf(text: string, index: number): Place {
  const before = text.slice(0, index);
  const lineStart = before.lastIndexOf('\n') + 1;
  return {
    line: before.split('\n').length,
    position: countClusters(before.slice(lineStart)) + 1,
  };
}

/** A character that no device can be trusted with, and where it stands. */
export interface BadCharacter {
  type: 'control' | 'lone-surrogate';
  codePoint: number;
  index: number;
}

/**
 * The first control character (general category Cc) or lone surrogate in `text`, or null.
 * `allowed` holds control characters that are fine here, such as a newline in an expansion.
 */
export function findBadCharacter(text: string, allowed = ''): BadCharacter | null {
  for (let index = 0; index < text.length; index += 1) {
    const codePoint = text.codePointAt(index)!;
    if (codePoint >= 0xd800 && codePoint <= 0xdfff) {
      return { type: 'lone-surrogate', codePoint, index };
    }
    const control = codePoint < 0x20 || (codePoint >= 0x7f && codePoint <= 0x9f);
    if (control && !allowed.includes(text[index]!)) return { type: 'control', codePoint, index };
    if (codePoint > 0xffff) index += 1;
  }
  return null;
}

/** `text` with every line break as LF: the one change an expansion goes through. */
export function withUnixNewlines(text: string): string {
  return text.replace(/\r\n?/g, '\n');
}

/** What was cut from the end of a text. */
export interface CleanedEnd {
  text: string;
  blanks: number;
  newlines: number;
}

/**
 * `text` without the blanks and newlines at its end, which come along when people copy.
 * Counts what was cut, so that the cut can be told and taken back. Linear in what it cuts.
 */
export function cleanEnd(text: string): CleanedEnd {
  let end = text.length;
  let newlines = 0;
  while (end > 0 && ' \t\n\u00a0'.includes(text[end - 1]!)) {
    if (text[end - 1] === '\n') newlines += 1;
    end -= 1;
  }
  return { text: text.slice(0, end), blanks: text.length - end - newlines, newlines };
}
