import { DEVICE_KINDS, MAY } from '@yellow-latch/core/sync';
import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/**
 * Everything one owner keeps in step. `lastNumber` is the number of its newest change; what was deleted
 * before number `forgotten` is gone altogether. Of the spare key only its SHA-256 is kept.
 */
export const lists = sqliteTable('lists', {
  id: text().primaryKey(),
  name: text().notNull(),
  lastNumber: integer().notNull().default(0),
  forgotten: integer().notNull().default(0),
  spareKeyHash: text(),
  spareKeyMadeAt: integer(),
  createdAt: integer().notNull(),
}, (table) => [uniqueIndex('lists_spare_key').on(table.spareKeyHash)]);

/**
 * A device in a list, for ever: one that was signed out stays, so that none of its changes is taken twice
 * and history can name it. The token itself is never kept, only its SHA-256.
 */
export const devices = sqliteTable('devices', {
  id: text().primaryKey(),
  listId: text()
    .notNull()
    .references(() => lists.id),
  name: text().notNull(),
  kind: text({ enum: DEVICE_KINDS }).notNull(),
  tokenHash: text().notNull(),
  /** The last of its own changes that was taken; kept for ever, so that none is taken twice. */
  lastN: integer().notNull().default(0),
  createdAt: integer().notNull(),
  /** Null until it first shows its token. */
  seenAt: integer(),
  /** It has the list up to this number of the log, as it last said. */
  through: integer().notNull().default(0),
  may: text({ enum: MAY }).notNull().default('edit'),
  /** JSON: the sets it takes; null: all. */
  takes: text(),
  signedOutAt: integer(),
});

/** Codes by which a device may join, each once and for ten minutes. Only their SHA-256 is kept. */
export const invitations = sqliteTable('invitations', {
  codeHash: text().primaryKey(),
  listId: text()
    .notNull()
    .references(() => lists.id),
  deviceId: text()
    .notNull()
    .references(() => devices.id),
  until: integer().notNull(),
});

/**
 * The log of the last ninety days: every change taken, numbered without gaps within its list. `body` is its
 * JSON, `before` that of what its fields showed before it (null: it made the record).
 */
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
    before: text(),
    /** The doing it was part of. */
    together: text(),
    /** Whether it only counts uses: history passes it over. */
    counts: integer({ mode: 'boolean' }).notNull().default(false),
    takenAt: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.listId, table.number] }),
    index('changes_taken_at').on(table.takenAt),
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
    /** Of a shortcut: the set it shows, by which devices that take some sets are served. */
    setId: text(),
    isDeleted: integer({ mode: 'boolean' }).notNull().default(false),
  },
  (table) => [
    primaryKey({ columns: [table.listId, table.type, table.id] }),
    index('records_number').on(table.listId, table.number),
  ],
);
