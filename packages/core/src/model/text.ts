/** Text as people count it: grapheme clusters, places of characters that cannot be stored, clean ends. */

const segmenter = new Intl.Segmenter('und', { granularity: 'grapheme' });
const ASCII = /^[\x20-\x7e]*$/;

/** A piece of this many UTF-16 units is segmented at once: the segmenter's cost grows faster than the length it is given. */
const PIECE = 256;

/**
 * Characters that are a cluster of their own between two of their kind, whatever stands further off (UAX #29, rule GB999):
 * letters, figures, punctuation and emoji without marks, joiners, flags or parts of a syllable among them.
 */
const ALONE =
  '(?![\\p{M}\\p{Emoji_Modifier}\\p{Cf}])[\\x20-\\x7e\\xa1-\\u024f\\u0370-\\u052f\\u05d0-\\u05ea\\u0620-\\u064a\\u0e01-\\u0e30\\u0e32\\u0e40-\\u0e46\\u2010-\\u2027\\u20a0-\\u20bf\\u2190-\\u2bff\\u3001-\\u3029\\u3041-\\u3096\\u30a0-\\u30ff\\u4e00-\\u9fff\\uac00-\\ud7a3\\p{Extended_Pictographic}]';
/** What always joins the character before it (rules GB9 and GB9a): marks above and below, and two vowels of Thai and Lao. */
const JOINS = '[\\p{Mn}\\u0e33\\u0eb3]';
/** Such characters in a row, each with what joins it, of which the first and the last may join what stands outside. */
const RUN_ALONE = new RegExp(`(?<=${ALONE}|${JOINS})(?:${ALONE}${JOINS}*)+(?=${ALONE})`, 'gu');
const MARK = new RegExp(JOINS, 'gu');

/** Number of extended grapheme clusters in `text` (UAX #29). Linear in its length. */
export function countClusters(text: string): number {
  if (ASCII.test(text)) return text.length;
  let count = 0;
  const rest = text.replace(RUN_ALONE, (run) => {
    const letters = run.replace(MARK, '');
    for (let at = 0; at < letters.length; at += letters.codePointAt(at)! > 0xffff ? 2 : 1) count += 1;
    return '';
  });
  for (const _ of clusters(rest)) count += 1;
  return count;
}

/** Whether `text` has more than `limit` clusters. It is counted only where its length leaves that open. */
export function hasMoreClusters(text: string, limit: number): boolean {
  return text.length > limit && countClusters(text) > limit;
}

/** The grapheme clusters of `text`, in order, each with its UTF-16 offset. Linear in its length. */
export function clustersOf(text: string): Cluster[] {
  // Below the first combining mark each unit is a cluster by itself, but for CR before LF.
  if (PLAIN.test(text)) return Array.from(text, (character, index) => ({ text: character, index }));
  return Array.from(clusters(text));
}

const PLAIN = /^[^\r\u0300-\uffff]*$/;

interface Cluster {
  text: string;
  index: number;
}

/**
 * Segments a text piece by piece. Where one cluster ends the next begins anew, so a piece may begin at any such place;
 * the last cluster of a piece may go on behind it, and is read again with the next.
 */
function* clusters(text: string): Generator<Cluster> {
  let size = PIECE;
  for (let start = 0; start < text.length;) {
    const end = endOfPiece(text, start + size);
    let held: Cluster | null = null;
    for (const { segment, index } of segmenter.segment(text.slice(start, end))) {
      if (held) yield held;
      held = { text: segment, index: start + index };
    }
    if (end === text.length) {
      if (held) yield held;
      return;
    }
    // One cluster longer than the piece: a longer piece holds it.
    size = held!.index === start ? size * 2 : PIECE;
    start = held!.index;
  }
}

/** Where a piece may end: not between the halves of a surrogate pair. */
function endOfPiece(text: string, end: number): number {
  if (end >= text.length) return text.length;
  const last = text.charCodeAt(end - 1);
  return last >= 0xd800 && last <= 0xdbff ? end + 1 : end;
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
