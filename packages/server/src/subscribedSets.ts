/** What of a list a device gets that gets only some of its sets, and what it may therefore write. */
import type { RecordType } from '@yellow-latch/core/model';
import type { StoredRecord, SubscribedSets } from '@yellow-latch/core/sync';

import type { Database } from './database';
import { statementsOf } from './statements';

/** What decides who gets a record. */
export interface Belonging {
  type: string;
  id: string;
  /** See `records.setId`. */
  setId: string | null;
  /** See `records.refersTo`. */
  refersTo: string | null;
}

/** Where a record belongs, by the values that it shows. */
export function belongingOf({ type, id, fields }: StoredRecord): Belonging {
  const shown = <T>(field: string) => fields[field]?.[0]?.value as T | undefined;
  switch (type) {
    case 'shortcut':
      return { type, id, setId: shown<string | null>('setId') ?? null, refersTo: null };
    case 'set':
      return { type, id, setId: id, refersTo: null };
    case 'convention':
      return { type, id, setId: shown<{ setId?: string }>('scope')?.setId ?? null, refersTo: null };
    case 'leftFinding':
    case 'carried':
    case 'learning':
      return { type, id, setId: null, refersTo: shown<string>('shortcutId') ?? null };
    default:
      return { type, id, setId: null, refersTo: null };
  }
}

/** Whether a device gets a record: of its sets, and of what is of the whole list. `sets` null: it gets all. */
export function gets(
  db: Database,
  listId: string,
  sets: SubscribedSets,
  { type, setId, refersTo }: Belonging,
): boolean {
  if (sets === null) return true;
  switch (type as RecordType) {
    case 'shortcut':
    case 'set':
      return sets.includes(setId);
    case 'convention':
      return setId === null || sets.includes(setId);
    case 'leftFinding':
    case 'carried':
    case 'learning': {
      // What is about a shortcut goes where the shortcut goes.
      const shortcut =
        refersTo === null ? undefined : statementsOf(db).record.get({ listId, type: 'shortcut', id: refersTo });
      return shortcut !== undefined && sets.includes(shortcut.setId);
    }
    default:
      return true;
  }
}
