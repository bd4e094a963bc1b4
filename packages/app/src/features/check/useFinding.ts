import type { Finding, FindingType, TriedFix } from '@yellow-latch/core/clash';
import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import { useList } from '@/frame/replica/ReplicaProvider';

interface FindingState {
  /** Undefined: not known yet; null: it is not found (any more). */
  readonly finding: Finding | null | undefined;
  /** Undefined: being tried. */
  readonly fixes: readonly TriedFix[] | undefined;
  /** Whether the list has changed since the screen was opened, so that all was worked out anew. */
  readonly wasRenewed: boolean;
}

/**
 * A finding with its evidence, then its fixes, each tried on the list as it stands. When the list changes,
 * here or on another device, both are worked out anew; what was shown stays until then.
 */
export function useFinding(id: string, type: FindingType): FindingState {
  const { client, state } = useAudit();
  const { keyboards, ownKeyboards } = useList();
  const [shown, setShown] = useState<FindingState>({ finding: undefined, fixes: undefined, wasRenewed: false });
  const version = state.result?.version;
  const isKnown = state.phase === 'ready';
  useEffect(() => {
    if (!isKnown) {
      client.start();
      return;
    }
    let isOver = false;
    const renew = async () => {
      const finding = await client.open(id, type);
      if (isOver) return;
      setShown((before) => ({ ...before, finding, wasRenewed: before.finding !== undefined }));
      const fixes = finding ? await client.fixes(id, type, { keyboards, ownKeyboards }) : null;
      if (!isOver && fixes) setShown((before) => ({ ...before, fixes }));
    };
    void renew();
    return () => {
      isOver = true;
    };
  }, [client, id, type, version, isKnown, keyboards, ownKeyboards]);
  return shown;
}
