import { useEffect, useMemo, useState } from 'react';

import { useKeptText } from '@/answers/ownText/useOwnText';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';

import type { EffortRequest } from './workerApi';
import { readCounts, usesFrom, type UseCounts } from '@yellow-latch/replica/storage/uses';

/** What the list is priced with on this device; null until what is kept was read. */
export function useEffortRequest(): EffortRequest | null {
  const { db } = useOpened().replica;
  const { shortcuts, keyboards, ownKeyboards } = useList();
  const { kept, wasRead } = useKeptText();
  const [counted, setCounted] = useState<{ counts: UseCounts | null; at: number } | null>(null);
  useEffect(() => {
    const take = (counts: UseCounts | null) => setCounted({ counts, at: Date.now() });
    readCounts(db).then(take, () => take(null));
  }, [db]);
  return useMemo(() => {
    if (!counted || !wasRead) return null;
    const ownText = kept && { bytes: kept.bytes, format: kept.format };
    return { keyboards, ownKeyboards, uses: usesFrom(shortcuts, counted.counts, counted.at), ownText };
  }, [counted, wasRead, kept, keyboards, ownKeyboards, shortcuts]);
}
