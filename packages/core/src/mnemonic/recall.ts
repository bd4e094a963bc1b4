import { matchKey, splitMarker } from '../model';
import { SMALL_WORDS } from './smallWords';
import { kindWords } from './kindWords';
import { symbolWords } from './symbolWords';

/** How a code comes to mind: as a word of its text or the name of the thing, by a rule, from consonants, or learnt by heart. */
export type RecallKind = 'word' | 'rule' | 'consonants' | 'arbitrary';

const VOWELS = /[aeiouyäöüàâéèêëîïôûùáíóú]/gu;
const MOST_WORDS = 40;

/**
 * Of what kind a code is to memory. A word: one of the expansion's, or what a symbol or a kind of thing is called. By a rule: the
 * beginning of a word, the initials of words that follow one another, small ones left out or not, the beginnings of two, or one of
 * these or a word with its first letter doubled, or with a letter or digit behind it that tells it from another. Consonants: those
 * of one or more words that follow one another, in their order, beginning with a word's first letter. One letter for a text of several words says nothing.
 *
 * That codes made by one rule come to mind soonest, and those without a rule last: Streeter, Ackroff and Taylor, "On abbreviating
 * command names", Bell System Technical Journal 62 (1983), from memory; the seconds are in `core/effort/assumptions.ts`.
 */
export function recallKindOf(code: string, expansion: string): RecallKind {
  const { mnemonic } = splitMarker(matchKey(code));
  const inner = mnemonic.replaceAll(/[^\p{L}\p{N}\p{M}]/gu, '');
  const { words, kinds } = readOf(expansion);
  // Signs alone: what is typed looks like what comes.
  if (inner === '') return 'word';
  if (words.length === 0 || expansion.length <= 4) {
    if (symbolWords(expansion).some((word) => word === inner || word === mnemonic)) return 'word';
  }
  const single = /^(.)\1./u.test(inner) ? [inner, inner.slice(1)] : [inner];
  if (inner.length === 1 && words.length > 1) return 'arbitrary';
  if (words.includes(inner) || (words.length > 0 && inner === words.join(''))) return 'word';
  if (single.some((one) => isByRule(one, words))) return 'rule';
  // A second of a kind: the same and one more.
  if (inner.length >= 4 && isByRule(inner.slice(0, -1), words)) return 'rule';
  if (kinds().includes(inner)) return 'word';
  return words.some((word, from) => word[0] === inner[0] && areConsonants(inner, words.slice(from).join('')))
    ? 'consonants'
    : 'arbitrary';
}

/** What of a text a code may be made of. */
interface Read {
  readonly expansion: string;
  readonly words: readonly string[];
  readonly kinds: () => readonly string[];
}

/** The text that was asked about last: many codes are weighed for one. */
let last: Read | null = null;

function readOf(expansion: string): Read {
  if (last?.expansion === expansion) return last;
  const words =
    matchKey(expansion)
      .match(/[\p{L}\p{N}][\p{L}\p{N}\p{M}]*/gu)
      ?.slice(0, MOST_WORDS) ?? [];
  let known: readonly string[] | null = null;
  return (last = { expansion, words, kinds: () => (known ??= kindWords(expansion)) });
}

function isByRule(inner: string, words: readonly string[]): boolean {
  if (words.some((word) => word.startsWith(inner))) return true;
  if (inner.length < 2) return false;
  const telling = words.filter((word) => !SMALL_WORDS.has(word));
  return (
    [words, telling].some((some) =>
      some
        .map((word) => word[0]!)
        .join('')
        .includes(inner),
    ) || isOfTwo(inner, telling)
  );
}

/** Whether it is the beginnings of two words that follow one another, two letters or three of each. */
function isOfTwo(inner: string, words: readonly string[]): boolean {
  if (inner.length < 4 || inner.length > 6) return false;
  return words.some((word, at) => {
    const next = words[at + 1];
    return (
      next !== undefined &&
      [2, 3].some((cut) => word.startsWith(inner.slice(0, cut)) && next.startsWith(inner.slice(cut)))
    );
  });
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
