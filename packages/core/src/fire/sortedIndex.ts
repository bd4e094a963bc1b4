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

/** The most offers that are remembered for a range. */
const REMEMBERED = 8;
/** Ranges up to this size are looked through one by one. */
const SMALL = 16;

/** Positions of the keys equal to a stretch, from `low`, and of longer ones that begin with it. */
export interface KeyRange {
  low: number;
  longer: number;
  high: number;
}

/**
 * Many codes, in the order of their keys, ready to be asked for three things: those equal to a
 * stretch of folded text, those that begin with it, and the best offers among these.
 *
 * Equal codes are found by a hash of the stretch taken from its end, so that one walk backward over
 * a text hashes all stretches that end there. Beginnings are found by binary search over the keys'
 * first four units, packed into one number each, and beyond these over the keys. The best of a range
 * come from a tree of range minima and are remembered for the large ranges asked for.
 *
 * Memory beyond keys and entries: 16 bytes a code for the references, 4 for the first units, 10 to 20
 * for the hash table, 12 for ranks: about 50 bytes.
 */
export class SortedIndex {
  readonly keys: readonly string[];
  readonly entries: readonly FiringEntry[];
  readonly longest: number;
  private readonly heads: Uint32Array;
  private readonly table: Int32Array;
  private readonly prints: Uint8Array;
  private readonly mask: number;
  /** Position by rank, and a tree whose node holds the least rank below it. */
  private readonly byRank: Int32Array;
  private readonly tree: Int32Array;
  private readonly leaves: number;
  private readonly remembered = new Map<number, readonly number[]>();

  /** `items` in the order of `byKeyAndAge`. O(n log n). */
  constructor(items: readonly Keyed[]) {
    const count = items.length;
    this.keys = items.map(({ key }) => key);
    this.entries = items.map(({ entry }) => entry);
    this.longest = this.keys.reduce((longest, { length }) => Math.max(longest, length), 0);
    this.heads = Uint32Array.from(this.keys, headOf);
    let size = 4;
    while (size < count * 2) size *= 2;
    this.mask = size - 1;
    this.table = new Int32Array(size).fill(-1);
    this.prints = new Uint8Array(size);
    for (let i = 0; i < count; i += 1) {
      if (i > 0 && this.keys[i - 1] === this.keys[i]) continue;
      const hash = scramble(hashOf(this.keys[i]!));
      let slot = hash & this.mask;
      while (this.table[slot] !== -1) slot = (slot + 1) & this.mask;
      this.table[slot] = i;
      this.prints[slot] = hash >>> 24;
    }
    this.byRank = Int32Array.from(items.keys()).sort((x, y) => byOffer(items[x]!, items[y]!));
    this.leaves = Math.max(1, count);
    this.tree = new Int32Array(this.leaves * 2).fill(count);
    this.byRank.forEach((position, rank) => (this.tree[this.leaves + position] = rank));
    for (let node = this.leaves - 1; node > 0; node -= 1) {
      this.tree[node] = Math.min(this.tree[node * 2]!, this.tree[node * 2 + 1]!);
    }
  }

  get size(): number {
    return this.keys.length;
  }

  /** The codes under their keys, in order. */
  items(): Keyed[] {
    return this.keys.map((key, i) => ({ key, entry: this.entries[i]! }));
  }

  /** The first position whose key equals the stretch from `from` to the end; -1: none. */
  findEqual(folded: Folded, from: number, hash: number): number {
    const length = folded.length - from;
    const mixed = scramble(hash);
    const print = mixed >>> 24;
    let slot = mixed & this.mask;
    for (let at = this.table[slot]!; at !== -1; at = this.table[slot]!) {
      if (this.prints[slot] === print) {
        const key = this.keys[at]!;
        if (key.length === length && compare(key, folded, from) === 0) return at;
      }
      slot = (slot + 1) & this.mask;
    }
    return -1;
  }

