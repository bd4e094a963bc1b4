import type { ReplicaDatabase } from '@yellow-latch/replica/storage/database';

/** What the first screen is drawn from beside the list. */
const FIRST = ['audit', 'list-sort', 'was-led', 'learner'] as const;

/** What was kept under the names of `FIRST`, as it was read when the list was opened; later as it is now. */
export type FirstKept = Map<string, unknown>;

/** Reads what the first screen takes, so that it is there when that is drawn, and nothing of it changes right after. */
export async function readFirstKept(db: ReplicaDatabase): Promise<FirstKept> {
  const tx = db.transaction('kept');
  const values = await Promise.all(FIRST.map((name) => tx.store.get(name))).catch(() => []);
  return new Map(FIRST.map((name, i) => [name, values[i]]));
}
