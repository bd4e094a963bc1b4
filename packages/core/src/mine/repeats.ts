import { commonPrefixes, suffixArray } from './suffixArray';

/** A row of words that stands in a text more than once, and cannot be made longer to either side without standing there less often. */
export interface Repeat {
  /** How many words. */
  readonly length: number;
  /** Where it stands: places in the row, by their order in the suffix array, of which it is a part. */
  readonly places: Int32Array;
}

/** Which repeats are looked for, in words and times. `isWanted` is asked of each with one of its places. */
interface Bounds {
  readonly shortest: number;
  readonly longest: number;
  readonly least: number;
  readonly isWanted?: (length: number, count: number, place: number) => boolean;
}

/** An interval of the suffix array that is being read: all its suffixes have `length` words in common. */
interface Open {
  length: number;
  from: number;
  /** The word before all of them; several: different ones. */
  before: number;
}

const SEVERAL = -2;
/** Before the first word stands none. */
const NOTHING = -1;

/**
 * All maximal repeats of a row (Gusfield, "Algorithms on strings, trees, and sequences", 1997, section 7.12; found on the suffix
 * array as by Abouelhoda, Kurtz and Ohlebusch 2004) of `shortest` to `longest` words that stand there `least` times or more.
 * Linear in the row, beside the places given. `words` are below `size`.
 */
export function maximalRepeats(
  words: Int32Array,
  size: number,
  { shortest, longest, least, isWanted }: Bounds,
): Repeat[] {
  const array = suffixArray(words, size);
  const common = commonPrefixes(words, array);
  const before = (at: number) => (array[at]! === 0 ? NOTHING : words[array[at]! - 1]!);
  const found: Repeat[] = [];
  const open: Open[] = [{ length: 0, from: 0, before: SEVERAL }];
  const close = (interval: Open, to: number) => {
    const { length, from } = interval;
    if (length < shortest || length > longest || to - from < least) return;
    if (isWanted && !isWanted(length, to - from, array[from]!)) return;
    // A word that stands before every one of them belongs to it.
    if (interval.before === SEVERAL || interval.before === NOTHING)
      found.push({ length, places: array.subarray(from, to) });
  };
  for (let at = 1; at <= words.length; at += 1) {
    const length = at < words.length ? common[at]! : 0;
    let from = at - 1;
    let joined = before(at - 1);
    while (open.at(-1)!.length > length) {
      const interval = open.pop()!;
      interval.before = merged(interval.before, joined);
      close(interval, at);
      joined = interval.before;
      from = interval.from;
    }
    const top = open.at(-1)!;
    if (top.length === length) top.before = merged(top.before, joined);
    else open.push({ length, from, before: joined });
  }
  return found;
}

function merged(a: number, b: number): number {
  return a === b ? a : SEVERAL;
}
