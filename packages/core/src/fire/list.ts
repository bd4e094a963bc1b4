import type { DeviceProfile } from '../fit';
import { LIMITS, matchKey } from '../model';
import type { Edge } from './edge';
import {
  byKeyAndAge,
  byOffer,
  CodeTree,
  compare,
  NOWHERE,
  REMEMBERED,
  type Keyed,
} from './codeTree';
import { EDGE, foldAll, foldBefore, foldedBuffer, splitsCluster, type Folded, type FoldedText } from './fold';
import type { Range } from './range';
import { settleRules, type FiringEntry, type RuledList } from './rules';
import { scanText, type Scanned } from './scan';

/** A code found in a text. */
export interface Match extends Range {
  readonly entry: FiringEntry;
}

/** An expansion that could be had by a tap: the stretch it would replace, and whether it is all of a code. */
export interface Offer extends Range {
  readonly entry: FiringEntry;
  readonly isExact: boolean;
}

/** What becomes of a list: entries put in or changed, and ids taken out. */
export interface ListChange {
  readonly put?: readonly FiringEntry[];
  readonly remove?: readonly string[];
}

/** At most this many changes lie over a base before the list should be compiled anew. */
export const LARGEST_OVERLAY = 1_000;

const NONE = new CodeTree([]);


/** The ids of a base, gathered when a first change asks for them. */
function idsOf(base: Readonly<Record<Edge, CodeTree>>): () => ReadonlySet<string> {
  let ids: Set<string> | null = null;
  return () =>
    (ids ??= new Set([...base.word.entries, ...base.anywhere.entries].map(({ id }) => id)));
}

/**
 * A list made ready for typing as on one device: an immutable base and a small overlay of changes.
 * The face behind which the search structures hide; every method is pure.
 *
 * A look-up folds what stands before the caret, back to the nearest place where no code could go on
 * (white space, if no code holds any; else the longest code's length), and walks the tree of codes
 * only from places where one may begin. Its cost does not depend on the length of the text and hardly on that of the list.
 */
export class CompiledList {
  /** Base and overlay in one, made when a first text is scanned; the list itself never changes. */
  private whole: Readonly<Record<Edge, CodeTree>> | null = null;

  private constructor(
    readonly profile: DeviceProfile,
    /** By edge: entries that need a word's edge, and those that may stand anywhere. */
    private readonly base: Readonly<Record<Edge, CodeTree>>,
    private readonly baseIds: () => ReadonlySet<string>,
    private readonly hidden: ReadonlySet<string>,
    private readonly overlay: Readonly<Record<Edge, readonly Keyed[]>>,
    private readonly longest: number,
    private readonly hasSpaces: boolean,
  ) {}

  /** O(n log n) in the number of entries. */
  static compile(entries: readonly FiringEntry[], profile: DeviceProfile): CompiledList {
    const held = [...entries, ...builtInOf(profile)].flatMap((entry) => hold(entry, profile));
    const indexOf = (edge: Edge) => {
      const items = held.filter(({ entry }) => entry.edge === edge).sort(byKeyAndAge);
      return items.length > 0 ? new CodeTree(items) : NONE;
    };
    const base = { word: indexOf('word'), anywhere: indexOf('anywhere') };
    return new CompiledList(
      profile,
      base,
      idsOf(base),
      new Set(),
      { word: [], anywhere: [] },
      held.reduce((longest, { key }) => Math.max(longest, key.length), 0),
      held.some(({ key }) => /\s/u.test(key)),
    );
  }

  /** How many changes lie over the base; beyond LARGEST_OVERLAY compile anew, in the background. */
  get overlaySize(): number {
    return this.hidden.size + this.overlay.word.length + this.overlay.anywhere.length;
  }

