import { chmodSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

import SQLite from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';

import { diskTrouble } from './disk';
import * as schema from './schema';

export type Database = BetterSQLite3Database<typeof schema> & { $client: SQLite.Database };
/** What runs inside a transaction; a `Database` does as well. */
export type Queries = Pick<Database, 'select' | 'insert' | 'update' | 'delete'>;

const MIGRATIONS = fileURLToPath(new URL('../migrations', import.meta.url));

/** The file of a data folder that holds all its lists. */
export function databaseFile(folder: string): string {
  return join(folder, 'yellow-latch.sqlite');
}

/** How long a write waits for another program, in ms. Everybody waits with it: a device asks again by itself. */
const PATIENCE = 250;
/** How long the start waits. */
const PATIENCE_AT_START = 5_000;
/** `auto_vacuum = INCREMENTAL` (https://www.sqlite.org/pragma.html#pragma_auto_vacuum): free pages can be given back bit by bit. */
const INCREMENTAL = 2;

/** Makes a folder that is private to its user. One that is there keeps its mode. */
export function makeFolder(folder: string): void {
  if (mkdirSync(folder, { recursive: true, mode: 0o700 }) !== undefined) chmodSync(folder, 0o700);
}

/**
 * Opens (or makes) the database in `folder` and brings its tables up to date. Write-ahead log with synchronous=FULL: what was acknowledged outlives a loss of power.
 */
export function openDatabase(folder: string): Database {
  makeFolder(folder);
  const file = databaseFile(folder);
  const client = new SQLite(file);
  try {
    client.pragma(`busy_timeout = ${PATIENCE_AT_START}`);
    refuseLaterTables(client, file);
    giveBackPages(client);
    client.pragma('journal_mode = WAL');
    client.pragma('synchronous = FULL');
    client.pragma('foreign_keys = ON');
    // What is overwritten or deleted is gone from the file too.
    client.pragma('secure_delete = ON');
    const database = drizzle(client, { schema });
    migrate(database, { migrationsFolder: MIGRATIONS });
    client.pragma(`busy_timeout = ${PATIENCE}`);
    return database;
  } catch (error) {
    client.close();
    throw error;
  }
}

/**
 * Opens the database to read alone, for a disk on which nothing can be written. It must be there, with the tables of
 * this version. Where there is no room even for the file that readers of a write-ahead log share, that is kept in memory,
 * and no other program can read meanwhile.
 */
export function openReadOnly(folder: string): Database {
  const file = databaseFile(folder);
  try {
    return readOnly(new SQLite(file, { readonly: true, fileMustExist: true }), file);
  } catch (error) {
    if (!diskTrouble(error)) throw error;
    const client = new SQLite(file, { fileMustExist: true });
    client.pragma('locking_mode = EXCLUSIVE');
    client.pragma('query_only = ON');
    return readOnly(client, file);
  }
}

function readOnly(client: SQLite.Database, file: string): Database {
  try {
    refuseLaterTables(client, file);
    if ((writtenBy(client) ?? 0) < latestMigration())
      throw new Error(`${file} was written by an earlier version, and its tables can’t be brought up to date.`);
    return drizzle(client, { schema });
  } catch (error) {
    client.close();
    throw error;
  }
}

/** Lets the file shrink: a new one from the start, an older one by being written anew once. */
function giveBackPages(client: SQLite.Database): void {
  if (client.pragma('auto_vacuum', { simple: true }) === INCREMENTAL) return;
  try {
    client.pragma('auto_vacuum = INCREMENTAL');
    if ((client.pragma('page_count', { simple: true }) as number) > 0) client.exec('VACUUM');
  } catch (error) {
    // It takes as much room again. The next start tries once more.
    if (!diskTrouble(error)) throw error;
  }
}

/** Data that a later version has written is left as it is: this one would not know what it means. */
export function refuseLaterTables(client: SQLite.Database, file: string): void {
  if ((writtenBy(client) ?? 0) <= latestMigration()) return;
  throw new Error(`${file} was written by a later version of Yellow Latch; start that one. Nothing was changed.`);
}

/** The time of the last migration that a database went through; null: of none. */
function writtenBy(client: SQLite.Database): number | null {
  if (!client.prepare("SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'").get()) return null;
  return (
    client.prepare('SELECT max(created_at) AS latest FROM __drizzle_migrations').get() as { latest: number | null }
  ).latest;
}

export function latestMigration(): number {
  const { entries } = JSON.parse(readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as {
    entries: { when: number }[];
  };
  return Math.max(...entries.map(({ when }) => when));
}
