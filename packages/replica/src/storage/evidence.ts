/** What was seen on this device of how well codes are known, until it becomes part of what its learner knows. */
import type { Evidence } from '@yellow-latch/core/learn';
import { FIRST_LEARNER, learnerOfDevice } from '@yellow-latch/core/learn/names';

import type { ReplicaDatabase } from './database';
import type { Replica } from './replica';

const KEPT = 'evidence';
const LEARNER = 'learner';
/** So many pieces are kept; older ones go. */
const MOST = 2_000;

export async function noteEvidence(db: ReplicaDatabase, evidence: Evidence): Promise<void> {
  const tx = db.transaction('kept', 'readwrite');
  const noted = ((await tx.store.get(KEPT)) as readonly Evidence[] | undefined) ?? [];
  await tx.store.put([...noted, evidence].slice(-MOST), KEPT);
  await tx.done;
}

/** A code was taken back straight away: nobody meant it, so it tells nothing. */
export async function withdrawEvidence(db: ReplicaDatabase, shortcutId: string): Promise<void> {
  const tx = db.transaction('kept', 'readwrite');
  const noted = ((await tx.store.get(KEPT)) as readonly Evidence[] | undefined) ?? [];
  const at = noted.findLastIndex((one) => one.shortcutId === shortcutId && one.how === 'typed');
  if (at >= 0) await tx.store.put(noted.toSpliced(at, 1), KEPT);
  await tx.done;
}

export async function readEvidence(db: ReplicaDatabase): Promise<readonly Evidence[]> {
  return ((await db.get('kept', KEPT)) as readonly Evidence[] | undefined) ?? [];
}

/** Forgets what was taken in; what was noted meanwhile stays. */
export async function forgetEvidence(db: ReplicaDatabase, taken: readonly Evidence[]): Promise<void> {
  if (taken.length === 0) return;
  const names = new Set(taken.map((one) => JSON.stringify(one)));
  const tx = db.transaction('kept', 'readwrite');
  const noted = ((await tx.store.get(KEPT)) as readonly Evidence[] | undefined) ?? [];
  await tx.store.put(
    noted.filter((one) => !names.has(JSON.stringify(one))),
    KEPT,
  );
  await tx.done;
}

/** Who learns on this device: as was said here, or else the one whose list it is; a device that may not edit all of it is another person's. */
export async function learnerHere({ db, state }: Pick<Replica, 'db' | 'state'>): Promise<string> {
  const said = (await db.get('kept', LEARNER)) as string | undefined;
  return said ?? usualLearner(state);
}

export function usualLearner({ id, may, subscribedSets }: Replica['state']): string {
  return may === 'edit' && subscribedSets === null ? FIRST_LEARNER : learnerOfDevice(id);
}
