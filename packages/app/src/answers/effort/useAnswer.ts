import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import type { RemoteApis } from '@/answers/audit/client';
import { useLatest } from '@/look/useLatest';

interface Answer<Content> {
  /** Undefined: not answered yet; null: no answer is to be had. */
  readonly answer: Content | null | undefined;
  /** Whether it is of an earlier question, while the new one is worked out. */
  readonly isStale: boolean;
}

/**
 * An answer of the worker about the list as it stands. It is asked anew when `question` changes, which names
 * what is asked, or the list; null: nothing is asked. What was answered last stays until then.
 */
export function useAnswer<Content>(
  question: unknown,
  ask: (apis: RemoteApis) => Promise<Content | null>,
): Answer<Content> {
  const { client, state } = useAudit();
  const [answered, setAnswered] = useState<{
    question: unknown;
    version: string | undefined;
    answer: Content | null;
  } | null>(null);
  const version = state.result?.version;
  const isKnown = state.phase === 'ready' || state.phase === 'failed';
  const latest = useLatest(ask);
  useEffect(() => {
    if (question === null) return;
    if (!isKnown) {
      client.start();
      return;
    }
    let isOver = false;
    void client
      .ask((apis) => latest.current(apis))
      .then((answer) => {
        if (!isOver) setAnswered({ question, version, answer });
      });
    return () => {
      isOver = true;
    };
  }, [client, isKnown, latest, question, version]);
  return {
    answer: answered?.answer,
    isStale: answered !== null && (answered.question !== question || answered.version !== version),
  };
}
