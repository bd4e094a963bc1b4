import { compareUnits, type Shortcut } from '@yellow-latch/core/model';
import { generateKeyBetween } from 'fractional-indexing';

import { editing } from './shortcuts';
import { type Command } from './command';
import { keyAt } from './order';

/** The shortcuts on the tap board, in their order. */
export function pinnedOf(shortcuts: readonly Shortcut[]): Shortcut[] {
  return shortcuts
    .filter(({ pinned }) => pinned !== null)
    .sort((a, b) => compareUnits(a.pinned!, b.pinned!) || compareUnits(a.id, b.id));
}

/** Puts a shortcut at the end of the board, or takes it off. */
export function pinning(shortcut: Shortcut, shortcuts: readonly Shortcut[]): Command {
  if (shortcut.pinned !== null) return editing(shortcut, { pinned: null });
  return editing(shortcut, { pinned: generateKeyBetween(pinnedOf(shortcuts).at(-1)?.pinned ?? null, null) });
}

/**
 * Moves a shortcut to the place that another has; null: it is there. Of `all` on the board in their order. Two devices
 * may have given one key to two of them: these then stay side by side, and the moved one goes beside both.
 */
export function movingTo(moved: Shortcut, target: Shortcut, all: readonly Shortcut[]): Command | null {
  if (moved.id === target.id) return null;
  const from = all.findIndex(({ id }) => id === moved.id);
  const to = all.findIndex(({ id }) => id === target.id);
  if (from < 0 || to < 0) return null;
  const rest = all.filter(({ id }) => id !== moved.id);
  return editing(moved, {
    pinned: keyAt(
      rest.map(({ pinned }) => pinned!),
      to,
    ),
  });
}
