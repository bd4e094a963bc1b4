/** How a file may be written, by the labels of the WHATWG Encoding standard. Those found out come first. */
export const ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252', 'windows-1250', 'windows-1251', 'iso-8859-15', 'macintosh', 'gb18030', 'shift_jis'] as const;
export type Encoding = (typeof ENCODINGS)[number];

/** A file as a string, with LF line breaks. */
export interface DecodedText {
  readonly text: string;
  readonly encoding: Encoding;
  /** How many signs could not be read, and stand as U+FFFD. */
  readonly unread: number;
}

/** Why a file is not read; `at`: the byte it shows at. */
export type DecodeProblem =
  | { readonly type: 'too-large'; readonly limit: number; readonly found: number }
  | { readonly type: 'binary'; readonly at: number; readonly looksLike: string | null };

/** 64 MB: more than a life's messages. */
export const LARGEST_TEXT = 64 * 1024 * 1024;

/** How files begin that people take for text; from memory, as their makers publish it. */
const BEGINNINGS: readonly (readonly [begins: string, what: string])[] = [
  ['\x89PNG\r\n', 'a picture'],
  ['\xff\xd8\xff', 'a picture'],
  ['GIF8', 'a picture'],
  ['%PDF-', 'a PDF'],
  ['PK\x03\x04', 'a packed file, as spreadsheets and word processors keep theirs'],
  ['\x1f\x8b', 'a packed file'],
  ['SQLite format 3', 'a database'],
];

/**
 * Reads bytes as text: by a byte order mark, by the zero bytes of UTF-16, as UTF-8 if they are valid, else
 * as Windows-1252, which holds Latin-1 (WHATWG Encoding); or in the encoding that a person says. A file with other
 * zero bytes is binary.
 */
export function decodeText(bytes: Uint8Array, chosen?: Encoding, largest = LARGEST_TEXT): DecodedText | DecodeProblem {
  if (bytes.length > largest) return { type: 'too-large', limit: largest, found: bytes.length };
  const what = looksLike(bytes);
  if (what !== null) return { type: 'binary', at: 0, looksLike: what };
  if (chosen) return decodeAs(bytes, chosen);
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return decodeAs(bytes, 'utf-16le');
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return decodeAs(bytes, 'utf-16be');
  const sample = bytes.subarray(0, 4_096);
  const zero = sample.indexOf(0);
  if (zero >= 0) {
    const zeros = [0, 0];
    sample.forEach((byte, i) => {
      if (byte === 0) zeros[i & 1]! += 1;
    });
    const half = sample.length / 2;
    if (zeros[1]! > half * 0.4 && zeros[0]! < half * 0.05) return decodeAs(bytes, 'utf-16le');
    if (zeros[0]! > half * 0.4 && zeros[1]! < half * 0.05) return decodeAs(bytes, 'utf-16be');
    return { type: 'binary', at: zero, looksLike: null };
  }
  const late = bytes.indexOf(0);
  if (late >= 0) return { type: 'binary', at: late, looksLike: null };
  try {
    return { text: withLf(new TextDecoder('utf-8', { fatal: true }).decode(bytes)), encoding: 'utf-8', unread: 0 };
  } catch {
    return decodeAs(bytes, 'windows-1252');
  }
}

function decodeAs(bytes: Uint8Array, encoding: Encoding): DecodedText {
  let text = withLf(new TextDecoder(encoding).decode(bytes));
  // Some decoders leave what lies between ASCII and Latin-1 as control characters.
  if (encoding === 'windows-1252') text = text.replace(/[\x80-\x9f]/g, (sign) => WINDOWS_1252[sign.charCodeAt(0) - 0x80]!);
  let unread = 0;
  for (let at = text.indexOf('\ufffd'); at >= 0; at = text.indexOf('\ufffd', at + 1)) unread += 1;
  return { text, encoding, unread };
}

function withLf(text: string): string {
  return text.replace(/\r\n?/g, '\n');
}

function looksLike(bytes: Uint8Array): string | null {
  const start = String.fromCharCode(...bytes.subarray(0, 16));
  return BEGINNINGS.find(([begins]) => start.startsWith(begins))?.[1] ?? null;
}

/** 0x80 to 0x9f by the index of the WHATWG Encoding standard. */
const WINDOWS_1252 = '€\x81‚ƒ„…†‡ˆ‰Š‹Œ\x8dŽ\x8f\x90‘’“”•–—˜™š›œ\x9džŸ';
