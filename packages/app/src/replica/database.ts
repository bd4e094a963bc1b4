import type { Shortcut } from '@yellow-latch/core/model';
import type { Change, StoredRecord } from '@yellow-latch/core/sync';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A change that the server has not acknowledged. */
export interface OutboxEntry {
  change: Change;
  /** Why the server would not take it; such a change stays here and on the screen. */
  refused?: string;
}

/** What a device knows of itself, in one place so that one transaction reads and writes it. */
export interface DeviceState {
  id: string;
  /** The list it was welcomed to; null until the server knows it. */
  listId: string | null;
  /** The number of its newest own change. */
  lastN: number;
  /** The clock of its newest own change, or a later one it has seen. */
  clock: string | null;
  /** All of the list up to this number of the log is in `records`. */
  through: number;
}

export interface ReplicaSchema extends DBSchema {
  /** Records as the server has them, by `type:id`. */
  records: { key: string; value: StoredRecord };
  /** Own changes on their way, by their place in the queue. */
  outbox: { key: number; value: OutboxEntry };
  state: { key: 'device'; value: DeviceState };
  /** The text in Write; of this device alone. */
  drafts: { key: string; value: string };
  /** Private shortcuts, by id; of this device alone. */
  private: { key: string; value: Shortcut };
  /** What screens keep on this device alone, by their names for it. */
  kept: { key: string; value: unknown };
}

export type ReplicaDatabase = IDBPDatabase<ReplicaSchema>;

/** Every device of a browser has a database of its own, so that several never mix. */
export function openDatabase(deviceId: string): Promise<ReplicaDatabase> {
  return openDB<ReplicaSchema>(`yellow-latch-${deviceId}`, 2, {
    upgrade(db, from) {
      if (from < 1) {
        db.createObjectStore('records');
        db.createObjectStore('outbox', { autoIncrement: true });
        db.createObjectStore('state');
        db.createObjectStore('drafts');
      }
      db.createObjectStore('private');
      db.createObjectStore('kept');
    },
    // Another tab runs a later version of the app: let it go on.
    blocking: (_from, _to, event) => (event.target as IDBDatabase).close(),
  });
}
