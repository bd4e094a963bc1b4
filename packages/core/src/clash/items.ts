import { byAge, settleRules, type FiringEntry, type RuledList } from '../fire';
import { compareUnits } from '../model';
import { MOST_EXAMPLES, type Slip } from './finding';
import { Groups } from './groups';
import { itemOf, searchedIn, type AuditedShortcut, type Item } from './item';
import { PairIndex } from './pairIndex';
import { differMuch, SlipIndex } from './slips';

/**
 * A list under audit: its items, and what they have to do with each other whatever the device: equal
 * codes, codes drawn alike, one expansion under two, one slip away, one going on from another.
 */
export class Items {
  private readonly byId = new Map<string, Item>();
  private readonly byIndex: (Item | null)[] = [];
  private readonly sameKey = new Groups();
  private readonly sameSkeleton = new Groups();
  private readonly sameExpansion = new Groups();
  private slips: SlipIndex;
  /** By what stands in their texts and codes; made when it is first asked for. */
  private texts: PairIndex<Item> | null = null;
  /** Match keys in order, for beginnings. */
  private readonly keys: string[];
  /** In how many expansions a word stands; asked of few words, and kept up to date. */
  private readonly known = new Map<string, number>();
  /** The settled entries in the order of their match keys, so that a device need not sort them. */
  readonly sortedEntries: readonly FiringEntry[];

  constructor(
    private readonly list: RuledList,
    private readonly skeletonOf: ((key: string) => string) | null | undefined,
  ) {
    const entries = settleRules(list);
    list.shortcuts.forEach((shortcut, i) => this.take(shortcut, entries[i]!));
    const sorted = [...this.all()].sort((a, b) => compareUnits(a.key, b.key) || byAge(a, b));
    this.sortedEntries = sorted.map(({ entry }) => entry);
    for (const groups of [this.sameKey, this.sameSkeleton, this.sameExpansion]) groups.sort();
    this.keys = sorted.map(({ key }) => key);
    this.slips = new SlipIndex(new Set(this.keys));
  }

  all(): Iterable<Item> {
    return this.byId.values();
  }

  of(id: string): Item | undefined {
    return this.byId.get(id);
  }

  at(index: number): Item | null {
    return this.byIndex[index] ?? null;
  }

  /** The index of what fires in a word; less than 0: it is none of ours, or meant where it is all of the word. */
  readonly misfiring = (id: string, isWhole: boolean): number => {
    const item = this.byId.get(id);
    return item === undefined || (isWhole && item.isItself) ? -1 : item.index;
  };

  // ── edits ──

  /** Puts shortcuts in; gives their items, and their entries with the rules settled. */
  put(shortcuts: readonly AuditedShortcut[]): { items: Item[]; entries: FiringEntry[] } {
    const entries = settleRules({ ...this.list, shortcuts });
    const items = shortcuts.map((shortcut, i) => this.take(shortcut, entries[i]!));
    for (const item of items) {
      this.keys.splice(firstKey(this.keys, item.key), 0, item.key);
      this.sameKey.sort(item.key);
      this.sameExpansion.sort(item.entry.expansion);
      if (item.skeleton !== null) this.sameSkeleton.sort(item.skeleton);
      if (this.sameKey.of(item.key).length === 1) this.slips.add(item.key);
      this.count(item, 1);
      this.texts?.add(item, searchedIn(item));
    }
    return { items, entries };
  }

  remove(item: Item): void {
    this.byId.delete(item.id);
    this.byIndex[item.index] = null;
    this.sameKey.remove(item.key, item);
    if (item.skeleton !== null) this.sameSkeleton.remove(item.skeleton, item);
    this.sameExpansion.remove(item.entry.expansion, item);
    this.keys.splice(firstKey(this.keys, item.key), 1);
    if (this.sameKey.of(item.key).length === 0) this.slips.remove(item.key);
    this.count(item, -1);
  }

  private count({ entry }: Item, by: 1 | -1): void {
    for (const [word, count] of this.known) if (entry.expansion.includes(word)) this.known.set(word, count + by);
  }

  private take(shortcut: AuditedShortcut, entry: FiringEntry): Item {
    const item = itemOf(shortcut, entry, this.byIndex.length, this.skeletonOf);
    this.byId.set(item.id, item);
    this.byIndex.push(item);
    this.sameKey.add(item.key, item);
    if (item.skeleton !== null) this.sameSkeleton.add(item.skeleton, item);
    this.sameExpansion.add(entry.expansion, item);
    return item;
  }

  // ── who has to do with whom ──

  /** Makes ready for edits, when there is time. */
  prepare(): void {
    if (this.texts) return;
    this.texts = new PairIndex();
    for (const item of this.all()) this.texts.add(item, searchedIn(item));
  }

