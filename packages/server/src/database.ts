import { chmodSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

import SQLite from 'better-sqlite3';
import { drizzle, type BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';

import * as schema from './schema';

export type Database = BetterSQLite3Database<typeof schema> & { $client: SQLite.Database };
/** What runs inside a transaction; a `Database` does as well. */
export type Queries = Pick<Database, 'select' | 'insert' | 'update' | 'delete'>;

const MIGRATIONS = fileURLToPath(new URL('../migrations', import.meta.url));

/**
 * Opens (or makes) the database in `folder`, private to its user, and brings its tables up to
 * date. Write-ahead log with synchronous=FULL: what was acknowledged outlives a loss of power.
 */
export function openDatabase(folder: string): Database {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  chmodSync(folder, 0o700);
  const client = new SQLite(join(folder, 'yellow-latch.sqlite'));
  client.pragma('journal_mode = WAL');
  client.pragma('synchronous = FULL');
  client.pragma('foreign_keys = ON');
  client.pragma('busy_timeout = 5000');
  // What is overwritten or deleted is gone from the file too.
  client.pragma('secure_delete = ON');
  const database = drizzle(client, { schema });
  migrate(database, { migrationsFolder: MIGRATIONS });
  return database;
}
