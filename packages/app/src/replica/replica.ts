import { RECORD_TYPES, type FieldsOf, type RecordType, type Shortcut, type ShortcutFields } from '@yellow-latch/core/model';
import {
  applyChange,
  changedAt,
  draftChange,
  eraseChange,
  isDeleted,
  laterClock,
  makeClock,
  nextClock,
  recordKey,
  type Change,
  type FieldChanges,
  type Page,
  type StoredRecord,
} from '@yellow-latch/core/sync';
import type { IDBPTransaction } from 'idb';
import { v7 as uuid } from 'uuid';

import type { DeviceState, OutboxEntry, ReplicaDatabase, ReplicaSchema } from './database';
import { viewOf, type ListView } from './view';

/**
 * A write to one record. Without an id it makes a new one. `seen`: the record as it stood when the
 * person began to edit it, if that is not now; what came in meanwhile then stays as a version.
 */
export type Write = {
  [T in RecordType]: {
    type: T;
    id?: string;
    fields: FieldChanges<T>;
    seen?: StoredRecord;
    /** Of a new shortcut: it never leaves this device. Writes to one that is private stay here too. */
    isPrivate?: boolean;
  };
}[RecordType];

interface Waiting extends OutboxEntry {
  key: number;
}

/**
 * This device's copy of the list: the server's records with its own waiting changes on top.
 * Every write is in the outbox before its promise resolves. Kept in memory as well, so that
 * screens read at once; `keysChanged` tells other tabs what to read again.
 */
export class Replica {
  private records = new Map<string, StoredRecord>();
  private outbox: Waiting[] = [];
  private shown = new Map<string, StoredRecord>();
  /** Private shortcuts, by id. */
  private own = new Map<string, Shortcut>();
  private view: ListView | null = null;
  private readonly listeners = new Set<() => void>();

  private constructor(
    readonly db: ReplicaDatabase,
    private device: DeviceState,
  ) {}

  static async open(db: ReplicaDatabase, state: DeviceState): Promise<Replica> {
    const replica = new Replica(db, state);
    await replica.reload();
    return replica;
  }

  get state(): Readonly<DeviceState> {
    return this.device;
  }

  /** Own changes on their way, in order; those the server refused are not. */
  get waiting(): readonly Change[] {
    return this.outbox.filter(({ refused }) => refused === undefined).map(({ change }) => change);
  }

  get refusals(): readonly string[] {
    return this.outbox.flatMap(({ refused }) => (refused === undefined ? [] : [refused]));
  }

  /** The list as it stands. The same object until something changes. */
  read(): ListView {
    this.view ??= viewOf(this.shown.values(), this.own.values());
    return this.view;
  }

