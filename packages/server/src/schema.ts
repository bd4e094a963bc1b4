import { DEVICE_KINDS } from '@yellow-latch/core/model';
import { MAY } from '@yellow-latch/core/sync';
import { sql } from 'drizzle-orm';
import { index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/**
 * Everything one owner keeps in sync. `lastNumber` is the number of its newest change; what was deleted
 * before number `forgotten` is gone altogether. Of the spare key only its SHA-256 is kept. `bytes`: what its records
 * and its log take, as UTF-8. A list that was deleted keeps its id and its devices, nameless, so that each is told.
 */
export const lists = sqliteTable(
  'lists',
  {
    id: text().primaryKey(),
    name: text().notNull(),
    lastNumber: integer().notNull().default(0),
    forgotten: integer().notNull().default(0),
    spareKeyHash: text(),
    spareKeyMadeAt: integer(),
    createdAt: integer().notNull(),
    bytes: integer().notNull().default(0),
    deletedAt: integer(),
  },
  (table) => [uniqueIndex('lists_spare_key').on(table.spareKeyHash)],
);

/**
 * A device in a list, for ever: one that was signed out stays, so that none of its changes is taken twice
 * and history can name it. The token itself is never kept, only its SHA-256.
 */
export const devices = sqliteTable(
  'devices',
  {
    id: text().primaryKey(),
    listId: text()
      .notNull()
      .references(() => lists.id),
    name: text().notNull(),
    kind: text({ enum: DEVICE_KINDS }).notNull(),
    tokenHash: text().notNull(),
    /** SHA-256 of the secret it chose: by that alone it may ask for another token, until it has shown one. */
    secretHash: text(),
    /** The last of its own changes that was logged; kept for ever, so that none is logged twice. */
    lastN: integer().notNull().default(0),
    createdAt: integer().notNull(),
    /** Null until it first shows its token. */
    seenAt: integer(),
    /** The device of the same browser in whose place it comes: signed out when this one first shows its token. */
    succeeds: text(),
    /** It has the list up to this number of the log, as it last said. */
    through: integer().notNull().default(0),
    may: text({ enum: MAY }).notNull().default('edit'),
    /** JSON: the sets it receives; null: all. */
    subscribedSets: text('takes'),
    signedOutAt: integer(),
  },
  (table) => [index('devices_list').on(table.listId)],
);

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
 * JSON, `before` that of what its fields showed before it (null: it made the record). What is short stands first:
 * SQLite reads a row up to the last column it is asked for.
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
    /** The device's own number for it; below 0: the server made it, in erasing what this device erased. */
    n: integer().notNull(),
    recordType: text().notNull(),
    recordId: text().notNull(),
    takenAt: integer().notNull(),
    /** Whether it only counts uses: history passes it over. */
    counts: integer({ mode: 'boolean' }).notNull().default(false),
    /** Whether it deletes the record. */
    deletes: integer({ mode: 'boolean' }).notNull().default(false),
    /** The change group it is part of. */
    together: text(),
    /** The set of the record before it and after it (see `records.setId`); `UNKNOWN_SET`: not noted at the time. */
    setBefore: text(),
    setId: text(),
    body: text().notNull(),
    before: text(),
  },
  (table) => [
    primaryKey({ columns: [table.listId, table.number] }),
    uniqueIndex('changes_device_n').on(table.deviceId, table.n),
    uniqueIndex('changes_id').on(table.listId, table.id),
    index('changes_record').on(table.listId, table.recordType, table.recordId, table.number),
    index('changes_together')
      .on(table.listId, table.together, table.number)
      .where(sql`together IS NOT NULL`),
    index('changes_deletes')
      .on(table.listId, table.number)
      .where(sql`deletes = 1`),
  ],
);

/** Stands for a set in changes that were taken before their sets were noted. */
export const UNKNOWN_SET = '?';

/** Changes that were made in one go, counted as they come in: how many, how many delete, and how many of both are of shortcuts. */
export const changeGroups = sqliteTable(
  'change_groups',
  {
    listId: text()
      .notNull()
      .references(() => lists.id),
    id: text().notNull(),
    /** The numbers of its first and its last change. */
    first: integer().notNull(),
    last: integer().notNull(),
    size: integer().notNull(),
    shortcuts: integer().notNull(),
    deletes: integer().notNull(),
    deletedShortcuts: integer().notNull(),
  },
  (table) => [primaryKey({ columns: [table.listId, table.id] })],
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
    /** The set it belongs to: of a shortcut the one it shows, of a set itself, of a convention the one it is for. By it devices that get some sets are served. */
    setId: text(),
    /** The shortcut that an ignored finding is about. */
    refersTo: text(),
    isDeleted: integer({ mode: 'boolean' }).notNull().default(false),
    body: text().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.listId, table.type, table.id] }),
    index('records_number').on(table.listId, table.number),
    index('records_refers_to')
      .on(table.listId, table.refersTo)
      .where(sql`refersTo IS NOT NULL`),
  ],
);

/** What the server notes of itself, by name, as JSON. */
export const notes = sqliteTable('notes', { name: text().primaryKey(), value: text().notNull() });
