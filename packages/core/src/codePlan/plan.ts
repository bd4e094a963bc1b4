import type { InUse } from '../effort';
import { heldBy } from '../fire';
import type { How } from '../mnemonic';
import { matchKey } from '../model';
import { conflictsOf } from './conflicts';
import { optionsOf, type CodeOption, type Planned } from './options';
import type { PlanProblem } from './problem';
import { solve, type Solved } from './search';

export interface PlanInput {
  readonly shortcuts: readonly Planned[];
  readonly inUse: readonly InUse[];
  /** What a change of one code has to save, in seconds a week: 0 starts afresh. */
  readonly price: number;
  /** What a match key is drawn like; null: look-alikes are not looked for. */
  readonly skeletonOf: ((key: string) => string) | null;
  /**
   * What the check says of the list with these codes, by id of the shortcut: the ids, of these or others, of which the code is to
   * be another. Asked of every plan; a plan with such codes is made again without them.
   */
  readonly unsafeWith: (codes: ReadonlyMap<string, string>) => readonly string[];
}

/** A code that becomes another. */
export interface PlannedMove {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly how: How | null;
  /** Seconds in a week that it saves in use. */
  readonly gain: number;
}

export interface CodePlan {
  /** The most saved first. */
  readonly moves: readonly PlannedMove[];
  readonly kept: number;
  /** Seconds in a week of all codes, before and after: typing, calling to mind, misfires. */
  readonly before: number;
  readonly after: number;
  /**
   * How far the plan may be from the best there is, as a part of what it costs; 0: there is none better. Of the cost with the
   * price of changes.
   */
  readonly gap: number;
  /** Shortcuts that keep a code that is not safe, since no other was found. */
  readonly stuck: readonly string[];
}

/** What part of the work the first plan is; each that follows is half of the rest. */
const FIRST = 0.7;
/** So often a plan is made again without the codes that the check refused. */
const MOST_ROUNDS = 8;

/**
 * Chooses a code for every shortcut of a list so that none clashes with another and their cost is least; see `solve`. Good codes
 * stay: a change has its price. Gives how much is done, from 0 to 1.
 */
export function* planCodes(input: PlanInput): Generator<number, CodePlan> {
  const banned = new Map<string, Set<string>>();
  const present = new Map(input.shortcuts.map(({ entry: { id, code } }) => [id, code]));
  let [from, to] = [0, FIRST];
  let plan = yield* makePlan(input, banned, from, to);
  for (let round = 1; round <= MOST_ROUNDS; round += 1) {
    const codes = new Map(plan.moves.map((move) => [move.id, move.to]));
    const refused = input.unsafeWith(codes).filter((id) => {
      const code = codes.get(id) ?? present.get(id);
      if (code === undefined || plan.stuck.includes(id) || banned.get(id)?.has(code)) return false;
      banned.set(id, (banned.get(id) ?? new Set()).add(code));
      return true;
    });
    if (refused.length === 0) break;
    [from, to] = [to, (1 + to) / 2];
    plan = yield* makePlan(input, banned, from, to);
  }
  return plan;
}

/** What is weighed: the options of all, and the choice among them as numbers. */
interface Weighed {
  readonly options: readonly CodeOption[];
  readonly problem: PlanProblem;
}

type Priced = Pick<PlanInput, 'shortcuts' | 'inUse' | 'price' | 'skeletonOf'>;
type IsBanned = (id: string, code: string) => boolean;

/** So many shortcuts are priced between two messages. */
const AT_ONCE = 50;

/** The options of all. Gives how much is done, from 0 to 1. */
function* weigh(input: Priced, isBanned: IsBanned): Generator<number, Weighed> {
  const { shortcuts, inUse, price, skeletonOf } = input;
  const first = new Int32Array(shortcuts.length + 1);
  const options: CodeOption[] = [];
  for (let i = 0; i < shortcuts.length; i += 1) {
    const one = shortcuts[i]!;
    options.push(...optionsOf(one, inUse, price, (code) => isBanned(one.entry.id, code)));
    first[i + 1] = options.length;
    if (i % AT_ONCE === 0) yield i / shortcuts.length;
  }
  return { options, problem: problemOf(shortcuts, inUse, first, options, skeletonOf) };
}

/** The same in one go. */
export function weighAll(input: Priced): Weighed {
  const steps = weigh(input, () => false);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

function problemOf(
  shortcuts: readonly Planned[],
  inUse: readonly InUse[],
  first: Int32Array,
  options: readonly CodeOption[],
  skeletonOf: PlanInput['skeletonOf'],
): PlanProblem {
  const index = new Map<string, number>();
  const key = Int32Array.from(options, ({ code }) => {
    const name = matchKey(code);
    const at = index.get(name) ?? index.size;
    index.set(name, at);
    return at;
  });
  const devices = [...new Set(inUse.map(({ device }) => device))];
  return {
    count: shortcuts.length,
    first,
    cost: Float64Array.from(options, ({ cost, added }) => cost + added),
    key,
    keyCount: index.size,
    conflicts: conflictsOf([...index.keys()], new Set(shortcuts.map(({ entry }) => matchKey(entry.code))), skeletonOf),
    isInstant: Uint8Array.from(shortcuts, ({ entry }) =>
      devices.some((device) => heldBy(entry, device)?.fires === 'instant') ? 1 : 0,
    ),
  };
}

function* makePlan(
  input: PlanInput,
  banned: ReadonlyMap<string, ReadonlySet<string>>,
  from: number,
  to: number,
): Generator<number, CodePlan> {
  const progress = (part: number) => from + part * (to - from);
  const weighing = weigh(input, (id, code) => banned.get(id)?.has(code) ?? false);
  let step = weighing.next();
  for (; !step.done; step = weighing.next()) yield progress(step.value / 2);
  const weighed = step.value;
  const solving = solve(weighed.problem);
  for (;;) {
    const next = solving.next();
    if (next.done) return planOf(input, weighed, next.value);
    yield progress((1 + next.value) / 2);
  }
}

function planOf({ shortcuts }: PlanInput, { options, problem }: Weighed, solved: Solved): CodePlan {
  const moves: PlannedMove[] = [];
  const stuck: string[] = [];
  let before = 0;
  let after = 0;
  shortcuts.forEach(({ entry: { id, code }, isUnsafe }, i) => {
    const own = options.slice(problem.first[i], problem.first[i + 1]);
    const present = own.find((option) => option.code === code)!;
    before += present.cost;
    const chosen = solved.chosen[i]!;
    const option = chosen < 0 ? present : options[chosen]!;
    after += option.cost;
    if (option !== present)
      moves.push({ id, from: code, to: option.code, how: option.how, gain: present.cost - option.cost });
    else if (isUnsafe || chosen < 0) stuck.push(id);
  });
  const gap = solved.isBest || solved.cost <= 0 ? 0 : Math.max(0, (solved.cost - solved.bound) / solved.cost);
  moves.sort((a, b) => b.gain - a.gain || (a.id < b.id ? -1 : 1));
  return { moves, kept: shortcuts.length - moves.length, before, after, gap, stuck };
}
