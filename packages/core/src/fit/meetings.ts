/** Which codes have to do with each other when they are typed: one inside another, one going on from another, two alike. */
import { asTyped, searchable } from '../clash/contextCorpus';
import type { FiringEntry } from '../fire';
import { matchKey } from '../model';
import type { FitShortcut } from './place';

/** A shortcut of the list, its rules settled. */
export interface Item {
  /** Its place in the tables of what was found; the same after an edit. */
  readonly index: number;
  readonly shortcut: FitShortcut;
  readonly entry: FiringEntry;
  readonly key: string;
  /** The key with what devices make of its signs as it is typed put back. */
  readonly typed: string;
  /** In which other codes are looked for: `typed`, and what two spaces may become. */
  readonly searched: string;
  /** Whether a device may change it as it is typed: quotes, dashes, dots, two spaces. */
  readonly mayChange: boolean;
}

export function itemOf(index: number, shortcut: FitShortcut, entry: FiringEntry): Item {
  const key = matchKey(entry.code);
  const mayChange = /["'.-]| {2}/u.test(entry.code);
  return { index, shortcut, entry, key, typed: asTyped(key), searched: searchable(key), mayChange };
}

/** So many beginnings are looked for one by one. */
const FEW = 16;

/** A list's codes by their keys, as typed. */
export class Meetings {
  private readonly byTyped = new Map<string, Set<Item>>();
  /** How many codes there are of each length; and the lengths in order. */
  private readonly counts = new Map<number, number>();
  private lengths: readonly number[] | null = null;

  constructor(items: Iterable<Item>) {
    for (const item of items) this.add(item);
  }

  add(item: Item): void {
    const same = this.byTyped.get(item.typed);
    if (same) same.add(item);
    else this.byTyped.set(item.typed, new Set([item]));
    this.count(item, 1);
  }

  remove(item: Item): void {
    const same = this.byTyped.get(item.typed);
    if (!same?.delete(item)) return;
    if (same.size === 0) this.byTyped.delete(item.typed);
    this.count(item, -1);
  }

  private count({ typed: { length } }: Item, by: 1 | -1): void {
    const count = (this.counts.get(length) ?? 0) + by;
    if (count === 0) this.counts.delete(length);
    else this.counts.set(length, count);
    if (count === 0 || (by === 1 && count === 1)) this.lengths = null;
  }

  /** The codes met in one as it is typed, and those equal to it; not itself. Cost: its length times the lengths that codes have. */
  metIn(item: Item): Item[] {
    const met: Item[] = [];
    const { searched } = item;
    this.lengths ??= [...this.counts.keys()].sort((a, b) => a - b);
    for (let from = 0; from < searched.length; from += 1) {
      for (const length of this.lengths) {
        if (from + length > searched.length) break;
        const same = this.byTyped.get(searched.slice(from, from + length));
        if (same) for (const one of same) if (one !== item) met.push(one);
      }
    }
    return met;
  }

  has(typed: string): boolean {
    return this.byTyped.has(typed);
  }

  /** Those whose codes go on from one of these. Linear in the list. */
  private goingOnFrom(starts: ReadonlySet<string>): Item[] {
    const few = starts.size <= FEW ? [...starts] : null;
    const isStarted = (typed: string) => {
      if (few) return few.some((start) => typed.length > start.length && typed.startsWith(start));
      for (let length = 1; length < typed.length; length += 1) if (starts.has(typed.slice(0, length))) return true;
      return false;
    };
    return [...this.byTyped].flatMap(([typed, same]) => (isStarted(typed) ? [...same] : []));
  }

  /** Every code that may have a say in what becomes of these when they are typed, themselves included. */
  around(items: Iterable<Item>): Set<Item> {
    const all = new Set<Item>();
    for (const item of items) {
      all.add(item);
      for (const met of this.metIn(item)) all.add(met);
    }
    // One that is met may wait for a longer one.
    const starts = new Set([...all].map(({ typed }) => typed));
    for (const longer of this.goingOnFrom(starts)) all.add(longer);
    return all;
  }

  /** The codes that are met in no other and meet no other: what becomes of one is its own business. */
  lonelyOf(items: Iterable<Item>): Set<Item> {
    const lonely = new Set(items);
    for (const item of items) {
      const met = this.metIn(item);
      if (met.length === 0) continue;
      lonely.delete(item);
      // Among those that are met are those that this one goes on from: they may wait for it.
      for (const other of met) lonely.delete(other);
    }
    return lonely;
  }
}
