import { distance } from 'fastest-levenshtein';

import { compareUnits } from '../model';

/** What is looked for beside the words. */
export interface Looking {
  /** Whether a word must stand there whole: otherwise one that begins with it will do. */
  readonly areWhole: boolean;
  /** Items that are found already. */
  readonly skipped: readonly number[];
  /** So many of each sort are handed on. */
  readonly most: number;
  /** Whether one that has all words whole goes before others that have. */
  readonly goesFirst: (item: number) => boolean;
}

export interface Called {
  /** Items: those that go first, those that have all words whole, the rest; in each sort in their order. */
  readonly first: readonly number[];
  /** How many there are in all. */
  readonly count: number;
}

/** How an item has a word: not at all (0), one that begins with it, the word itself. */
const BEGUN = 1;
const WHOLE = 2;

/** A word this long may be misspelt by a letter, one twice as long by two. */
const LEAST_MISSPELT = 4;

/** Words that begin alike: the first, the one behind the last, the one that is nothing more (-1: none), and how many postings they have. */
interface WordRange {
  readonly from: number;
  readonly to: number;
  readonly whole: number;
  readonly postings: number;
}

/**
 * An inverted index: words in order with their postings, looked up by bisection, so that every beginning of a word finds it. Items
 * are numbers from 0. A search costs the postings of its rarest word, the words of the items that have it, and a byte for each item.
 */
export class WordIndex {
  /** Words in order, and where the postings of each begin. */
  private readonly words: readonly string[];
  private readonly starts: Int32Array;
  private readonly postings: Int32Array;
  /** Where the words of each item begin, and those words. */
  private readonly itemStarts: Int32Array;
  private readonly wordsOfItems: Int32Array;
  /** During a search: how each item has the rarest word; the same, four at a time, since most have it not. */
  private readonly has: Uint8Array;
  private readonly hasByFour: Uint32Array;

  /** `wordsOf`: the words of each item. */
  constructor(wordsOf: readonly (readonly string[])[]) {
    const lists = new Map<string, number[]>();
    wordsOf.forEach((words, item) => {
      for (const word of words) {
        const list = lists.get(word);
        if (!list) lists.set(word, [item]);
        else if (list.at(-1) !== item) list.push(item);
      }
    });
    this.words = [...lists.keys()].sort(compareUnits);
    const inOrder = this.words.map((word) => lists.get(word)!);
    this.starts = startsOf(inOrder.map(({ length }) => length));
    this.postings = new Int32Array(this.starts.at(-1)!);
    inOrder.forEach((list, word) => this.postings.set(list, this.starts[word]));
    const counts = new Int32Array(wordsOf.length);
    for (const item of this.postings) counts[item]! += 1;
    this.itemStarts = startsOf(counts);
    this.wordsOfItems = new Int32Array(this.postings.length);
    const next = this.itemStarts.slice();
    inOrder.forEach((list, word) => {
      for (const item of list) this.wordsOfItems[next[item]!++] = word;
    });
    this.has = new Uint8Array(Math.ceil(wordsOf.length / 4) * 4);
    this.hasByFour = new Uint32Array(this.has.buffer);
  }

  /** The items that have every word. */
  find(words: readonly string[], { areWhole, skipped, most, goesFirst }: Looking): Called {
    if (words.length === 0) return { first: [], count: 0 };
    // The rarest first: of what has it only its own few words are looked at for the others.
    const ranges = words
      .map((word) => this.rangeOf(word, areWhole))
      .sort((one, other) => one.postings - other.postings);
    this.markRarest(ranges[0]!);
    const { has, hasByFour } = this;
    for (const item of skipped) has[item] = 0;
    const [firsts, whole, begun]: [number[], number[], number[]] = [[], [], []];
    let count = 0;
    for (let item = 0; item < has.length; item += 1) {
      if ((item & 3) === 0 && hasByFour[item >> 2] === 0) {
        item += 3;
        continue;
      }
      let least = has[item]!;
      for (let other = 1; least > 0 && other < ranges.length; other += 1) {
        least = Math.min(least, this.holds(item, ranges[other]!));
      }
      if (least === 0) continue;
      count += 1;
      const among = least === WHOLE ? whole : begun;
      if (least === WHOLE && goesFirst(item)) firsts.push(item);
      else if (among.length < most) among.push(item);
    }
    return { first: [...firsts, ...whole, ...begun], count };
  }

  /** The word that is nearest to one that nothing begins with; null: none is near. */
  nearest(word: string): string | null {
    if (word.length < LEAST_MISSPELT) return null;
    if (this.words[this.firstFrom(word)]?.startsWith(word)) return word;
    const most = word.length >= 2 * LEAST_MISSPELT ? 2 : 1;
    let best: { word: string; slips: number; uses: number } | null = null;
    // A slip is hardly ever in the first letter.
    for (let index = this.firstFrom(word[0]!); this.words[index]?.[0] === word[0]; index += 1) {
      const other = this.words[index]!;
      if (Math.abs(other.length - word.length) > most) continue;
      const slips = isSwapped(word, other) ? 1 : distance(word, other);
      const uses = this.starts[index + 1]! - this.starts[index]!;
      if (slips > most || (best && (slips > best.slips || (slips === best.slips && uses <= best.uses)))) continue;
      best = { word: other, slips, uses };
    }
    return best?.word ?? null;
  }

  /** The first word that does not stand before this one. */
  private firstFrom(word: string): number {
    let low = 0;
    let high = this.words.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.words[middle]! < word) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** Marks the items that have a word of a range. */
  private markRarest({ from, to, whole }: WordRange): void {
    const { has, starts, postings } = this;
    has.fill(0);
    for (let word = from; word < to; word += 1) {
      const end = starts[word + 1]!;
      for (let i = starts[word]!; i < end; i += 1) {
        const item = postings[i]!;
        if (has[item] !== WHOLE) has[item] = word === whole ? WHOLE : BEGUN;
      }
    }
  }

  /** The words that begin with one, and it itself, if it is a word; `areWhole`: that one alone. */
  private rangeOf(word: string, areWhole: boolean): WordRange {
    const from = this.firstFrom(word);
    const whole = this.words[from] === word ? from : -1;
    const only = whole < 0 ? from : from + 1;
    const to = areWhole ? only : this.firstFrom(`${word}\uffff`);
    return { from, to, whole, postings: this.starts[to]! - this.starts[from]! };
  }

  /** Whether an item has a word of a range: the whole one, one that begins so, or none (0). */
  private holds(item: number, { from, to, whole }: WordRange): number {
    let best = 0;
    for (let i = this.itemStarts[item]!; i < this.itemStarts[item + 1]!; i += 1) {
      const word = this.wordsOfItems[i]!;
      if (word === whole) return WHOLE;
      if (word >= from && word < to) best = BEGUN;
    }
    return best;
  }
}

/** Where each of several lists begins in one, and where the last ends. */
function startsOf(lengths: ArrayLike<number>): Int32Array {
  const starts = new Int32Array(lengths.length + 1);
  for (let index = 0; index < lengths.length; index += 1) starts[index + 1] = starts[index]! + lengths[index]!;
  return starts;
}

/** Whether two words differ by two letters that stand side by side the other way round. */
function isSwapped(a: string, b: string): boolean {
  if (a.length !== b.length) return false;
  const at = [...a].findIndex((letter, index) => letter !== b[index]);
  return at >= 0 && a[at] === b[at + 1] && a[at + 1] === b[at] && a.slice(at + 2) === b.slice(at + 2);
}
