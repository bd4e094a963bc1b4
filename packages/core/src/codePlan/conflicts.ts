import { SlipIndex } from '../clash/slips';
import { isDelimiter } from '../fire';

/** Keys that get in each other's way, by the index of a key. */
export interface KeyConflicts {
  /** Drawn alike, or one slip of the finger apart. */
  readonly alike: (key: number) => Int32Array;
  /** Those that this key goes on from; a conflict where the shorter one expands as soon as it is typed. */
  readonly shorter: (key: number) => Int32Array;
  /** Those that go on from this key. */
  readonly longer: (key: number) => Int32Array;
  /** Those of which one is the other up to a character that ends a code: the shorter always goes first. */
  readonly cut: (key: number) => Int32Array;
}

/** At most so many keys one slip away are kept of each. */
const MOST_SLIPS = 64;

/**
 * Which of some match keys, all different, conflict. `present`: keys that the list has now; two of them may stay one slip apart,
 * as they have been. `skeletonOf`: what a key is drawn like. Cost: linear in the letters of the keys, but for what it finds.
 */
export function conflictsOf(
  keys: readonly string[],
  present: ReadonlySet<string>,
  skeletonOf: ((key: string) => string) | null,
): KeyConflicts {
  const index = new Map(keys.map((key, at) => [key, at]));
  const alike = new Pairs(keys.length);
  const shorter = new Pairs(keys.length);
  const longer = new Pairs(keys.length);
  const cut = new Pairs(keys.length);
  const slips = new SlipIndex(new Set(keys));
  const drawn = new Map<string, number[]>();
  keys.forEach((key, at) => {
    for (const { key: other } of slips.slipsOf(key, MOST_SLIPS)) {
      const to = index.get(other)!;
      if (present.has(key) && present.has(other)) continue;
      alike.add(at, to);
      alike.add(to, at);
    }
    for (let length = 1; length < key.length; length += 1) {
      const to = index.get(key.slice(0, length));
      if (to === undefined) continue;
      shorter.add(at, to);
      longer.add(to, at);
      if (isDelimiter(key[length]!)) {
        cut.add(at, to);
        cut.add(to, at);
      }
    }
    if (!skeletonOf) return;
    const skeleton = skeletonOf(key);
    const others = drawn.get(skeleton);
    if (!others) drawn.set(skeleton, [at]);
    else {
      for (const other of others) {
        alike.add(at, other);
        alike.add(other, at);
      }
      others.push(at);
    }
  });
  return { alike: alike.reader(), shorter: shorter.reader(), longer: longer.reader(), cut: cut.reader() };
}

const NONE = new Int32Array(0);

/** Lists of numbers by number, most of them empty. */
class Pairs {
  private readonly lists: (number[] | undefined)[];

  constructor(count: number) {
    this.lists = new Array<number[] | undefined>(count);
  }

  add(from: number, to: number): void {
    const list = this.lists[from];
    if (!list) this.lists[from] = [to];
    else if (!list.includes(to)) list.push(to);
  }

  reader(): (key: number) => Int32Array {
    const lists = this.lists.map((list) => (list ? Int32Array.from(list) : undefined));
    return (key) => lists[key] ?? NONE;
  }
}
