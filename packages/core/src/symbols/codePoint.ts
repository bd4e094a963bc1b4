import type { Block } from './table';

/** A way to write a code point: U+2192, \u2192, 0x2192, &#x2192;, &#8594;, or its hexadecimal digits alone, one of them a figure. */
const HEX = /^(?:u\+|\\u\{?|0x|&#x)([0-9a-f]{1,6})\}?;?$/iu;
const DECIMAL = /^&#(\d{1,7});?$/u;
const BARE = /^(?=.*\d)[0-9a-f]{4,6}$/iu;

const LAST = 0x10_ff_ff;

/** The code point that a search names; null: it names none. */
export function codePointIn(query: string): number | null {
  const hex = HEX.exec(query)?.[1] ?? (BARE.test(query) ? query : undefined);
  const found = hex === undefined ? Number.parseInt(DECIMAL.exec(query)?.[1] ?? '', 10) : Number.parseInt(hex, 16);
  return Number.isInteger(found) && found <= LAST ? found : null;
}

/** As people write a code point: U+00BD. */
export function writeCodePoint(codePoint: number): string {
  return `U+${codePoint.toString(16).toUpperCase().padStart(4, '0')}`;
}

/** The code points of a text, as people write them. */
export function writeCodePoints(text: string): string {
  return [...text].map((character) => writeCodePoint(character.codePointAt(0)!)).join(' ');
}

/** Why a code point is no symbol: a control character or half of a pair cannot be saved, the rest has no look. */
export type NoSymbol = 'control' | 'surrogate' | 'noncharacter' | 'private';

export function noSymbol(codePoint: number): NoSymbol | null {
  if (codePoint >= 0xd8_00 && codePoint <= 0xdf_ff) return 'surrogate';
  if ((codePoint & 0xff_fe) === 0xff_fe || (codePoint >= 0xfd_d0 && codePoint <= 0xfd_ef)) return 'noncharacter';
  const character = String.fromCodePoint(codePoint);
  if (/\p{Cc}/u.test(character)) return 'control';
  if (/\p{Co}/u.test(character)) return 'private';
  return null;
}

const HANGUL_FIRST = 0xac_00;
const HANGUL_LAST = 0xd7_a3;
const LEADS = 'G GG N D DD R M B BB S SS  J JJ C K T P H'.split(' ');
const VOWELS = 'A AE YA YAE EO E YEO YE O WA WAE OE YO U WEO WE WI YU EU YI I'.split(' ');
const TRAILS = ' G GG GS N NJ NH D L LG LM LB LS LT LP LH M B BS S SS NG J C K T P H'.split(' ');

/**
 * The name of a character that stands in no list, as it is made by a rule (Unicode 17.0, section 4.8: NR1 for Hangul
 * syllables, NR2 for ideographs and others that are named after their code point), in lower case; null: no rule gives one.
 */
export function nameByRule(codePoint: number, numbered: readonly Block[]): string | null {
  if (codePoint >= HANGUL_FIRST && codePoint <= HANGUL_LAST) {
    const index = codePoint - HANGUL_FIRST;
    const lead = LEADS[Math.floor(index / (VOWELS.length * TRAILS.length))]!;
    const vowel = VOWELS[Math.floor(index / TRAILS.length) % VOWELS.length]!;
    return `hangul syllable ${lead}${vowel}${TRAILS[index % TRAILS.length]!}`.toLowerCase();
  }
  const range = numbered.find(({ first, last }) => codePoint >= first && codePoint <= last);
  return range ? `${range.name}-${codePoint.toString(16)}` : null;
}
