import type { DeviceProfile } from '../fit';
import { LIMITS, matchKey } from '../model';
import { fitsCapitals } from './capitals';
import {
  byAge,
  byKeyAndAge,
  byOffer,
  CodeTree,
  NOWHERE,
  REMEMBERED,
  type Best,
  type Branch,
  type Keyed,
} from './codeTree';
import { delimiterTest } from './delimiter';
import type { Edge } from './edge';
import { EDGE, foldBefore, foldedBuffer, foldTyped, splitsCluster, type FoldedText } from './fold';
import { isEndedInPassing, passingState, type MadeText } from './madeText';
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

/** Codes of one edge: those of the base, or those that lie over it. */
interface Layer {
  readonly tree: CodeTree;
  readonly edge: Edge;
  /** Whether the overlay may have taken some of it away. */
  readonly isBase: boolean;
}

/** A place before a caret from which codes of a layer go on. */
interface Place {
  readonly layer: Layer;
  readonly start: number;
  /** How many folded units stand between it and the caret. */
  readonly length: number;
  readonly branch: Branch;
}

/**
 * A list made ready for typing as on one device: an immutable base and a small overlay of changes.
 * The face behind which the search structures hide; every method is pure.
 *
 * A look-up folds what stands before the caret, back to the nearest place where no code could go on
 * (white space, if no code holds any; else the longest code's length), and walks the trees of codes
 * only from places where one may begin. Its cost does not depend on the length of the text and hardly
 * on that of the list.
 */
export class CompiledList {
  /** Tells the delimiters of the device. */
  readonly isDelimiter: (character: string) => boolean;
  /** Base and overlay; the trees of the latter are made when first looked into. */
  private all: readonly Layer[] | null = null;
  /** Both in one, made when a first text is scanned. */
  private whole: Readonly<Record<Edge, CodeTree>> | null = null;

  private constructor(
    readonly profile: DeviceProfile,
    private readonly base: readonly Layer[],
    /** Every id that was changed: what the base holds of it counts no more. */
    private readonly hidden: ReadonlySet<string>,
    private readonly overlay: readonly Keyed[],
    private readonly longest: number,
    private readonly hasSpaces: boolean,
  ) {
    this.isDelimiter = delimiterTest(profile.delimiters);
  }

  /** O(n log n) in the number of entries. */
  static compile(entries: readonly FiringEntry[], profile: DeviceProfile): CompiledList {
    const held: Keyed[] = [];
    for (const entry of [...entries, ...builtInOf(profile)]) {
      const item = hold(entry, profile);
      if (item) held.push(item);
    }
    const base = layersOf(held, true);
    return new CompiledList(
      profile,
      base,
      new Set(),
      [],
      held.reduce((longest, { key }) => Math.max(longest, key.length), 0),
      held.some(({ key }) => /\s/u.test(key)),
    );
  }

  /** How many changes lie over the base; beyond LARGEST_OVERLAY compile anew, in the background. */
  get overlaySize(): number {
    return this.hidden.size;
  }

