import type { Shortcut, ShortcutSet } from '@yellow-latch/core/model';
import { v7 as uuid } from 'uuid';

import { inOrder, type Command } from './command';
import { keyAt } from './order';
import { editingAll } from './shortcuts';

/** A new set behind all others. */
export function makingSet(name: string, all: readonly ShortcutSet[], id = uuid()): Command {
  const order = keyAt(
    all.map((set) => set.order),
    all.length,
  );
  return {
    writes: [{ type: 'set', id, fields: { name, icon: 'folder', order } }],
    undo: () => [{ type: 'set', id, fields: { deleted: true } }],
  };
}

/** Shortcuts moved into a new set. */
export function movingToNewSet(shortcuts: readonly Shortcut[], name: string, all: readonly ShortcutSet[]): Command {
  const id = uuid();
  return inOrder(
    makingSet(name, all, id),
    editingAll(shortcuts, () => ({ setId: id })),
  );
}
