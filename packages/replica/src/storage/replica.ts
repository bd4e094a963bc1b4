import { idOfJoined } from '@yellow-latch/core/devices';
import { MODEL_VERSION, RECORD_TYPES, type RecordType, type Shortcut } from '@yellow-latch/core/model';
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
  type SubscribedSets,
} from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import { Subscribable } from '@yellow-latch/core/subscribable';
import { inTransaction, type DeviceState, type KeptState, type OutboxEntry, type ReplicaDatabase } from './database';
import { keptState, stateFrom } from './device';
import { blocksOf, KeptRecords } from './keptRecords';
import { writesOfLostBeside } from './lost';
import { Outbox } from './outbox';
import { writePrivate } from './private';
import { readAhead, viewOf, type ListView } from './view';
import { wholeChanges, wholeRecords } from './whole';
import type { Write } from './write';

/** A fresh copy of the list on its way, in memory until it is whole. */
interface Copy {
  records: Map<string, StoredRecord>;
  /** The records as they will be kept, made page by page while the next one is on its way. */
  blocks: string[];
  /** What the server has but this device does not take. */
  elsewhere: Set<string>;
  through: number;
  /** Whether the server's data was set back since: see `PageSchema`. */
  parted: boolean;
}

/** How far a device has come: the number of the newest change it has, and that change's id; null: it does not say. */
export interface Position {
  since: number;
  last: string | null;
}

/** Under this name is kept what was never sent when the device was out of its list. */
export const UNSENT = 'unsent';

export interface Unsent {
  listId: string | null;
  writes: Write[];
}

/**
 * This device's copy of the list: the server's records with its own waiting changes on top.
 * Every write is in the outbox before its promise resolves. It is kept in memory as well, so that screens read at once.
 */
export class Replica {
  private records = new Map<string, StoredRecord>();
  private readonly outbox = new Outbox();
  private shown = new Map<string, StoredRecord>();
  /** Private shortcuts, by id. */
  private own = new Map<string, Shortcut>();
  private view: ListView | null = null;
  /** The view before, of which the next one keeps what stays. */
  private viewBefore: ListView | null = null;
  private copy: Copy | null = null;
  private readonly kept = new KeptRecords();
  private readonly changes = new Subscribable();
  private readonly writes = new Subscribable();

  private constructor(
    readonly db: ReplicaDatabase,
    private device: DeviceState,
    /** The device's clock, in ms since 1970; it may be wrong. */
    readonly clock: () => number,
  ) {}

  static async open(db: ReplicaDatabase, state: DeviceState, clock: () => number = Date.now): Promise<Replica> {
    const replica = new Replica(db, state, clock);
    await replica.reload();
    return replica;
  }

  get state(): Readonly<DeviceState> {
    return this.device;
  }

  /** Own changes on their way, in order; those the server refused are not. */
  get waiting(): readonly Change[] {
    return this.outbox.entries.filter(({ refused }) => refused === undefined).map(({ change }) => change);
  }

  /** Where in the log the next page is asked for. In the midst of a fresh copy there is nothing to compare. */
  get next(): Position {
    if (this.copy) return { since: this.copy.through, last: null };
    const { model, through, last } = this.device;
    // What an earlier version of the app could not read was not sent to it.
    return model < MODEL_VERSION ? { since: 0, last: null } : { since: through, last };
  }

  get refusals(): readonly string[] {
    return this.outbox.entries.flatMap(({ refused }) => (refused === undefined ? [] : [refused]));
  }

  /** The list as it stands. The same object until something changes. */
  read(): ListView {
    this.view ??= viewOf(this.shown.values(), this.own.values(), this.viewBefore, this.device);
    this.viewBefore = this.view;
    return this.view;
  }

  /** A record with its versions, as it stands now. */
  recordOf(type: RecordType, id: string): StoredRecord | undefined {
    return this.shown.get(recordKey({ type, id }));
  }

  /** Every record, deleted ones among them, by `type:id`. */
  get everything(): ReadonlyMap<string, StoredRecord> {
    return this.shown;
  }

  /** Every record that stands, with its versions. */
  standing(): StoredRecord[] {
    return [...this.shown.values()].filter((record) => !isDeleted(record));
  }

  readonly subscribe = this.changes.subscribe;

  /** Calls when this tab has written, before those that follow what is shown. */
  readonly onWritten = this.writes.subscribe;

