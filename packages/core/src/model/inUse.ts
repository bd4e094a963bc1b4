import { matchKey } from './code';
import type { Shortcut } from './record';

/** The shortcut, other than `ownId`, that has this code already (by match key), or null. */
export function inUseBy(code: string, shortcuts: readonly Shortcut[], ownId: string | null): Shortcut | null {
  const key = matchKey(code);
  return shortcuts.find((other) => other.id !== ownId && matchKey(other.code) === key) ?? null;
}
