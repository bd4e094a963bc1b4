import { packRecord, recordKey, unpackRecord, type PackedRecord, type StoredRecord } from '@yellow-latch/core/sync';
import type { IDBPTransaction } from 'idb';

import { inTransaction, type ReplicaSchema } from './database';

/** Records in one block, and from how many on a page is kept as blocks. */
const BLOCK = 500;
const LARGE_PAGE = 100;
/** With more records by themselves, or more blocks, all is written anew. */
const MOST_SINGLE = 1_000;
const MOST_BLOCKS = 60;

type Stores = ('records' | 'blocks' | 'outbox' | 'state' | 'private' | 'kept')[];
type Reading = IDBPTransaction<ReplicaSchema, Stores>;
type Writing = IDBPTransaction<ReplicaSchema, Stores, 'readwrite'>;

/**
 * How a device keeps the server's records. To a browser a record put by itself costs a tenth of a millisecond whatever it
 * holds, so many at once are kept as blocks of JSON, later blocks over earlier ones; and over all blocks, by
 * themselves, the records that came one by one since (null: gone).
 */
export class KeptRecords {
  /** The keys of those that are kept by themselves. */
  private single = new Set<string>();
  private blocks = 0;

  async read(tx: Reading): Promise<Map<string, StoredRecord>> {
    const [blocks, keys, values] = await Promise.all([
      tx.objectStore('blocks').getAll(),
      tx.objectStore('records').getAllKeys(),
      tx.objectStore('records').getAll(),
    ]);
    const records = new Map<string, StoredRecord>();
    for (const block of blocks) {
      for (const record of JSON.parse(block) as PackedRecord[]) records.set(recordKey(record), unpackRecord(record));
    }
    keys.forEach((key, index) => {
      const record = values[index];
      if (record) records.set(key, record);
      else records.delete(key);
    });
    this.single = new Set(keys);
    this.blocks = blocks.length;
    return records;
  }

  /** Puts what came in place of what was kept of it. `all`: every record as it stands then. */
  write(
    tx: Writing,
    came: readonly StoredRecord[],
    gone: readonly string[],
    all: ReadonlyMap<string, StoredRecord>,
  ): void {
    if (this.single.size + came.length > MOST_SINGLE && came.length < LARGE_PAGE) {
      this.replace(tx, [...all.values()]);
      return;
    }
    const store = tx.objectStore('records');
    if (came.length < LARGE_PAGE) {
      for (const record of came) {
        inTransaction(store.put(record, recordKey(record)));
        this.single.add(recordKey(record));
      }
    } else {
      this.addBlocks(tx, blocksOf(came));
      for (const key of came.map(recordKey)) if (this.single.delete(key)) inTransaction(store.delete(key));
    }
    for (const key of gone) {
      inTransaction(store.put(null, key));
      this.single.add(key);
    }
    if (this.blocks > MOST_BLOCKS && this.blocks * BLOCK > 2 * all.size) this.replace(tx, [...all.values()]);
  }

  /** Keeps these and nothing else. */
  replace(tx: Writing, records: readonly StoredRecord[]): void {
    this.replaceBy(tx, blocksOf(records));
  }

  /** As `replace`, with what `blocksOf` made of the records, part by part: of one in several parts the last counts. */
  replaceBy(tx: Writing, blocks: readonly string[]): void {
    inTransaction(tx.objectStore('records').clear());
    inTransaction(tx.objectStore('blocks').clear());
    this.single.clear();
    this.blocks = 0;
    this.addBlocks(tx, blocks);
  }

  private addBlocks(tx: Writing, blocks: readonly string[]): void {
    for (const block of blocks) inTransaction(tx.objectStore('blocks').add(block));
    this.blocks += blocks.length;
  }
}

/** Records as they are kept many at once. */
export function blocksOf(records: readonly StoredRecord[]): string[] {
  const blocks: string[] = [];
  for (let at = 0; at < records.length; at += BLOCK) {
    blocks.push(JSON.stringify(records.slice(at, at + BLOCK).map(packRecord)));
  }
  return blocks;
}