  /** The list after a change. O(overlay), whatever the size of the base. */
  with({ put = [], remove = [] }: ListChange): CompiledList {
    const gone = new Set([...remove, ...put.map(({ id }) => id)]);
    const hidden = new Set(this.hidden);
    for (const id of gone) hidden.add(id);
    const held = put.flatMap((entry) => hold(entry, this.profile) ?? []);
    return new CompiledList(
      this.profile,
      this.base,
      hidden,
      [...this.overlay.filter(({ entry }) => !gone.has(entry.id)), ...held],
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
    if (splitsCluster(text, caret)) return [];
    const matches: Match[] = [];
    for (const { layer, start, length, branch } of this.placesBefore(text, caret, edgeless)) {
      const { tree } = layer;
      if (!tree.isWhole(branch, length)) continue;
      const low = tree.lowOf(branch);
      // Twins of one key: the first few are enough to settle by capitals which of them fires.
      const end = Math.min(tree.longerOf(branch, length), low + this.hidden.size + MOST_TWINS);
      for (let at = low; at < end; at += 1) {
        const entry = tree.entries[at]!;
        if (!layer.isBase || !this.hidden.has(entry.id)) matches.push({ start, end: caret, entry });
      }
    }
    return matches.length < 2 ? matches : matches.sort((a, b) => a.start - b.start || byAge(a.entry, b.entry));
  }

  /**
   * The earliest place, at which a code may stand, from which `text` up to `end` is live: the
   * beginning of a longer code, or the whole of one that still waits for its delimiter. -1: none.
   */
  liveStart(text: string, end: number): number {
    return this.placesBefore(text, end, false).find((place) => this.isLive(place))?.start ?? -1;
  }

  private isLive({ layer, length, branch }: Place): boolean {
    const { tree, isBase } = layer;
    const high = tree.highOf(branch);
    if ((!isBase || this.hidden.size === 0) && tree.lengthOf(high - 1) > length) return true;
    for (let at = high - 1; at >= tree.lowOf(branch); at -= 1) {
      const entry = tree.entries[at]!;
      if (isBase && this.hidden.has(entry.id)) continue;
      if (tree.lengthOf(at) > length || entry.fires === 'delimiter') return true;
    }
    return false;
  }

  /**
   * The best `limit` of the codes that begin with, or equal, what stands before `caret`: whole codes
   * first, then by use, then the shortest.
   */
  offersFor(text: string, caret: number, limit = 8): Offer[] {
    const places = this.placesBefore(text, caret, false);
    if (places.length === 0 || limit <= 0) return [];
    const groups: OfferGroup[] = [];
    for (const { layer, start, length, branch } of places) {
      const best = this.bestOf(layer, branch, length, limit);
      if (best.entries.length > 0) groups.push({ tree: layer.tree, best, start, next: 0 });
    }
    return bestOffers(groups, caret, limit);
  }

  /** The best positions of a branch that the overlay does not hide. */
  private bestOf({ tree, isBase }: Layer, branch: Branch, length: number, limit: number): Best {
    const best = tree.bestOf(branch, length);
    if ((!isBase || this.hidden.size === 0) && limit <= REMEMBERED) return best;
    // If one of the remembered is gone, another takes its place.
    const isShown = (position: number) => !isBase || !this.hidden.has(tree.entries[position]!.id);
    if (limit <= REMEMBERED && best.positions.every(isShown)) return best;
    return tree.bestAmong(tree.search(branch, length, limit, isShown), length);
  }

  /**
   * Every place of a whole text at which a code would fire as it is typed: at its end, and where it
   * fires at a delimiter, followed by one or by the end of the text. Of codes that end at one place
   * and fire in one way the longest; what an earlier firing would have changed is not followed. Offers
   * do not fire. In the order of their ends; linear in the text.
   */
  scan(text: string): Match[] {
    const matches: Match[] = [];
    this.scanEach(text, (start, end, entry) => matches.push({ start, end, entry }));
    return matches.sort((a, b) => a.end - b.end);
  }

  /**
   * As `scan`, told one by one in the order of starts, so that counting in large texts takes no memory.
   * A text that is scanned for several lists is folded once, by `foldTyped` for this device.
   */
  scanEach(text: string | FoldedText, meet: Scanned): void {
    const folded = typeof text === 'string' ? foldTyped(text, this.profile) : text;
    const trees = (this.whole ??= this.treesOfAll());
    const { made } = folded;
    if (!made) {
      scanText(folded, this.profile, trees, meet);
      return;
    }
    const passing = this.passingMatches(made).sort((a, b) => a.start - b.start);
    let next = 0;
    const meetPassing = (before: number) => {
      for (; next < passing.length && passing[next]!.start < before; next += 1) {
        const { start, end, entry } = passing[next]!;
        meet(start, end, entry);
      }
    };
    scanText(folded, this.profile, trees, (from, to, entry) => {
      const start = made.typedStart(from);
      if (next < passing.length) meetPassing(start);
      meet(start, made.typedEnd(to), entry);
    });
    meetPassing(Infinity);
  }

  /** What would fire on characters that the next key replaced, by places of the typed text. */
  passingMatches(made: MadeText): Match[] {
    const matches: Match[] = [];
    const hasInstant = this.layers.some(({ tree }) => tree.hasInstant);
    for (const passing of made.passing) {
      const { characters, typedAt } = passing;
      const ended = Array.from({ length: characters.length + 1 }, (_, length) =>
        isEndedInPassing(passing, length, made, this.isDelimiter),
      );
      if (!hasInstant && !ended.includes(true)) continue;
      const { text, from, at } = passingState(made, passing, this.longest);
      ended.forEach((isEnded, length) => {
        const end = at + length;
        const found = isEnded || length > 0 ? this.matchesEndingAt(text, end) : [];
        for (const way of ['instant', 'delimiter'] as const) {
          if (way === 'instant' ? length === 0 : !isEnded) continue;
          const match = found.find(
            ({ entry, start }) => entry.fires === way && fitsCapitals(entry, text.slice(start, end)),
          );
          if (!match) continue;
          const start = match.start < at ? made.typedStart(from + match.start) : typedAt + match.start - at;
          matches.push({ start, end: typedAt + length, entry: match.entry });
        }
      });
    }
    return matches;
  }

  private get layers(): readonly Layer[] {
    return (this.all ??= [...this.base, ...layersOf(this.overlay, false)]);
  }

  /** The places before `caret` from which codes go on, in order; with `edgeless` also without an edge. */
  private placesBefore(text: string, caret: number, edgeless: boolean): readonly Place[] {
    // What fires, what is live and what is offered is asked of one place, one after the other.
    if (last.list === this && last.caret === caret && last.edgeless === edgeless && last.text === text) {
      return last.places;
    }
    const places: Place[] = [];
    foldBefore(text, caret, this.longest, !this.hasSpaces, scratch);
    const { offsets, marks, length } = scratch;
    const { layers } = this;
    for (let from = scratch.first; from < length; from += 1) {
      const start = offsets[from]!;
      if (start < 0) continue;
      const hasEdge = edgeless || (marks[from]! & EDGE) !== 0;
      for (let i = 0; i < layers.length; i += 1) {
        const layer = layers[i]!;
        if (!hasEdge && layer.edge === 'word') continue;
        const branch = layer.tree.branchOf(scratch, from);
        if (branch !== NOWHERE) places.push({ layer, start, length: length - from, branch });
      }
    }
    last.list = this;
    last.text = text;
    last.caret = caret;
    last.edgeless = edgeless;
    last.places = places;
    return places;
  }

  private treesOfAll(): Record<Edge, CodeTree> {
    const treeOf = (edge: Edge) => {
      const layers = this.layers.filter((layer) => layer.edge === edge);
      if (this.overlaySize === 0 && layers.length === 1) return layers[0]!.tree;
      const items = layers.flatMap(({ tree, isBase }) =>
        tree.items().filter(({ entry }) => !isBase || !this.hidden.has(entry.id)),
      );
      return new CodeTree(items.sort(byKeyAndAge));
    };
    return { word: treeOf('word'), anywhere: treeOf('anywhere') };
  }
}

function layersOf(held: readonly Keyed[], isBase: boolean): Layer[] {
  return (['anywhere', 'word'] as const).flatMap((edge) => {
    const items = held.filter(({ entry }) => entry.edge === edge).sort(byKeyAndAge);
    return items.length > 0 ? [{ tree: new CodeTree(items), edge, isBase }] : [];
  });
}

const MOST_TWINS = 64;
// Long enough for the longest code: 160 code points, each at most three folded units.
const scratch = foldedBuffer(LIMITS.codeCodePoints * 6);
/** The last answer of `placesBefore`. */
const last: {
  list: CompiledList | null;
  text: string;
  caret: number;
  edgeless: boolean;
  places: readonly Place[];
} = { list: null, text: '', caret: 0, edgeless: false, places: [] };

/** The list of one owner, its rules settled, as typed on a device of this profile. */
export function compile(list: RuledList, profile: DeviceProfile): CompiledList {
  return CompiledList.compile(settleRules(list), profile);
}

/** An entry by the rules of a device; null if it cannot hold such a code. */
export function heldBy(entry: FiringEntry, profile: DeviceProfile): FiringEntry | null {
  if (!profile.spacesInCodes && /\s/u.test(entry.code)) return null;
  const fires = profile.ways.includes(entry.fires) ? entry.fires : profile.otherwise;
  const edge = profile.edge === 'own' ? entry.edge : profile.edge;
  const capitals = profile.capitals === 'own' ? entry.capitals : profile.capitals;
  const delimiter = profile.keepsDelimiter === 'own' ? entry.delimiter : profile.keepsDelimiter;
  const isAsAsked =
    fires === entry.fires && edge === entry.edge && capitals === entry.capitals && delimiter === entry.delimiter;
  // What is as it was is not kept twice.
  return isAsAsked ? entry : { ...entry, fires, edge, capitals, delimiter };
}

/** An entry as the device holds it, under its match key; null if it cannot. */
function hold(entry: FiringEntry, profile: DeviceProfile): Keyed | null {
  const held = heldBy(entry, profile);
  const key = matchKey(entry.code);
  return held === null || key === '' ? null : { key: key === entry.code ? entry.code : key, entry: held };
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

/** What one place and one tree have to offer, of which `next` comes next. */
interface OfferGroup {
  readonly tree: CodeTree;
  readonly best: Best;
  readonly start: number;
  next: number;
}

/** The best of several groups: whole codes first, then in the order of offers. */
function bestOffers(groups: readonly OfferGroup[], end: number, limit: number): Offer[] {
  const offers: Offer[] = [];
  if (groups.length === 1) {
    const { best, start } = groups[0]!;
    const { entries, exact } = best;
    const count = Math.min(entries.length, limit);
    for (let i = 0; i < count; i += 1) offers.push({ entry: entries[i]!, start, end, isExact: i < exact });
    return offers;
  }
  while (offers.length < limit) {
    let first: OfferGroup | null = null;
    for (let i = 0; i < groups.length; i += 1) {
      const group = groups[i]!;
      if (group.next < group.best.entries.length && (first === null || goesBefore(group, first))) first = group;
    }
    if (first === null) break;
    const { best, start, next } = first;
    offers.push({ entry: best.entries[next]!, start, end, isExact: next < best.exact });
    first.next += 1;
  }
  return offers;
}

/** Whether what is next in `a` goes before what is next in `b`. */
function goesBefore(a: OfferGroup, b: OfferGroup): boolean {
  const isExact = a.next < a.best.exact;
  if (isExact !== b.next < b.best.exact) return isExact;
  const here = a.best.positions[a.next]!;
  const there = b.best.positions[b.next]!;
  return a.tree === b.tree
    ? a.tree.rankOf(here) < b.tree.rankOf(there)
    : byOffer(a.tree.item(here), b.tree.item(there)) < 0;
}
