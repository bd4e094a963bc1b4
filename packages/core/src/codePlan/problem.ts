import type { KeyConflicts } from './conflicts';

/**
 * Choosing codes for many shortcuts at once, as numbers: each shortcut has options, an option is a key (what two codes are the same
 * by) at a cost, and some keys may not stand in one list. An assignment problem with conflicts, also known as a weighted
 * constraint satisfaction problem with hard binary constraints.
 */
export interface PlanProblem {
  /** How many shortcuts there are. */
  readonly count: number;
  /** The options of shortcut i stand from `first[i]` up to `first[i + 1]`, the cheapest first. At least one each. */
  readonly first: Int32Array;
  /** By option; seconds in a week. */
  readonly cost: Float64Array;
  /** By option: its key. */
  readonly key: Int32Array;
  readonly keyCount: number;
  readonly conflicts: KeyConflicts;
  /** By shortcut, 1: some device expands its code as soon as it is typed, so that no other may begin with it. */
  readonly isInstant: Uint8Array;
}

/** What was chosen so far: an option for each shortcut, no two of which conflict. */
export class Assignment {
  /** By shortcut: its option; -1: none yet. */
  readonly chosen: Int32Array;
  /** By key: the shortcut that has it; -1: none. */
  readonly holder: Int32Array;

  constructor(readonly problem: PlanProblem) {
    this.chosen = new Int32Array(problem.count).fill(-1);
    this.holder = new Int32Array(problem.keyCount).fill(-1);
  }

  /** Seconds in a week of all that is chosen. */
  get cost(): number {
    return this.chosen.reduce((sum, option) => sum + (option < 0 ? 0 : this.problem.cost[option]!), 0);
  }

  choose(shortcut: number, option: number): void {
    this.drop(shortcut);
    this.chosen[shortcut] = option;
    if (option >= 0) this.holder[this.problem.key[option]!] = shortcut;
  }

  drop(shortcut: number): void {
    const before = this.chosen[shortcut]!;
    if (before >= 0) this.holder[this.problem.key[before]!] = -1;
    this.chosen[shortcut] = -1;
  }

  /** Whether an option could be taken with no other giving way. */
  isFree(option: number, shortcut: number): boolean {
    return this.search(option, shortcut, null);
  }

  /** The shortcuts that would have to give way to an option, each once. */
  blockers(option: number, shortcut: number): number[] {
    const found: number[] = [];
    this.search(option, shortcut, found);
    return found;
  }

  /** What the shortcut would save if nobody were in its way. */
  slackOf(shortcut: number): number {
    const option = this.chosen[shortcut]!;
    const { cost, first } = this.problem;
    return option < 0 ? Infinity : cost[option]! - cost[first[shortcut]!]!;
  }

  private search(option: number, shortcut: number, found: number[] | null): boolean {
    const { problem, holder } = this;
    return conflictingKeys(problem, problem.key[option]!, shortcut, (key, isAgainst) => {
      const other = holder[key]!;
      if (other < 0 || other === shortcut || !isAgainst(other)) return true;
      if (found === null) return false;
      if (!found.includes(other)) found.push(other);
      return true;
    });
  }
}

const ALWAYS = (): boolean => true;

/**
 * Calls back with every key that conflicts with one if a shortcut takes it, its own among them, and whether it does for whoever
 * has that; stops when the call gives false, and gives that.
 */
export function conflictingKeys(
  { conflicts, isInstant }: PlanProblem,
  key: number,
  shortcut: number,
  call: (key: number, isAgainst: (other: number) => boolean) => boolean,
): boolean {
  if (!call(key, ALWAYS)) return false;
  for (const other of conflicts.always(key)) if (!call(other, ALWAYS)) return false;
  const hides = (other: number) => isInstant[other] === 1;
  for (const other of conflicts.shorter(key)) if (!call(other, hides)) return false;
  if (isInstant[shortcut] === 1) for (const other of conflicts.longer(key)) if (!call(other, ALWAYS)) return false;
  return true;
}
