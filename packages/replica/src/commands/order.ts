import { generateKeyBetween } from 'fractional-indexing';

/**
 * A fractional key for the place `at` among `keys`, which are in order. Two devices may have given one key to two
 * things: these stay side by side, and what is moved goes beside both.
 */
export function keyAt(keys: readonly string[], at: number): string {
  const before = keys[at - 1] ?? null;
  const after = keys.slice(at).find((key) => before === null || key > before) ?? null;
  return generateKeyBetween(before, after);
}
