/**
 * What a character is to firing: how it folds, what it is to an edge beside it, whether it ends a
 * code. Told for UTF-16 units in one number from a table that is filled as units are met, since
 * searches ask for every unit they pass.
 */
import { matchKey } from '../model/code';
import { clustersOf } from '../model/text';

/** In the low 16 bits: what the unit folds to, itself if it is JOINED. Folding twice changes nothing. */
export const FOLDED = 0xffff;
/** What it is to the edge beside it: one of the four. */
export const SIDE = 0x3_0000;
export const OTHER = 0;
export const WORD = 0x1_0000;
export const OPENING = 0x2_0000;
export const UNSPACED_LETTER = 0x3_0000;
/** Between two letters or two digits it may join a word: it's, 3,50. */
export const JOINS = 0x4_0000;
/** It ends a code by our standard. */
export const ENDS = 0x8_0000;
/**
 * It is no grapheme cluster by itself beside every other unit that stands alone: half of a pair,
 * joined to a neighbour, or folded to several units.
 */
export const JOINED = 0x10_0000;
/**
 * It is a letter, digit or `_` that stands alone: the sign bit, so that a scan asks whether a unit is
 * negative. Units that fold to one another have one number.
 */
export const OF_WORD = -0x8000_0000;
const KNOWN = 0x40_0000;

/** By UTF-16 unit its number; 0: not met yet. ASCII and what was folded is always known. */
export const UNITS = new Int32Array(0x10000);

export function unitOf(unit: number): number {
  return UNITS[unit]! || learn(unit);
}

function learn(unit: number): number {
  const character = String.fromCharCode(unit);
  const key = standsAlone(unit, character) ? matchKey(character) : '';
  const classes = KNOWN | classOf(character);
  if (key.length !== 1) return (UNITS[unit] = classes | JOINED | unit);
  const folded = key.charCodeAt(0);
  if ((classes & SIDE) !== WORD) UNITS[unit] = classes | folded;
  else if (folded === unit) UNITS[unit] = classes | OF_WORD | folded;
  else UNITS[unit] = unitOf(folded);
  unitOf(folded);
  return UNITS[unit];
}

// ── standing alone ──────────────────────────────────────────────────────────────────────────

// Scripts in which no letter joins another. Others go by clusters, as do marks and pairs.
const ALONE =
  /^[\p{Script=Latin}\p{Script=Greek}\p{Script=Cyrillic}\p{Script=Armenian}\p{Script=Georgian}\p{Script=Hebrew}\p{Script=Arabic}\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Bopomofo}\p{Script=Common}]$/u;
const VISIBLE = /^[\p{L}\p{N}\p{P}\p{S}\p{Zs}]$/u;

function standsAlone(unit: number, character: string): boolean {
  if (unit < 0x7f) return true;
  return ALONE.test(character) && VISIBLE.test(character) && clustersOf(`a${character}a`).length === 3;
}

// ── classes ─────────────────────────────────────────────────────────────────────────────────

const WORD_CHARACTER = /^[\p{L}\p{N}\p{M}_]$/u;
// Scripts written without spaces: a word boundary cannot be told from the letters around it.
const UNSPACED =
  /^[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]$/u;
const OPENS = /^[\p{White_Space}\p{Open_Punctuation}\p{Initial_Punctuation}"'\u201c\u2018]$/u;

// Word_Break MidLetter, MidNum, MidNumLet and Single_Quote (UAX #29, table 3): between two letters, or
// two digits, they do not end a word.
const MID_LETTER = /^[':\u00b7.\u0387\u055f\u05f4\u2018\u2019\u2024\u2027\ufe13\ufe52\ufe55\uff07\uff0e\uff1a]$/u;
const MID_NUMBER =
  /^['.,;\u037e\u0589\u060c\u060d\u066c\u07f8\u2018\u2019\u2024\u2044\ufe10\ufe14\ufe50\ufe52\ufe54\uff07\uff0c\uff0e\uff1b]$/u;
const LETTER = /^\p{L}$/u;
const DIGIT = /^\p{Nd}$/u;

/**
 * Our standard: white space, closing and ending punctuation of any script (Unicode properties
 * White_Space, Terminal_Punctuation, Close and Final punctuation), straight double quote, ellipsis,
 * en and em dash. Not among them: apostrophe, hyphen, underscore, slash, at and number sign, which
 * join words, addresses and tags.
 */
const DELIMITER =
  /^[\p{White_Space}\p{Terminal_Punctuation}\p{Close_Punctuation}\p{Final_Punctuation}"\u2026\u2013\u2014]$/u;

/** The classes of one code point: SIDE, JOINS, ENDS. */
export function classOf(character: string): number {
  const joins = MID_LETTER.test(character) || MID_NUMBER.test(character) ? JOINS : 0;
  const ends = character !== '\u2019' && DELIMITER.test(character) ? ENDS : 0;
  return sideOf(character) | joins | ends;
}

function sideOf(character: string): number {
  if (OPENS.test(character)) return OPENING;
  if (UNSPACED.test(character)) return UNSPACED_LETTER;
  return WORD_CHARACTER.test(character) ? WORD : OTHER;
}

/** The classes of the code point that begins at `index`. */
export function classAt(text: string, index: number): number {
  const unit = text.charCodeAt(index);
  if (unit < 0xd800 || unit > 0xdbff) return unitOf(unit);
  return classOf(String.fromCodePoint(text.codePointAt(index)!));
}

/** The classes of the code point that ends at `index`; the start of a text opens. */
export function classBefore(text: string, index: number): number {
  if (index <= 0) return OPENING;
  const unit = text.charCodeAt(index - 1);
  if (unit < 0xdc00 || unit > 0xdfff) return unitOf(unit);
  return classAt(text, index >= 2 ? index - 2 : index - 1);
}

/** Whether the sign before `start` joins what stands on both sides of it: it's, www.name, 3,50. */
export function isJoinedAt(text: string, start: number): boolean {
  if (start < 2) return false;
  const sign = text[start - 1]!;
  const before = text[start - 2]!;
  const first = text[start]!;
  if (MID_LETTER.test(sign) && LETTER.test(before) && LETTER.test(first)) return true;
  return MID_NUMBER.test(sign) && DIGIT.test(before) && DIGIT.test(first);
}

for (let unit = 0; unit < 0x80; unit += 1) unitOf(unit);
