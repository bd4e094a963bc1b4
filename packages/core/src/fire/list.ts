import type { DeviceProfile } from '../fit';
import { LIMITS, matchKey } from '../model';
import { hasEdgeBefore, type Edge } from './edge';
import { foldBefore, foldedBuffer, splitsCluster, type Folded } from './fold';
import type { Range } from './range';
import { settleRules, type FiringEntry, type RuledList } from './rules';
import { makeScanner, scanText, type Scanner } from './scan';
import { byKeyAndAge, byOffer, compare, hashStep, SortedIndex, type Keyed } from './sortedIndex';

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

const NONE = new SortedIndex([]);

/** A code that goes on from what stands before the caret. */
interface Found extends Keyed {
  start: number;
  isExact: boolean;
}

/** The ids of a base, gathered when a first change asks for them. */
function idsOf(base: Readonly<Record<Edge, SortedIndex>>): () => ReadonlySet<string> {
  let ids: Set<string> | null = null;
  return () =>
    (ids ??= new Set([...base.word.entries, ...base.anywhere.entries].map(({ id }) => id)));
}

/**
 * A list made ready for typing as on one device: an immutable base and a small overlay of changes.
 * The face behind which the search structures hide; every method is pure.
 *
 * A look-up walks back from the caret to the nearest place where no code could go on (white space, if
 * no code holds any; else the longest code's length) and asks the tables only at places where a code
 * may begin. Its cost does not depend on the length of the text and hardly on that of the list.
 */
export class CompiledList {
  /** Made when a first text is scanned; the list itself never changes. */
  private scanner: Scanner | null = null;

  private constructor(
    readonly profile: DeviceProfile,
    /** By edge: entries that need a word's edge, and those that may stand anywhere. */
    private readonly base: Readonly<Record<Edge, SortedIndex>>,
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
      return items.length > 0 ? new SortedIndex(items) : NONE;
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
    let hash = 0;
    for (let from = folded.length - 1; from >= 0; from -= 1) {
      hash = hashStep(hash, folded.units[from]!);
      const start = folded.offsets[from]!;
      if (start < 0) continue;
      this.gatherEqual('anywhere', folded, from, hash, matches);
      if (edgeless || hasEdgeBefore(text, start, 'word')) {
        this.gatherEqual('word', folded, from, hash, matches);
      }
    }
    return matches.reverse().sort((a, b) => a.start - b.start || compareIds(a, b));
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
      if (this.isLive('anywhere', folded, from)) return start;
      if (hasEdgeBefore(text, start, 'word') && this.isLive('word', folded, from)) return start;
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
    const found: Found[] = [];
    for (let from = 0; from < folded.length; from += 1) {
      const start = folded.offsets[from]!;
      if (start < 0) continue;
      if (this.hasAnywhere) this.gatherOffers('anywhere', folded, from, start, limit, found);
      if (hasEdgeBefore(text, start, 'word')) this.gatherOffers('word', folded, from, start, limit, found);
    }
    if (found.length === 0) return [];
    return found
      .sort((a, b) => Number(b.isExact) - Number(a.isExact) || byOffer(a, b))
      .slice(0, limit)
      .map(({ entry, start, isExact }) => ({ entry, start, end: caret, isExact }));
  }

  /**
   * Every place of a whole text at which a code would fire as it is typed: at its end, and where it
   * fires at a delimiter, followed by one or by the end of the text. Of codes that end at one place
   * the longest. Offers do not fire. In the order of their ends' starts; linear in the text.
   */
  scan(text: string): Match[] {
    this.scanner ??= makeScanner(this.entriesByEdge());
    return scanText(text, this.profile, this.scanner);
  }

  private get hasAnywhere(): boolean {
    return this.base.anywhere.size > 0 || this.overlay.anywhere.length > 0;
  }

  private foldBefore(text: string, end: number): Folded {
    foldBefore(text, end, this.longest, !this.hasSpaces, scratch);
    return scratch;
  }

