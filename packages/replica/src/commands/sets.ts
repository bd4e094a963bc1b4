import type { ShortcutSet } from '@yellow-latch/core/model';

import type { ListView } from '../storage/view';
import { inOrder, type Command } from './command';
import { keyAt } from './order';
import { deleting, editingAll } from './shortcuts';

type SetParts = Pick<ListView, 'shortcuts' | 'conventions'>;

export function changingSet({ id, name, icon }: ShortcutSet, fields: { name?: string; icon?: string }): Command {
  const was = { ...(fields.name === undefined ? {} : { name }), ...(fields.icon === undefined ? {} : { icon }) };
  return {
    writes: [{ type: 'set', id, fields }],
    undo: () => [{ type: 'set', id, fields: was }],
  };
}

/** Its shortcuts go into another set; it is gone then. */
export function mergingSets(from: ShortcutSet, into: ShortcutSet, parts: SetParts): Command {
  return inOrder(
    editingAll(membersOf(from, parts), () => ({ setId: into.id })),
    droppingSet(from, parts),
  );
}

/** Its shortcuts are in no set; it stays. */
export function emptyingSet(set: ShortcutSet, parts: SetParts): Command {
  return editingAll(membersOf(set, parts), () => ({ setId: null }));
}

/** The set goes; its shortcuts are in none then, or go along. */
export function deletingSet(set: ShortcutSet, parts: SetParts, what: 'set alone' | 'shortcuts too'): Command {
  const members = membersOf(set, parts);
  return inOrder(what === 'set alone' ? emptyingSet(set, parts) : deleting(members), droppingSet(set, parts));
}

function membersOf({ id }: ShortcutSet, { shortcuts }: SetParts) {
  return shortcuts.filter(({ setId }) => setId === id);
}

/** The set itself, with the convention that was chosen for it. */
function droppingSet({ id }: ShortcutSet, { conventions }: SetParts): Command {
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

/** Moves a set to the place that another has, of `all` in their order; null: it is there. */
export function movingSet(moved: ShortcutSet, target: ShortcutSet, all: readonly ShortcutSet[]): Command | null {
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
