/** The statements that every push and page takes, prepared once for a database: to build one costs more than to run it. */
import { and, eq, sql } from 'drizzle-orm';

import type { Database } from './database';
import { changeGroups, changes, devices, lists, records } from './schema';

const { placeholder } = sql;

/** A record as pages are made of it; its body is passed on without being parsed. */
export type RecordRow = Pick<typeof records.$inferSelect, 'number' | 'type' | 'id' | 'setId' | 'refersTo' | 'body'>;

function prepare(db: Database) {
  const ofRecord = and(eq(records.listId, placeholder('listId')), eq(records.type, placeholder('type')), eq(records.id, placeholder('id')));
  return {
    device: db.select().from(devices).where(eq(devices.id, placeholder('id'))).prepare(),
    list: db.select().from(lists).where(eq(lists.id, placeholder('id'))).prepare(),
    logged: db
      .select({ number: changes.number })
      .from(changes)
      .where(and(eq(changes.listId, placeholder('listId')), eq(changes.id, placeholder('id'))))
      .prepare(),
    numbered: db
      .select({ id: changes.id })
      .from(changes)
      .where(and(eq(changes.deviceId, placeholder('deviceId')), eq(changes.n, placeholder('n'))))
      .prepare(),
    record: db.select({ body: records.body, setId: records.setId, refersTo: records.refersTo }).from(records).where(ofRecord).prepare(),
    changeId: db
      .select({ id: changes.id })
      .from(changes)
      .where(and(eq(changes.listId, placeholder('listId')), eq(changes.number, placeholder('number'))))
      .prepare(),
    reach: db.update(devices).set({ through: sql`${placeholder('through')}`, seenAt: sql`${placeholder('seen')}` }).where(eq(devices.id, placeholder('id'))).prepare(),
    log: db
      .insert(changes)
      .values({
        listId: placeholder('listId'),
        number: placeholder('number'),
        id: placeholder('id'),
        deviceId: placeholder('deviceId'),
        n: placeholder('n'),
        recordType: placeholder('recordType'),
        recordId: placeholder('recordId'),
        takenAt: placeholder('takenAt'),
        counts: placeholder('counts'),
        deletes: placeholder('deletes'),
        together: placeholder('together'),
        setBefore: placeholder('setBefore'),
        setId: placeholder('setId'),
        body: placeholder('body'),
        before: placeholder('before'),
      })
      .prepare(),
    keep: db
      .insert(records)
      .values({
        listId: placeholder('listId'),
        type: placeholder('type'),
        id: placeholder('id'),
        number: placeholder('number'),
        setId: placeholder('setId'),
        refersTo: placeholder('refersTo'),
        isDeleted: placeholder('isDeleted'),
        body: placeholder('body'),
      })
      .onConflictDoUpdate({
        target: [records.listId, records.type, records.id],
        set: { number: sql`excluded.number`, setId: sql`excluded."setId"`, refersTo: sql`excluded."refersTo"`, isDeleted: sql`excluded."isDeleted"`, body: sql`excluded.body` },
      })
      .prepare(),
    advanceList: db.update(lists).set({ lastNumber: sql`${placeholder('number')}`, bytes: sql`${placeholder('bytes')}` }).where(eq(lists.id, placeholder('id'))).prepare(),
    advanceDevice: db.update(devices).set({ lastN: sql`${placeholder('n')}` }).where(eq(devices.id, placeholder('id'))).prepare(),
    countGroup: db
      .insert(changeGroups)
      .values({
        listId: placeholder('listId'),
        id: placeholder('id'),
        first: placeholder('first'),
        last: placeholder('last'),
        size: placeholder('size'),
        shortcuts: placeholder('shortcuts'),
        deletes: placeholder('deletes'),
        deletedShortcuts: placeholder('deletedShortcuts'),
      })
      .onConflictDoUpdate({
        target: [changeGroups.listId, changeGroups.id],
        set: {
          last: sql`excluded.last`,
          size: sql`${changeGroups.size} + excluded.size`,
          shortcuts: sql`${changeGroups.shortcuts} + excluded.shortcuts`,
          deletes: sql`${changeGroups.deletes} + excluded.deletes`,
          deletedShortcuts: sql`${changeGroups.deletedShortcuts} + excluded."deletedShortcuts"`,
        },
      })
      .prepare(),
    /** The records changed after a number, oldest change first; read one by one, since a reader stops when it has enough. */
    since: db.$client.prepare<[string, number], RecordRow>('SELECT number, type, id, setId, refersTo, body FROM records WHERE listId = ? AND number > ? ORDER BY number'),
    /** The same for a device that gets all of them: what it takes to pass them on, number and body. */
    bodiesSince: db.$client.prepare<[string, number], [number, string]>('SELECT number, body FROM records WHERE listId = ? AND number > ? ORDER BY number').raw(),
    /** The texts of a change. */
    change: db.$client.prepare<[string, number], Pick<typeof changes.$inferSelect, 'body' | 'before' | 'deviceId'>>('SELECT body, "before", deviceId FROM changes WHERE listId = ? AND number = ?'),
    /** What refers to a shortcut. */
    referring: db.$client.prepare<[string, string], RecordRow>('SELECT number, type, id, setId, refersTo, body FROM records WHERE listId = ? AND refersTo = ?'),
  };
}

const prepared = new WeakMap<Database, ReturnType<typeof prepare>>();

export function statementsOf(db: Database): ReturnType<typeof prepare> {
  let statements = prepared.get(db);
  if (!statements) {
    statements = prepare(db);
    prepared.set(db, statements);
  }
  return statements;
}
