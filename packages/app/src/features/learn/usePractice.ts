import {
  answerCard,
  beginSession,
  chosen,
  currentCard,
  keepToList,
  type Card,
  type Evidence,
  type Session,
} from '@yellow-latch/core/learn';
import { isMade, type Shortcut } from '@yellow-latch/core/model';
import { choosingToLearn, learnFromEvidence } from '@yellow-latch/replica/commands/learning';
import { noteEvidence } from '@yellow-latch/replica/storage/evidence';
import { useEffect, useMemo, useState } from 'react';

import { useSendUses } from '@/answers/effort/useSendUses';
import { useList, useOpened, useWrite } from '@/frame/replica/ReplicaProvider';

import { useLatest } from '@/look/useLatest';

import { useLearn, type Learn, type LearnItem } from './useLearn';

export interface Practice {
  /** The card that is asked now; null: it is over; undefined: it has not begun yet. */
  readonly card: Card | null | undefined;
  readonly session: Session | null;
  readonly itemOf: (id: string) => LearnItem | undefined;
  /** All that may be learnt, from which wrong answers are taken. */
  readonly items: readonly LearnItem[];
  /** Notes what a card showed. */
  note(how: Evidence['how'], shortcutId: string, seconds: number | null): void;
  /** The card was answered. `forgotten`: what of it was not known. */
  answer(forgotten: readonly string[]): void;
}

/** A practice of two minutes: it begins as soon as it is known what there is to learn, and keeps to the list as it changes. */
export function usePractice(): Practice {
  const { replica } = useOpened();
  const { learning: records } = useList();
  const write = useWrite();
  const learn = useLearn();
  const [begun, setBegun] = useState<{ readonly first: Session; readonly next: readonly Shortcut[] } | null>(null);
  const [answered, setAnswered] = useState<Session | null>(null);
  useSendUses();
  const { next, items, learnerId, now } = learn;
  if (begun === null && next !== undefined) setBegun({ first: beginSession(practisedOf(learn, next), now), next });
  const learnt = useLatest({ learnerId, learning: records });
  useEffect(() => {
    if (begun && begun.next.length > 0) void write(...choosingToLearn(begun.next, learnt.current, now).writes);
  }, [begun, learnt, now, write]);
  const session = answered ?? begun?.first ?? null;
  const byId = useMemo(() => new Map(items.map((item) => [item.shortcut.id, item])), [items]);
  const shown = session && keepToList(session, (id) => byId.has(id));
  const card = shown ? currentCard(shown) : undefined;
  const isOver = card === null;
  useEffect(() => {
    if (isOver) void learnFromEvidence(replica).catch(() => {});
  }, [isOver, replica]);
  return {
    card,
    session: shown,
    items,
    itemOf: (id) => byId.get(id),
    note: (how, shortcutId, seconds) =>
      void noteEvidence(replica.db, { how, shortcutId, at: replica.clock(), seconds }).catch(() => {}),
    answer: (forgotten) => {
      if (shown) setAnswered(answerCard(shown, forgotten));
    },
  };
}

/** What a practice is made of: what was learnt or chosen, and the new ones. */
function practisedOf({ items, now }: Learn, next: readonly Shortcut[]) {
  const fresh = new Set(next.map(({ id }) => id));
  return items.flatMap(({ shortcut, state }) => {
    const isFresh = fresh.has(shortcut.id);
    if (state.isDropped || (!isFresh && state.memory === null && state.chosenAt === null)) return [];
    const { content } = shortcut;
    const fitsMessage = !isMade(content) && content.format === 'plain' && !content.expansion.includes('\n');
    return [{ id: shortcut.id, state: isFresh ? chosen(state, now) : state, fitsMessage }];
  });
}
