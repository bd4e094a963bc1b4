import { t } from '@lingui/core/macro';
import { useCallback } from 'react';

import { spokenName } from '@/answers/audit/sentences';
import { useList } from '@/frame/replica/ReplicaProvider';
import { tellList } from '@/wording/format';

/**
 * Says of shortcuts that were carried over by hand where they still are as they were; null: nowhere. What the app cannot write to
 * keeps what it has.
 */
export function useStillThere(): (ids: readonly string[], what: 'deleted' | 'changed') => string | null {
  const { carried, devices } = useList();
  return useCallback(
    (ids, what) => {
      const asked = new Set(ids);
      const on = new Set(carried.filter(({ shortcutId }) => asked.has(shortcutId)).map(({ deviceId }) => deviceId));
      const names = devices.filter(({ id }) => on.has(id)).map(spokenName);
      if (names.length === 0) return null;
      const where = tellList(names);
      return what === 'deleted' ? t`Still on ${where}.` : t`Change it on ${where}, too.`;
    },
    [carried, devices],
  );
}

/** Two sentences, the second of which may not be there. */
export function joined(first: string, second: string | null): string {
  // In no language does more than a space stand between two sentences.
  return second === null ? first : `${first} ${second}`;
}
