import type { WordRow } from './wordRow';

/** Words of a row, from one place to before another. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  /** Characters in it that differ each time, and are typed beside a code too. */
  readonly differing?: number;
}

/** Something that could be a shortcut, and where it stands. */
export interface Candidate<Kind> {
  readonly what: Kind;
  /** What it saves at most, in characters. */
  readonly atMost: number;
  /** Characters typed for each use of it: its code, and going from blank to blank. */
  readonly cost: number;
  /** Where it stands, in the row’s order and none over another; worked out when it is asked for. */
  readonly stretches: () => readonly Stretch[];
}

/** What was chosen, and where it stands without what was chosen before. */
export interface Chosen<Kind> {
  readonly what: Kind;
  readonly stretches: readonly Stretch[];
}

/**
 * Of all that could be shortcuts, one after the other the one that saves most beside those already chosen (greedily, with values
 * worked out anew only for what comes to the top: Minoux 1978; they can only fall). A stretch of which less than half is
 * left by the others is no use of it. `covered`: 1 for each word that is given already; it is changed. Those with fewer than
 * `least` uses are left out.
 */
export function chooseCovering<Kind>(
  { starts, ends }: WordRow,
  candidates: readonly Candidate<Kind>[],
  covered: Uint8Array,
  least: number,
): Chosen<Kind>[] {
  const heap = new Heap<Candidate<Kind>>();
  for (const candidate of candidates) heap.put(candidate.atMost, candidate);
  const chosen: Chosen<Kind>[] = [];
  for (let top = heap.take(); top; top = heap.take()) {
    const { what, cost } = top.held;
    const stretches: Stretch[] = [];
    let saves = 0;
    for (const stretch of top.held.stretches()) {
      let left = 0;
      for (let word = stretch.from; word < stretch.to; word += 1)
        if (covered[word] === 0) left += ends[word]! - starts[word]! + 1;
      const whole = ends[stretch.to - 1]! - starts[stretch.from]!;
      if (left * 2 < whole) continue;
      stretches.push(stretch);
      saves += Math.min(left, whole) - cost - (stretch.differing ?? 0);
    }
    if (stretches.length < least || saves <= 0) continue;
    if (saves < heap.top) {
      heap.put(saves, top.held);
      continue;
    }
    for (const { from, to } of stretches) covered.fill(1, from, to);
    chosen.push({ what, stretches });
  }
  return chosen;
}

/** What has the greatest number comes first. */
class Heap<Held> {
  private readonly items: { readonly value: number; readonly held: Held }[] = [];

  /** The greatest number in it; -∞: it is empty. */
  get top(): number {
    return this.items[0]?.value ?? -Infinity;
  }

  put(value: number, held: Held): void {
    const { items } = this;
    items.push({ value, held });
    for (let at = items.length - 1; at > 0;) {
      const above = (at - 1) >> 1;
      if (items[above]!.value >= items[at]!.value) break;
      this.swap(at, above);
      at = above;
    }
  }

  take(): { readonly value: number; readonly held: Held } | undefined {
    const { items } = this;
    const first = items[0];
    const last = items.pop();
    if (items.length === 0 || !last) return first;
    items[0] = last;
    for (let at = 0; ;) {
      let greatest = at;
      for (const below of [2 * at + 1, 2 * at + 2])
        if (below < items.length && items[below]!.value > items[greatest]!.value) greatest = below;
      if (greatest === at) return first;
      this.swap(at, greatest);
      at = greatest;
    }
  }

  private swap(a: number, b: number): void {
    [this.items[a], this.items[b]] = [this.items[b]!, this.items[a]!];
  }
}
