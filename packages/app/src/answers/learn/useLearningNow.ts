import { codeDigest } from '@yellow-latch/core/learn/names';
import { isBeingLearnt } from '@yellow-latch/core/learn/stage';
import type { LearningState, Shortcut } from '@yellow-latch/core/model';
import { useMemo } from 'react';

import { useList } from '@/frame/replica/ReplicaProvider';

import { useLearnt } from './useLearner';

/** The shortcuts whose codes are being learnt on this device, those chosen first first. */
export function useLearningNow(): readonly Shortcut[] {
  const { shortcuts } = useList();
  const learnt = useLearnt();
  return useMemo(() => {
    if (learnt.size === 0) return [];
    const isLearnt = ({ id, code, private: isPrivate }: Shortcut) => {
      const state = learnt.get(id)?.state;
      return state !== undefined && !isPrivate && isBeingLearnt(ofItsCode(state, code));
    };
    const chosenAt = ({ id }: Shortcut) => learnt.get(id)!.state.chosenAt!;
    return shortcuts.filter(isLearnt).sort((a, b) => chosenAt(a) - chosenAt(b));
  }, [shortcuts, learnt]);
}

/** Of a code that a shortcut no longer has, it says nothing that it is known. */
function ofItsCode(state: LearningState, code: string): LearningState {
  return state.knownAt === null || state.digest === codeDigest(code) ? state : { ...state, knownAt: null };
}