  /** The positions of the keys that begin with the stretch from `from` on. */
  rangeOf(folded: Folded, from: number): KeyRange {
    const length = folded.length - from;
    const known = Math.min(length, HEAD);
    let head = 0;
    let isPacked = length <= HEAD;
    for (let i = 0; i < HEAD; i += 1) {
      const unit = i < known ? folded.units[from + i]! : 0;
      if (unit >= 0xff) isPacked = false;
      head = head * 0x100 + Math.min(unit, 0xff);
    }
    const low = this.headBound(head, 0, this.size);
    const high = this.headBound(head + 0x100 ** (HEAD - known), low, this.size);
    if (low === high) return { low, longer: low, high };
    if (isPacked) {
      // A key that ends before its fourth unit is padded with zeros, which no key holds.
      const equal = length < HEAD ? this.headBound(head + 1, low, high) : high;
      return { low, longer: length < HEAD ? equal : this.pastEqual(length, low, high), high };
    }
    const first = this.bound(folded, from, Past.Nothing, low, high);
    const longer = this.bound(folded, from, Past.Equal, first, high);
    return { low: first, longer, high: this.bound(folded, from, Past.Beginning, longer, high) };
  }

  /** The positions in `[from, to)` of the best offers, best first: at most `limit` of them. */
  bestOf(from: number, to: number, limit: number): readonly number[] {
    if (to - from <= SMALL) {
      const { tree, leaves } = this;
      const all = Array.from({ length: to - from }, (_, i) => from + i);
      return all.sort((a, b) => tree[leaves + a]! - tree[leaves + b]!).slice(0, limit);
    }
    if (limit > REMEMBERED) return this.search(from, to, limit);
    const name = from * 0x4000000 + to;
    let best = this.remembered.get(name);
    if (!best) {
      best = this.search(from, to, REMEMBERED);
      this.remembered.set(name, best);
    }
    return limit < best.length ? best.slice(0, limit) : best;
  }

  private search(from: number, to: number, limit: number): number[] {
    const best: number[] = [];
    // Ranges still to be looked into, each with its least rank; few, so the least is just sought.
    const open = [{ from, to, rank: this.leastRank(from, to) }];
    while (open.length > 0 && best.length < limit) {
      let least = 0;
      for (let i = 1; i < open.length; i += 1) if (open[i]!.rank < open[least]!.rank) least = i;
      const range = open.splice(least, 1)[0]!;
      const position = this.byRank[range.rank]!;
      best.push(position);
      for (const [start, end] of [
        [range.from, position],
        [position + 1, range.to],
      ] as const) {
        if (start < end) open.push({ from: start, to: end, rank: this.leastRank(start, end) });
      }
    }
    return best;
  }

  private leastRank(from: number, to: number): number {
    let least = this.size;
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

  private headBound(head: number, from: number, to: number): number {
    let low = from;
    let high = to;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.heads[middle]! < head) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  private pastEqual(length: number, from: number, to: number): number {
    let low = from;
    let high = to;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.keys[middle]!.length <= length) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** The first position in `[from, to)` whose key lies past what `past` names. */
  private bound(folded: Folded, start: number, past: Past, from: number, to: number): number {
    const length = folded.length - start;
    let low = from;
    let high = to;
    while (low < high) {
      const middle = (low + high) >> 1;
      const key = this.keys[middle]!;
      const order = compare(key, folded, start);
      const lies =
        order !== 0
          ? order > 0
          : past === Past.Nothing || (past === Past.Equal && key.length > length);
      if (lies) high = middle;
      else low = middle + 1;
    }
    return low;
  }
}

/** What a bound lies behind: the keys before the stretch, those equal to it, those that begin with it. */
enum Past {
  Nothing,
  Equal,
  Beginning,
}

/** Units of a key that are packed into its head, a byte each; greater units count as 255. */
const HEAD = 4;

function headOf(key: string): number {
  let head = 0;
  for (let i = 0; i < HEAD; i += 1) {
    head = head * 0x100 + (i < key.length ? Math.min(key.charCodeAt(i), 0xff) : 0);
  }
  return head;
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
