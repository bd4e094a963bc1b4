/**
 * Backups: a copy of the database while the server writes, and the way back. SQLite's online backup
 * (https://www.sqlite.org/backup.html), in one step of one read transaction: writers go on meanwhile, and the copy is of one moment.
 */
import {
  accessSync,
  closeSync,
  constants,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { dirname, resolve } from 'node:path';

import SQLite from 'better-sqlite3';

import { databaseFile, refuseLaterTables } from '../database';
import { FolderLock } from '../lock';

/** What a backup holds, in rows. */
export interface Contents {
  lists: number;
  devices: number;
  changes: number;
  records: number;
}
const TABLES = ['lists', 'devices', 'changes', 'records'] as const;
/** More pages than any database has: all of them in one step. */
const ALL_PAGES = 0x7fff_ffff;

/**
 * Copies the database of a data folder into `file` and verifies the copy. `file` changes only when the copy is good: a backup that was there is replaced,
 * anything else that was there is left and refused. Throws an error that says what is in the way.
 */
export async function takeBackup(data: string, file: string): Promise<Contents> {
  const from = databaseFile(data);
  if (!existsSync(from)) throw new Error(`there is no list in ${data}; --data chooses another folder`);
  const to = resolve(file);
  if (to === resolve(from)) throw new Error(`${file} is the list itself`);
  if (existsSync(to)) holdsBackup(to);
  openFolder(dirname(to));
  const part = `${to}.part`;
  rmSync(part, { force: true });
  const source = new SQLite(from, { readonly: true });
  try {
    refuseLaterTables(source, from);
    // What is counted and what is copied is of the same moment.
    source.exec('BEGIN');
    const contents = count(source);
    await source.backup(part, { progress: () => ALL_PAGES });
    source.exec('COMMIT');
    makeOneFile(part);
    verify(part, contents);
    keep(part);
    renameSync(part, to);
    keep(dirname(to));
    return contents;
  } finally {
    source.close();
    rmSync(part, { force: true });
  }
}

/**
 * Puts a backup in the place of a data folder's database. What was there stays beside it, under the name it resolves with. Throws, and changes
 * nothing, where a server uses the folder, or the file is no sound backup of this version or an earlier one.
 */
export async function restoreBackup(
  data: string,
  file: string,
  now: number,
): Promise<{ contents: Contents; before: string | null }> {
  const contents = holdsBackup(file);
  mkdirSync(data, { recursive: true, mode: 0o700 });
  const lock = FolderLock.acquire(data);
  const to = databaseFile(data);
  const part = `${to}.part`;
  try {
    rmSync(part, { force: true });
    const source = new SQLite(file, { readonly: true });
    try {
      await source.backup(part, { progress: () => ALL_PAGES });
    } finally {
      source.close();
    }
    makeOneFile(part);
    verify(part, contents);
    keep(part);
    const before = existsSync(to) ? setAside(to, now) : null;
    renameSync(part, to);
    keep(data);
    return { contents, before };
  } finally {
    rmSync(part, { force: true });
    lock.release();
  }
}

/** Makes a folder where there is none, and sees that files can be made in it. */
function openFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    accessSync(folder, constants.W_OK);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new Error(`nothing can be written into ${folder} (${code}); choose another folder, or make room for it`, {
      cause: error,
    });
  }
}

/** What a file holds; throws where it is no sound database of ours, or one of a later version. */
function holdsBackup(file: string): Contents {
  if (!existsSync(file)) throw new Error(`${file} is not there`);
  if (!statSync(file).isFile()) throw new Error(`${file} is no file`);
  let source: SQLite.Database | undefined;
  try {
    source = new SQLite(file, { readonly: true });
    refuseLaterTables(source, file);
    const contents = count(source);
    source.close();
    verify(file, contents);
    return contents;
  } catch (error) {
    const { code = '' } = error as { code?: string };
    if (code === 'SQLITE_NOTADB' || code === 'SQLITE_ERROR')
      throw new Error(`${file} is no backup of Yellow Latch`, { cause: error });
    if (code === 'SQLITE_CORRUPT') throw new Error(`${file} is damaged`, { cause: error });
    throw error;
  } finally {
    source?.close();
  }
}

/** Throws unless a copy is sound and holds what was counted. */
function verify(file: string, wanted: Contents): void {
  const copy = new SQLite(file, { readonly: true });
  try {
    const found = copy.pragma('integrity_check', { simple: true }) as string;
    if (found !== 'ok') throw new Error(`${file} is damaged: ${found.split('\n')[0]}`);
    if ((copy.pragma('foreign_key_check') as unknown[]).length > 0)
      throw new Error(`${file} is damaged: rows refer to missing ones`);
    const held = count(copy);
    const lacking = TABLES.find((table) => held[table] !== wanted[table]);
    if (lacking) throw new Error(`${file} has ${held[lacking]} ${lacking}, not ${wanted[lacking]}`);
  } finally {
    copy.close();
  }
}

/** Ends the write-ahead log of a copy, so that it is one file, which can be read where nothing can be written. */
function makeOneFile(file: string): void {
  const copy = new SQLite(file);
  copy.pragma('journal_mode = DELETE');
  copy.close();
}

function count(database: SQLite.Database): Contents {
  const rows = TABLES.map((table) => [table, database.prepare(`SELECT count(*) FROM ${table}`).pluck().get()]);
  return Object.fromEntries(rows) as Contents;
}

/** Renames a database, with all that its log holds in it; resolves to where it is now. */
function setAside(file: string, now: number): string {
  const old = new SQLite(file);
  old.pragma('wal_checkpoint(TRUNCATE)');
  old.close();
  const aside = file.replace(/\.sqlite$/u, `-before-${new Date(now).toISOString().replaceAll(/[:.]/gu, '-')}.sqlite`);
  renameSync(file, aside);
  for (const end of ['-wal', '-shm']) rmSync(file + end, { force: true });
  return aside;
}

/** Waits until a file or folder is on the disk. */
function keep(path: string): void {
  const opened = openSync(path, 'r');
  fsyncSync(opened);
  closeSync(opened);
}
