import type { PlanProblem } from './problem';

/** The cheapest way to give each shortcut a key of its own. */
export interface Assigned {
  /** By shortcut: its option. */
  readonly chosen: Int32Array;
  /** Seconds in a week. With no other conflicts than equal keys the best there is; with them, no plan is cheaper. */
  readonly cost: number;
}

/** An option that no shortcut has: taken where there are too few keys, dearer than all others together. */
const NOTHING = -1;

/**
 * The assignment problem over the options alone: conflicts but for equal keys are left out, so that its cost is a lower bound for any
 * plan. Shortest augmenting paths with prices on the keys (Kuhn 1955; Edmonds and Karp 1972 for the paths; a sparse form of
 * Jonker and Volgenant 1987, from memory). Most shortcuts have their cheapest key at once; each of the others costs one search by
 * Dijkstra over the options that it reaches.
 */
export function assignKeys(problem: PlanProblem): Assigned {
  return new KeyAssigner(problem).run();
}

class KeyAssigner {
  private readonly chosen: Int32Array;
  private readonly holder: Int32Array;
  /** Prices: what a key costs beside its options' costs; never above 0. */
  private readonly price: Float64Array;
  private readonly distance: Float64Array;
  /** By key: the option by which it was reached. */
  private readonly via: Int32Array;
  private readonly reached: number[] = [];
  private readonly isDone: Uint8Array;
  /** By option: its shortcut. */
  private readonly owner: Int32Array;

  constructor(private readonly problem: PlanProblem) {
    const { count, keyCount, first } = problem;
    this.chosen = new Int32Array(count).fill(NOTHING);
    this.holder = new Int32Array(keyCount).fill(-1);
    this.price = new Float64Array(keyCount);
    this.distance = new Float64Array(keyCount).fill(Infinity);
    this.via = new Int32Array(keyCount).fill(-1);
    this.isDone = new Uint8Array(keyCount);
    this.owner = new Int32Array(problem.key.length);
    for (let i = 0; i < count; i += 1) this.owner.fill(i, first[i], first[i + 1]);
  }

  run(): Assigned {
    const { problem, chosen } = this;
    const { count, first, key, cost } = problem;
    const waiting: number[] = [];
    for (let i = 0; i < count; i += 1) {
      const option = first[i]!;
      if (this.holder[key[option]!] === -1) this.give(i, option);
      else waiting.push(i);
    }
    for (const shortcut of waiting) this.augment(shortcut);
    return { chosen, cost: chosen.reduce((sum, option) => sum + (option < 0 ? 0 : cost[option]!), 0) };
  }

  private give(shortcut: number, option: number): void {
    this.chosen[shortcut] = option;
    this.holder[this.problem.key[option]!] = shortcut;
  }

  /** Finds the cheapest chain of moves that gives a shortcut a key, and makes them. */
  private augment(start: number): void {
    const { problem, holder, price, distance, via, isDone, chosen } = this;
    const { first, key, cost } = problem;
    const heap = new MinHeap();
    const reach = (shortcut: number, so: number) => {
      for (let option = first[shortcut]!; option < first[shortcut + 1]!; option += 1) {
        const to = key[option]!;
        const far = so + cost[option]! - price[to]!;
        if (far >= distance[to]! || isDone[to] === 1) continue;
        if (distance[to] === Infinity) this.reached.push(to);
        distance[to] = far;
        via[to] = option;
        heap.push(far, to);
      }
    };
    reach(start, 0);
    let end = -1;
    for (let next = heap.pop(); next !== null; next = heap.pop()) {
      const [far, at] = next;
      if (isDone[at] === 1 || far > distance[at]!) continue;
      isDone[at] = 1;
      const user = holder[at]!;
      if (user < 0) {
        end = at;
        break;
      }
      // Its present option is on a shortest way, so that the rest of its ways begin there.
      reach(user, far - (cost[chosen[user]!]! - price[at]!));
    }
    if (end >= 0) {
      const whole = distance[end]!;
      for (const at of this.reached) if (isDone[at] === 1) price[at]! += distance[at]! - whole;
      this.follow(start, end);
    }
    for (const at of this.reached) {
      distance[at] = Infinity;
      via[at] = -1;
      isDone[at] = 0;
    }
    this.reached.length = 0;
  }

  private follow(start: number, end: number): void {
    const { problem, chosen, via, owner } = this;
    for (let at = end; ;) {
      const option = via[at]!;
      const shortcut = owner[option]!;
      const before = chosen[shortcut]!;
      this.give(shortcut, option);
      if (shortcut === start) return;
      at = problem.key[before]!;
    }
  }
}

/** Pairs of a number to sort by and one that it is of; the smallest first. A binary heap. */
class MinHeap {
  private readonly keys: number[] = [];
  private readonly values: number[] = [];

  push(key: number, value: number): void {
    const { keys, values } = this;
    let at = keys.length;
    keys.push(key);
    values.push(value);
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if (keys[parent]! <= key) break;
      keys[at] = keys[parent]!;
      values[at] = values[parent]!;
      at = parent;
    }
    keys[at] = key;
    values[at] = value;
  }

  pop(): readonly [key: number, value: number] | null {
    const { keys, values } = this;
    if (keys.length === 0) return null;
    const top = [keys[0]!, values[0]!] as const;
    const key = keys.pop()!;
    const value = values.pop()!;
    const count = keys.length;
    if (count > 0) {
      let at = 0;
      for (;;) {
        let child = 2 * at + 1;
        if (child >= count) break;
        if (child + 1 < count && keys[child + 1]! < keys[child]!) child += 1;
        if (keys[child]! >= key) break;
        keys[at] = keys[child]!;
        values[at] = values[child]!;
        at = child;
      }
      keys[at] = key;
      values[at] = value;
    }
    return top;
  }
}
