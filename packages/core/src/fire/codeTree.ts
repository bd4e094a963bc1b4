import { compareUnits } from '../model/order';
import { FOLDED, UNITS } from './character';
import { FirstWords } from './firstWords';
import type { FiringEntry } from './rules';

/** An entry under its match key. */
export interface Keyed {
  readonly key: string;
  readonly entry: FiringEntry;
}

/** The order of keys, and among equal ones of age: ids are UUIDv7 and sort by it. */
export function byKeyAndAge(a: Keyed, b: Keyed): number {
  if (a.key !== b.key) return a.key < b.key ? -1 : 1;
  return byAge(a.entry, b.entry);
}

/** The older first. */
export function byAge(a: { readonly id: string }, b: { readonly id: string }): number {
  return compareUnits(a.id, b.id);
}

/** The order of offers: by use, then shortest, then by code. */
export function byOffer(a: Keyed, b: Keyed): number {
  if (a.entry.uses !== b.entry.uses) return b.entry.uses - a.entry.uses;
  if (a.key.length !== b.key.length) return a.key.length - b.key.length;
  return byKeyAndAge(a, b);
}

/**
 * What a walk along a key has come to. Positive: a node, from which several codes go on; negative:
 * `~position` of the only code that does; NOWHERE: none.
 */
export type Branch = number;
export const NOWHERE: Branch = 0;
const ROOT: Branch = 1;

/** Codes that go on from a branch, best first: the first `exact` are whole, the others longer. */
export interface Best {
  readonly positions: readonly number[];
  readonly entries: readonly FiringEntry[];
  readonly exact: number;
}

/** The bits of `rules`; without the first two a code fires at a delimiter. */
export const FIRES_AT_ONCE = 1;
export const NEVER_FIRES = 2;
const WAYS = { instant: FIRES_AT_ONCE, offer: NEVER_FIRES, delimiter: 0 } as const;
export const NEEDS_CAPITALS = 4;
/** The next position has the same key. */
export const HAS_TWIN = 8;

/** The most positions of a branch that are remembered in the order of offers. */
export const REMEMBERED = 8;

/**
 * Many codes in the order of their keys, as a tree over typed arrays that is walked forward along
 * folded text. The one structure of all searches: codes that end at a caret, codes that go on from
 * it, offers, whole texts.
 *
 * A node stands for a beginning that several codes share, and holds the range of their positions;
 * where only one code goes on there is no node, and the rest of its key is compared. The edges of a
 * node lie side by side, a step is a binary search among them. The best offers of a node are sought
 * when first asked for and remembered.
 *
 * Memory beyond keys and entries: 2 bytes a unit for the packed keys, 17 a code for references, starts
 * and ranks, and 10 to 20 for the edges and nodes of a list whose codes part early: about 50 bytes.
 * Made in one pass over sorted keys; the order of offers is sorted when first asked for.
 */
export class CodeTree {
  readonly entries: readonly FiringEntry[];
  /** The units of all keys behind each other; key `p` from `starts[p]` up to `starts[p + 1]`. */
  private readonly units: Uint16Array;
  private readonly starts: Int32Array;
  /** The place of each position in the order of offers; sorted when first asked for. */
  private ranks: Int32Array | null = null;
  private readonly low: Int32Array;
  private readonly high: Int32Array;
  /** Whether a key ends at a node. */
  private readonly ends: Uint8Array;
  private readonly best: (Best | undefined)[];
  /** The edges of a node lie side by side in the order of units: from `firstEdge[node]` up to that of the next. */
  private readonly firstEdge: Int32Array;
  private readonly edgeUnit: Uint16Array;
  private readonly edgeTo: Int32Array;
  /** Those of the root by ASCII unit. */
  private readonly roots: Int32Array;
  /** What whole texts are searched with, made for the first. */
  private pairs: Uint8Array | null = null;
  private readonly triples = new Uint8Array(0x4000);
  private words: FirstWords | null = null;