  /** The list after a change. O(overlay), whatever the size of the base. */
  with({ put = [], remove = [] }: ListChange): CompiledList {
    const gone = new Set([...remove, ...put.map(({ id }) => id)]);
    const hidden = new Set(this.hidden);
    for (const id of gone) if (this.baseIds().has(id)) hidden.add(id);
    const held = put.flatMap((entry) => hold(entry, this.profile));
    const layer = (edge: Edge) =>
      insertSorted(
        this.overlay[edge].filter(({ entry }) => !gone.has(entry.id)),
        held.filter(({ entry }) => entry.edge === edge),
      );
    return new CompiledList(
      this.profile,
      this.base,
      this.baseIds,
      hidden,
      { word: layer('word'), anywhere: layer('anywhere') },
      held.reduce((longest, { key }) => Math.max(longest, key.length), this.longest),
      this.hasSpaces || held.some(({ key }) => /\s/u.test(key)),
    );
  }

  /** Codes that end at `caret` and have an edge before them: longest first, of equal ones the oldest. */
  matchesEndingAt(text: string, caret: number): Match[] {
    return this.codesEndingAt(text, caret, false);
  }

  /** As `matchesEndingAt`; with `edgeless` also those that fail for want of an edge, to explain it. */
  codesEndingAt(text: string, caret: number, edgeless: boolean): Match[] {
    const matches: Match[] = [];
    if (this.longest === 0 || splitsCluster(text, caret)) return matches;
    const folded = this.foldBefore(text, caret);
    for (let from = 0; from < folded.length; from += 1) {
      const start = folded.offsets[from]!;
      if (start < 0) continue;
      const before = matches.length;
      if (this.hasAnywhere) this.gatherEqual('anywhere', folded, from, matches);
      if (edgeless || (folded.marks[from]! & EDGE) !== 0) this.gatherEqual('word', folded, from, matches);
      if (matches.length - before > 1) {
        matches.push(...matches.splice(before).sort((a, b) => byKeyAndAge(keyed(a), keyed(b))));
      }
    }
    return matches;
  }

  /**
   * The earliest place, at which a code may stand, from which `text` up to `end` is live: the
   * beginning of a longer code, or the whole of one that still waits for its delimiter. -1: none.
   */
  liveStart(text: string, end: number): number {
    if (this.longest === 0) return -1;
    const folded = this.foldBefore(text, end);
    for (let from = 0; from < folded.length; from += 1) {
      const start = folded.offsets[from]!;
      if (start < 0) continue;
      if (this.hasAnywhere && this.isLive('anywhere', folded, from)) return start;
      if ((folded.marks[from]! & EDGE) !== 0 && this.isLive('word', folded, from)) return start;
    }
    return -1;
  }

  /**
   * The best `limit` of the codes that begin with, or equal, what stands before `caret`: whole codes
   * first, then by use, then the shortest.
   */
  offersFor(text: string, caret: number, limit = 8): Offer[] {
    if (this.longest === 0 || limit <= 0) return [];
    const folded = this.foldBefore(text, caret);
    const found: Offer[] = [];
    let groups = 0;
    for (let from = 0; from < folded.length; from += 1) {
      const start = folded.offsets[from]!;
      if (start < 0) continue;
      if (this.hasAnywhere) groups += this.gatherOffers('anywhere', folded, from, start, limit, found);
      if ((folded.marks[from]! & EDGE) !== 0) {
        groups += this.gatherOffers('word', folded, from, start, limit, found);
      }
    }
    // What one place and one edge have to offer is in order already.
    if (groups > 1) found.sort((a, b) => Number(b.isExact) - Number(a.isExact) || byOffer(keyed(a), keyed(b)));
    return found.length > limit ? found.slice(0, limit) : found;
  }

  /**
   * Every place of a whole text at which a code would fire as it is typed: at its end, and where it
   * fires at a delimiter, followed by one or by the end of the text. Of codes that end at one place
   * the longest. Offers do not fire. In the order of their ends; linear in the text.
   */
  scan(text: string): Match[] {
    const matches: Match[] = [];
    this.scanEach(text, (start, end, entry) => matches.push({ start, end, entry }));
    return matches.sort((a, b) => a.end - b.end);
  }

