import type { CompiledList } from '../fire';
import { ContextCorpus, firstOf, type Hit } from './contextCorpus';
import { MOST_EXAMPLES, type WordExample } from './finding';
import type { Vocabulary } from './vocabulary';

/** Where in a word a code fires. */
export type InWord = 'whole' | 'beginning' | 'inside';
const KINDS: readonly InWord[] = ['whole', 'beginning', 'inside'];

/** Misfires of one code in one language: in 10,000 words, and the words, most frequent first. */
export interface WordMisfires {
  perTenThousand: number;
  words: number;
  examples: WordExample[];
}

/** The index of an item that fires by mistake, by its id and whether it is all of a word; less than 0: it is none of ours, or meant. */
export type Misfiring = (id: string, isWhole: boolean) => number;

/** No word, no item. */
export const NONE = -1;
const corpora = new WeakMap<Vocabulary, ContextCorpus>();

/** The words of a vocabulary as a corpus; made once, since a vocabulary stays. */
export function bankOf(vocabulary: Vocabulary): ContextCorpus {
  let corpus = corpora.get(vocabulary);
  if (!corpus) corpora.set(vocabulary, (corpus = new ContextCorpus(vocabulary.words, true)));
  return corpus;
}

/**
 * For every word of a language the code that fires when it is typed, on one device. Each word is
 * counted once, for the code that fires first. 5 bytes a word.
 */
export class WordHits {
  /** The index of the item that fires; NONE. */
  private readonly winners: Int32Array;
  private readonly kinds: Uint8Array;

  constructor(
    readonly vocabulary: Vocabulary,
    /** What part of what the person writes is in this language. */
    readonly share: number,
  ) {
    this.winners = new Int32Array(vocabulary.words.length).fill(NONE);
    this.kinds = new Uint8Array(vocabulary.words.length);
  }

  /** Looks all words up in a list. */
  scan(list: CompiledList, indexOf: Misfiring): void {
    this.winners.fill(NONE);
    bankOf(this.vocabulary).scanFirsts(list, (word, first) => this.set(word, first, indexOf));
  }

  private set(word: number, { start, end, entry }: Hit, indexOf: Misfiring): void {
    const { length } = this.vocabulary.words[word]!;
    const isWhole = start === 0 && end === length;
    this.winners[word] = Math.max(NONE, indexOf(entry.id, isWhole));
    const atStart = isWhole ? 0 : 1;
    this.kinds[word] = start > 0 ? 2 : atStart;
  }

  /** Looks some of the words up again; gives the indices of the items it concerns. */
  refresh(list: CompiledList, wordsToSee: readonly number[], indexOf: Misfiring): Set<number> {
    const touched = new Set<number>();
    for (const word of wordsToSee) {
      const first = firstOf(bankOf(this.vocabulary).hitsIn(list, word), list.profile);
      const before = this.winners[word]!;
      this.winners[word] = NONE;
      if (first) this.set(word, first, indexOf);
      touched.add(before).add(this.winners[word]);
    }
    touched.delete(NONE);
    return touched;
  }

  /** The index of the item that fires in a word; NONE: nothing does, or it is meant. */
  winnerOf(word: number): number {
    return this.winners[word] ?? NONE;
  }

  /** The misfires of every item that has any, or of those asked for, by index and part of a word. */
  tally(only?: ReadonlySet<number>): Map<number, Partial<Record<InWord, WordMisfires>>> {
    const tally = new Map<number, Partial<Record<InWord, WordMisfires>>>();
    const { words, perTenThousand, language } = this.vocabulary;
    for (let word = 0; word < this.winners.length; word += 1) {
      const index = this.winners[word]!;
      if (index === NONE || (only && !only.has(index))) continue;
      let ofItem = tally.get(index);
      if (!ofItem) tally.set(index, (ofItem = {}));
      const misfires = (ofItem[KINDS[this.kinds[word]!]!] ??= { perTenThousand: 0, words: 0, examples: [] });
      const frequency = perTenThousand[word]! * this.share;
      misfires.perTenThousand += frequency;
      misfires.words += 1;
      if (misfires.examples.length < MOST_EXAMPLES) {
        misfires.examples.push({ word: words[word]!, language, perTenThousand: frequency });
      }
    }
    return tally;
  }

  /** The misfires of all codes together, in 10,000 words. */
  get sum(): number {
    let sum = 0;
    const { perTenThousand } = this.vocabulary;
    for (let word = 0; word < this.winners.length; word += 1) {
      if (this.winners[word] !== NONE) sum += perTenThousand[word]!;
    }
    return sum * this.share;
  }
}
