/** What the log forgets. Records stay for as long as their list; what was done to them, for ninety days. */
import { isDeleted, unpackRecord, type PackedRecord } from '@yellow-latch/core/sync';
import { and, eq, lt, lte, max } from 'drizzle-orm';

import type { Database } from './database';
import { changes, lists, records } from './schema';

export const LOG_KEEPS = 90 * 24 * 60 * 60_000;

/**
 * Lets go of changes older than ninety days, and of records that were deleted before. A device that was away for
 * longer is given a fresh copy, since it cannot be told what is gone; its outbox is its own. Numbers of devices are
 * kept, so that a late replay is not taken twice.
 */
export function compact(db: Database, now: number): void {
  const isOld = lt(changes.takenAt, now - LOG_KEEPS);
  db.transaction(
    (tx) => {
      const old = tx.select({ listId: changes.listId, number: max(changes.number) }).from(changes).where(isOld).groupBy(changes.listId).all();
      for (const { listId, number } of old) {
        const untouched = and(eq(records.listId, listId), lte(records.number, number!), eq(records.isDeleted, true));
        let forgotten = 0;
        for (const { type, id, body, number: last } of tx.select().from(records).where(untouched).all()) {
          if (!isDeleted(unpackRecord(JSON.parse(body) as PackedRecord))) continue;
          tx.delete(records).where(and(eq(records.listId, listId), eq(records.type, type), eq(records.id, id))).run();
          forgotten = Math.max(forgotten, last);
        }
        if (forgotten > 0) tx.update(lists).set({ forgotten }).where(and(eq(lists.id, listId), lt(lists.forgotten, forgotten))).run();
      }
      tx.delete(changes).where(isOld).run();
    },
    { behavior: 'immediate' },
  );
  db.$client.pragma('wal_checkpoint(TRUNCATE)');
}
