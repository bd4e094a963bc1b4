import { checkCode, trimCode } from '@yellow-latch/core/model';
import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import type { EffortOfOne } from '@/answers/effort/workerApi';
import { useHesitations } from '@/answers/learn/useHesitations';
import { useLatest } from '@/look/useLatest';
import { useList } from '@/frame/replica/ReplicaProvider';

import { draftOf, type Draft } from './useVerdict';

/** How long the form must rest before it is priced, in ms. */
const REST = 150;

/** Code against text of a shortcut as it stands in the form; null: not reckoned (yet). */
export function useEffort(draft: Draft): EffortOfOne | null {
  const { client, state } = useAudit();
  const { keyboards, ownKeyboards } = useList();
  const hesitations = useHesitations();
  const [effort, setEffort] = useState<EffortOfOne | null>(null);
  const version = state.result?.version;
  const latest = useLatest(draft);
  const { code, expansion, kind, fires } = draft;
  const isCode = checkCode(trimCode(code)) === null;
  useEffect(() => {
    if (!isCode) return;
    let isOver = false;
    const timer = setTimeout(() => {
      void client
        .ask(({ effort: api }) => api.one(draftOf(latest.current), { keyboards, ownKeyboards, hesitations }))
        .then((answer) => {
          if (!isOver) setEffort(answer);
        });
    }, REST);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [client, latest, version, isCode, code, expansion, kind, fires, keyboards, ownKeyboards, hesitations]);
  return isCode ? effort : null;
}
