/** Where a code may begin: not in the middle of a word, unless it may stand anywhere. */

/** `word`: only where a word could begin; `anywhere`: no test. */
export type Edge = 'word' | 'anywhere';

const WORD_CHARACTER = /^[\p{L}\p{N}\p{M}_]$/u;
// Scripts written without spaces: a word boundary cannot be told from the letters around it.
const UNSPACED =
  /^[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]$/u;
const OPENS =
  /^[\p{White_Space}\p{Open_Punctuation}\p{Initial_Punctuation}"'\u201c\u2018]$/u;

function isWordCharacter(character: string): boolean {
  return WORD_CHARACTER.test(character) && !UNSPACED.test(character);
}

/** The code point that ends at offset `index`, or '' at the start of the text. */
function codePointBefore(text: string, index: number): string {
  if (index <= 0) return '';
  const low = text.charCodeAt(index - 1);
  const isPair = low >= 0xdc00 && low <= 0xdfff && index >= 2;
  return isPair ? String.fromCodePoint(text.codePointAt(index - 2)!) : text[index - 1]!;
}

/**
 * Whether a code that begins at `start` of `text` has an edge before it. A code that begins with
 * a letter or digit needs anything but a letter or digit there; one that begins with a mark needs
 * the start of the text, white space or opening punctuation.
 */
export function hasEdgeBefore(text: string, start: number, edge: Edge): boolean {
  if (edge === 'anywhere' || start === 0) return true;
  const first = String.fromCodePoint(text.codePointAt(start)!);
  const before = codePointBefore(text, start);
  if (UNSPACED.test(first)) return true;
  return WORD_CHARACTER.test(first) ? !isWordCharacter(before) : OPENS.test(before);
}
