import { useCallback, useEffect, useState } from 'react';

import { useOpened } from '@/frame/replica/ReplicaProvider';

const KEPT = 'never-shown';
const NONE: ReadonlySet<string> = new Set();

/** What is never to be shown again, kept on this device by ids that do not give the texts away. */
export function useNever() {
  const { db } = useOpened().replica;
  const [ids, setIds] = useState(NONE);
  useEffect(() => {
    db.get('kept', KEPT).then(
      (kept) => setIds(new Set(Array.isArray(kept) ? (kept as string[]) : [])),
      // Without it everything is shown.
      () => {},
    );
  }, [db]);
  const put = useCallback(
    (next: ReadonlySet<string>) => {
      setIds(next);
      void db.put('kept', [...next], KEPT);
    },
    [db],
  );
  return { ids, put };
}
