import type { Proposal } from '@yellow-latch/core/propose';
import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import { useHesitations } from '@/answers/learn/useHesitations';
import { useList } from '@/frame/replica/ReplicaProvider';
import { useLatest } from '@/look/useLatest';

import { draftOf, type Draft } from './useVerdict';

/** How long the text must rest before codes are proposed, in ms: a pause, not every key. */
const REST = 350;

interface Proposals {
  /** Best first; null: none yet, or no answer is to be had. */
  readonly proposals: readonly Proposal[] | null;
  /** Whether that is for the text as it stands. */
  readonly areCurrent: boolean;
}

/**
 * Codes for the text as it stands in the form, each checked: at once for a text that came along, else when typing pauses. The
 * last ones stay until there are new ones. `isAsked` false: nothing is worked out.
 */
export function useProposals(draft: Draft, isAsked: boolean, cameAlong: boolean): Proposals {
  const { client, state } = useAudit();
  const { conventions, keyboards, ownKeyboards } = useList();
  const hesitations = useHesitations();
  const latest = useLatest(draft);
  const { expansion, kind, setId, template, fires, edge } = draft;
  const question = [expansion, kind, setId, template, fires, edge].join('\n');
  const [answer, setAnswer] = useState<{ question: string; proposals: readonly Proposal[] | null } | null>(null);
  const isWanted = isAsked && expansion.trim() !== '';
  const isFirst = answer === null;
  const version = state.result?.version;
  useEffect(() => {
    if (!isWanted) return;
    let isOver = false;
    const timer = setTimeout(
      () => {
        const request = { conventions, keyboards, ownKeyboards, hesitations };
        void client
          .ask(
            ({ propose }) => propose.propose(draftOf(latest.current), request) as Promise<readonly Proposal[] | null>,
          )
          .then((proposals) => {
            if (!isOver) setAnswer({ question, proposals });
          });
      },
      isFirst && cameAlong ? 0 : REST,
    );
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
    // `isFirst` and `cameAlong` only say how long to wait.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [client, latest, version, isWanted, question, conventions, keyboards, ownKeyboards, hesitations]);
  return {
    proposals: isWanted ? (answer?.proposals ?? null) : null,
    areCurrent: isWanted && answer?.question === question,
  };
}
