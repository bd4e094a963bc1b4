import { pick, randomFrom } from '../fire/testing';
import { conflictsOf } from './conflicts';
import type { PlanProblem } from './problem';

/** An option as a test writes it. */
export type TestOption = readonly [key: string, cost: number];

/** A problem from options by name; `isInstant` of all. */
export function problemOf(
  options: readonly (readonly TestOption[])[],
  { isInstant = true, present = [] as readonly string[] } = {},
): PlanProblem & { readonly keys: readonly string[] } {
  const keys = [...new Set(options.flat().map(([key]) => key))];
  const index = new Map(keys.map((key, at) => [key, at]));
  const first = new Int32Array(options.length + 1);
  const sorted = options.map((some) => [...some].sort((a, b) => a[1] - b[1]));
  sorted.forEach((some, i) => (first[i + 1] = first[i]! + some.length));
  const flat = sorted.flat();
  return {
    count: options.length,
    first,
    cost: Float64Array.from(flat, ([, cost]) => cost),
    key: Int32Array.from(flat, ([key]) => index.get(key)!),
    keyCount: keys.length,
    keys,
    conflicts: conflictsOf(keys, new Set(present), null),
    isInstant: new Uint8Array(options.length).fill(isInstant ? 1 : 0),
  };
}

/** Random options: short keys of few letters, so that they often conflict; one long key of its own each, dear. */
export function randomOptions(count: number, seed: number, letters = 'abdk'): TestOption[][] {
  const random = randomFrom(seed);
  const key = () =>
    `;${Array.from({ length: 1 + Math.floor(random() * 3) }, () => pick(random, [...letters])).join('')}`;
  return Array.from({ length: count }, (_, i) => {
    const some = new Map<string, number>();
    const wanted = 2 + Math.floor(random() * 5);
    while (some.size < wanted) some.set(key(), Math.round(random() * 1_000) / 100);
    some.set(`;${i}zz${i}`, 12 + Math.round(random() * 500) / 100);
    return [...some];
  });
}

/** Whether two options of two shortcuts may stand together, the plain way. */
export function conflicts(a: string, b: string, isInstant: boolean): boolean {
  if (a === b) return true;
  if (isInstant && (a.startsWith(b) || b.startsWith(a))) return true;
  return isSlip(a, b) || isSlip(b, a);
}

const ROWS = ['1234567890', 'qwertyuiop', 'asdfghjkl', 'zxcvbnm'];
const SHIFTS = [0, 0.5, 0.75, 1.25];

function areNear(a: string, b: string): boolean {
  const at = (key: string) => {
    const y = ROWS.findIndex((row) => row.includes(key));
    return y < 0 ? null : { y, x: ROWS[y]!.indexOf(key) + SHIFTS[y]! };
  };
  const [one, two] = [at(a), at(b)];
  if (!one || !two || Math.abs(one.y - two.y) > 1 || a === b) return false;
  const distance = Math.abs(one.x - two.x);
  return one.y === two.y ? distance === 1 : distance <= 0.75;
}

/** Whether b is a with a neighbouring key, two swapped, or one doubled. */
function isSlip(a: string, b: string): boolean {
  if (a.length < 2) return false;
  for (let i = 0; i < a.length; i += 1) {
    if (
      a.length === b.length &&
      a.slice(0, i) === b.slice(0, i) &&
      a.slice(i + 1) === b.slice(i + 1) &&
      areNear(a[i]!, b[i]!)
    )
      return true;
    if (b === a.slice(0, i + 1) + a.slice(i)) return true;
    if (i + 1 < a.length && a[i] !== a[i + 1] && b === a.slice(0, i) + a[i + 1]! + a[i]! + a.slice(i + 2)) return true;
  }
  return false;
}
