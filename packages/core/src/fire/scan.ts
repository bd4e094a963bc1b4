import type { DeviceProfile } from '../fit';
import { fitsCapitals } from './capitals';
import { delimiterTest } from './delimiter';
import { hasEdgeBefore, isInsideAsciiWord, type Edge } from './edge';
import { foldAll, type Folded } from './fold';
import type { Match } from './list';
import type { FiringEntry } from './rules';
import type { Keyed } from './sortedIndex';

/**
 * The codes as an automaton over typed arrays: a tree of their folded units in breadth-first order, so
 * that the children of a node lie side by side, sorted. The two steps from the root are one look-up.
 * 10 bytes a node; built in one pass over sorted keys.
 */
class Tree {
  /** Children of node n: from firstChild[n] up to firstChild[n + 1]. */
  private readonly firstChild: Int32Array;
  private readonly unit: Uint16Array;
  /** The position of the key that ends at a node; -1: none. */
  readonly ends: Int32Array;
  /** The node reached by two ASCII units; 0: none. */
  private readonly pairs = new Int32Array(128 * 128);
  /** The node reached by one ASCII unit; 0: none. */
  private readonly firsts = new Int32Array(128);

  constructor(items: readonly Keyed[]) {
    const most = items.reduce((sum, { key }) => sum + key.length, 1);
    this.firstChild = new Int32Array(most + 2);
    this.unit = new Uint16Array(most + 1);
    this.ends = new Int32Array(most + 1).fill(-1);
    // The keys below each node of the level in hand, as a range of positions.
    let level: [node: number, from: number, to: number][] = [[0, 0, items.length]];
    let nodes = 1;
    for (let depth = 0; level.length > 0; depth += 1) {
      const next: typeof level = [];
      for (const [node, from, to] of level) {
        this.firstChild[node] = nodes;
        let at = from;
        for (; at < to && items[at]!.key.length === depth; at += 1) {
          if (this.ends[node] === -1) this.ends[node] = at;
        }
        while (at < to) {
          const unit = items[at]!.key.charCodeAt(depth);
          let end = at + 1;
          while (end < to && items[end]!.key.charCodeAt(depth) === unit) end += 1;
          this.unit[nodes] = unit;
          next.push([nodes, at, end]);
          nodes += 1;
          at = end;
        }
      }
      level = next;
    }
    this.firstChild[nodes] = nodes;
    for (let node = 1; node < this.firstChild[1]! && items.length > 0; node += 1) {
      const first = this.unit[node]!;
      if (first >= 128) continue;
      this.firsts[first] = node;
      for (let child = this.firstChild[node]!; child < this.firstChild[node + 1]!; child += 1) {
        if (this.unit[child]! < 128) this.pairs[first * 128 + this.unit[child]!] = child;
      }
    }
  }

  /** The node one step on from `node`; 0: no key goes on so. */
  step(node: number, unit: number): number {
    if (node === 0 && unit < 128) return this.firsts[unit]!;
    let low = this.firstChild[node]!;
    let high = this.firstChild[node + 1]!;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.unit[middle]! < unit) low = middle + 1;
      else high = middle;
    }
    return low < this.firstChild[node + 1]! && this.unit[low] === unit ? low : 0;
  }

  /** Whether a key of at least two units, or one of one, may begin so. Only for ASCII. */
  mayBegin(first: number, second: number): boolean {
    if (this.pairs[first * 128 + second] !== 0) return true;
    const node = this.firsts[first]!;
    return node !== 0 && this.ends[node] !== -1;
  }
}

/** What a scan runs on: the codes of each edge, and their automaton. */
export interface Scanner {
  readonly parts: readonly { edge: Edge; items: readonly Keyed[]; tree: Tree }[];
}

/** Makes the automata of a list: linear in the length of its codes. */
export function makeScanner(byEdge: Record<Edge, readonly Keyed[]>): Scanner {
  const edges = (['word', 'anywhere'] as const).filter((edge) => byEdge[edge].length > 0);
  return {
    parts: edges.map((edge) => ({ edge, items: byEdge[edge], tree: new Tree(byEdge[edge]) })),
  };
}

/** See `CompiledList.scan`. 8 bytes for each unit of the text, and what folding it takes. */
export function scanText(text: string, profile: DeviceProfile, { parts }: Scanner): Match[] {
  const folded = foldAll(text);
  const isEnd = delimiterTest(profile.delimiters);
  // For each end in the text, one more than the earliest start found: the longest code wins.
  const startOf = new Int32Array(text.length + 1);
  const entryOf = new Int32Array(text.length + 1);
  const fired: FiringEntry[] = [];
  for (const { edge, items, tree } of parts) {
    // Each entry is noted once, by its position.
    const numberOf = new Int32Array(items.length).fill(-1);
    walk(text, folded, tree, edge, (start, end, at) => {
      if (startOf[end] !== 0 && startOf[end]! - 1 <= start) return;
      const { key } = items[at]!;
      for (let i = at; i < items.length && (i === at || items[i]!.key === key); i += 1) {
        const { entry } = items[i]!;
        if (entry.fires === 'offer') continue;
        if (entry.capitals === 'match' && !fitsCapitals(entry, text.slice(start, end))) continue;
        if (entry.fires === 'delimiter' && end < text.length && !isEnd(characterAt(text, end))) continue;
        if (numberOf[i] === -1) numberOf[i] = fired.push(entry) - 1;
        startOf[end] = start + 1;
        entryOf[end] = numberOf[i]!;
        return;
      }
    });
  }
  const matches: Match[] = [];
  for (let end = 1; end <= text.length; end += 1) {
    if (startOf[end] === 0) continue;
    matches.push({ start: startOf[end]! - 1, end, entry: fired[entryOf[end]!]! });
  }
  return matches;
}

function characterAt(text: string, index: number): string {
  if (text.charCodeAt(index) < 0xd800) return text[index]!;
  return String.fromCodePoint(text.codePointAt(index)!);
}

/** Calls `meet` with every key that begins at an edge (or anywhere) and ends between clusters. */
function walk(
  text: string,
  folded: Folded,
  tree: Tree,
  edge: Edge,
  meet: (start: number, end: number, at: number) => void,
): void {
  const { units, offsets, length } = folded;
  for (let from = 0; from < length; from += 1) {
    const start = offsets[from]!;
    if (start < 0) continue;
    if (edge === 'word' && start > 0 && isInsideAsciiWord(text, start)) continue;
    const first = units[from]!;
    const second = from + 1 < length ? units[from + 1]! : 0;
    if (first < 128 && second < 128 && !tree.mayBegin(first, second)) continue;
    if (!hasEdgeBefore(text, start, edge)) continue;
    let node = 0;
    for (let at = from; at < length; at += 1) {
      node = tree.step(node, units[at]!);
      if (node === 0) break;
      const ending = tree.ends[node]!;
      if (ending === -1) continue;
      const end = at + 1 < length ? offsets[at + 1]! : folded.end;
      if (end >= 0) meet(start, end, ending);
    }
  }
}
