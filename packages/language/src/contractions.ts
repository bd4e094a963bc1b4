/**
 * Counted lists cut *don't* into *don* and *t*. For each piece behind an apostrophe the words that it
 * belongs to, with the share of it that each takes; the first piece loses what the whole word gains.
 * Shares are rounded from common use, no source, but for n't, whose first pieces were counted.
 */
export interface Contraction {
  readonly whole: string;
  readonly first: string;
  readonly piece: string;
  readonly share: number;
}

const of = (piece: string, shares: Record<string, number>): Contraction[] =>
  Object.entries(shares).map(([first, share]) => ({ whole: `${first}'${piece}`, first, piece, share }));

/** First pieces that are nothing but the beginning of a contraction: their own count is its count. */
export const ONLY_BEFORE_T = [
  'don',
  'didn',
  'doesn',
  'isn',
  'wasn',
  'aren',
  'couldn',
  'wouldn',
  'shouldn',
  'haven',
  'hasn',
  'hadn',
  'weren',
  'ain',
  'mustn',
  'needn',
];

/** What is left of `t` belongs to these. */
export const REST_OF_T: Readonly<Record<string, number>> = { can: 0.8, won: 0.2 };

export const CONTRACTIONS: readonly Contraction[] = [
  ...of('m', { i: 1 }),
  ...of('re', { you: 0.5, we: 0.3, they: 0.2 }),
  ...of('ll', { i: 0.45, you: 0.2, we: 0.15, he: 0.08, it: 0.06, they: 0.06 }),
  ...of('ve', { i: 0.5, you: 0.25, we: 0.15, they: 0.1 }),
  ...of('d', { i: 0.5, you: 0.2, he: 0.12, we: 0.08, she: 0.05, they: 0.05 }),
  ...of('s', { it: 0.33, that: 0.23, what: 0.11, he: 0.1, let: 0.08, there: 0.06, she: 0.05, who: 0.04 }),
];
