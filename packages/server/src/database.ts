import { chmodSync, mkdirSync, readFileSync } from 'node:fs';
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
  const file = join(folder, 'yellow-latch.sqlite');
  const client = new SQLite(file);
  refuseLaterTables(client, file);
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

/** Data that a later version has written is left as it is: this one would not know what it means. */
function refuseLaterTables(client: SQLite.Database, file: string): void {
  const has = client.prepare("SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'").get();
  const written = has ? (client.prepare('SELECT max(created_at) AS latest FROM __drizzle_migrations').get() as { latest: number | null }) : null;
  const journal = JSON.parse(readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8')) as { entries: { when: number }[] };
  const known = Math.max(...journal.entries.map(({ when }) => when));
  if ((written?.latest ?? 0) <= known) return;
  client.close();
  throw new Error(`${file} was written by a later version of Yellow Latch; start that one. Nothing was changed.`);
}
