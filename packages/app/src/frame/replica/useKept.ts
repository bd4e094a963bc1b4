import type { ReplicaDatabase } from '@yellow-latch/replica/storage/database';
import { useCallback, useEffect, useState } from 'react';

import { useOpened } from './ReplicaProvider';

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

/** What a screen keeps on this device alone under a name; `otherwise` until it was read, or where it holds nothing. */
export function useKept<T>(name: string, otherwise: T): [T, (next: T) => void] {
  const { replica, firstKept } = useOpened();
  const { db } = replica;
  const [value, setValue] = useState(() => (firstKept.get(name) as T | undefined) ?? otherwise);
  useEffect(() => {
    if (firstKept.has(name)) return;
    let isOver = false;
    void db.get('kept', name).then((kept) => {
      if (!isOver && kept !== undefined) setValue(kept as T);
    });
    return () => {
      isOver = true;
    };
  }, [db, firstKept, name]);
  const keep = useCallback(
    (next: T) => {
      setValue(next);
      if (firstKept.has(name)) firstKept.set(name, next);
      // A choice that could not be kept holds for this visit.
      db.put('kept', next, name).catch(() => {});
    },
    [db, firstKept, name],
  );
  return [value, keep];
}