  /** Those whose text or code may hold a stretch, folded as both are. Cost: what it gives. */
  *thatMayHold(stretch: string): Generator<Item> {
    this.prepare();
    for (const item of this.texts!.mayHold(stretch) ?? this.all()) {
      // Those that went stay in the index.
      if (this.byId.get(item.id) === item) yield item;
    }
  }

  /** All with the same match key, oldest first, if there are several; else null. */
  twinsOf(item: Item): readonly Item[] | null {
    return this.sameKey.several(item.key);
  }

  isTwin(id: string, item: Item): boolean {
    return this.byId.get(id)?.key === item.key;
  }

  /** Others whose codes are drawn as this one's. */
  lookAlikesOf(item: Item): readonly Item[] {
    const drawn = item.skeleton === null ? null : this.sameSkeleton.several(item.skeleton);
    return drawn?.slice(0, MOST_EXAMPLES * 2).filter(({ key }) => key !== item.key) ?? [];
  }

  /** Others that give the same text. */
  sharingExpansionOf(item: Item): readonly Item[] {
    const twins = this.sameExpansion.several(item.entry.expansion);
    return twins?.slice(0, MOST_EXAMPLES).filter((one) => one !== item) ?? [];
  }

  /** Others one slip away that give a very different text. */
  slipsOf(item: Item): { id: string; slip: Slip }[] {
    return this.slips.slipsOf(item.key, MOST_EXAMPLES).flatMap(({ key, slip }) => {
      const other = this.sameKey.of(key)[0];
      return other && differMuch(item.entry.expansion, other.entry.expansion) ? [{ id: other.id, slip }] : [];
    });
  }

  /** Whether any code goes on from this one's: asked of all, so it costs one look. */
  hasLonger({ key }: Pick<Item, 'key'>): boolean {
    const at = firstKey(this.keys, `${key}\0`);
    return at < this.keys.length && this.keys[at]!.startsWith(key);
  }

  /** The ids of those with a match key, oldest first. */
  withKey(key: string): readonly string[] {
    return this.sameKey.of(key).map(({ id }) => id);
  }

  /** The ids of those whose codes a match key goes on from. */
  shorterThan(key: string): string[] {
    const shorter: string[] = [];
    for (let length = 1; length < key.length; length += 1) shorter.push(...this.withKey(key.slice(0, length)));
    return shorter;
  }

  /** How many codes go on from this one's. */
  countLonger({ key }: Item): number {
    return firstKey(this.keys, `${key}\uffff`) - firstKey(this.keys, `${key}\0`);
  }

  /** Some of those whose codes go on from this one's; `next`: with a character that it takes. */
  longerThan({ key }: Item, next: (character: string) => boolean = () => true): readonly Item[] {
    const longer: Item[] = [];
    let at = firstKey(this.keys, key);
    while (this.keys[at] === key) at += 1;
    while (longer.length < MOST_EXAMPLES && this.keys[at]?.startsWith(key)) {
      const character = String.fromCodePoint(this.keys[at]!.codePointAt(key.length)!);
      if (next(character)) {
        const same = this.keys[at]!;
        longer.push(...this.sameKey.of(same));
        while (this.keys[at] === same) at += 1;
      }
      // All that go on with another character are passed at once.
      else at = firstKey(this.keys, `${key}${character}\uffff`);
    }
    return longer.slice(0, MOST_EXAMPLES);
  }

  /** Those whose findings may name this one, itself included. */
  relatedTo(item: Item): string[] {
    const near = [
      ...this.sameKey.of(item.key),
      ...(item.skeleton === null ? [] : this.sameSkeleton.of(item.skeleton)),
      ...this.sameExpansion.of(item.entry.expansion),
      ...this.slips.slipsOf(item.key, MOST_EXAMPLES).flatMap(({ key }) => this.sameKey.of(key)),
    ];
    // Codes that this one goes on from are delayed by it.
    for (let length = 1; length < item.key.length; length += 1) {
      near.push(...this.sameKey.of(item.key.slice(0, length)));
    }
    return near.map(({ id }) => id);
  }

  /** Whether a word stands in several expansions: then it is meant. */
  readonly isKnown = (word: string): boolean => {
    let count = this.known.get(word);
    if (count === undefined) {
      count = 0;
      for (const { entry } of this.all()) if (entry.expansion.includes(word)) count += 1;
      this.known.set(word, count);
    }
    return count > 1;
  };
}

function firstKey(keys: readonly string[], key: string): number {
  let low = 0;
  let high = keys.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (keys[middle]! < key) low = middle + 1;
    else high = middle;
  }
  return low;
}
