import type { Change } from '@yellow-latch/core/sync';
import type { IDBPTransaction } from 'idb';

import type { OutboxEntry, ReplicaSchema } from './database';

/** So many changes are kept in one value, as many as a push carries: a value by itself costs a browser a tenth of a millisecond. */
const BUNDLE = 200;

/** An own change on its way. `bundle`: the key of the value in which it is kept. */
export interface Waiting extends OutboxEntry {
  readonly bundle: number;
}

type Stores = ('records' | 'blocks' | 'outbox' | 'state' | 'private' | 'kept')[];
type Reading = IDBPTransaction<ReplicaSchema, Stores>;
type Writing = IDBPTransaction<ReplicaSchema, Stores, 'readwrite'>;

/**
 * The own changes of a device that the server has not acknowledged, in their order. They are kept in bundles: what was
 * written at once goes together. The functions that write resolve to what waits then, which holds when their
 * transaction has ended well: see `hold`.
 */
export class Outbox {
  private held: readonly Waiting[] = [];

  get entries(): readonly Waiting[] {
    return this.held;
  }

  hold(entries: readonly Waiting[]): void {
    this.held = entries;
  }

  async read(tx: Reading): Promise<void> {
    const store = tx.objectStore('outbox');
    const [keys, bundles] = await Promise.all([store.getAllKeys(), store.getAll()]);
    this.held = bundles.flatMap((bundle, index) => bundle.map((entry) => ({ ...entry, bundle: keys[index]! })));
  }

  /** Puts changes behind those that wait. */
  async add(tx: Writing, changes: readonly Change[]): Promise<Waiting[]> {
    const bundles: Promise<Waiting[]>[] = [];
    for (let at = 0; at < changes.length; at += BUNDLE) {
      bundles.push(addBundle(tx, changes.slice(at, at + BUNDLE)));
    }
    return (await Promise.all(bundles)).flat();
  }

  /**
   * Writes entries anew, or lets them go (null). What is kept is read again for that: another tab may have changed it. `which`:
   * all bundles, those of other tabs too, or only those in which something that is held changes.
   */
  async change(
    tx: Writing,
    next: (entry: OutboxEntry) => OutboxEntry | null,
    which: 'all' | 'held',
  ): Promise<Waiting[]> {
    const store = tx.objectStore('outbox');
    const changed = new Map<number, { stays: boolean }>();
    const entries = this.held.flatMap((entry) => {
      const after = next(entry);
      if (after !== entry) changed.set(entry.bundle, { stays: changed.get(entry.bundle)?.stays ?? false });
      return after === null ? [] : [{ ...after, bundle: entry.bundle }];
    });
    for (const { bundle } of entries) {
      const one = changed.get(bundle);
      if (one) one.stays = true;
    }
    const keys = which === 'all' ? await store.getAllKeys() : [...changed.keys()];
    for (const key of keys) {
      if (which === 'held' && !changed.get(key)!.stays) {
        void store.delete(key);
        continue;
      }
      const kept = await store.get(key);
      if (!kept) continue;
      const after = kept.flatMap((entry) => next(entry) ?? []);
      if (after.length === 0) void store.delete(key);
      else if (after.length !== kept.length || after.some((entry, index) => entry !== kept[index]))
        void store.put(after, key);
    }
    return entries;
  }
}

async function addBundle(tx: Writing, changes: readonly Change[]): Promise<Waiting[]> {
  const entries = changes.map((change): OutboxEntry => ({ change }));
  const bundle = await tx.objectStore('outbox').add(entries);
  return entries.map((entry) => ({ ...entry, bundle }));
}
