/** What the log forgets. Records stay for as long as their list; what was done to them, for ninety days. */
import { isDeleted, unpackRecord, type PackedRecord } from '@yellow-latch/core/sync';
import { and, asc, eq, isNull, lt, lte, max, sql } from 'drizzle-orm';

import type { Database, Queries } from './database';
import { changeGroups, changes, lists, records } from './schema';

export const LOG_KEEPS = 90 * 24 * 60 * 60_000;

/** Lets every list go of what is too old. */
export function compact(db: Database, now: number): void {
  for (const { id } of db.select({ id: lists.id }).from(lists).where(isNull(lists.deletedAt)).all())
    while (compactSome(db, id, now));
}

/** So many changes are let go of at a time: others wait no longer than for that. */
const FORGOTTEN_AT_ONCE = 1_000;

/**
 * Lets a list go of some of its changes older than ninety days, and of records that were deleted before; tells whether
 * there is more. The log stays without gaps, and keeps its newest change whatever its age: by that the server and a
 * device tell that they mean the same log. A device that was away for longer is given a fresh copy, since it cannot be
 * told what is gone; its outbox is its own. Numbers of devices are kept, so that a late replay is not taken twice.
 */
export function compactSome(db: Database, listId: string, now: number): boolean {
  return db.transaction(
    (tx) => {
      const ofList = eq(changes.listId, listId);
      const newest = tx
        .select({ number: max(changes.number) })
        .from(changes)
        .where(ofList)
        .get()!.number;
      if (newest === null) return false;
      const some = tx
        .select({ number: changes.number, takenAt: changes.takenAt })
        .from(changes)
        .where(ofList)
        .orderBy(asc(changes.number))
        .limit(FORGOTTEN_AT_ONCE)
        .all();
      const isKept = some.findIndex(({ number, takenAt }) => takenAt >= now - LOG_KEEPS || number === newest);
      const old = isKept < 0 ? some : some.slice(0, isKept);
      if (old.length === 0) return false;
      const last = old.at(-1)!.number;
      forgetDeleted(tx, listId, last);
      tx.delete(changes)
        .where(and(ofList, lte(changes.number, last)))
        .run();
      tx.delete(changeGroups)
        .where(and(eq(changeGroups.listId, listId), lte(changeGroups.last, last)))
        .run();
      if (isKept < 0) return true;
      tx.update(lists)
        .set({ bytes: sizeOf(listId) })
        .where(eq(lists.id, listId))
        .run();
      return false;
    },
    { behavior: 'immediate' },
  );
}

/** Lets go of records that were deleted, the last of it up to a number that the log forgets. */
function forgetDeleted(tx: Queries, listId: string, upTo: number): void {
  const untouched = and(eq(records.listId, listId), lte(records.number, upTo), eq(records.isDeleted, true));
  let forgotten = 0;
  for (const { type, id, body, number: last } of tx.select().from(records).where(untouched).all()) {
    if (!isDeleted(unpackRecord(JSON.parse(body) as PackedRecord))) continue;
    tx.delete(records)
      .where(and(eq(records.listId, listId), eq(records.type, type), eq(records.id, id)))
      .run();
    forgotten = Math.max(forgotten, last);
  }
  if (forgotten > 0)
    tx.update(lists)
      .set({ forgotten })
      .where(and(eq(lists.id, listId), lt(lists.forgotten, forgotten)))
      .run();
}

/** What records and log of a list take, counted anew. */
function sizeOf(listId: string) {
  const bytes = (column: typeof records.body | typeof changes.body | typeof changes.before) =>
    sql`length(CAST(${column} AS BLOB))`;
  return sql`(SELECT coalesce(sum(${bytes(records.body)}), 0) FROM ${records} WHERE ${records.listId} = ${listId})
    + (SELECT coalesce(sum(${bytes(changes.body)} + coalesce(${bytes(changes.before)}, 0)), 0) FROM ${changes} WHERE ${changes.listId} = ${listId})`;
}
