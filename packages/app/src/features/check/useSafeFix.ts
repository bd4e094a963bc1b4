import type { FindingType, Fix } from '@yellow-latch/core/clash';
import { useEffect, useState } from 'react';

import { useAudit } from '@/answers/audit/AuditProvider';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';

import { safeFixesNow, safeFixesOf } from './safeFixes';

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
  const { db } = useOpened().replica;
  const { keyboards, ownKeyboards } = useList();
  const { phase, result } = state;
  const row = `${id} ${types}`;
  // Which code is best depends on what one types on.
  const version = result && `${result.version} ${keyboards.map((use) => `${use.keyboard} ${use.share}`).join()}`;
  const [fix, setFix] = useState(() => (version ? safeFixesNow(db, version)?.get(row) : undefined));
  const isAsked = types !== '' && phase === 'ready' && version !== null;
  useEffect(() => {
    if (!isAsked) return;
    let isOver = false;
    const renew = async () => {
      const fixes = await safeFixesOf(db, version);
      let best = fixes.get(row);
      // That there is none is an answer too, and is not asked for again.
      if (best === undefined) {
        best = await client.safeFix(id, types.split(',') as FindingType[], { keyboards, ownKeyboards });
        fixes.add(row, best);
      }
      if (!isOver) setFix(best);
    };
    void renew();
    return () => {
      isOver = true;
    };
  }, [client, db, id, types, row, version, isAsked, keyboards, ownKeyboards]);
  return {
    fix: types === '' ? null : fix,
    askAgain: () => client.safeFix(id, types.split(',') as FindingType[], { keyboards, ownKeyboards }),
  };
}
