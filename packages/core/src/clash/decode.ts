/** A file of a person's own text as a string. */
export interface DecodedText {
  readonly text: string;
  readonly encoding: 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';
}

/** Why a file is not read; `at`: the byte it shows at. */
export type DecodeProblem = { readonly type: 'too-large'; readonly limit: number; readonly found: number } | { readonly type: 'binary'; readonly at: number };

/** 64 MB: more than a life's messages. */
export const LARGEST_TEXT = 64 * 1024 * 1024;

/**
 * Reads bytes as text: by a byte order mark, by the zero bytes of UTF-16, as UTF-8 if they are valid, else
 * as Windows-1252, which holds Latin-1 (WHATWG Encoding). A file with other zero bytes is binary.
 */
export function decodeText(bytes: Uint8Array): DecodedText | DecodeProblem {
  if (bytes.length > LARGEST_TEXT) return { type: 'too-large', limit: LARGEST_TEXT, found: bytes.length };
  const as = (encoding: DecodedText['encoding']): DecodedText => ({
    text: new TextDecoder(encoding).decode(bytes).replace(/\r\n?/g, '\n'),
    encoding,
  });
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return as('utf-16le');
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return as('utf-16be');
  const sample = bytes.subarray(0, 4_096);
  const zero = sample.indexOf(0);
  if (zero >= 0) {
    const zeros = [0, 0];
    sample.forEach((byte, i) => {
      if (byte === 0) zeros[i & 1]! += 1;
    });
    const half = sample.length / 2;
    if (zeros[1]! > half * 0.4 && zeros[0]! < half * 0.05) return as('utf-16le');
    if (zeros[0]! > half * 0.4 && zeros[1]! < half * 0.05) return as('utf-16be');
    return { type: 'binary', at: zero };
  }
  const late = bytes.indexOf(0);
  if (late >= 0) return { type: 'binary', at: late };
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes).replace(/\r\n?/g, '\n');
    return { text, encoding: 'utf-8' };
  } catch {
    const { text, encoding } = as('windows-1252');
    // Some decoders leave what lies between ASCII and Latin-1 as control characters.
    return { text: text.replace(/[\x80-\x9f]/g, (sign) => WINDOWS_1252[sign.charCodeAt(0) - 0x80]!), encoding };
  }
}

/** 0x80 to 0x9f by the index of the WHATWG Encoding standard. */
const WINDOWS_1252 = '€\x81‚ƒ„…†‡ˆ‰Š‹Œ\x8dŽ\x8f\x90‘’“”•–—˜™š›œ\x9džŸ';
