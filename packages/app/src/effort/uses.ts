import type { Uses } from '@yellow-latch/core/effort';
import type { Shortcut } from '@yellow-latch/core/model';

import type { ReplicaDatabase } from '@/replica/database';

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

export async function readCounts(db: ReplicaDatabase): Promise<UseCounts | null> {
  return ((await db.get('kept', KEPT)) as UseCounts | undefined) ?? null;
}

/**
 * How often shortcuts are used in a week, by id, as far as that is known: as their owner said, or as it was
 * counted. What was counted for less than a week stands for one.
 */
export function usesFrom(shortcuts: readonly Pick<Shortcut, 'id' | 'usesAWeek'>[], counted: UseCounts | null, now: number): Record<string, Uses> {
  const weeks = counted ? Math.max(1, (now - counted.since) / WEEK) : 1;
  return Object.fromEntries(
    shortcuts.flatMap(({ id, usesAWeek }): [string, Uses][] => {
      if (usesAWeek !== null) return [[id, { aWeek: usesAWeek, from: 'said' }]];
      const count = counted?.counts[id];
      return count ? [[id, { aWeek: count / weeks, from: 'counted' }]] : [];
    }),
  );
}
