import {
  chooseNext,
  isBeingLearnt,
  isDue,
  isHeld,
  keepsLapsing,
  stageOf,
  type Candidate,
} from '@yellow-latch/core/learn';
import { learntBy, USUAL_AT_ONCE } from '@yellow-latch/core/learn/names';
import type { Savings } from '@yellow-latch/core/effort';
import type { LearningState, Shortcut } from '@yellow-latch/core/model';
import { learnFromEvidence, stateFor } from '@yellow-latch/replica/commands/learning';
import { useEffect, useMemo, useState } from 'react';

import { useAnswer } from '@/answers/effort/useAnswer';
import { useEffortRequest } from '@/answers/effort/useEffortRequest';
import { useLearner } from '@/answers/learn/useLearner';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';

/** A shortcut and what its learner knows of its code. */
export interface LearnItem {
  readonly shortcut: Shortcut;
  readonly state: LearningState;
}

export interface Learn {
  readonly learnerId: string;
  /** When it was looked at; ms since 1970. */
  readonly now: number;
  /** Every code that may be learnt: private ones stay out of sight. */
  readonly items: readonly LearnItem[];
  readonly learning: readonly LearnItem[];
  /** Those among all that are due. */
  readonly due: readonly LearnItem[];
  /** Those that will not stick. */
  readonly stuck: readonly LearnItem[];
  /** The codes to take on next; undefined: that is being worked out. */
  readonly next: readonly Shortcut[] | undefined;
  /** How many at a time. */
  readonly atOnce: number;
  /** What the list saves; undefined: being worked out; null: no answer is to be had. */
  readonly savings: Savings | null | undefined;
}

/** Everything about learning on this device: what was seen here since becomes part of it first. */
export function useLearn(): Learn {
  const { shortcuts, learning, learners } = useList();
  const { replica } = useOpened();
  const [learnerId] = useLearner();
  const [now] = useState(() => replica.clock());
  useEffect(() => {
    void learnFromEvidence(replica).catch(() => {});
  }, [replica]);
  const request = useEffortRequest();
  const { answer: savings } = useAnswer(request, ({ effort }) => effort.savings(request!));
  const atOnce = learners.find(({ id }) => id === learnerId)?.atOnce ?? USUAL_AT_ONCE;
  const items = useMemo(() => {
    const known = learntBy(learnerId, learning);
    return shortcuts
      .filter((shortcut) => !shortcut.private)
      .map((shortcut): LearnItem => ({ shortcut, state: stateFor(shortcut, known) }));
  }, [shortcuts, learning, learnerId]);
  return useMemo(() => {
    const learningNow = items.filter(({ state }) => isBeingLearnt(state));
    return {
      learnerId,
      now,
      items,
      learning: learningNow.sort((a, b) => a.state.chosenAt! - b.state.chosenAt!),
      due: items.filter(({ state }) => state.memory !== null && !state.isDropped && isDue(state.memory, now)),
      stuck: learningNow.filter(({ state }) => keepsLapsing(state)),
      next: savings === undefined ? undefined : nextOf(items, savings, atOnce),
      atOnce,
      savings,
    };
  }, [items, learnerId, now, savings, atOnce]);
}

/** What a code is worth in a week whose use is not known: as much as once. */
const USES_UNKNOWN = 1;

/** Codes to take on now: none until those before are held, but for one that does not stick. */
function nextOf(items: readonly LearnItem[], savings: Savings | null, atOnce: number): Shortcut[] {
  const learning = items.filter(({ state }) => isBeingLearnt(state));
  if (savings === null || learning.some(({ state }) => !isHeld(state) && !keepsLapsing(state))) return [];
  const saved = new Map(savings.each.map((saving) => [saving.id, saving]));
  const candidates = items.flatMap(({ shortcut: { id, code, kind }, state }): Candidate[] => {
    const saving = saved.get(id);
    if (!saving?.perUse || state.isDropped || state.chosenAt !== null || stageOf(state) === 'known') return [];
    // What sets a word right is not typed on purpose.
    if (kind === 'correction') return [];
    return [{ id, code, secondsAWeek: saving.week?.seconds ?? saving.perUse.seconds * USES_UNKNOWN }];
  });
  const chosen = chooseNext(
    candidates,
    learning.map(({ shortcut }) => shortcut.code),
    atOnce,
  );
  const byId = new Map(items.map(({ shortcut }) => [shortcut.id, shortcut]));
  return chosen.map(({ id }) => byId.get(id)!);
}
