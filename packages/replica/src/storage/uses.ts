import type { Uses } from '@yellow-latch/core/effort';
import type { Shortcut } from '@yellow-latch/core/model';
import { countOf, isDeleted, type StoredRecord } from '@yellow-latch/core/sync';

import type { ReplicaDatabase } from './database';
import type { Write } from './write';

/** What was counted in Write on this device, and since when (ms since 1970). */
export interface UseCounts {
  readonly since: number;
  readonly counts: Readonly<Record<string, number>>;
}

const KEPT = 'uses';
const WEEK = 7 * 24 * 60 * 60 * 1_000;

/** Counts one use of a shortcut. */
export async function countUse(db: ReplicaDatabase, id: string, now = Date.now()): Promise<void> {
  const tx = db.transaction('kept', 'readwrite');
  const { since, counts } = ((await tx.store.get(KEPT)) as UseCounts | undefined) ?? { since: now, counts: {} };
  await tx.store.put({ since, counts: { ...counts, [id]: (counts[id] ?? 0) + 1 } }, KEPT);
  await tx.done;
}

/** Counts on from what came with shortcuts that were brought in. */
export async function addUses(
  db: ReplicaDatabase,
  added: Readonly<Record<string, number>>,
  now = Date.now(),
): Promise<void> {
  if (Object.keys(added).length === 0) return;
  const tx = db.transaction('kept', 'readwrite');
  const { since, counts } = ((await tx.store.get(KEPT)) as UseCounts | undefined) ?? { since: now, counts: {} };
  const sums = Object.fromEntries(Object.entries(added).map(([id, count]) => [id, count + (counts[id] ?? 0)]));
  await tx.store.put({ since, counts: { ...counts, ...sums } }, KEPT);
  await tx.done;
}

export async function readCounts(db: ReplicaDatabase): Promise<UseCounts | null> {
  return ((await db.get('kept', KEPT)) as UseCounts | undefined) ?? null;
}

/** The writes that tell the other devices what was counted here and they do not know yet. Linear in what was counted. */
export async function usesToSend(counting: Counting): Promise<Write[]> {
  const counted = await readCounts(counting.db);
  if (!counted) return [];
  return Object.entries(counted.counts).flatMap(([id, count]): Write[] => {
    const record = counting.recordOf('shortcut', id);
    if (!record || isDeleted(record) || countOf(record, 'used', counting.state.id) >= count) return [];
    return [{ type: 'shortcut', id, fields: { used: { count, since: counted.since } } }];
  });
}

/** What of a replica is needed to tell what it has counted. */
interface Counting {
  db: ReplicaDatabase;
  state: { readonly id: string };
  recordOf(type: 'shortcut', id: string): StoredRecord | undefined;
}

/**
 * How often shortcuts are used in a week, by id, as far as that is known: as their owner said, or as it was
 * counted, on all devices or of a private one on this. What was counted for less than a week stands for one.
 */
export function usesFrom(
  shortcuts: readonly Pick<Shortcut, 'id' | 'usesAWeek' | 'used'>[],
  counted: UseCounts | null,
  now: number,
): Record<string, Uses> {
  return Object.fromEntries(
    shortcuts.flatMap(({ id, usesAWeek, used }): [string, Uses][] => {
      if (usesAWeek !== null) return [[id, { aWeek: usesAWeek, from: 'said' }]];
      const here = counted?.counts[id] ?? 0;
      const { count, since } = used && used.count >= here ? used : { count: here, since: counted?.since ?? now };
      return count > 0 ? [[id, { aWeek: count / Math.max(1, (now - since) / WEEK), from: 'counted' }]] : [];
    }),
  );
}
