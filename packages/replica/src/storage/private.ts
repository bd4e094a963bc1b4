import { RECORD_TYPES, type Shortcut, type ShortcutFields } from '@yellow-latch/core/model';
import type { FieldChanges } from '@yellow-latch/core/sync';
import type { IDBPTransaction } from 'idb';

import type { ReplicaSchema } from './database';

type Writing = IDBPTransaction<ReplicaSchema, ('outbox' | 'state' | 'private')[], 'readwrite'>;

/** Keeps, changes or deletes (null) a shortcut that never leaves this device. A new one comes with all its fields. */
export async function writePrivate(
  tx: Writing,
  id: string,
  { deleted, ...fields }: FieldChanges<'shortcut'>,
  now: number,
): Promise<Shortcut | null> {
  const store = tx.objectStore('private');
  if (deleted) {
    await store.delete(id);
    return null;
  }
  const before = await store.get(id);
  const shortcut: Shortcut = {
    ...RECORD_TYPES.shortcut.defaults,
    ...before,
    ...(fields as ShortcutFields),
    id,
    changed: now,
    private: true,
  };
  await store.put(shortcut, id);
  return shortcut;
}
