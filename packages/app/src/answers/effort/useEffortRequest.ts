import { useMemo } from 'react';

import { useKeptText } from '@/answers/ownText/useOwnText';
import { useList } from '@/frame/replica/ReplicaProvider';

import { useHesitations } from '@/answers/learn/useHesitations';
import { useCounted } from './useCounted';
import type { EffortRequest } from './workerApi';
import { usesFrom } from '@yellow-latch/replica/storage/uses';

/** What the list is priced with on this device; null until what is kept was read. */
export function useEffortRequest(): EffortRequest | null {
  const { shortcuts, keyboards, ownKeyboards } = useList();
  const { kept, wasRead } = useKeptText();
  const counted = useCounted();
  const hesitations = useHesitations();
  return useMemo(() => {
    if (!counted || !wasRead) return null;
    const ownText = kept && { bytes: kept.bytes, format: kept.format };
    return { keyboards, ownKeyboards, uses: usesFrom(shortcuts, counted.counts, counted.at), ownText, hesitations };
  }, [counted, wasRead, kept, keyboards, ownKeyboards, shortcuts, hesitations]);
}
