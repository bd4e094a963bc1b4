import type { DeviceKind, Shortcut } from '@yellow-latch/core/model';
import type { Change, May, StoredRecord, SubscribedSets } from '@yellow-latch/core/sync';
import { openDB, type DBSchema, type IDBPDatabase, type IDBPObjectStore } from 'idb';

import { draftOf, OPEN_DRAFT, type Draft } from './draft';

/** A change that the server has not acknowledged. */
export interface OutboxEntry {
  change: Change;
  /** Why the server would not take it; such a change stays here and on the screen. */
  refused?: string;
  /** It was refused since the list is full: later there may be room. */
  isFull?: true;
}

/** What a device knows of itself, in one place so that one transaction reads and writes it. */
export interface DeviceState {
  id: string;
  /** How it introduces itself. */
  name: string;
  kind: DeviceKind;
  /** By it alone it may ask the server again for a welcome that was lost; base64url. */
  secret: string;
  /** The list it was welcomed to; null until the server knows it. */
  listId: string | null;
  listName: string;
  /** The list that it began, while the server does not know that yet. */
  begins: { id: string; name: string } | null;
  may: May;
  /** The sets whose shortcuts `records` holds; null: all. */
  subscribedSets: SubscribedSets;
  /** When it was in step last, as far as it was noted; ms since 1970. */
  inStepAt: number | null;
  /** Why it is out of its list, if it is: signed out here or by another device, forgotten by the server, or deleted with all of it. */
  out: 'left' | 'signed-out' | 'forgotten' | 'deleted' | null;
  /** The number of its newest own change. */
  lastN: number;
  /** The clock of its newest own change, or a later one it has seen. */
  clock: string | null;
  /** All of the list up to this number of the log is in `records`. */
  through: number;
  /** The id of the change with that number, by which the server tells whether it still has the same log; null: not known. */
  last: string | null;
  /** The version of the model by which `records` was received: of a later one it lacks whole types. */
  model: number;
}

/** The same as it is kept; a state of an earlier version lacks some of it. */
export type KeptState = Omit<DeviceState, 'subscribedSets'> & { takes: SubscribedSets };

export interface ReplicaSchema extends DBSchema {
  /** Records as the server has them, by `type:id`, over those in `blocks`; null: gone. See `KeptRecords`. */
  records: { key: string; value: StoredRecord | null };
  /** Many records at once, as JSON, in the order in which they came. */
  blocks: { key: number; value: string };
  /** Own changes on their way in bundles, by their place in the queue. See `Outbox`. */
  outbox: { key: number; value: OutboxEntry[] };
  state: { key: 'device'; value: KeptState };
  /** Drafts in Write, by id; of this device alone. */
  drafts: { key: string; value: Draft };
  /** Private shortcuts, by id; of this device alone. */
  private: { key: string; value: Shortcut };
  /** What screens keep on this device alone, by their names for it. */
  kept: { key: string; value: unknown };
}

export type ReplicaDatabase = IDBPDatabase<ReplicaSchema>;

/** Every device of a browser has a database of its own, so that several never mix. */
export function openDatabase(deviceId: string): Promise<ReplicaDatabase> {
  return openDB<ReplicaSchema>(`yellow-latch-${deviceId}`, 5, {
    upgrade(db, from, _to, tx) {
      if (from < 1) {
        db.createObjectStore('records');
        db.createObjectStore('outbox', { autoIncrement: true });
        db.createObjectStore('state');
        db.createObjectStore('drafts');
      }
      if (from < 2) {
        db.createObjectStore('private');
        db.createObjectStore('kept');
      } else if (from === 2) {
        void keepOldText(tx.objectStore('drafts'), tx.objectStore('kept'));
      }
      if (from < 4) db.createObjectStore('blocks', { autoIncrement: true });
      if (from > 0 && from < 5) void bundleEach(tx.objectStore('outbox'));
    },
    // Another tab runs a later version of the app: let it go on.
    blocking: (_from, _to, event) => (event.target as IDBDatabase).close(),
  });
}

type Store<Name extends 'drafts' | 'kept' | 'outbox'> = IDBPObjectStore<
  ReplicaSchema,
  ('records' | 'blocks' | 'outbox' | 'state' | 'drafts' | 'private' | 'kept')[],
  Name,
  'versionchange'
>;

/** Before there were drafts, Write had one text, kept as it is. */
async function keepOldText(drafts: Store<'drafts'>, kept: Store<'kept'>): Promise<void> {
  const text = (await drafts.get('write')) as unknown;
  await drafts.delete('write');
  if (typeof text !== 'string' || text === '') return;
  const draft = { ...draftOf(text), version: 1 };
  await drafts.put(draft, draft.id);
  await kept.put(draft.id, OPEN_DRAFT);
}

/** Before there were bundles, each change was kept by itself. */
async function bundleEach(outbox: Store<'outbox'>): Promise<void> {
  for (let cursor = await outbox.openCursor(); cursor; cursor = await cursor.continue()) {
    await cursor.update([cursor.value as unknown as OutboxEntry]);
  }
}

/** A request that nobody waits for: what becomes of it, its transaction tells. */
export function inTransaction(request: Promise<unknown>): void {
  request.catch(() => {});
}
