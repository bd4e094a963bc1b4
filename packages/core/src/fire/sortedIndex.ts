import type { Folded } from './fold';
import type { FiringEntry } from './rules';

/** An entry under its match key. */
export interface Keyed {
  readonly key: string;
  readonly entry: FiringEntry;
}

/** The order of keys, and among equal ones of age: ids are UUIDv7 and sort by it. */
export function byKeyAndAge(a: Keyed, b: Keyed): number {
  if (a.key !== b.key) return a.key < b.key ? -1 : 1;
  return a.entry.id < b.entry.id ? -1 : a.entry.id > b.entry.id ? 1 : 0;
}

/** The order of offers: by use, then shortest, then by code. */
export function byOffer(a: Keyed, b: Keyed): number {
  if (a.entry.uses !== b.entry.uses) return b.entry.uses - a.entry.uses;
  if (a.key.length !== b.key.length) return a.key.length - b.key.length;
  return byKeyAndAge(a, b);
}

/**
 * Many codes, in the order of their keys, ready to be asked for three things: those equal to a
 * stretch of folded text, those that begin with it, and the best offers among these.
 *
 * Equal codes are found by a hash of the stretch taken from its end, so that one walk backward over
 * a text hashes all stretches that end there. Beginnings are found by their first two units and a
 * binary search among those that share them; the best of a range by a tree of range minima.
 *
 * Memory beyond keys and entries: 4 bytes a code for the references, 8 to 16 for the hash table, 4 for
 * the rank and 8 for the tree: at most 40 bytes, and 12 for each pair of first units.
 */
export class SortedIndex {
  readonly longest: number;
  private readonly table: Int32Array;
  private readonly mask: number;
  private readonly pairs: Map<number, number>;
  /** Position by rank, and a tree whose node holds the least rank below it. */
  private readonly byRank: Int32Array;
  private readonly tree: Int32Array;
  private readonly leaves: number;

  /** `items` in the order of `byKeyAndAge`. O(n log n). */
  constructor(readonly items: readonly Keyed[]) {
    const count = items.length;
    let size = 4;
    while (size < count * 2) size *= 2;
    this.mask = size - 1;
    this.table = new Int32Array(size).fill(-1);
    this.pairs = new Map();
    let longest = 0;
    for (let i = 0; i < count; i += 1) {
      const { key } = items[i]!;
      longest = Math.max(longest, key.length);
      const pair = pairOf(key.charCodeAt(0), key.length > 1 ? key.charCodeAt(1) : 0);
      if (!this.pairs.has(pair)) this.pairs.set(pair, i);
      if (i > 0 && items[i - 1]!.key === key) continue;
      let slot = scramble(hashOf(key)) & this.mask;
      while (this.table[slot] !== -1) slot = (slot + 1) & this.mask;
      this.table[slot] = i;
    }
    this.longest = longest;

    this.byRank = Int32Array.from(items.keys()).sort((a, b) => byOffer(items[a]!, items[b]!));
    this.leaves = Math.max(1, count);
    this.tree = new Int32Array(this.leaves * 2).fill(count);
    this.byRank.forEach((position, rank) => (this.tree[this.leaves + position] = rank));
    for (let node = this.leaves - 1; node > 0; node -= 1) {
      this.tree[node] = Math.min(this.tree[node * 2]!, this.tree[node * 2 + 1]!);
    }
  }

  /** The first position whose key equals the stretch from `from` to the end; -1: none. */
  findEqual(folded: Folded, from: number, hash: number): number {
    const length = folded.length - from;
    let slot = scramble(hash) & this.mask;
    for (let at = this.table[slot]!; at !== -1; at = this.table[slot]!) {
      const { key } = this.items[at]!;
      if (key.length === length && compare(key, folded, from) === 0) return at;
      slot = (slot + 1) & this.mask;
    }
    return -1;
  }

  /**
   * The positions of the keys that begin with the stretch from `from` on: those equal to it from
   * `low` up to `longer`, longer ones from there up to `high`.
   */
  rangeOf(folded: Folded, from: number): { low: number; longer: number; high: number } {
    const start = this.startOf(folded, from);
    if (start === -1) return { low: 0, longer: 0, high: 0 };
    const low = this.bound(folded, from, Past.Nothing, start);
    if (low === this.items.length || compare(this.items[low]!.key, folded, from) !== 0) {
      return { low, longer: low, high: low };
    }
    const longer = this.bound(folded, from, Past.Equal, low);
    return { low, longer, high: this.bound(folded, from, Past.Beginning, longer) };
  }

