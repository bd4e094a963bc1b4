import type { Shortcut, ShortcutFields, ShortcutSet } from '@yellow-latch/core/model';
import type { StoredRecord } from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import { inOrder, type Command } from './command';
import { makingSet } from './makingSet';
import { editing, makingPrivate, sharing, type AboutShortcuts } from './shortcuts';

/** What a form over a shortcut asks to be saved. */
export interface Saved {
  /** The shortcut as it was; null: a new one. */
  readonly before: Shortcut | null;
  /** The record as it stood when the form was opened: see `Write`. */
  readonly seen: StoredRecord | undefined;
  /** What differs; of a new one, all of it. */
  readonly fields: Partial<ShortcutFields>;
  readonly isPrivate: boolean;
  /** The name of a set to make for it; null: none. */
  readonly newSet: string | null;
  /** What is known about shortcuts of the list. */
  readonly about?: AboutShortcuts;
}

/** Saves a form. `idOf`: the id that the shortcut has then, given the ids that were written; `setId`: of a set it makes. */
export function saving(
  { before, seen, fields, isPrivate, newSet, about }: Saved,
  sets: readonly ShortcutSet[],
): Command & { readonly setId: string | null; idOf(ids: readonly string[]): string } {
  const set = newSet === null ? null : makingSet(newSet, sets);
  const setId = set?.writes[0]!.id ?? null;
  const own = shortcutCommand(before, seen, set ? { ...fields, setId } : fields, isPrivate, about);
  const command = set ? inOrder(set, own) : own;
  return { ...command, setId, idOf: (ids) => (before?.private === isPrivate ? before.id : ids.at(-1)!) };
}

function shortcutCommand(
  before: Shortcut | null,
  seen: StoredRecord | undefined,
  fields: Partial<ShortcutFields>,
  isPrivate: boolean,
  about?: AboutShortcuts,
): Command {
  if (before && before.private !== isPrivate)
    return isPrivate ? makingPrivate(before, fields, about) : sharing(before, fields);
  const id = before?.id ?? uuid();
  if (Object.keys(fields).length === 0) return { writes: [], undo: () => [] };
  return {
    writes: [{ type: 'shortcut', id, fields, seen, isPrivate }],
    undo: before ? editing(before, fields).undo : () => [{ type: 'shortcut', id, fields: { deleted: true } }],
  };
}
