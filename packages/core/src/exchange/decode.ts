import { analyse } from 'chardet';

import { ENCODINGS, LARGEST_TEXT, type Encoding } from './encodings';

/** A file as a string, with LF line breaks. */
export interface DecodedText {
  readonly text: string;
  readonly encoding: Encoding;
  /** How many signs could not be read, and stand as U+FFFD. */
  readonly unread: number;
  /** Whether the encoding is only the most likely one: a person should look whether letters are right. */
  readonly isGuess: boolean;
}

/** Why a file is not read; `at`: the byte it shows at. */
export type DecodeProblem =
  | { readonly type: 'too-large'; readonly limit: number; readonly found: number }
  | { readonly type: 'binary'; readonly at: number; readonly looksLike: Beginning | null };

type Beginning = (typeof BEGINNINGS)[number][1];

/** How files begin that people take for text; from memory, as their makers publish it. */
const BEGINNINGS = [
  ['\x89PNG\r\n', 'a picture'],
  ['\xff\xd8\xff', 'a picture'],
  ['GIF8', 'a picture'],
  ['%PDF-', 'a PDF'],
  ['PK\x03\x04', 'a packed file, as spreadsheets and word processors keep theirs'],
  ['\x1f\x8b', 'a packed file'],
  ['SQLite format 3', 'a database'],
] as const;

/**
 * Reads bytes as text: by a byte order mark, as UTF-8 if they are valid, as UTF-16 if they have zero bytes and make letters of
 * one script or two that way, else in the encoding that a detector finds likely; or in the encoding that a person says.
 * A file with other zero bytes is binary.
 */
export function decodeText(bytes: Uint8Array, chosen?: Encoding, largest = LARGEST_TEXT): DecodedText | DecodeProblem {
  if (bytes.length > largest) return { type: 'too-large', limit: largest, found: bytes.length };
  const what = looksLike(bytes);
  if (what !== null) return { type: 'binary', at: 0, looksLike: what };
  if (chosen) return decodeAs(bytes, chosen);
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return decodeAs(bytes, 'utf-16le');
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return decodeAs(bytes, 'utf-16be');
  const zero = bytes.indexOf(0);
  if (zero >= 0) {
    const [little, big] = [plausibilityOf(bytes, 'utf-16le'), plausibilityOf(bytes, 'utf-16be')];
    if (bytes.length % 2 === 1 || Math.max(little, big) < PLAUSIBLE)
      return { type: 'binary', at: zero, looksLike: null };
    return decodeAs(bytes, little >= big ? 'utf-16le' : 'utf-16be');
  }
  try {
    return {
      text: withLf(new TextDecoder('utf-8', { fatal: true }).decode(bytes)),
      encoding: 'utf-8',
      unread: 0,
      isGuess: false,
    };
  } catch {
    return decodeAs(bytes, likelyEncoding(bytes), true);
  }
}

/** So much of a file is looked at to find out how it is written. */
const SAMPLE = 64 * 1024;
const PLAUSIBLE = 0.97;
/** What files hold that people write: letters, figures, signs, spaces and line breaks; no control characters, nothing unassigned. */
const WRITTEN = /^[\p{L}\p{M}\p{N}\p{P}\p{S}\p{Zs}\n\r\t\u200b-\u200f\ufeff]$/u;

/**
 * From 0 to 1: how many of the characters that bytes make, read as UTF-16, stand in blocks that lists are written in. Read the
 * wrong way round most spaces, figures and line breaks stand in none.
 */
function plausibilityOf(bytes: Uint8Array, encoding: 'utf-16le' | 'utf-16be'): number {
  const text = new TextDecoder(encoding).decode(bytes.subarray(0, SAMPLE - (SAMPLE % 2)));
  let good = 0;
  let all = 0;
  for (const character of text) {
    all += 1;
    const isUsual =
      /^[\x09\x0a\x0d\x20-\u058f\u05d0-\u06ff\u0900-\u0dff\u0e00-\u0e7f\u1e00-\u206f\u20a0-\u2bff\u3000-\u30ff\u4e00-\u9fff\uac00-\ud7a3\uff00-\uffef\u{1f000}-\u{1faff}]$/u.test(
        character,
      );
    if (isUsual && WRITTEN.test(character)) good += 1;
  }
  // A text without a plain space, line break or tab is none that a list comes in.
  return /[\t\n ]/.test(text) ? good / Math.max(1, all) : 0;
}

/** Names that the detector has for encodings, where ours is another. Latin-1 is a part of Windows-1252 (WHATWG Encoding). */
const DETECTED: Readonly<Record<string, Encoding>> = { 'iso-8859-1': 'windows-1252' };
/** Below this the detector, of whose figures 100 is the highest, has seen too little to say anything but Western European. */
const LEAST_CONFIDENCE = 25;
const OF_LATIN_LETTERS: ReadonlySet<Encoding> = new Set<Encoding>([
  'windows-1252',
  'windows-1250',
  'iso-8859-2',
  'iso-8859-15',
  'macintosh',
]);

/**
 * The encoding that bytes are most likely in, which are no UTF. In Latin script most letters beyond ASCII stand apart from each other; in all others
 * they stand side by side, so that the detector is only asked which of those it is.
 */
function likelyEncoding(bytes: Uint8Array): Encoding {
  const first = Math.max(0, bytes.findIndex((byte) => byte > 0x7f) - SAMPLE / 16);
  const sample = bytes.subarray(first, first + SAMPLE);
  const isHigh = (at: number) => (sample[at] ?? 0) > 0x7f;
  let high = 0;
  let together = 0;
  for (let at = 0; at < sample.length; at += 1) {
    if (!isHigh(at)) continue;
    high += 1;
    if (isHigh(at - 1) || isHigh(at + 1)) together += 1;
  }
  const isLatin = together < high * 0.75;
  const best = analyse(sample).flatMap(({ name, confidence }) => {
    const label = name.toLowerCase();
    const encoding = DETECTED[label] ?? ENCODINGS.find((one) => one === label);
    const isEnough = confidence >= LEAST_CONFIDENCE || !isLatin;
    return encoding && isEnough && OF_LATIN_LETTERS.has(encoding) === isLatin ? [encoding] : [];
  })[0];
  return best ?? 'windows-1252';
}

function decodeAs(bytes: Uint8Array, encoding: Encoding, isGuess = false): DecodedText {
  let text = withLf(new TextDecoder(encoding).decode(bytes));
  // Some decoders leave what lies between ASCII and Latin-1 as control characters.
  if (encoding === 'windows-1252')
    text = text.replace(/[\x80-\x9f]/g, (sign) => WINDOWS_1252[sign.charCodeAt(0) - 0x80]!);
  let unread = 0;
  for (let at = text.indexOf('\ufffd'); at >= 0; at = text.indexOf('\ufffd', at + 1)) unread += 1;
  return { text, encoding, unread, isGuess };
}

function withLf(text: string): string {
  return text.replace(/\r\n?/g, '\n');
}

function looksLike(bytes: Uint8Array): Beginning | null {
  const start = String.fromCharCode(...bytes.subarray(0, 16));
  return BEGINNINGS.find(([begins]) => start.startsWith(begins))?.[1] ?? null;
}

/** 0x80 to 0x9f by the index of the WHATWG Encoding standard. */
const WINDOWS_1252 = '€\x81‚ƒ„…†‡ˆ‰Š‹Œ\x8dŽ\x8f\x90‘’“”•–—˜™š›œ\x9džŸ';
