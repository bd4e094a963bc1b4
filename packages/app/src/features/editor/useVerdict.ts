import type { Finding } from '@yellow-latch/core/clash/finding';
import { checkCode, trimCode, type Kind } from '@yellow-latch/core/model';
import { useEffect, useState } from 'react';

import { AuditClient } from '@/audit/client';
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

/** The findings about a shortcut as it stands in the form, worst first; null: not judged (yet). */
export function useVerdict({ id, code, expansion, kind, setId }: Draft): readonly Finding[] | null {
  const { shortcuts, sets } = useList();
  const [judged, setJudged] = useState<{ code: string; findings: readonly Finding[] } | null>(null);
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
      void client.verdict({ shortcuts, sets }, draft).then((findings) => {
        if (!isOver) setJudged(findings && { code: trimmed, findings });
      });
    }, REST);
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [shortcuts, sets, id, isCode, trimmed, expansion, kind, setId]);
  return isCode && judged?.code === trimmed ? judged.findings : null;
}
