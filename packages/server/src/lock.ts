import { join } from 'node:path';

import SQLite from 'better-sqlite3';

/**
 * Makes this process the one server of a data folder, until it ends in whatever way: the operating system lets go of
 * the lock. It is on a file of its own, so that other programs (a backup) can read the data.
 *
 * SQLite does the locking: an exclusive transaction on an empty database, which writes nothing
 * (https://www.sqlite.org/lockingv3.html).
 */
export class FolderLock {
  private constructor(private readonly file: SQLite.Database) {}

  /** Throws where another server has the folder; disk errors of SQLite where the file cannot be made. */
  static acquire(folder: string): FolderLock {
    const file = new SQLite(join(folder, 'yellow-latch.lock'), { timeout: 0 });
    try {
      file.exec('BEGIN EXCLUSIVE');
    } catch (error) {
      file.close();
      if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY')) {
        throw new Error(
          `another Yellow Latch server is using ${folder}; stop it, or choose another folder with --data`,
          { cause: error },
        );
      }
      throw error;
    }
    return new FolderLock(file);
  }

  release(): void {
    this.file.close();
  }
}