  /** `items` in the order of `byKeyAndAge`. */
  constructor(items: readonly Keyed[]) {
    const count = items.length;
    this.entries = items.map(({ entry }) => entry);
    this.starts = new Int32Array(count + 1);
    items.forEach(({ key }, i) => (this.starts[i + 1] = this.starts[i]! + key.length));
    this.units = new Uint16Array(this.starts[count]!);
    items.forEach(({ key }, i) => {
      const start = this.starts[i]!;
      for (let at = 0; at < key.length; at += 1) this.units[start + at] = key.charCodeAt(at);
    });
    this.rules = Uint8Array.from(items, ({ key, entry }, i) => {
      const way = WAYS[entry.fires];
      const match = entry.capitals === 'match' ? NEEDS_CAPITALS : 0;
      return way | match | (items[i + 1]?.key === key ? HAS_TWIN : 0);
    });
    this.hasInstant = this.rules.some((rule) => (rule & FIRES_AT_ONCE) !== 0);
    // Breadth first: the nodes of one length after those of the length before.
    const low = [0, 0];
    const high = [0, count];
    const ends = [0, 0];
    const edges: number[] = [];
    for (let node = ROOT, depth = 0, last: number = ROOT; node < low.length; depth += 1) {
      for (last = low.length; node < last; node += 1) {
        let at = low[node]!;
        const to = high[node]!;
        while (at < to && this.lengthOf(at) === depth) at += 1;
        if (at > low[node]!) ends[node] = 1;
        while (at < to) {
          const unit = this.units[this.starts[at]! + depth]!;
          let end = at + 1;
          while (end < to && this.units[this.starts[end]! + depth] === unit) end += 1;
          if (end === at + 1) edges.push(node, unit, ~at);
          else {
            edges.push(node, unit, low.length);
            low.push(at);
            high.push(end);
            ends.push(0);
          }
          at = end;
        }
      }
    }
    this.low = Int32Array.from(low);
    this.high = Int32Array.from(high);
    this.ends = Uint8Array.from(ends);
    this.best = new Array<undefined>(low.length);
    const edgeCount = edges.length / 3;
    this.firstEdge = new Int32Array(low.length + 1).fill(edgeCount);
    this.edgeUnit = new Uint16Array(edgeCount);
    this.edgeTo = new Int32Array(edgeCount);
    for (let i = edgeCount - 1; i >= 0; i -= 1) {
      this.firstEdge[edges[i * 3]!] = i;
      this.edgeUnit[i] = edges[i * 3 + 1]!;
      this.edgeTo[i] = edges[i * 3 + 2]!;
    }
    // A node without edges ends where the next begins.
    for (let node = low.length - 1; node > 0; node -= 1) {
      this.firstEdge[node] = Math.min(this.firstEdge[node]!, this.firstEdge[node + 1]!);
    }
    this.roots = new Int32Array(0x80);
    for (let i = 0; i < edgeCount && edges[i * 3] === ROOT; i += 1) {
      if (this.edgeUnit[i]! < 0x80) this.roots[this.edgeUnit[i]!] = this.edgeTo[i]!;
    }
  }

  /** By position how the code fires, as far as a scan must know: see `FIRES_AT_ONCE` and the others. */
  readonly rules: Uint8Array;
  /** Whether some code fires as soon as it is typed. */
  readonly hasInstant: boolean;

  get size(): number {
    return this.entries.length;
  }

  /** The codes under their keys, in order. */
  items(): Keyed[] {
    return this.entries.map((_, position) => this.item(position));
  }

  item(position: number): Keyed {
    return { key: this.keyOf(position), entry: this.entries[position]! };
  }

  /** The place of a position in the order of offers. */
  rankOf(position: number): number {
    return (this.ranks ??= this.ranked())[position]!;
  }

  private ranked(): Int32Array {
    const items = this.items();
    const inOrder = Int32Array.from(items.keys()).sort((x, y) => byOffer(items[x]!, items[y]!));
    const ranks = new Int32Array(items.length);
    inOrder.forEach((position, rank) => (ranks[position] = rank));
    return ranks;
  }

  keyOf(position: number): string {
    let key = '';
    const end = this.starts[position + 1]!;
    for (let at = this.starts[position]!; at < end; at += 1) key += String.fromCharCode(this.units[at]!);
    return key;
  }

