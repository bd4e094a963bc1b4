import type { Vocabulary } from './vocabulary';

/** Words so common that a strange word beside one is likely a slip of it. */
const COMMON = 8_000;

interface Spelling {
  readonly words: ReadonlySet<string>;
  /** The common words, by everything that is left of each when one letter goes. */
  readonly byRest: ReadonlyMap<string, readonly string[]>;
}

const made = new WeakMap<Vocabulary, Spelling>();

/**
 * Deleting one letter on both sides meets every word that is one insertion, deletion, substitution or
 * swap away (the symmetric deletion of W. Garbe 2012; from memory). Made once for each vocabulary.
 */
function spellingOf(vocabulary: Vocabulary): Spelling {
  const known = made.get(vocabulary);
  if (known) return known;
  const byRest = new Map<string, string[]>();
  for (const word of vocabulary.words.slice(0, COMMON)) {
    if (word.length < 4) continue;
    for (const rest of new Set([word, ...restsOf(word)])) {
      const words = byRest.get(rest);
      if (words) words.push(word);
      else byRest.set(rest, [word]);
    }
  }
  const spelling = { words: new Set(vocabulary.words), byRest };
  made.set(vocabulary, spelling);
  return spelling;
}

function restsOf(word: string): string[] {
  return Array.from(word, (_, i) => word.slice(0, i) + word.slice(i + 1));
}

const ENDINGS = ["'s", 's', 'es', 'ed', 'ing', "'"];

/** Whether a language has the word, a plural or a genitive of it counting too. */
export function isWord(word: string, vocabulary: Vocabulary): boolean {
  const { words } = spellingOf(vocabulary);
  const lower = word.toLowerCase();
  return (
    words.has(lower) || ENDINGS.some((ending) => lower.endsWith(ending) && words.has(lower.slice(0, -ending.length)))
  );
}

/** The most frequent common word that is one slip away, or null. */
export function nearestCommonWord(word: string, vocabulary: Vocabulary): string | null {
  const { byRest } = spellingOf(vocabulary);
  const lower = word.toLowerCase();
  const rank = (near: string) => vocabulary.words.indexOf(near);
  const near = [lower, ...restsOf(lower)]
    .flatMap((rest) => byRest.get(rest) ?? [])
    .filter((one) => isOneSlip(lower, one));
  return near.length === 0 ? null : near.reduce((best, one) => (rank(one) < rank(best) ? one : best));
}

/** From this length on a letter left out in one place and put in at another is one slip: tommorow. */
const LONG = 7;

/**
 * Whether one insertion, deletion, substitution or swap of neighbours leads from `a` to `b`, or, where
 * words are long, one letter moved. They share a rest already.
 */
function isOneSlip(a: string, b: string): boolean {
  if (a === b || Math.abs(a.length - b.length) > 1) return false;
  if (Math.min(a.length, b.length) >= LONG) return true;
  let head = 0;
  while (head < a.length && head < b.length && a[head] === b[head]) head += 1;
  let tail = 0;
  while (tail < a.length - head && tail < b.length - head && a.at(-1 - tail) === b.at(-1 - tail)) tail += 1;
  const left = a.slice(head, a.length - tail);
  const right = b.slice(head, b.length - tail);
  if (left.length <= 1 && right.length <= 1) return true;
  return left.length === 2 && right.length === 2 && left[0] === right[1] && left[1] === right[0];
}
