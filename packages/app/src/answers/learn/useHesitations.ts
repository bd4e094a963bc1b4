import { codeDigest } from '@yellow-latch/core/learn/names';
import { useMemo } from 'react';

import { useList } from '@/frame/replica/ReplicaProvider';

import { useLearnt } from './useLearner';

/** How long somebody hesitated over the codes they typed at work, by shortcut; s. */
export function useHesitations(): Readonly<Record<string, readonly number[]>> {
  const { shortcuts } = useList();
  const learnt = useLearnt();
  return useMemo(() => {
    const hesitations: Record<string, readonly number[]> = {};
    for (const { id, code } of shortcuts) {
      const state = learnt.get(id)?.state;
      if (!state || state.reviews.length === 0 || state.digest !== codeDigest(code)) continue;
      const seconds = state.reviews.flatMap(({ how, seconds: took }) =>
        how === 'typed' && took !== null ? [took] : [],
      );
      if (seconds.length > 0) hesitations[id] = seconds;
    }
    return hesitations;
  }, [shortcuts, learnt]);
}