  /** Reads everything again from the database: at the start, and after another tab has written. */
  async reload(): Promise<void> {
    const tx = this.db.transaction(['records', 'blocks', 'outbox', 'state', 'private']);
    const [state, records, own] = await Promise.all([
      tx.objectStore('state').get('device'),
      this.kept.read(tx),
      tx.objectStore('private').getAll(),
      this.outbox.read(tx),
    ]);
    if (state) this.device = stateFrom(state);
    this.records = records;
    // What the model got since a private one was kept is as it is for any other.
    this.own = new Map(own.map((shortcut) => [shortcut.id, { ...RECORD_TYPES.shortcut.defaults, ...shortcut }]));
    this.shown = new Map(this.records);
    this.show(this.outbox.entries.map(({ change }) => recordKey(change.record)));
  }

  /** The state as it is kept now: another tab may have written since. */
  private async stateIn(store: { get(key: 'device'): Promise<KeptState | undefined> }): Promise<DeviceState> {
    const kept = await store.get('device');
    return kept ? stateFrom(kept) : this.device;
  }

  /** Whether a write is of this device alone: to a private shortcut. */
  staysHere(write: Write): boolean {
    return write.isPrivate === true || (write.id !== undefined && this.own.has(write.id));
  }

  /** Writes, all or none, and returns the ids of the records written. */
  async write(writes: readonly Write[], now = this.clock()): Promise<string[]> {
    const tx = this.db.transaction(['outbox', 'state', 'private'], 'readwrite', { durability: 'strict' });
    const state = await this.stateIn(tx.objectStore('state'));
    let { clock, lastN } = state;
    const ids: string[] = [];
    const changes: Change[] = [];
    const erased = new Set<string>();
    let waiting = this.outbox.entries;
    const own = new Map<string, Shortcut | null>();
    const together = writes.length > 1 ? { together: uuid() } : {};
    await allOrNone(tx, async () => {
      for (const write of writes) {
        const id = write.id ?? uuid();
        ids.push(id);
        if (write.type === 'shortcut' && this.staysHere({ ...write, id })) {
          own.set(id, await writePrivate(tx, id, write.fields, now));
          continue;
        }
        lastN += 1;
        clock = nextClock(clock, now, state.id);
        const record = { type: write.type, id };
        const stamp = { id: uuid(), clock, device: state.id, n: lastN, ...together };
        const known = write.seen ?? this.shown.get(recordKey(record));
        const change = draftChange(record, known, write.fields as FieldChanges<RecordType>, stamp);
        if (change.fields.deleted === 'erased') erased.add(recordKey(record));
        changes.push(change);
      }
      // What still waits to be sent of a record would carry away what is to be erased.
      if (erased.size > 0)
        waiting = await this.outbox.change(
          tx,
          (entry) =>
            erased.has(recordKey(entry.change.record)) ? { ...entry, change: eraseChange(entry.change) } : entry,
          'all',
        );
      waiting = [...waiting, ...(await this.outbox.add(tx, changes))];
      await tx.objectStore('state').put(keptState({ ...state, clock, lastN }), 'device');
    });
    this.device = { ...state, clock, lastN };
    this.outbox.hold(waiting);
    for (const [id, shortcut] of own) {
      if (shortcut) this.own.set(id, shortcut);
      else this.own.delete(id);
    }
    // What sends it goes before what draws it.
    this.writes.emit();
    this.show(writes.map(({ type }, index) => recordKey({ type, id: ids[index]! })));
    return ids;
  }

