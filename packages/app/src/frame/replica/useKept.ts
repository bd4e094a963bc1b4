import { useCallback, useEffect, useState } from 'react';

import { useOpened } from './ReplicaProvider';

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
