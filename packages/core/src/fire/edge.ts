/** Where a code may begin: not in the middle of a word, unless it may stand anywhere. */

/** `word`: only where a word could begin; `anywhere`: no test. */
export type Edge = 'word' | 'anywhere';

const WORD_CHARACTER = /^[\p{L}\p{N}\p{M}_]$/u;
// Scripts written without spaces: a word boundary cannot be told from the letters around it.
const UNSPACED =
  /^[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]$/u;
const OPENS = /^[\p{White_Space}\p{Open_Punctuation}\p{Initial_Punctuation}"'\u201c\u2018]$/u;

/** What a character is to the edge beside it; a number, since scans ask for every character. */
export type Side = 0 | 1 | 2 | 3;
const OTHER = 0;
const WORD = 1;
const OPENING = 2;
const UNSPACED_LETTER = 3;

const OF_ASCII = Uint8Array.from({ length: 128 }, (_, unit) => judge(String.fromCharCode(unit)));

function judge(character: string): Side {
  if (OPENS.test(character)) return OPENING;
  if (UNSPACED.test(character)) return UNSPACED_LETTER;
  return WORD_CHARACTER.test(character) ? WORD : OTHER;
}

/** What the code point that begins at `index` is. */
export function sideAt(text: string, index: number): Side {
  const unit = text.charCodeAt(index);
  if (unit < 128) return OF_ASCII[unit]! as Side;
  return judge(String.fromCodePoint(text.codePointAt(index)!));
}

/** What the code point that ends at `index` is; the start of a text opens. */
export function sideBefore(text: string, index: number): Side {
  if (index <= 0) return OPENING;
  const unit = text.charCodeAt(index - 1);
  if (unit < 128) return OF_ASCII[unit]! as Side;
  const isPair = unit >= 0xdc00 && unit <= 0xdfff && index >= 2;
  return sideAt(text, isPair ? index - 2 : index - 1);
}

/** Whether a code that begins with a `first` may follow a `before`. */
export function isEdge(before: Side, first: Side): boolean {
  if (first === UNSPACED_LETTER) return true;
  return first === WORD ? before !== WORD : before === OPENING;
}

/**
 * Whether a code that begins at `start` of `text` has an edge before it. A code that begins with
 * a letter or digit needs anything but a letter or digit there; one that begins with a mark needs
 * the start of the text, white space or opening punctuation.
 */
export function hasEdgeBefore(text: string, start: number, edge: Edge): boolean {
  return edge === 'anywhere' || isEdge(sideBefore(text, start), sideAt(text, start));
}
