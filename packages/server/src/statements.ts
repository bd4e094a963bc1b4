/** The statements that every push and page takes, prepared once for a database: to build one costs more than to run it. */
import { and, asc, eq, gt, sql } from 'drizzle-orm';

import type { Database } from './database';
import { changes, devices, lists, records } from './schema';

const { placeholder } = sql;

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
    body: db.select({ body: records.body }).from(records).where(ofRecord).prepare(),
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
        body: placeholder('body'),
        before: placeholder('before'),
        together: placeholder('together'),
        counts: placeholder('counts'),
        takenAt: placeholder('takenAt'),
      })
      .prepare(),
    keep: db
      .insert(records)
      .values({
        listId: placeholder('listId'),
        type: placeholder('type'),
        id: placeholder('id'),
        number: placeholder('number'),
        body: placeholder('body'),
        setId: placeholder('setId'),
        isDeleted: placeholder('isDeleted'),
      })
      .onConflictDoUpdate({
        target: [records.listId, records.type, records.id],
        set: { number: sql`excluded.number`, body: sql`excluded.body`, setId: sql`excluded."setId"`, isDeleted: sql`excluded."isDeleted"` },
      })
      .prepare(),
    advanceList: db.update(lists).set({ lastNumber: sql`${placeholder('number')}` }).where(eq(lists.id, placeholder('id'))).prepare(),
    advanceDevice: db.update(devices).set({ lastN: sql`${placeholder('n')}` }).where(eq(devices.id, placeholder('id'))).prepare(),
    since: db
      .select({ number: records.number, body: records.body, type: records.type, id: records.id, setId: records.setId })
      .from(records)
      .where(and(eq(records.listId, placeholder('listId')), gt(records.number, placeholder('since'))))
      .orderBy(asc(records.number))
      .limit(placeholder('limit'))
      .prepare(),
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