  private gatherEqual(edge: Edge, folded: Folded, from: number, hash: number, into: Match[]): void {
    const index = this.base[edge];
    const start = folded.offsets[from]!;
    const length = folded.length - from;
    const found = index.longest < length ? -1 : index.findEqual(folded, from, hash);
    if (found >= 0) {
      const key = index.keys[found]!;
      for (let at = found; at < index.size && index.keys[at] === key; at += 1) {
        const entry = index.entries[at]!;
        if (!this.hidden.has(entry.id)) into.push({ start, end: folded.end, entry });
        // Twins of one key: the first few are enough to settle by capitals which of them fires.
        if (at - found >= this.hidden.size + MOST_TWINS) break;
      }
    }
    const layer = this.overlay[edge];
    for (let at = firstFrom(layer, folded, from); at < layer.length; at += 1) {
      const { key, entry } = layer[at]!;
      if (key.length !== folded.length - from || compare(key, folded, from) !== 0) break;
      into.push({ start, end: folded.end, entry });
    }
  }

  private isLive(edge: Edge, folded: Folded, from: number): boolean {
    const length = folded.length - from;
    const goesOn = ({ key, entry }: Keyed) => key.length > length || entry.fires === 'delimiter';
    const layer = this.overlay[edge];
    for (let at = firstFrom(layer, folded, from); at < layer.length; at += 1) {
      if (compare(layer[at]!.key, folded, from) !== 0) break;
      if (goesOn(layer[at]!)) return true;
    }
    const index = this.base[edge];
    const { low, longer, high } = index.rangeOf(folded, from);
    if (this.hidden.size === 0 && high > longer) return true;
    for (let at = high - 1; at >= low; at -= 1) {
      const entry = index.entries[at]!;
      if ((at >= longer || entry.fires === 'delimiter') && !this.hidden.has(entry.id)) return true;
    }
    return false;
  }

  private gatherOffers(
    edge: Edge,
    folded: Folded,
    from: number,
    start: number,
    limit: number,
    into: Found[],
  ): void {
    const length = folded.length - from;
    const layer = this.overlay[edge];
    for (let at = firstFrom(layer, folded, from); at < layer.length; at += 1) {
      const { key, entry } = layer[at]!;
      if (compare(key, folded, from) !== 0) break;
      into.push({ key, entry, start, isExact: key.length === length });
    }
    const index = this.base[edge];
    if (length > index.longest) return;
    const { low, longer, high } = index.rangeOf(folded, from);
    // Whole codes go before all others, whatever their rank: the best of both.
    this.gatherBest(index, low, longer, limit, start, true, into);
    this.gatherBest(index, longer, high, limit, start, false, into);
  }

  private gatherBest(
    index: SortedIndex,
    from: number,
    to: number,
    limit: number,
    start: number,
    isExact: boolean,
    into: Found[],
  ): void {
    if (from === to) return;
    let more = limit;
    for (const at of index.bestOf(from, to, limit + this.hidden.size)) {
      const entry = index.entries[at]!;
      if (this.hidden.has(entry.id)) continue;
      into.push({ key: index.keys[at]!, entry, start, isExact });
      more -= 1;
      if (more === 0) return;
    }
  }

  private entriesByEdge(): Record<Edge, Keyed[]> {
    const all = (edge: Edge) =>
      [
        ...this.base[edge].items().filter(({ entry }) => !this.hidden.has(entry.id)),
        ...this.overlay[edge],
      ].sort(byKeyAndAge);
    return { word: all('word'), anywhere: all('anywhere') };
  }
}

const MOST_TWINS = 64;
// Long enough for the longest code: 160 code points, each at most three folded units.
const scratch = foldedBuffer(LIMITS.codeCodePoints * 6);

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

function compareIds(a: Match, b: Match): number {
  return a.entry.id < b.entry.id ? -1 : a.entry.id > b.entry.id ? 1 : 0;
}

