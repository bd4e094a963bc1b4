import { learntBy } from '@yellow-latch/core/learn/names';
import { usualLearner } from '@yellow-latch/replica/storage/evidence';
import type { Learning } from '@yellow-latch/core/model';
import { useMemo } from 'react';

import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { useKept } from '@/frame/replica/useKept';

/** Who learns on this device, and how to say that it is somebody else. */
export function useLearner(): readonly [string, (learnerId: string) => void] {
  const { state } = useOpened().replica;
  return useKept('learner', usualLearner(state));
}

/** What whoever learns on this device knows of the list, by shortcut; the record alone, as it was written last. */
export function useLearnt(): ReadonlyMap<string, Learning> {
  const { learning } = useList();
  const [learnerId] = useLearner();
  return useMemo(() => learntBy(learnerId, learning), [learning, learnerId]);
}
