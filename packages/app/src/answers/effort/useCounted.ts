import { readCounts, type UseCounts } from '@yellow-latch/replica/storage/uses';
import { useEffect, useState } from 'react';

import { useOpened } from '@/frame/replica/ReplicaProvider';

/** How often shortcuts were used on this device, and when that was read (ms since 1970); null until it was. */
export function useCounted(): { counts: UseCounts | null; at: number } | null {
  const { db } = useOpened().replica;
  const [counted, setCounted] = useState<{ counts: UseCounts | null; at: number } | null>(null);
  useEffect(() => {
    const take = (counts: UseCounts | null) => setCounted({ counts, at: Date.now() });
    readCounts(db).then(take, () => take(null));
  }, [db]);
  return counted;
}
