import type { Vocabulary } from '../clash/vocabulary';
import { addedCost, missingCost, replacedCost, SWAPPED_COST } from './slips';
import { WordTrie } from './wordTrie';

/** By so many tenth powers a slip of cost 1 is less likely than none. */
const SCALE = 3.5;
/** No more than this is taken for slips of one word, and not more than so much for each of its letters. */
const MOST = 2.4;
const MOST_A_LETTER = 0.28;
/** Unless a word is so much likelier than the next, in tenth powers, it is not put in: leaving a slip does less harm. */
const MARGIN = 0.55;
/** Keeps the logarithm of a word that was hardly ever counted in bounds, in 10,000 words. */
const RAREST = 1e-3;
/** Shorter ones are too likely meant as they are. */
const SHORTEST = 3;
const LONGEST = 32;

/** Words in small letters, and for each how often it comes in 10,000 words. */
export type SpellerWords = Pick<Vocabulary, 'words' | 'perTenThousand'>;

const made = new WeakMap<SpellerWords, Speller>();

/**
 * Finds what a person meant to type, as keyboards on glass do: the word that makes what stands there likeliest, by how common it is and
 * how likely the slip (the noisy channel of Kernighan, Church & Gale 1990, from memory). Slips are letters replaced, added, left
 * out or swapped (Damerau 1964), each at a cost of its own. Searches a trie, a row of distances for each node, and leaves a branch
 * that can no longer win.
 */
export class Speller {
  private readonly trie: WordTrie;
  private readonly known: ReadonlySet<string>;

  private constructor(vocabulary: SpellerWords) {
    const { words, perTenThousand } = vocabulary;
    this.known = new Set(words);
    this.trie = WordTrie.of(
      words,
      perTenThousand.map((often) => Math.log10(often + RAREST)),
    );
  }

  /** Made once for each vocabulary: some tenths of a second for 60,000 words. */
  static of(vocabulary: SpellerWords): Speller {
    let speller = made.get(vocabulary);
    if (!speller) made.set(vocabulary, (speller = new Speller(vocabulary)));
    return speller;
  }

  isWord(word: string): boolean {
    const small = word.toLowerCase();
    return this.known.has(small) || this.known.has(small.replace(/['’]s?$/u, ''));
  }

  /** The word that was meant, with the capitals it was typed in; null: it is a word, or none is near enough. */
  correctionOf(word: string): string | null {
    if (word.length < SHORTEST || word.length > LONGEST || !/^[\p{L}\p{M}'’]+$/u.test(word)) return null;
    const small = word.toLowerCase();
    const isRaised = word !== small;
    // Capitals further in are somebody’s own: a name, an abbreviation.
    if (isRaised && word.slice(1) !== small.slice(1)) return null;
    if (this.isWord(word)) return null;
    const near = this.nearest(small);
    if (near === null) return null;
    return isRaised ? near.charAt(0).toUpperCase() + near.slice(1) : near;
  }

  private nearest(typed: string): string | null {
    const { units, firstChild, nextSibling, wordAt, best, words, weights } = this.trie;
    const length = typed.length;
    const keys = Array.from({ length }, (_, at) => typed.charCodeAt(at));
    const limit = Math.min(MOST, MOST_A_LETTER * length);
    const added = keys.map((key, at) => addedCost(key, keys[at - 1] ?? NaN, keys[at + 1] ?? NaN, at === 0));
    const rows = [new Float64Array(length + 1)];
    for (let at = 1; at <= length; at += 1) rows[0]![at] = rows[0]![at - 1]! + added[at - 1]!;
    let found = -1;
    let score = -Infinity;
    let next = -Infinity;

    const walk = (parent: number, depth: number, unitBefore: number, leastBefore: number) => {
      const row = rows[depth]!;
      const rowBefore = depth > 0 ? rows[depth - 1]! : null;
      const below = (rows[depth + 1] ??= new Float64Array(length + 1));
      for (let node = firstChild[parent]!; node !== -1; node = nextSibling[node]!) {
        const unit = units[node]!;
        const missing = missingCost(unit, unitBefore, depth === 0);
        const missingLater = depth === 0 ? missingCost(unit, unitBefore, false) : missing;
        below[0] = row[0]! + missing;
        let least = below[0];
        for (let at = 1; at <= length; at += 1) {
          const key = keys[at - 1]!;
          let cost = row[at - 1]! + (key === unit ? 0 : replacedCost(key, unit, depth === 0 && at === 1));
          const left = row[at]! + (at === 1 ? missing : missingLater);
          if (left < cost) cost = left;
          const more = below[at - 1]! + added[at - 1]!;
          if (more < cost) cost = more;
          if (rowBefore && at > 1 && key === unitBefore && keys[at - 2] === unit && key !== unit) {
            const swapped = rowBefore[at - 2]! + SWAPPED_COST;
            if (swapped < cost) cost = swapped;
          }
          below[at] = cost;
          if (cost < least) least = cost;
        }
        // A swap goes on from the row above.
        const bound = Math.min(least, leastBefore + SWAPPED_COST);
        if (bound > limit || best[node]! - SCALE * bound < score - MARGIN) continue;
        const word = wordAt[node]!;
        if (word >= 0 && below[length]! <= limit) {
          const one = weights[word]! - SCALE * below[length]!;
          if (one > score) {
            next = score;
            score = one;
            found = word;
          } else if (one > next) next = one;
        }
        walk(node, depth + 1, unit, least);
      }
    };
    walk(0, 0, NaN, 0);
    return found < 0 || score - next < MARGIN ? null : words[found]!;
  }
}
