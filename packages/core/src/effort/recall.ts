import { splitMarker } from '../model';
import { matchKey } from '../model';
import { RECALL } from './assumptions';

/** How a code comes to mind: by a rule from its expansion, from a word's consonants, or learnt by heart. */
export type RecallKind = keyof typeof RECALL;

const VOWELS = /[aeiouyäöüàâéèêëîïôûùáíóú]/gu;
const MOST_WORDS = 40;

/**
 * Of what kind a code is to memory. By a rule: a word of the expansion, its beginning, the initials of
 * words that follow one another, or one of these with its first letter doubled. Consonants: those of one
 * or more words that follow one another, in their order, beginning with a word's first letter.
 */
export function recallKindOf(code: string, expansion: string): RecallKind {
  const { mnemonic } = splitMarker(matchKey(code));
  const inner = mnemonic.replaceAll(/[^\p{L}\p{N}\p{M}]/gu, '');
  const words =
    matchKey(expansion)
      .match(/[\p{L}\p{N}][\p{L}\p{N}\p{M}]*/gu)
      ?.slice(0, MOST_WORDS) ?? [];
  // Signs alone: what is typed looks like what comes.
  if (inner === '') return 'rule';
  const single = /^(.)\1./u.test(inner) ? [inner, inner.slice(1)] : [inner];
  if (single.some((one) => isByRule(one, words))) return 'rule';
  return words.some((word, from) => word[0] === inner[0] && areConsonants(inner, words.slice(from).join('')))
    ? 'consonants'
    : 'arbitrary';
}

/** Seconds until a code has come to mind. */
export function recallOf(code: string, expansion: string): number {
  return RECALL[recallKindOf(code, expansion)];
}

function isByRule(inner: string, words: readonly string[]): boolean {
  if (words.some((word) => word.startsWith(inner))) return true;
  const initials = words.map((word) => word[0]!).join('');
  return inner.length >= 2 && initials.includes(inner);
}

/** Whether the letters stand in a text in that order, none of them a vowel but the first. */
function areConsonants(inner: string, text: string): boolean {
  if (inner.length < 2 || inner.slice(1).replaceAll(VOWELS, '') !== inner.slice(1)) return false;
  let at = 0;
  for (const letter of inner) {
    at = text.indexOf(letter, at) + 1;
    if (at === 0) return false;
  }
  return true;
}
