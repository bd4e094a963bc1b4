import { checkCode, trimCode, type Kind } from '@yellow-latch/core/model';
import { useEffect, useState } from 'react';

import { AuditClient, type Verdict } from '@/audit/client';
import { useList } from '@/replica/ReplicaProvider';

const client = new AuditClient();
/** A shortcut that is not saved yet is the youngest of all. */
const NEW_ID = '~new';
/** How long the code must rest before it is judged, in ms. */
const REST = 120;

interface Draft {
  readonly id: string | null;
  readonly code: string;
  readonly expansion: string;
  readonly kind: Kind;
  readonly setId: string | null;
}

/** The verdict on a shortcut as it stands in the form; null: not judged (yet). */
export function useVerdict({ id, code, expansion, kind, setId }: Draft): Verdict | null {
  const { shortcuts, sets } = useList();
  const [judged, setJudged] = useState<{ code: string; verdict: Verdict } | null>(null);
  const trimmed = trimCode(code);
  const isCode = checkCode(trimmed) === null;
  useEffect(() => {
    if (!isCode) return;
    let isOver = false;
    const timer = setTimeout(() => {
      const draft = {
        id: id ?? NEW_ID,
        code: trimmed,
        content: { expansion: expansion || ' ', template: false, format: 'plain' as const },
        kind,
        setId,
      };
      void client.verdict({ shortcuts, sets }, draft).then((verdict) => {
        if (!isOver) setJudged(verdict && { code: trimmed, verdict });
      });
    }, REST);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [shortcuts, sets, id, isCode, trimmed, expansion, kind, setId]);
  return isCode && judged?.code === trimmed ? judged.verdict : null;
}
