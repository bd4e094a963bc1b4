import { assignKeys } from './assignment';
import { solveExactly } from './exact';
import { Assignment, type PlanProblem } from './problem';

/** Lists up to so many shortcuts that have to do with each other are searched through as a whole. */
const SMALL = 40;
/** Steps of such a search, and of one over a part of a longer list. */
const MOST_STEPS = 400_000;
const MOST_STEPS_OF_PART = 4_000;
/** So many shortcuts are moved together in a longer list. */
const MOST_MOVED = 14;

/** A plan: an option for each shortcut, and how good it is known to be. */
export interface Solved {
  /** By shortcut: its option; -1: there is none that conflicts with no other. */
  readonly chosen: Int32Array;
  /** Seconds in a week. */
  readonly cost: number;
  /** No plan costs less than this. */
  readonly bound: number;
  /** Whether none is better, by the bound or because all were gone through. */
  readonly isBest: boolean;
}

/**
 * Chooses options so that none conflict and the cost is least. It begins with the assignment without conflicts, whose cost is the
 * bound; takes its options in the order of what giving way would cost; then moves shortcuts that could do better together with
 * those in their way, each time the best there is for them (a large neighbourhood search, Shaw 1998, from memory). It stops when each
 * shortcut that could do better was tried since anything near it changed. Gives how much is done, from 0 to 1.
 */
export function* solve(problem: PlanProblem): Generator<number, Solved> {
  const relaxed = assignKeys(problem);
  const assignment = new Assignment(problem);
  yield 0.1;
  begin(assignment, relaxed.chosen);
  yield 0.2;
  let isBest = isAt(assignment, relaxed.cost);
  if (!isBest && problem.count <= SMALL) {
    const all = Array.from({ length: problem.count }, (_, i) => i);
    yield* improve(assignment);
    isBest = solveExactly(assignment, all, MOST_STEPS).isWhole;
  } else if (!isBest) {
    yield* improve(assignment);
  }
  const { chosen, cost } = assignment;
  return { chosen, cost, bound: relaxed.cost, isBest: isBest || isAt(assignment, relaxed.cost) };
}

function isAt(assignment: Assignment, bound: number): boolean {
  return !assignment.chosen.includes(-1) && assignment.cost <= bound + 1e-6;
}

/** Takes the options of the assignment, or the next that is free, those first to whom giving way would cost most. */
function begin(assignment: Assignment, wanted: Int32Array): void {
  const { problem } = assignment;
  const { first, cost, count } = problem;
  const regret = new Float64Array(count);
  for (let i = 0; i < count; i += 1) {
    const second = first[i]! + 1;
    regret[i] = second < first[i + 1]! ? cost[second]! - cost[first[i]!]! : Infinity;
  }
  const order = Array.from({ length: count }, (_, i) => i).sort((a, b) => regret[b]! - regret[a]! || a - b);
  for (const shortcut of order) takeFree(assignment, shortcut, wanted[shortcut]!);
  // Those that found none make room for themselves.
  for (const shortcut of order) {
    if (assignment.chosen[shortcut]! >= 0) continue;
    solveExactly(assignment, neighbourhoodOf(assignment, shortcut), MOST_STEPS_OF_PART * 4);
  }
}

/** The cheapest in list order: what a plan is measured against. */
export function solveGreedily(problem: PlanProblem): Assignment {
  const assignment = new Assignment(problem);
  for (let shortcut = 0; shortcut < problem.count; shortcut += 1) takeFree(assignment, shortcut, -1);
  return assignment;
}

function takeFree(assignment: Assignment, shortcut: number, wanted: number): void {
  const { first } = assignment.problem;
  if (wanted >= 0 && assignment.isFree(wanted, shortcut)) {
    assignment.choose(shortcut, wanted);
    return;
  }
  for (let option = first[shortcut]!; option < first[shortcut + 1]!; option += 1) {
    if (!assignment.isFree(option, shortcut)) continue;
    assignment.choose(shortcut, option);
    return;
  }
}

const EPSILON = 1e-9;

function* improve(assignment: Assignment): Generator<number, void> {
  const { count } = assignment.problem;
  const slack = (shortcut: number) => assignment.slackOf(shortcut);
  let waiting = Array.from({ length: count }, (_, i) => i).filter((i) => slack(i) > EPSILON);
  let done = 0;
  while (waiting.length > 0) {
    waiting.sort((a, b) => slack(b) - slack(a) || a - b);
    const again = new Set<number>();
    for (const shortcut of waiting) {
      done += 1;
      if (done % 64 === 0) yield Math.min(0.99, 0.2 + (0.7 * done) / (2 * waiting.length + done));
      if (slack(shortcut) <= EPSILON) continue;
      const moved = neighbourhoodOf(assignment, shortcut);
      if (solveExactly(assignment, moved, MOST_STEPS_OF_PART).saved <= EPSILON) continue;
      for (const one of moved) if (slack(one) > EPSILON) again.add(one);
    }
    waiting = [...again];
  }
}

/** A shortcut, those in the way of what would be cheaper for it, those in their way, and so on. */
function neighbourhoodOf(assignment: Assignment, shortcut: number): number[] {
  const { first, cost } = assignment.problem;
  const moved = [shortcut];
  for (let at = 0; at < moved.length && moved.length < MOST_MOVED; at += 1) {
    const one = moved[at]!;
    const option = assignment.chosen[one]!;
    // In the way of its own cheaper options; of the others, of any at hand.
    const upTo = at === 0 && option >= 0 ? cost[option]! : Infinity;
    for (let other = first[one]!; other < first[one + 1]! && cost[other]! <= upTo; other += 1) {
      if (other === option) continue;
      for (const blocker of assignment.blockers(other, one)) {
        if (!moved.includes(blocker)) moved.push(blocker);
        if (moved.length === MOST_MOVED) return moved;
      }
    }
  }
  return moved;
}
