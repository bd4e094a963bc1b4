import { ZxcvbnFactory } from '@zxcvbn-ts/core';

/** What takes more guesses than this, without a word in it, was made to be a secret. */
export const PASSWORD_GUESSES = 1e8;

// Links, addresses, tags, numbers, and settings such as A4=440Hz.
const NOT_ONE = /^(https?:|www\.|mailto:|tel:|#|@)|[\w.+-]+@[\w-]+\.|^[\d\s().+/:-]+$|^[\p{L}\d]+=[\d.,]+\p{L}*$/iu;
const CLASSES = [/\p{Ll}/u, /\p{Lu}/u, /\p{Nd}/u, /[^\p{L}\p{Nd}\s]/u];

let estimator: ZxcvbnFactory | null = null;

/**
 * Whether a whole expansion looks like a password: one run of 8 to 64 characters without white space, of
 * three classes (small, capital, digit, mark), no link, address, tag or number, and hard to guess
 * by the estimate of a strength library.
 */
export function looksLikePassword(expansion: string): boolean {
  const text = expansion.trim();
  if (/\s/u.test(text) || text.length < 8 || text.length > 64 || NOT_ONE.test(text)) return false;
  const classes = CLASSES.filter((one) => one.test(text)).length;
  if (classes < 3 || !/\p{L}/u.test(text) || !/[\p{Nd}]/u.test(text)) return false;
  // Chemical, tuning and product names have one capital first or digits last.
  if (/^\p{Lu}?\p{Ll}+[-_ ]?\d{0,4}[.!?]?$/u.test(text)) return false;
  // Words and numbers joined by one kind of mark, as in file names.
  if (/^(?:\p{Ll}+|\d+)(?:([-_.])(?:\p{Ll}+|\d+)(?:\1(?:\p{Ll}+|\d+))*)$/u.test(text)) return false;
  estimator ??= new ZxcvbnFactory();
  return estimator.check(text).guesses >= PASSWORD_GUESSES;
}
