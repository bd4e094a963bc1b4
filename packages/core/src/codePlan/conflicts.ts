import { SlipIndex } from '../clash/slips';
import { isDelimiter } from '../fire';

/** Keys that get in each other's way, by the index of a key. Worked out when first asked: most keys are never weighed. */
export interface KeyConflicts {
  /** Drawn alike, or one slip of the finger apart; and of two of which one is the other up to a character that ends a code, the other. */
  readonly always: (key: number) => readonly number[];
  /** Those that this key goes on from; a conflict where the shorter one expands as soon as it is typed. */
  readonly shorter: (key: number) => readonly number[];
  /** Those that go on from this key. */
  readonly longer: (key: number) => readonly number[];
}

/** At most so many keys one slip away are kept of each. */
const MOST_SLIPS = 64;

/**
 * Which of some match keys, all different, conflict. `present`: keys that the list has now; two of them may stay one slip apart,
 * as they have been. `skeletonOf`: what a key is drawn like; null: look-alikes are not looked for. Cost: linear in the letters of
 * the keys and their order; of each key that is asked about, what it finds.
 */
export function conflictsOf(
  keys: readonly string[],
  present: ReadonlySet<string>,
  skeletonOf: ((key: string) => string) | null,
): KeyConflicts {
  const index = new Map(keys.map((key, at) => [key, at]));
  const sorted = [...keys].sort();
  const slips = new SlipIndex(new Set(keys));
  const drawn = skeletonOf && groupsBy(keys, skeletonOf);

  const shorterOf = (at: number): number[] => {
    const key = keys[at]!;
    const found: number[] = [];
    for (let length = 1; length < key.length; length += 1) {
      const other = index.get(key.slice(0, length));
      if (other !== undefined) found.push(other);
    }
    return found;
  };
  const longerOf = (at: number): number[] => {
    const key = keys[at]!;
    const found: number[] = [];
    for (let next = placeAfter(sorted, key); sorted[next]?.startsWith(key); next += 1)
      found.push(index.get(sorted[next]!)!);
    return found;
  };
  const shorter = remembered(keys.length, shorterOf);
  const longer = remembered(keys.length, longerOf);
  const alwaysOf = (at: number): number[] => {
    const key = keys[at]!;
    const isPresent = present.has(key);
    const found = new Set<number>();
    for (const { key: other } of slips.slipsOf(key, MOST_SLIPS)) {
      if (!isPresent || !present.has(other)) found.add(index.get(other)!);
    }
    for (const other of drawn?.(key) ?? []) if (other !== at) found.add(other);
    for (const other of shorter(at)) if (isDelimiter(key[keys[other]!.length]!)) found.add(other);
    for (const other of longer(at)) if (isDelimiter(keys[other]![key.length]!)) found.add(other);
    return [...found];
  };
  return { always: remembered(keys.length, alwaysOf), shorter, longer };
}

/** The answers of a question about numbers, each worked out once. */
function remembered(count: number, ask: (at: number) => readonly number[]): (at: number) => readonly number[] {
  const known = new Array<readonly number[] | undefined>(count);
  return (at) => (known[at] ??= ask(at));
}

/** Where in an order what comes after a key begins. */
function placeAfter(sorted: readonly string[], key: string): number {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! <= key) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** Those of some keys that something names alike. */
function groupsBy(keys: readonly string[], nameOf: (key: string) => string): (key: string) => readonly number[] {
  const groups = new Map<string, number[]>();
  keys.forEach((key, at) => {
    const name = nameOf(key);
    const group = groups.get(name);
    if (group) group.push(at);
    else groups.set(name, [at]);
  });
  return (key) => groups.get(nameOf(key)) ?? [];
}