  /** A record with its versions, as it stands now. */
  recordOf(type: RecordType, id: string): StoredRecord | undefined {
    return this.shown.get(recordKey({ type, id }));
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Reads everything again from the database: at the start, and after another tab has written. */
  async reload(): Promise<void> {
    const tx = this.db.transaction(['records', 'outbox', 'state', 'private']);
    const [state, keys, values, outboxKeys, entries, own] = await Promise.all([
      tx.objectStore('state').get('device'),
      tx.objectStore('records').getAllKeys(),
      tx.objectStore('records').getAll(),
      tx.objectStore('outbox').getAllKeys(),
      tx.objectStore('outbox').getAll(),
      tx.objectStore('private').getAll(),
    ]);
    if (state) this.device = state;
    this.records = new Map(keys.map((key, index) => [key, values[index]!]));
    this.outbox = entries.map((entry, index) => ({ ...entry, key: outboxKeys[index]! }));
    // What the model got since a private one was kept is as it is for any other.
    this.own = new Map(own.map((shortcut) => [shortcut.id, { ...RECORD_TYPES.shortcut.defaults, ...shortcut }]));
    this.shown = new Map(this.records);
    this.show(this.outbox.map(({ change }) => recordKey(change.record)));
  }

  /** Writes, all or none, and returns the ids of the records written. */
  async write(writes: readonly Write[], now = Date.now()): Promise<string[]> {
    const tx = this.db.transaction(['outbox', 'state', 'private'], 'readwrite', { durability: 'strict' });
    const state = (await tx.objectStore('state').get('device')) ?? this.device;
    let { clock, lastN } = state;
    const ids: string[] = [];
    const added: Waiting[] = [];
    const erased: Waiting[] = [];
    const own = new Map<string, Shortcut | null>();
    for (const write of writes) {
      const id = write.id ?? uuid();
      ids.push(id);
      if (write.type === 'shortcut' && (write.isPrivate || this.own.has(id))) {
        own.set(id, await writePrivate(tx, id, write.fields, now));
        continue;
      }
      lastN += 1;
      clock = nextClock(clock, now, state.id);
      const record = { type: write.type, id };
      const stamp = { id: uuid(), clock, device: state.id, n: lastN };
      const known = write.seen ?? this.shown.get(recordKey(record));
      const change = draftChange(record, known, write.fields as FieldChanges<RecordType>, stamp);
      if (change.fields.deleted === 'erased') erased.push(...(await eraseWaiting(tx, recordKey(record))));
      added.push({ change, key: await tx.objectStore('outbox').add({ change }) });
    }
    const next = { ...state, clock, lastN };
    await tx.objectStore('state').put(next, 'device');
    await tx.done;
    this.device = next;
    this.outbox = [...this.outbox.map((entry) => erased.find(({ key }) => key === entry.key) ?? entry), ...added];
    for (const [id, shortcut] of own) {
      if (shortcut) this.own.set(id, shortcut);
      else this.own.delete(id);
    }
    this.show(writes.map(({ type }, index) => recordKey({ type, id: ids[index]! })));
    return ids;
  }

  /** Takes in what the server sent and lets go of own changes that it has. */
  async receive(page: Page): Promise<void> {
    const stale = page.through < this.device.through;
    // With more to come, the records of changes that it counts as taken may not be here yet.
    const arrived = this.outbox.filter(
      ({ change, refused }) => !page.more && refused === undefined && change.n <= page.taken,
    );
    if (arrived.length === 0 && page.records.length === 0 && page.through === this.device.through) {
      return;
    }
    const tx = this.db.transaction(['records', 'outbox', 'state'], 'readwrite');
    const state = (await tx.objectStore('state').get('device')) ?? this.device;
    const records = stale ? [] : page.records;
    let { clock } = state;
    for (const record of records) {
      void tx.objectStore('records').put(record, recordKey(record));
      clock = laterClock(clock, makeClock(changedAt(record), 0xffff, state.id));
    }
    for (const { key } of arrived) void tx.objectStore('outbox').delete(key);
    const next = { ...state, clock, through: Math.max(state.through, page.through) };
    await tx.objectStore('state').put(next, 'device');
    await tx.done;
    this.device = next;
    this.outbox = this.outbox.filter((entry) => !arrived.includes(entry));
    for (const record of records) this.records.set(recordKey(record), record);
    this.show([
      ...records.map(recordKey),
      ...arrived.map(({ change }) => recordKey(change.record)),
    ]);
  }

  /** Notes that the server would not take a change, and closes the gap it leaves in the numbers. */
  async refuse(changeId: string, reason: string): Promise<void> {
    const tx = this.db.transaction(['outbox', 'state'], 'readwrite', { durability: 'strict' });
    const store = tx.objectStore('outbox');
    const state = (await tx.objectStore('state').get('device')) ?? this.device;
    let gap = Infinity;
    for (let cursor = await store.openCursor(); cursor; cursor = await cursor.continue()) {
      const entry = cursor.value;
      if (entry.change.id === changeId && entry.refused === undefined) {
        gap = entry.change.n;
        await cursor.update({ change: entry.change, refused: reason });
      } else if (entry.refused === undefined && entry.change.n > gap) {
        await cursor.update({ change: { ...entry.change, n: entry.change.n - 1 } });
      }
    }
    if (gap !== Infinity) await tx.objectStore('state').put({ ...state, lastN: state.lastN - 1 }, 'device');
    await tx.done;
    await this.reload();
  }

  async welcome(listId: string): Promise<void> {
    const tx = this.db.transaction('state', 'readwrite');
    const state = (await tx.store.get('device')) ?? this.device;
    this.device = { ...state, listId };
    await tx.store.put(this.device, 'device');
    await tx.done;
  }

  /**
   * Records whole, as another device would write them: those with a change still waiting, or all.
   */
  wholeRecords(which: 'waiting' | 'all'): Write[] {
    const waiting = this.outbox.map(({ change }) => recordKey(change.record));
    const keys = new Set(which === 'all' ? this.shown.keys() : waiting);
    return [...keys].flatMap((key) => {
      const record = this.shown.get(key);
      if (!record) return [];
      const fields = isDeleted(record) ? { deleted: true } : plainFields(record);
      return [{ type: record.type, id: record.id, fields } as Write];
    });
  }

  /** Puts the waiting changes of these records on top of what the server has of them. */
  private show(keys: readonly string[]): void {
    if (keys.length > 0) {
      const concerned = new Set(keys);
      for (const key of concerned) {
        const record = this.records.get(key);
        if (record) this.shown.set(key, record);
        else this.shown.delete(key);
      }
      for (const { change } of this.outbox) {
        const key = recordKey(change.record);
        if (!concerned.has(key)) continue;
        const result = applyChange(this.shown.get(key), change);
        if (result.type === 'applied') this.shown.set(key, result.record);
      }
    }
    this.view = null;
    for (const listener of this.listeners) listener();
  }
}

type WriteTransaction = IDBPTransaction<ReplicaSchema, ('outbox' | 'state' | 'private')[], 'readwrite'>;

/** Keeps, changes or lets go of a private shortcut; a new one comes with all its fields. */
async function writePrivate(
  tx: WriteTransaction,
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
  const shortcut: Shortcut = { ...RECORD_TYPES.shortcut.defaults, ...before, ...(fields as ShortcutFields), id, changed: now, private: true };
  await store.put(shortcut, id);
  return shortcut;
}

/** What still waits to be sent of a record would carry away what is to be erased. */
async function eraseWaiting(tx: WriteTransaction, recordToErase: string): Promise<Waiting[]> {
  const erased: Waiting[] = [];
  const store = tx.objectStore('outbox');
  for (let cursor = await store.openCursor(); cursor; cursor = await cursor.continue()) {
    const { change, ...rest } = cursor.value;
    if (recordKey(change.record) !== recordToErase) continue;
    const entry = { ...rest, change: eraseChange(change) };
    await cursor.update(entry);
    erased.push({ ...entry, key: cursor.primaryKey });
  }
  return erased;
}

function plainFields(record: StoredRecord): Partial<FieldsOf[RecordType]> {
  const { deleted: _, ...fields } = record.fields;
  return Object.fromEntries(
    Object.entries(fields).map(([name, versions]) => [name, versions[0]?.value]),
  );
}
