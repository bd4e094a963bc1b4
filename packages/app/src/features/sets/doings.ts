import type { ShortcutSet } from '@yellow-latch/core/model';
import { v7 as uuid } from 'uuid';

import { deleting, editingAll, type Doing } from '@/replica/doing';
import { keyAt } from '@/replica/order';
import type { ListView } from '@/replica/view';

type SetParts = Pick<ListView, 'shortcuts' | 'conventions'>;

/** A new set behind all others. */
export function makingSet(name: string, all: readonly ShortcutSet[]): Doing {
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

export function changingSet({ id, name, icon }: ShortcutSet, fields: { name?: string; icon?: string }): Doing {
  const was = { ...(fields.name === undefined ? {} : { name }), ...(fields.icon === undefined ? {} : { icon }) };
  return {
    writes: [{ type: 'set', id, fields }],
    undo: () => [{ type: 'set', id, fields: was }],
  };
}

/** Its shortcuts go into another set; it is gone then. */
export function mergingSets(from: ShortcutSet, into: ShortcutSet, parts: SetParts): Doing {
  return inOrder(
    editingAll(membersOf(from, parts), () => ({ setId: into.id })),
    droppingSet(from, parts),
  );
}

/** Its shortcuts are in no set; it stays. */
export function emptyingSet(set: ShortcutSet, parts: SetParts): Doing {
  return editingAll(membersOf(set, parts), () => ({ setId: null }));
}

/** The set goes; its shortcuts are in none then, or go along. */
export function deletingSet(set: ShortcutSet, parts: SetParts, what: 'set alone' | 'shortcuts too'): Doing {
  const members = membersOf(set, parts);
  return inOrder(what === 'set alone' ? emptyingSet(set, parts) : deleting(members), droppingSet(set, parts));
}

function membersOf({ id }: ShortcutSet, { shortcuts }: SetParts) {
  return shortcuts.filter(({ setId }) => setId === id);
}

/** The set itself, with the convention that was chosen for it. */
function droppingSet({ id }: ShortcutSet, { conventions }: SetParts): Doing {
  const own = conventions.filter(({ scope }) => scope.of === 'set' && scope.setId === id);
  return {
    writes: [
      { type: 'set', id, fields: { deleted: true } },
      ...own.map((one) => ({ type: 'convention' as const, id: one.id, fields: { deleted: true } })),
    ],
    undo: () => [
      { type: 'set', id, fields: { deleted: false } },
      ...own.map((one) => ({ type: 'convention' as const, id: one.id, fields: { deleted: false } })),
    ],
  };
}

/** One after the other; the last is taken back first. */
function inOrder(...doings: readonly Doing[]): Doing {
  return {
    writes: doings.flatMap(({ writes }) => writes),
    undo: () => [...doings].reverse().flatMap(({ undo }) => undo([])),
  };
}

/** Moves a set to the place that another has, of `all` in their order; null: it is there. */
export function movingSet(moved: ShortcutSet, target: ShortcutSet, all: readonly ShortcutSet[]): Doing | null {
  const from = all.findIndex(({ id }) => id === moved.id);
  const to = all.findIndex(({ id }) => id === target.id);
  if (from < 0 || to < 0 || from === to) return null;
  const rest = all.filter(({ id }) => id !== moved.id);
  const order = keyAt(
    rest.map(({ order: key }) => key),
    to,
  );
  return {
    writes: [{ type: 'set', id: moved.id, fields: { order } }],
    undo: () => [{ type: 'set', id: moved.id, fields: { order: moved.order } }],
  };
}
