import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/** Everything one owner keeps in step. `lastNumber` is the number of its newest change. */
export const lists = sqliteTable('lists', {
  id: text().primaryKey(),
  name: text().notNull(),
  lastNumber: integer().notNull().default(0),
  createdAt: integer().notNull(),
});

/** A device in a list. The token itself is never kept, only its SHA-256. */
export const devices = sqliteTable('devices', {
  id: text().primaryKey(),
  listId: text()
    .notNull()
    .references(() => lists.id),
  name: text().notNull(),
  kind: text({ enum: ['phone', 'tablet', 'computer'] }).notNull(),
  tokenHash: text().notNull(),
  /** The last of its own changes that was taken; kept for ever, so that none is taken twice. */
  lastN: integer().notNull().default(0),
  createdAt: integer().notNull(),
  /** Null until it first shows its token. */
  seenAt: integer(),
});

/** The log: every change taken, numbered without gaps within its list. `body` is its JSON. */
export const changes = sqliteTable(
  'changes',
  {
    listId: text()
      .notNull()
      .references(() => lists.id),
    number: integer().notNull(),
    id: text().notNull(),
    deviceId: text()
      .notNull()
      .references(() => devices.id),
    n: integer().notNull(),
    recordType: text().notNull(),
    recordId: text().notNull(),
    body: text().notNull(),
    takenAt: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.listId, table.number] }),
    uniqueIndex('changes_device_n').on(table.deviceId, table.n),
    uniqueIndex('changes_id').on(table.listId, table.id),
    index('changes_record').on(table.listId, table.recordType, table.recordId),
  ],
);

/** The log applied: each record as it stands, with the number of its last change. */
export const records = sqliteTable(
  'records',
  {
    listId: text()
      .notNull()
      .references(() => lists.id),
    type: text().notNull(),
    id: text().notNull(),
    number: integer().notNull(),
    body: text().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.listId, table.type, table.id] }),
    index('records_number').on(table.listId, table.number),
  ],
);