  /** As `scan`, told one by one in the order of starts, so that counting in large texts takes no memory; a text that is scanned for
   * several lists or devices is folded once, by `foldAll`. */
  scanEach(text: string | FoldedText, meet: Scanned): void {
    scanText(typeof text === 'string' ? foldAll(text) : text, this.profile, (this.whole ??= this.treesOfAll()), meet);
  }

  private get hasAnywhere(): boolean {
    return this.base.anywhere.size > 0 || this.overlay.anywhere.length > 0;
  }

  private foldBefore(text: string, end: number): Folded {
    const { longest, hasSpaces } = this;
    // What fires and what is offered is asked one after the other, of one place.
    if (text !== lastText || end !== scratch.end || longest !== lastLongest || hasSpaces !== lastSpaces) {
      foldBefore(text, end, longest, !hasSpaces, scratch);
      lastText = text;
      lastLongest = longest;
      lastSpaces = hasSpaces;
    }
    return scratch;
  }

  private gatherEqual(edge: Edge, folded: Folded, from: number, into: Match[]): void {
    const tree = this.base[edge];
    const start = folded.offsets[from]!;
    const length = folded.length - from;
    const branch = tree.branchOf(folded, from);
    if (branch !== NOWHERE) {
      const end = Math.min(tree.longerOf(branch, length), tree.lowOf(branch) + this.hidden.size + MOST_TWINS);
      for (let at = tree.lowOf(branch); at < end; at += 1) {
        const entry = tree.entries[at]!;
        if (!this.hidden.has(entry.id)) into.push({ start, end: folded.end, entry });
      }
    }
    const layer = this.overlay[edge];
    for (let at = firstFrom(layer, folded, from); at < layer.length; at += 1) {
      const { key, entry } = layer[at]!;
      if (key.length !== length || compare(key, folded, from) !== 0) break;
      into.push({ start, end: folded.end, entry });
    }
  }

  private isLive(edge: Edge, folded: Folded, from: number): boolean {
    const length = folded.length - from;
    const layer = this.overlay[edge];
    for (let at = firstFrom(layer, folded, from); at < layer.length; at += 1) {
      const { key, entry } = layer[at]!;
      if (compare(key, folded, from) !== 0) break;
      if (key.length > length || entry.fires === 'delimiter') return true;
    }
    const tree = this.base[edge];
    const branch = tree.branchOf(folded, from);
    if (branch === NOWHERE) return false;
    const high = tree.highOf(branch);
    if (this.hidden.size === 0 && tree.lengthOf(high - 1) > length) return true;
    for (let at = high - 1; at >= tree.lowOf(branch); at -= 1) {
      const entry = tree.entries[at]!;
      if (this.hidden.has(entry.id)) continue;
      if (tree.lengthOf(at) > length || entry.fires === 'delimiter') return true;
    }
    return false;
  }

  /** Gathers the best of one place and edge, in order; gives how many groups it put in. */
  private gatherOffers(
    edge: Edge,
    folded: Folded,
    from: number,
    start: number,
    limit: number,
    into: Offer[],
  ): number {
    const length = folded.length - from;
    const end = folded.end;
    const layer = this.overlay[edge];
    let groups = 0;
    for (let at = firstFrom(layer, folded, from); at < layer.length; at += 1) {
      const { key, entry } = layer[at]!;
      if (compare(key, folded, from) !== 0) break;
      into.push({ entry, start, end, isExact: key.length === length });
      groups += 1;
    }
    const tree = this.base[edge];
    const branch = tree.branchOf(folded, from);
    if (branch === NOWHERE) return groups;
    if (branch < 0) {
      const entry = tree.entries[~branch]!;
      if (this.hidden.has(entry.id)) return groups;
      into.push({ entry, start, end, isExact: tree.lengthOf(~branch) === length });
      return groups + 1;
    }
    const isShown = (position: number) => !this.hidden.has(tree.entries[position]!.id);
    let best = limit <= REMEMBERED ? tree.bestOf(branch, length) : tree.search(branch, length, limit, isShown);
    // If one of the remembered is gone, another takes its place.
    if (this.hidden.size > 0 && !best.every(isShown)) best = tree.search(branch, length, limit, isShown);
    const count = Math.min(limit, best.length);
    for (let i = 0; i < count; i += 1) {
      const at = best[i]!;
      into.push({ entry: tree.entries[at]!, start, end, isExact: tree.lengthOf(at) === length });
    }
    return groups + 1;
  }

