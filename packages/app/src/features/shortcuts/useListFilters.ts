import type { Severity } from '@yellow-latch/core/clash/finding';
import type { Kind } from '@yellow-latch/core/model';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';

import { useAddressed } from '@/frame/useAddressed';
import { useLatest } from '@/look/useLatest';

import type { Filters } from './arrange';

const NAMES = ['find', 'verdict', 'kind', 'set', 'language', 'only'] as const;
/** In the address, what has no set and what is in any language. */
const NONE = 'none';

interface ListFilters {
  query: string;
  setQuery: (query: string) => void;
  /** The query once typing has come to rest, for what takes longer than a key. */
  settledQuery: string;
  filters: Filters;
  setFilters: (filters: Filters) => void;
}

/** What is looked for in the list and which of it is shown; both stand in the address, so that a reload and a link show the same. */
export function useListFilters(): ListFilters {
  const [shown, change] = useAddressed(NAMES, '/');
  const { find = '', verdict, kind, set, language, only } = shown;
  const [query, setQuery] = useState(find);
  const settledQuery = useDeferredValue(query);
  const keep = useLatest((settled: string) => {
    if (settled !== find) change({ ...shown, find: settled });
  });
  useEffect(() => keep.current(settledQuery), [keep, settledQuery]);
  const filters = useMemo(
    (): Filters => ({
      severity: (verdict as Severity | undefined) ?? null,
      kind: (kind as Kind | undefined) ?? null,
      setId: chosen(set),
      language: chosen(language),
      neverUsed: only === 'never-used' || only === 'both',
      privateOnly: only === 'private' || only === 'both',
    }),
    [verdict, kind, set, language, only],
  );
  return {
    query,
    setQuery,
    settledQuery,
    filters,
    setFilters: ({ severity, kind: of, setId, language: tag, neverUsed, privateOnly }) => {
      const alone = privateOnly ? 'private' : undefined;
      const withUse = privateOnly ? 'both' : 'never-used';
      change({
        find: query,
        verdict: severity ?? undefined,
        kind: of ?? undefined,
        set: setId === '' ? NONE : (setId ?? undefined),
        language: tag === '' ? NONE : (tag ?? undefined),
        only: neverUsed ? withUse : alone,
      });
    },
  };
}

function chosen(value: string | undefined): string | null {
  return value === NONE ? '' : (value ?? null);
}