  /**
   * Takes in what the server sent and lets go of own changes that it has. A fresh copy is put together in memory and
   * takes the place of the old one when it is whole. Resolves to whether a fresh copy is to be asked for, since this
   * device takes other sets now.
   */
  async receive(page: Page, now = Date.now()): Promise<'received' | 'copy-needed'> {
    if (page.fresh)
      this.copy = { records: new Map(), blocks: [], elsewhere: new Set(), through: 0, parted: page.parted };
    else if (!isSame(page.subscribedSets, this.device.subscribedSets)) return 'copy-needed';
    if (this.copy) {
      for (const record of page.records) {
        this.copy.records.set(recordKey(record), record);
        readAhead(record);
      }
      this.copy.blocks.push(...blocksOf(page.records));
      for (const record of page.removed) this.copy.elsewhere.add(recordKey(record));
      this.copy.through = page.through;
      if (page.more) return 'received';
    }
    const { copy } = this;
    const stale = !copy && page.through < this.device.through;
    // With more to come, the records of changes that it counts as taken may not be here yet.
    const arrived = this.outbox.entries.filter(
      ({ change, refused }) => !page.more && refused === undefined && change.n <= page.acknowledged,
    );
    const isNews = copy !== null || arrived.length + page.records.length + page.removed.length > 0;
    if (!isNews && page.through === this.device.through && page.may === this.device.may) return 'received';

    const tx = this.db.transaction(['records', 'blocks', 'outbox', 'state'], 'readwrite');
    const state = await this.stateIn(tx.objectStore('state'));
    const came = copy ? [...copy.records.values()] : page.records;
    const records = stale ? [] : came;
    const removed = stale || copy ? [] : page.removed.map(recordKey);
    let newest = 0;
    for (const record of records) newest = Math.max(newest, changedAt(record));
    const clock = records.length > 0 ? laterClock(state.clock, makeClock(newest, 0xffff, state.id)) : state.clock;
    const all = copy ? copy.records : new Map(this.records);
    if (!copy) {
      for (const record of records) all.set(recordKey(record), record);
      for (const key of removed) all.delete(key);
    }
    if (copy) this.kept.replaceBy(tx, copy.blocks);
    else this.kept.write(tx, records, removed, all);
    const gone = new Set(arrived.map(({ change }) => change.id));
    const stays = this.outbox.entries.filter(({ change }) => !gone.has(change.id));
    const whole = copy
      ? wholeChanges(stays, this.records, (key) => !copy.records.has(key) && !copy.elsewhere.has(key))
      : new Map<string, Change>();
    const next: DeviceState = {
      ...state,
      clock,
      may: page.may,
      subscribedSets: page.subscribedSets,
      inStepAt: now,
      ...(copy ? { model: MODEL_VERSION } : {}),
      ...(copy || page.through >= state.through ? { through: page.through, last: page.last } : {}),
    };
    inTransaction(tx.objectStore('state').put(keptState(next), 'device'));
    const waiting = await this.outbox.change(
      tx,
      (entry) => (gone.has(entry.change.id) ? null : withChange(entry, whole)),
      'held',
    );
    const before = copy ? new Map(this.shown) : this.shown;
    this.device = next;
    this.outbox.hold(waiting);
    this.records = all;
    if (copy) {
      this.copy = null;
      this.shown = new Map(this.records);
    }
    // Shown while it is being kept: the server has it, so nothing is lost if it can't be.
    this.show(
      copy ? this.outbox.entries.map(keyOfEntry) : [...records.map(recordKey), ...removed, ...arrived.map(keyOfEntry)],
    );
    try {
      await tx.done;
    } catch (error) {
      await this.reload();
      throw error;
    }
    if (copy?.parted && next.may === 'edit') {
      const isElsewhere = (key: string) => copy.elsewhere.has(key);
      const lost = writesOfLostBeside(this.waiting, before, copy.records, this.shown, isElsewhere);
      if (lost.length > 0) await this.write(lost);
    }
    return 'received';
  }

  /** Forgets a fresh copy that was begun: the line was lost, and the next one begins anew. */
  dropCopy(): void {
    this.copy = null;
  }

  /**
   * The server has forgotten the record that a waiting change writes to: the change is made whole. Resolves to whether
   * it could be.
   */
  async makeWhole({ record }: Change): Promise<boolean> {
    const forgotten = recordKey(record);
    if (!this.records.has(forgotten)) return false;
    const whole = wholeChanges(this.outbox.entries, this.records, (key) => key === forgotten);
    const tx = this.db.transaction(['outbox'], 'readwrite', { durability: 'strict' });
    const waiting = await this.outbox.change(tx, (entry) => withChange(entry, whole), 'held');
    await tx.done;
    this.outbox.hold(waiting);
    this.show([forgotten]);
    return true;
  }

  /** Puts the changes that found no room back into the queue, behind what waits: there may be room by now. */
  async retryWhatFoundNoRoom(): Promise<void> {
    const again = this.outbox.entries.filter(({ isFull }) => isFull).map(({ change }) => change);
    if (again.length === 0) return;
    const ids = new Set(again.map(({ id }) => id));
    const tx = this.db.transaction(['outbox', 'state'], 'readwrite', { durability: 'strict' });
    const state = await this.stateIn(tx.objectStore('state'));
    await this.outbox.change(tx, (entry) => (ids.has(entry.change.id) ? null : entry), 'all');
    await this.outbox.add(
      tx,
      again.map((change, index) => ({ ...change, n: state.lastN + 1 + index })),
    );
    await tx.objectStore('state').put(keptState({ ...state, lastN: state.lastN + again.length }), 'device');
    await tx.done;
    await this.reload();
  }

