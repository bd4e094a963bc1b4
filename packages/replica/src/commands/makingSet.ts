import type { ShortcutSet } from '@yellow-latch/core/model';
import { v7 as uuid } from 'uuid';

import type { Command } from './command';
import { keyAt } from './order';

/** A new set behind all others. */
export function makingSet(name: string, all: readonly ShortcutSet[]): Command {
  const id = uuid();
  const order = keyAt(
    all.map((set) => set.order),
    all.length,
  );
  return {
    writes: [{ type: 'set', id, fields: { name, icon: 'folder', order } }],
    undo: () => [{ type: 'set', id, fields: { deleted: true } }],
  };
}
