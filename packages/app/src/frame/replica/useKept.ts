import { useCallback, useEffect, useState } from 'react';

import { useOpened } from './ReplicaProvider';

/** What a screen keeps on this device alone under a name; `otherwise` until it was read, or where it holds nothing. */
export function useKept<T>(name: string, otherwise: T): [T, (next: T) => void] {
  const { db } = useOpened().replica;
  const [value, setValue] = useState(otherwise);
  useEffect(() => {
    let isOver = false;
    void db.get('kept', name).then((kept) => {
      if (!isOver && kept !== undefined) setValue(kept as T);
    });
    return () => {
      isOver = true;
    };
  }, [db, name]);
  const keep = useCallback(
    (next: T) => {
      setValue(next);
      // A choice that could not be kept holds for this visit.
      db.put('kept', next, name).catch(() => {});
    },
    [db, name],
  );
  return [value, keep];
}