  /** Notes that the server would not take a change, and closes the gap it leaves in the numbers. `isFull`: for want of room. */
  async refuse(changeId: string, reason: string, isFull = false): Promise<void> {
    const refused = this.outbox.entries.find((entry) => entry.change.id === changeId && entry.refused === undefined);
    if (!refused) return;
    const gap = refused.change.n;
    const tx = this.db.transaction(['outbox', 'state'], 'readwrite', { durability: 'strict' });
    const state = await this.stateIn(tx.objectStore('state'));
    await this.outbox.change(
      tx,
      (entry) => {
        if (entry.refused !== undefined) return entry;
        if (entry.change.id === changeId) return { ...entry, refused: reason, ...(isFull ? { isFull } : {}) };
        return entry.change.n > gap ? { ...entry, change: { ...entry.change, n: entry.change.n - 1 } } : entry;
      },
      'all',
    );
    await tx.objectStore('state').put(keptState({ ...state, lastN: state.lastN - 1 }), 'device');
    await tx.done;
    await this.reload();
  }

  /** Makes this device the first of a list that the server is still to hear of. */
  async begin(list: { id: string; name: string }): Promise<void> {
    this.device = { ...this.device, begins: list, listName: list.name };
    await this.db.put('state', keptState(this.device), 'device');
  }

  async welcome({ id, name }: { id: string; name: string }): Promise<void> {
    const tx = this.db.transaction('state', 'readwrite');
    const state = await this.stateIn(tx.store);
    this.device = { ...state, listId: id, listName: name, begins: null };
    await tx.store.put(keptState(this.device), 'device');
    await tx.done;
  }

  /**
   * The device is out of its list: the copy goes, since whoever holds the device may not be its owner any more. What
   * was never sent is kept, to go along if it joins again; of a list that the server has forgotten, all of it.
   */
  async leave(why: NonNullable<DeviceState['out']>): Promise<void> {
    // What it said of itself goes with it: it joins again as another device.
    const self = idOfJoined(this.device.id);
    const unsent: Unsent = {
      listId: this.device.listId ?? this.device.begins?.id ?? null,
      writes: this.wholeRecords(why === 'forgotten' ? 'all' : 'waiting').filter(({ id }) => id !== self),
    };
    const tx = this.db.transaction(['records', 'blocks', 'outbox', 'state', 'kept'], 'readwrite', {
      durability: 'strict',
    });
    void tx.objectStore('kept').put(unsent, UNSENT);
    this.kept.replace(tx, []);
    void tx.objectStore('outbox').clear();
    void tx.objectStore('state').put(keptState({ ...this.device, through: 0, last: null, out: why }), 'device');
    await tx.done;
    await this.reload();
  }

  /** See `wholeRecords`. */
  wholeRecords(which: 'waiting' | 'all'): Write[] {
    return wholeRecords(which, this.outbox.entries, this.shown);
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
      for (const { change } of this.outbox.entries) {
        const key = recordKey(change.record);
        if (!concerned.has(key)) continue;
        const result = applyChange(this.shown.get(key), change);
        if (result.type === 'applied') this.shown.set(key, result.record);
      }
    }
    this.view = null;
    this.changes.emit();
  }
}

/** Does the work of a transaction; if some of it fails, as on a full device, none of it stands. */
async function allOrNone(
  tx: { readonly done: Promise<void>; abort(): void },
  work: () => Promise<void>,
): Promise<void> {
  try {
    await work();
  } catch (error) {
    tx.done.catch(() => {});
    try {
      tx.abort();
    } catch {
      // It has ended by itself.
    }
    throw error;
  }
  await tx.done;
}

function keyOfEntry({ change }: OutboxEntry): string {
  return recordKey(change.record);
}

function withChange(entry: OutboxEntry, changes: ReadonlyMap<string, Change>): OutboxEntry {
  const change = changes.get(entry.change.id);
  return change ? { ...entry, change } : entry;
}

function isSame(a: SubscribedSets, b: SubscribedSets): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