  lengthOf(position: number): number {
    return this.starts[position + 1]! - this.starts[position]!;
  }

  /** The branch reached from a node by one more unit. */
  private step(node: Branch, unit: number): Branch {
    if (node === ROOT && unit < 0x80) return this.roots[unit]!;
    const { edgeUnit } = this;
    let low = this.firstEdge[node]!;
    const end = this.firstEdge[node + 1]!;
    let high = end;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (edgeUnit[middle]! < unit) low = middle + 1;
      else high = middle;
    }
    return low < end && edgeUnit[low] === unit ? this.edgeTo[low]! : NOWHERE;
  }

  /** The branch of the codes that begin with `text[from, to)`, folded unit by unit. */
  branchOf(text: string, from: number, to: number): Branch {
    let branch: Branch = ROOT;
    for (let at = from; at < to; at += 1) {
      branch = this.step(branch, UNITS[text.charCodeAt(at)]! & FOLDED);
      if (branch < 0) return this.goesOnAs(~branch, at + 1 - from, text, at + 1, to) ? branch : NOWHERE;
      if (branch === NOWHERE) return NOWHERE;
    }
    return branch;
  }

  /** Whether the key at `position`, from its unit `depth` on, begins with `text[from, to)`. */
  private goesOnAs(position: number, depth: number, text: string, from: number, to: number): boolean {
    const key = this.starts[position]! + depth;
    if (key + to - from > this.starts[position + 1]!) return false;
    for (let i = 0; from + i < to; i += 1) {
      if (this.units[key + i] !== (UNITS[text.charCodeAt(from + i)]! & FOLDED)) return false;
    }
    return true;
  }

  /** Whether the key at `position`, from its unit `depth` on, begins with `units[from, to)`. */
  private goesOn(position: number, depth: number, units: Uint16Array, from: number, to: number): boolean {
    const key = this.starts[position]! + depth;
    if (key + to - from > this.starts[position + 1]!) return false;
    for (let i = 0; from + i < to; i += 1) {
      if (this.units[key + i] !== (UNITS[units[from + i]!]! & FOLDED)) return false;
    }
    return true;
  }

  /** The first position of a branch, and that behind its last. */
  lowOf(branch: Branch): number {
    return branch < 0 ? ~branch : this.low[branch]!;
  }

  highOf(branch: Branch): number {
    return branch < 0 ? ~branch + 1 : this.high[branch]!;
  }

  /** Whether a key ends at a branch, `length` units along. */
  isWhole(branch: Branch, length: number): boolean {
    return branch < 0 ? this.lengthOf(~branch) === length : this.ends[branch] === 1;
  }

  /** The first position of a branch whose key is longer than `length`; before it are the equal ones. */
  longerOf(branch: Branch, length: number): number {
    let low = this.lowOf(branch);
    let high = this.highOf(branch);
    if (this.lengthOf(low) > length) return low;
    if (this.lengthOf(high - 1) === length) return high;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.lengthOf(middle) === length) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** The best eight of a branch, `length` units along. */
  bestOf(branch: Branch, length: number): Best {
    if (branch < 0) return this.bestAmong([~branch], length);
    return (this.best[branch] ??= this.bestAmong(
      this.search(branch, length, REMEMBERED, () => true),
      length,
    ));
  }

  /** Positions of a branch, whole codes first, with what they stand for. */
  bestAmong(positions: readonly number[], length: number): Best {
    const longer = positions.findIndex((position) => this.lengthOf(position) > length);
    return {
      positions,
      entries: positions.map((position) => this.entries[position]!),
      exact: longer < 0 ? positions.length : longer,
    };
  }

  /** The best `limit` positions of a branch among those that `counts`. Linear in its size. */
  search(branch: Branch, length: number, limit: number, counts: (position: number) => boolean): number[] {
    const best: number[] = [];
    const ranks = (this.ranks ??= this.ranked());
    const longer = this.longerOf(branch, length);
    for (const [from, to] of [
      [this.lowOf(branch), longer],
      [longer, this.highOf(branch)],
    ] as const) {
      const settled = best.length;
      for (let position = from; position < to; position += 1) {
        const rank = ranks[position]!;
        if (best.length >= limit && (settled >= limit || rank > ranks[best[limit - 1]!]!)) continue;
        if (!counts(position)) continue;
        let at = best.length;
        while (at > settled && ranks[best[at - 1]!]! > rank) at -= 1;
        best.splice(at, 0, position);
        if (best.length > limit) best.pop();
      }
    }
    return best;
  }

  // ── in a whole text, whose units are folded in passing ──

  /** Whether a key may begin with the units from `from` on: a quick no, by the first three. */
  mayBegin(units: Uint16Array, from: number, length: number): boolean {
    const first = units[from]!;
    const second = from + 1 < length ? units[from + 1]! : 0;
    if (first >= 128 || second >= 128) return true;
    const a = UNITS[first]! & FOLDED;
    const b = UNITS[second]! & FOLDED;
    const pair = (this.pairs ??= this.firstPairs())[a * 128 + b]!;
    if (pair !== LONGER) return pair !== 0;
    const third = from + 2 < length ? units[from + 2]! : 0;
    return third >= 128 || this.triples[tripleOf(a, b, UNITS[third]! & FOLDED)] === 1;
  }

  /** The first position whose key is `units[from, to)`; -1: none. */
  equalTo(units: Uint16Array, from: number, to: number): number {
    let equal = -1;
    this.eachFrom(units, from, to, (end, position) => {
      if (end === to) equal = position;
    });
    return equal;
  }

  /**
   * Calls `meet` with the first position of every key that begins at `from`, and with where it ends,
   * shortest first.
   */
  eachFrom(units: Uint16Array, from: number, length: number, meet: (to: number, position: number) => void): void {
    let branch: Branch = ROOT;
    for (let at = from; at < length;) {
      branch = this.step(branch, UNITS[units[at]!]! & FOLDED);
      if (branch === NOWHERE) return;
      at += 1;
      if (branch < 0) {
        const position = ~branch;
        const end = from + this.lengthOf(position);
        if (end <= length && this.goesOn(position, at - from, units, at, end)) meet(end, position);
        return;
      }
      if (this.ends[branch] === 1) meet(at, this.low[branch]!);
    }
  }

  /** For codes that fire at delimiters alone: what ends inside a word cannot fire. */
  firstWords(): FirstWords {
    return (this.words ??= new FirstWords(this));
  }

  /** Whether the key at `position` is `units[from, to)`. */
  isAt(position: number, units: Uint16Array, from: number, to: number): boolean {
    return this.lengthOf(position) === to - from && this.goesOn(position, 0, units, from, to);
  }

  /** By unit whether a key begins with it. */
  firsts(): Uint8Array {
    const firsts = new Uint8Array(0x10000);
    for (let i = 0; i < this.size; i += 1) firsts[this.units[this.starts[i]!]!] = 1;
    return firsts;
  }

  /** By two folded ASCII units: 0, no key begins so; LONGER, and is longer than two; or SHORT. */
  private firstPairs(): Uint8Array {
    const pairs = new Uint8Array(128 * 128);
    for (let position = 0; position < this.size; position += 1) {
      const start = this.starts[position]!;
      const first = this.units[start]!;
      const length = this.lengthOf(position);
      if (first >= 128) continue;
      if (length === 1) pairs.fill(SHORT, first * 128, first * 128 + 128);
      const second = this.units[start + 1]!;
      if (length === 1 || second >= 128) continue;
      const pair = first * 128 + second;
      pairs[pair] = length === 2 ? SHORT : Math.max(pairs[pair]!, LONGER);
      if (length > 2) this.triples[tripleOf(first, second, this.units[start + 2]!)] = 1;
    }
    return pairs;
  }
}

const LONGER = 1;
const SHORT = 2;

/** A number below 2 ** 14 for three units; several triples share one. */
function tripleOf(a: number, b: number, c: number): number {
  return ((a * 961 + b * 31 + c) * 0x9e37) & 0x3fff;
}
