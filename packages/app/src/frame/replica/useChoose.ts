import type { ListFields } from '@yellow-latch/core/model';
import { choosing } from '@yellow-latch/replica/commands/list';
import { useCallback } from 'react';

import { useList, useWrite } from './ReplicaProvider';

/** Sets what holds for the whole list; what is not named stays. */
export function useChoose(): (fields: Partial<ListFields>) => Promise<string[]> {
  const list = useList();
  const write = useWrite();
  return useCallback((fields) => write(...choosing(fields, list).writes), [write, list]);
}
