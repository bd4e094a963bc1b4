import type { FindingType, Severity } from '@yellow-latch/core/clash/finding';

import { useAddressed } from '@/frame/useAddressed';

import { NO_FILTER, type Filter } from './rows';

const NAMES = ['verdict', 'device', 'set', 'problem'] as const;

/** What is shown of the problems; it stands in the address, so that a reload and a link show the same. */
export function useCheckFilter(): [filter: Filter, onChange: (filter: Filter) => void] {
  const [{ verdict, device, set, problem }, change] = useAddressed(NAMES, '/check');
  const filter: Filter = {
    severity: (verdict as Severity | undefined) ?? null,
    device: device ?? null,
    setId: set ?? null,
    type: (problem?.replaceAll('_', ' ') as FindingType | undefined) ?? null,
  };
  return [
    filter,
    ({ severity, device: on, setId, type }) =>
      change({
        verdict: severity ?? undefined,
        device: on ?? undefined,
        set: setId ?? undefined,
        problem: type?.replaceAll(' ', '_'),
      }),
  ];
}

export function isFiltered(filter: Filter): boolean {
  return (Object.keys(NO_FILTER) as (keyof Filter)[]).some((name) => filter[name] !== null);
}
