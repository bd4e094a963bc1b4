/** How the server is, for whoever watches it: a service manager, a proxy, a container. */
import { statfsSync } from 'node:fs';

import { z } from 'zod';

import { version } from '../package.json';
import { latestMigration } from './database';

/** With less room than this on its disk, the server says so, in bytes. */
const LOW = 256_000_000;

export const HealthSchema = z.object({
  /** `ready`: it reads and saves. `read-only`: nothing can be saved. `stopping`: it takes no more requests. */
  status: z.enum(['ready', 'read-only', 'stopping']),
  version: z.string(),
  /** The last step that its tables went through, as the time when that was made, ms since 1970. */
  schema: z.int(),
  /** Whether the disk with its data has room. */
  disk: z.enum(['ok', 'low', 'unknown']),
  /** How much, in bytes; told on this machine alone. */
  freeBytes: z.int().optional(),
});
export type Health = z.infer<typeof HealthSchema>;

/** What the server knows of its own state. */
export interface ServerState {
  /** The folder with its data. */
  readonly data: string;
  /** Why nothing can be saved, if that is so. */
  readonly readOnly: string | null;
  isStopping: boolean;
}

export function healthOf({ data, readOnly, isStopping }: ServerState, isTold: boolean): Health {
  const free = freeBytes(data);
  const written = readOnly === null ? 'ready' : 'read-only';
  return {
    status: isStopping ? 'stopping' : written,
    version,
    schema: latestMigration(),
    disk: free === null ? 'unknown' : roomOf(free),
    ...(isTold && free !== null ? { freeBytes: free } : {}),
  };
}

function roomOf(free: number): 'ok' | 'low' {
  return free < LOW ? 'low' : 'ok';
}

/** Room on the disk of a folder for its user, in bytes; null: it can't be told. */
export function freeBytes(folder: string): number | null {
  try {
    const { bavail, bsize } = statfsSync(folder);
    return bavail * bsize;
  } catch {
    return null;
  }
}
