/**
 * The characters that end a code by our standard: white space, closing and ending punctuation of any
 * script (Unicode properties White_Space, Terminal_Punctuation, Close and Final punctuation),
 * straight double quote, ellipsis, en and em dash. Not among them: apostrophe, hyphen, underscore,
 * slash, at and number sign, which join words, addresses and tags.
 */
const DELIMITER =
  /^[\p{White_Space}\p{Terminal_Punctuation}\p{Close_Punctuation}\p{Final_Punctuation}"\u2026\u2013\u2014]$/u;

const OF_ASCII = Uint8Array.from({ length: 128 }, (_, unit) =>
  DELIMITER.test(String.fromCharCode(unit)) ? 1 : 0,
);

/** Whether `character` (one code point) ends a code. A typographic apostrophe does not. */
export function isDelimiter(character: string): boolean {
  const unit = character.charCodeAt(0);
  if (unit < 128) return OF_ASCII[unit] === 1;
  return character !== '\u2019' && DELIMITER.test(character);
}

/** Tells delimiters, of our standard or of a device's own choice. An empty choice has none. */
export function delimiterTest(chosen: 'standard' | readonly string[]): (character: string) => boolean {
  if (chosen === 'standard') return isDelimiter;
  const set = new Set(chosen);
  return (character) => set.has(character);
}
