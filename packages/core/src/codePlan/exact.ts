import { conflictingKeys, type Assignment } from './problem';

/** What a search came to: whether it went through all there is. */
export interface ExactResult {
  /** Seconds in a week that were saved. */
  readonly saved: number;
  readonly isWhole: boolean;
}

/** Less is no gain, in seconds a week: what adding in another order makes. */
const EPSILON = 1e-9;

/**
 * The cheapest options for some shortcuts while all others keep theirs. Makes the change if it is cheaper than what there is, or if
 * some had none. At most `most` steps.
 */
export function solveExactly(assignment: Assignment, shortcuts: readonly number[], most: number): ExactResult {
  const { cost } = assignment.problem;
  const before = shortcuts.map((shortcut) => assignment.chosen[shortcut]!);
  // Where one has none, any whole solution is better.
  const costBefore = before.some((option) => option < 0)
    ? Infinity
    : before.reduce((sum, option) => sum + cost[option]!, 0);
  for (const shortcut of shortcuts) assignment.drop(shortcut);
  const search = new BranchAndBound(assignment, shortcuts, costBefore, most);
  const found = search.run();
  shortcuts.forEach((shortcut, at) => assignment.choose(shortcut, (found ?? before)[at]!));
  return { saved: found ? costBefore - search.best : 0, isWhole: search.isWhole };
}

/**
 * Branch and bound over the options that conflict with nothing outside. At each step every shortcut is taken to have its cheapest
 * option left; where none of these conflict, that is the best there is below the step. Else one of two that conflict must give way:
 * the least that this costs, summed over pairs that share no shortcut, is added to the bound, and the shortcut to which giving
 * way is dearest is decided first.
 */
class BranchAndBound {
  best: number;
  isWhole = true;
  private found: number[] | null = null;
  private steps = 0;
  /** By shortcut of the search: its options here, the cheapest first. */
  private readonly options: number[][] = [];
  /** By option here: the option of the problem, its cost, its shortcut, and the options it conflicts with. */
  private readonly of: number[] = [];
  private readonly cost: number[] = [];
  private readonly owner: number[] = [];
  private readonly against: number[][] = [];
  /** By option here: by how many that were decided it is ruled out. */
  private readonly ruledOut: Int32Array;
  /** By shortcut of the search: the option it was decided for; -1: not yet. */
  private readonly decided: Int32Array;

  constructor(
    assignment: Assignment,
    private readonly shortcuts: readonly number[],
    best: number,
    private readonly most: number,
  ) {
    const { problem } = assignment;
    this.best = best;
    const byKey = new Map<number, number[]>();
    shortcuts.forEach((shortcut, at) => {
      const own: number[] = [];
      for (let option = problem.first[shortcut]!; option < problem.first[shortcut + 1]!; option += 1) {
        if (!assignment.isFree(option, shortcut)) continue;
        const here = this.of.push(option) - 1;
        this.cost.push(problem.cost[option]!);
        this.owner.push(at);
        own.push(here);
        const key = problem.key[option]!;
        byKey.set(key, [...(byKey.get(key) ?? []), here]);
      }
      this.options.push(own);
    });
    this.of.forEach((option, here) => {
      const at = this.owner[here]!;
      const against: number[] = [];
      conflictingKeys(problem, problem.key[option]!, shortcuts[at]!, (key, isAgainst) => {
        for (const other of byKey.get(key) ?? []) {
          const theirs = this.owner[other]!;
          if (theirs !== at && isAgainst(shortcuts[theirs]!) && !against.includes(other)) against.push(other);
        }
        return true;
      });
      this.against.push(against);
    });
    this.ruledOut = new Int32Array(this.of.length);
    this.decided = new Int32Array(shortcuts.length).fill(-1);
  }

  /** The options of the problem, by shortcut of the search; null: none cheaper was found. */
  run(): number[] | null {
    this.descend(0);
    return this.found;
  }

  private descend(spent: number): void {
    this.steps += 1;
    if (this.steps > this.most) {
      this.isWhole = false;
      return;
    }
    const { options, cost, decided, ruledOut } = this;
    const count = this.shortcuts.length;
    const cheapest = new Int32Array(count).fill(-1);
    const regret = new Float64Array(count);
    let bound = spent;
    for (let at = 0; at < count; at += 1) {
      if (decided[at]! >= 0) continue;
      let second = Infinity;
      for (const option of options[at]!) {
        if (ruledOut[option]! > 0) continue;
        if (cheapest[at]! < 0) cheapest[at] = option;
        else {
          second = cost[option]!;
          break;
        }
      }
      const own = cheapest[at]!;
      if (own < 0) return;
      bound += cost[own]!;
      regret[at] = second - cost[own]!;
    }
    if (bound >= this.best - EPSILON) return;
    // Pairs of cheapest options that conflict.
    let next = -1;
    const isPaired = new Uint8Array(count);
    let least = bound;
    for (let at = 0; at < count; at += 1) {
      const own = cheapest[at]!;
      if (own < 0) continue;
      let isInConflict = false;
      for (const other of this.against[own]!) {
        const theirs = this.owner[other]!;
        if (cheapest[theirs] !== other) continue;
        isInConflict = true;
        if (isPaired[at] === 1 || isPaired[theirs] === 1) continue;
        isPaired[at] = isPaired[theirs] = 1;
        least += Math.min(regret[at]!, regret[theirs]!);
      }
      if (isInConflict && (next < 0 || regret[at]! > regret[next]!)) next = at;
    }
    if (least >= this.best - EPSILON) return;
    if (next < 0) {
      this.best = bound;
      this.found = cheapest.reduce<number[]>((all, option, at) => {
        all.push(this.of[option < 0 ? decided[at]! : option]!);
        return all;
      }, []);
      return;
    }
    const rest = bound - cost[cheapest[next]!]!;
    for (const option of options[next]!) {
      if (ruledOut[option]! > 0) continue;
      // Options stand in the order of their costs: the rest are dearer still.
      if (rest + cost[option]! >= this.best - EPSILON) return;
      this.decide(next, option, 1);
      this.descend(spent + cost[option]!);
      this.decide(next, option, -1);
      if (!this.isWhole) return;
    }
  }

  private decide(at: number, option: number, by: 1 | -1): void {
    this.decided[at] = by === 1 ? option : -1;
    for (const other of this.against[option]!) this.ruledOut[other]! += by;
  }
}
