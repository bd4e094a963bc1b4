import type { Punctuation } from './punctuation';

/** The words of a language and how often each is used: what a misfire is estimated from. */
export interface Vocabulary {
  /** BCP 47. */
  readonly language: string;
  /** Most frequent first. */
  readonly words: readonly string[];
  /** For each word how often it comes in 10,000 words of ordinary text. */
  readonly perTenThousand: Float64Array;
  /** Words whose frequency nobody counted: abbreviations of chat and mail, all with an assumed one. None unless given. */
  readonly assumed?: ReadonlySet<string>;
  /** Whether frequencies were counted, or estimated from the order of the words alone. */
  readonly isEstimate: boolean;
  /** How often, in 10,000 words, a word comes at most that is none of these; 0: it is not known. */
  readonly unseen?: number;
  /** How words stand in sentences; without it codes with marks are not estimated. */
  readonly punctuation?: Punctuation;
}

/** How far a figure may be off: multiply it by `low` and by `high`. */
export interface Band {
  readonly low: number;
  readonly high: number;
}

/**
 * From films to print the frequency of a word changes by more than most people think. The factors
 * between which 90 of 100 words lie when film subtitles are compared with edited prose (Brown
 * Corpus), by frequency; `vocabulary.test.ts` fits them on one half of the words and checks them on
 * the other. A frequency estimated from an order of words is off by more: the band is taken twice.
 */
const BANDS: readonly (Band & { readonly from: number })[] = [
  { from: 1, low: 0.06, high: 2.6 },
  { from: 0.2, low: 0.09, high: 5 },
  { from: 0, low: 0.08, high: 7.5 },
];

/** Of a frequency that is assumed; as wide as people differ. */
export const ASSUMED_BAND: Band = { low: 0.02, high: 10 };

/** Of rare words of up to four letters, as codes are; fitted as the others. */
const SHORT_BAND: Band = { low: 0.06, high: 5 };
const LONGEST_SHORT = 4;

/** Of how often something with figures is written, which differs more than words do: the rarest words' band for all of it; `mail.test.ts` checks it. */
export const FIGURES_BAND: Band = { low: 0.08, high: 7.5 };

/** The band of a frequency in 10,000 words. */
export function bandOf(perTenThousand: number, isEstimate = false): Band {
  const { low, high } = BANDS.find(({ from }) => perTenThousand >= from)!;
  return isEstimate ? { low: low * low, high: high * high } : { low, high };
}

/** The band of how often a code is written that is a word, with marks or none: `key` in small letters, without its marks. */
export function bandOfCode(key: string, perTenThousand: number, isEstimate: boolean): Band {
  if (/\p{N}/u.test(key)) return FIGURES_BAND;
  const isShort = key.length <= LONGEST_SHORT && perTenThousand < BANDS[1]!.from && !isEstimate;
  return isShort ? SHORT_BAND : bandOf(perTenThousand, isEstimate);
}

/** What a person writes in a week unless they say otherwise, in words. */
export const WORDS_A_WEEK = 5_000;

/** After how many weeks something happens that comes so often in 10,000 words; Infinity: never. */
export function weeksUntil(perTenThousand: number, wordsAWeek = WORDS_A_WEEK): number {
  return perTenThousand > 0 ? 10_000 / (perTenThousand * wordsAWeek) : Infinity;
}
