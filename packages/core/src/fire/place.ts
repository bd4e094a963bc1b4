import { byAge, byOffer, NOWHERE, REMEMBERED, type Best, type Branch, type CodeTree } from './codeTree';
import { classAt, classBefore, unitOf } from './character';
import { isEdge } from './edge';
import { foldBefore, splitsCluster } from './fold';
import type { Layer } from './layers';
import type { Range } from './range';
import type { FiringEntry } from './rules';

/** A code found in a text. */
export interface Match extends Range {
  readonly entry: FiringEntry;
}

/** An expansion that could be had by a tap: the stretch it would replace, and whether it is all of a code. */
export interface Offer extends Range {
  readonly entry: FiringEntry;
  readonly isExact: boolean;
}

/** What of a compiled list a look-up goes through. */
export interface Searched {
  readonly layers: readonly Layer[];
  /** Ids that the base holds no more. */
  readonly hidden: ReadonlySet<string>;
  /** Units of the longest match key. */
  readonly longest: number;
  /** Whether some code holds white space. */
  readonly hasSpaces: boolean;
}

/** Where a code of a layer may begin, and how far the text before the caret leads into its tree. */
interface Start {
  readonly layer: Layer;
  readonly start: number;
  /** How many folded units stand between it and the caret. */
  readonly length: number;
  readonly branch: Branch;
}

/** Twins of one key: the first few are enough to settle by capitals which of them fires. */
const MOST_TWINS = 64;

/**
 * A caret in a text, seen by a list: which codes end there, whether a longer one may still come, what can be offered.
 * The text is folded and the trees are walked once, when the place is made; each question is answered from that.
 */
export class Place {
  private readonly starts: readonly Start[];

  /** `needsEdge` false: codes count as well that fail for want of an edge. */
  constructor(
    private readonly list: Searched,
    private readonly text: string,
    private readonly caret: number,
    needsEdge: boolean,
  ) {
    this.starts = startsBefore(list, text, caret, needsEdge);
  }

  /** Codes that end at the caret and have an edge before them: longest first, of equal ones the oldest. */
  matches(): Match[] {
    const { list, caret } = this;
    const matches: Match[] = [];
    if (this.starts.length === 0 || splitsCluster(this.text, caret)) return matches;
    for (const { layer, start, length, branch } of this.starts) {
      const { tree } = layer;
      if (!tree.isWhole(branch, length)) continue;
      const low = tree.lowOf(branch);
      const end = Math.min(tree.longerOf(branch, length), low + list.hidden.size + MOST_TWINS);
      for (let at = low; at < end; at += 1) {
        const entry = tree.entries[at]!;
        if (!layer.isBase || !list.hidden.has(entry.id)) matches.push({ start, end: caret, entry });
      }
    }
    return matches.length < 2 ? matches : matches.sort((a, b) => a.start - b.start || byAge(a.entry, b.entry));
  }

  /**
   * The earliest place, at which a code may stand, from which the text up to the caret is live: the beginning of a
   * longer code, or the whole of one that still waits for its delimiter. -1: none.
   */
  liveStart(): number {
    return this.starts.find((start) => this.isLive(start))?.start ?? -1;
  }

  private isLive({ layer, length, branch }: Start): boolean {
    const { tree, isBase } = layer;
    const { hidden } = this.list;
    const high = tree.highOf(branch);
    if ((!isBase || hidden.size === 0) && tree.lengthOf(high - 1) > length) return true;
    for (let at = high - 1; at >= tree.lowOf(branch); at -= 1) {
      const entry = tree.entries[at]!;
      if (isBase && hidden.has(entry.id)) continue;
      if (tree.lengthOf(at) > length || entry.fires === 'delimiter') return true;
    }
    return false;
  }

  /**
   * The best `limit` of the codes that begin with, or equal, what stands before the caret: whole codes first, then by
   * use, then the shortest.
   */
  offers(limit = 8): Offer[] {
    if (this.starts.length === 0 || limit <= 0) return [];
    const groups: OfferGroup[] = [];
    for (const { layer, start, length, branch } of this.starts) {
      const best = this.bestOf(layer, branch, length, limit);
      if (best.entries.length > 0) groups.push({ tree: layer.tree, best, start, next: 0 });
    }
    return bestOffers(groups, this.caret, limit);
  }

  /** The best positions of a branch that the overlay does not hide. */
  private bestOf({ tree, isBase }: Layer, branch: Branch, length: number, limit: number): Best {
    const { hidden } = this.list;
    const best = tree.bestOf(branch, length);
    if ((!isBase || hidden.size === 0) && limit <= REMEMBERED) return best;
    // If one of the remembered is gone, another takes its place.
    const isShown = (position: number) => !isBase || !hidden.has(tree.entries[position]!.id);
    if (limit <= REMEMBERED && best.positions.every(isShown)) return best;
    return tree.bestAmong(tree.search(branch, length, limit, isShown), length);
  }
}

const NONE: readonly Start[] = [];

/** The places before `caret` from which codes go on, in order. */
function startsBefore(
  { layers, longest, hasSpaces }: Searched,
  text: string,
  caret: number,
  needsEdge: boolean,
): readonly Start[] {
  const { units, first, end, offsets } = foldBefore(text, caret, longest, !hasSpaces);
  let starts: Start[] | null = null;
  let before = offsets ? 0 : classBefore(text, first);
  for (let from = first; from < end; from += 1) {
    const start = offsets ? offsets[from]! : from;
    if (start < 0) continue;
    const unit = offsets ? classAt(text, start) : unitOf(text.charCodeAt(from));
    if (offsets) before = classBefore(text, start);
    const hasEdge = !needsEdge || isEdge(before, unit, text, start);
    before = unit;
    for (let i = 0; i < layers.length; i += 1) {
      const layer = layers[i]!;
      if (!hasEdge && layer.edge === 'word') continue;
      const branch = layer.tree.branchOf(units, from, end);
      if (branch !== NOWHERE) (starts ??= []).push({ layer, start, length: end - from, branch });
    }
  }
  return starts ?? NONE;
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