  private treesOfAll(): Record<Edge, CodeTree> {
    if (this.overlaySize === 0) return this.base;
    const all = (edge: Edge) =>
      new CodeTree(
        [
          ...this.base[edge].items().filter(({ entry }) => !this.hidden.has(entry.id)),
          ...this.overlay[edge],
        ].sort(byKeyAndAge),
      );
    return { word: all('word'), anywhere: all('anywhere') };
  }
}

const MOST_TWINS = 64;
// Long enough for the longest code: 160 code points, each at most three folded units.
const scratch = foldedBuffer(LIMITS.codeCodePoints * 6);
let lastText: string | null = null;
let lastLongest = 0;
let lastSpaces = false;

/** The list of one owner, its rules settled, as typed on a device of this profile. */
export function compile(list: RuledList, profile: DeviceProfile): CompiledList {
  return CompiledList.compile(settleRules(list), profile);
}

/** An entry as the device holds it, under its match key; nothing if it cannot hold such a code. */
function hold(entry: FiringEntry, profile: DeviceProfile): Keyed[] {
  if (!profile.spacesInCodes && /\s/u.test(entry.code)) return [];
  const folded = matchKey(entry.code);
  if (folded === '') return [];
  const settled = {
    fires: profile.ways.includes(entry.fires) ? entry.fires : profile.otherwise,
    edge: profile.edge === 'own' ? entry.edge : profile.edge,
    capitals: profile.capitals === 'own' ? entry.capitals : profile.capitals,
    delimiter: profile.keepsDelimiter === 'own' ? entry.delimiter : profile.keepsDelimiter,
  };
  const isAsAsked =
    settled.fires === entry.fires &&
    settled.edge === entry.edge &&
    settled.capitals === entry.capitals &&
    settled.delimiter === entry.delimiter;
  // What is as it was is not kept twice.
  const key = folded === entry.code ? entry.code : folded;
  return [{ key, entry: isAsAsked ? entry : { ...entry, ...settled } }];
}

/** The device's own entries. Their ids sort after every UUID: a person's own entry goes first. */
function builtInOf(profile: DeviceProfile): FiringEntry[] {
  return profile.builtIn.map(({ code, expansion }, index) => ({
    id: `~built-in:${index}`,
    code,
    expansion,
    uses: 0,
    language: 'und',
    fires: profile.otherwise,
    edge: 'word',
    capitals: 'ignore',
    delimiter: 'keep',
  }));
}

function insertSorted(into: Keyed[], added: readonly Keyed[]): Keyed[] {
  for (const item of added) {
    let low = 0;
    let high = into.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (byKeyAndAge(into[middle]!, item) < 0) low = middle + 1;
      else high = middle;
    }
    into.splice(low, 0, item);
  }
  return into;
}

/** The first position of `layer` whose key does not lie before the stretch. */
function firstFrom(layer: readonly Keyed[], folded: Folded, from: number): number {
  let low = 0;
  let high = layer.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (compare(layer[middle]!.key, folded, from) < 0) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A match or offer as the orders of keys compare it. */
function keyed({ entry }: Match): Keyed {
  return { key: matchKey(entry.code), entry };
}

