/** Where a code may begin: not in the middle of a word, unless it may stand anywhere. */

/** `word`: only where a word could begin; `anywhere`: no test. */
export type Edge = 'word' | 'anywhere';

const WORD_CHARACTER = /^[\p{L}\p{N}\p{M}_]$/u;
// Scripts written without spaces: a word boundary cannot be told from the letters around it.
const UNSPACED =
  /^[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]$/u;
const OPENS = /^[\p{White_Space}\p{Open_Punctuation}\p{Initial_Punctuation}"'\u201c\u2018]$/u;

/** What a character is to the edge beside it; a number, since scans ask for every character. */
type Side = 0 | 1 | 2 | 3;
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

/** Whether the ASCII characters around `index` are both of a word: the quick no of a whole scan. */
export function isInsideAsciiWord(text: string, index: number): boolean {
  const before = text.charCodeAt(index - 1);
  const first = text.charCodeAt(index);
  return before < 128 && first < 128 && OF_ASCII[before] === WORD && OF_ASCII[first] === WORD;
}

/** What the code point that begins at `index` is. */
function sideAt(text: string, index: number): Side {
  const unit = text.charCodeAt(index);
  if (unit < 128) return OF_ASCII[unit]! as Side;
  return judge(String.fromCodePoint(text.codePointAt(index)!));
}

/** What the code point that ends at `index` is; the start of a text opens. */
function sideBefore(text: string, index: number): Side {
  if (index <= 0) return OPENING;
  const unit = text.charCodeAt(index - 1);
  if (unit < 128) return OF_ASCII[unit]! as Side;
  const isPair = unit >= 0xdc00 && unit <= 0xdfff && index >= 2;
  return sideAt(text, isPair ? index - 2 : index - 1);
}

// Word_Break MidLetter, MidNum, MidNumLet and Single_Quote (UAX #29, table 3): between two letters, or
// two digits, they do not end a word.
const MID_LETTER = /^[':\u00b7.\u0387\u055f\u05f4\u2018\u2019\u2024\u2027\ufe13\ufe52\ufe55\uff07\uff0e\uff1a]$/u;
const MID_NUMBER = /^['.,;\u037e\u0589\u060c\u060d\u066c\u07f8\u2018\u2019\u2024\u2044\ufe10\ufe14\ufe50\ufe52\ufe54\uff07\uff0c\uff0e\uff1b]$/u;
const LETTER = /^\p{L}$/u;
const DIGIT = /^\p{Nd}$/u;

/** Whether the sign before `start` joins what stands on both sides of it: it's, www.name, 3,50. */
function isJoined(text: string, start: number): boolean {
  if (start < 2) return false;
  const sign = text[start - 1]!;
  const before = text[start - 2]!;
  const first = text[start]!;
  if (MID_LETTER.test(sign) && LETTER.test(before) && LETTER.test(first)) return true;
  return MID_NUMBER.test(sign) && DIGIT.test(before) && DIGIT.test(first);
}

/** Whether a code that begins with a `first` may follow a `before`. */
function isEdge(before: Side, first: Side): boolean {
  if (first === UNSPACED_LETTER) return true;
  return first === WORD ? before !== WORD : before === OPENING;
}

/**
 * Whether a code that begins at `start` of `text` has an edge before it. A code that begins with a
 * letter or digit needs a place where a word may begin (UAX #29, Word_Break); one that begins with
 * a mark needs the start of the text, white space or opening punctuation. Where letters of a script
 * without spaces stand, there is nothing to test.
 */
export function hasEdgeBefore(text: string, start: number, edge: Edge): boolean {
  if (edge === 'anywhere') return true;
  const first = sideAt(text, start);
  const before = sideBefore(text, start);
  if (!isEdge(before, first)) return false;
  return first !== WORD || before === WORD || !isJoined(text, start);
}
