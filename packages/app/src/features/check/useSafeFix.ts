import type { FindingType, Fix } from '@yellow-latch/core/clash';
import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import type { AuditClient } from '@/answers/audit/client';
import { useList } from '@/frame/replica/ReplicaProvider';

/** The fixes of one version of the list, so that a row that scrolls back into view has its own at once. */
const known = new WeakMap<AuditClient, { version: string; fixes: Map<string, Fix | null> }>();

function fixesOf(client: AuditClient, version: string): Map<string, Fix | null> {
  let of = known.get(client);
  if (of?.version !== version) {
    of = { version, fixes: new Map() };
    known.set(client, of);
  }
  return of.fixes;
}

/**
 * The fix to offer on the row of a shortcut, and a way to ask for it once more before it is taken. Null: there is
 * none; undefined: it is not known yet. When the list changes, the one that was known stays until that of the list as it
 * stands is worked out. `types`: what is to be fixed, joined with commas; '' asks for none.
 */
export function useSafeFix(
  id: string,
  types: string,
): { readonly fix: Fix | null | undefined; readonly askAgain: () => Promise<Fix | null> } {
  const { client, state } = useAudit();
  const { keyboards, ownKeyboards } = useList();
  const { phase, result } = state;
  const version = result?.version;
  const name = `${id} ${types}`;
  const [fix, setFix] = useState(() => (version === undefined ? undefined : fixesOf(client, version).get(name)));
  const isAsked = types !== '' && phase === 'ready' && version !== undefined;
  useEffect(() => {
    if (!isAsked) return;
    let isOver = false;
    const fixes = fixesOf(client, version);
    const renew = async () => {
      let best = fixes.get(name);
      // That there is none is an answer too, and is not asked for again.
      if (best === undefined) {
        best = await client.safeFix(id, types.split(',') as FindingType[], { keyboards, ownKeyboards });
        fixes.set(name, best);
      }
      if (!isOver) setFix(best);
    };
    void renew();
    return () => {
      isOver = true;
    };
  }, [client, id, types, name, version, isAsked, keyboards, ownKeyboards]);
  return {
    fix: types === '' ? null : fix,
    askAgain: () => client.safeFix(id, types.split(',') as FindingType[], { keyboards, ownKeyboards }),
  };
}
