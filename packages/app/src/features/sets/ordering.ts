import type { ShortcutSet } from '@yellow-latch/core/model';

import type { Doing } from '@/replica/doing';
import { keyAt } from '@/replica/order';

/** Moves a set to the place that another has, of `all` in their order; null: it is there. */
export function movingSet(moved: ShortcutSet, target: ShortcutSet, all: readonly ShortcutSet[]): Doing | null {
  const from = all.findIndex(({ id }) => id === moved.id);
  const to = all.findIndex(({ id }) => id === target.id);
  if (from < 0 || to < 0 || from === to) return null;
  const rest = all.filter(({ id }) => id !== moved.id);
  const order = keyAt(rest.map(({ order: key }) => key), to);
  return {
    writes: [{ type: 'set', id: moved.id, fields: { order } }],
    undo: () => [{ type: 'set', id: moved.id, fields: { order: moved.order } }],
  };
}