  /** Whether some key begins with the stretch, or equals it. */
  hasBeginning(folded: Folded, from: number): boolean {
    const start = this.startOf(folded, from);
    if (start === -1) return false;
    const at = this.bound(folded, from, Past.Nothing, start);
    return at < this.items.length && compare(this.items[at]!.key, folded, from) === 0;
  }

  /** A position at or before the keys that begin with the stretch; -1: there are none. */
  private startOf(folded: Folded, from: number): number {
    if (folded.length - from < 2) return 0;
    return this.pairs.get(pairOf(folded.units[from]!, folded.units[from + 1]!)) ?? -1;
  }

  /** Positions within `[from, to)`, best offers first, until `visit` has enough (returns false). */
  best(from: number, to: number, visit: (item: Keyed) => boolean): void {
    // Ranges still to be looked into, each with its least rank; few, so the least is just sought.
    const open = [{ from, to, rank: this.leastRank(from, to) }];
    while (open.length > 0) {
      let least = 0;
      for (let i = 1; i < open.length; i += 1) if (open[i]!.rank < open[least]!.rank) least = i;
      const [range] = open.splice(least, 1);
      if (!range || range.rank >= this.items.length) return;
      const position = this.byRank[range.rank]!;
      if (!visit(this.items[position]!)) return;
      for (const [start, end] of [
        [range.from, position],
        [position + 1, range.to],
      ] as const) {
        if (start < end) open.push({ from: start, to: end, rank: this.leastRank(start, end) });
      }
    }
  }

  private leastRank(from: number, to: number): number {
    let least = this.items.length;
    let low = from + this.leaves;
    let high = to + this.leaves;
    while (low < high) {
      if (low & 1) least = Math.min(least, this.tree[low++]!);
      if (high & 1) least = Math.min(least, this.tree[--high]!);
      low >>= 1;
      high >>= 1;
    }
    return least;
  }

  /** The first position from `start` on whose key lies past what `past` names. */
  private bound(folded: Folded, from: number, past: Past, start: number): number {
    const length = folded.length - from;
    const lies = (position: number) => {
      const { key } = this.items[position]!;
      const order = compare(key, folded, from);
      if (order !== 0) return order > 0;
      return past === Past.Nothing || (past === Past.Equal && key.length > length);
    };
    let low = start;
    let high = this.items.length;
    // Gallop: what shares its first units lies close together.
    for (let step = 1; low < high; step *= 2) {
      const probe = Math.min(low + step, high) - 1;
      if (lies(probe)) {
        high = probe;
        break;
      }
      low = probe + 1;
    }
    while (low < high) {
      const middle = (low + high) >> 1;
      if (lies(middle)) high = middle;
      else low = middle + 1;
    }
    return low;
  }
}

/** What a bound lies behind: the keys before the stretch, also those equal to it, also those that begin with it. */
enum Past {
  Nothing,
  Equal,
  Beginning,
}

function pairOf(first: number, second: number): number {
  return first * 0x10000 + second;
}

/** One step of the hash of a stretch, taken from its end: units before come later. */
export function hashStep(hash: number, unit: number): number {
  return (Math.imul(hash, 0x01000193) ^ unit) | 0;
}

function hashOf(key: string): number {
  let hash = 0;
  for (let i = key.length - 1; i >= 0; i -= 1) hash = hashStep(hash, key.charCodeAt(i));
  return hash;
}

function scramble(hash: number): number {
  const mixed = Math.imul(hash ^ (hash >>> 15), 0x85ebca6b);
  return (mixed ^ (mixed >>> 13)) >>> 0;
}

/** Negative, positive, or 0: the key lies before or after the stretch, or begins with it. */
export function compare(key: string, folded: Folded, from: number): number {
  const length = folded.length - from;
  const shared = Math.min(key.length, length);
  for (let i = 0; i < shared; i += 1) {
    const difference = key.charCodeAt(i) - folded.units[from + i]!;
    if (difference !== 0) return difference;
  }
  return key.length < length ? -1 : 0;
}
