import type { Finding, FindingType, TriedFix } from '@yellow-latch/core/clash';
import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import { useList } from '@/frame/replica/ReplicaProvider';

interface Checked {
  /** With their evidence. Undefined: not known yet. */
  readonly findings: readonly Finding[] | undefined;
  /** Best first. Undefined: being tried. */
  readonly fixes: readonly TriedFix[] | undefined;
  /** Whether the list has changed since the screen was opened, so that all was worked out anew. */
  readonly wasRenewed: boolean;
}

/**
 * What is found about a shortcut with its evidence, then the fixes of what is open, each tried on the list as it
 * stands. When the list changes, here or on another device, all is worked out anew; what was shown stays until then.
 * `open`: the types to fix, joined with commas, so that the same ones are the same value.
 */
export function useChecked(id: string, open: string): Checked {
  const { client, state } = useAudit();
  const { keyboards, ownKeyboards } = useList();
  const [shown, setShown] = useState<Checked>({ findings: undefined, fixes: undefined, wasRenewed: false });
  const version = state.result?.version;
  const isKnown = state.phase === 'ready';
  useEffect(() => {
    if (!isKnown) {
      client.start();
      return;
    }
    let isOver = false;
    const renew = async () => {
      const findings = await client.open(id);
      if (isOver || !findings) return;
      setShown((before) => ({ ...before, findings, wasRenewed: before.findings !== undefined }));
      const fixes = await client.fixes(id, open.split(',') as FindingType[], { keyboards, ownKeyboards });
      if (!isOver && fixes) setShown((before) => ({ ...before, fixes }));
    };
    void renew();
    return () => {
      isOver = true;
    };
  }, [client, id, open, version, isKnown, keyboards, ownKeyboards]);
  return shown;
}
