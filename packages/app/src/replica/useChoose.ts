import { LIST_RECORD_ID, type ListFields } from '@yellow-latch/core/model';
import { useCallback } from 'react';

import { useList, useWrite } from './ReplicaProvider';

/** Chooses for the whole list; what is not told stays, and is written too, since the record may be new. */
export function useChoose(): (fields: Partial<ListFields>) => Promise<string[]> {
  const { languages, devices, keyboards } = useList();
  const write = useWrite();
  return useCallback(
    (fields) =>
      write({
        type: 'list',
        id: LIST_RECORD_ID,
        fields: { languages: [...languages], devices: [...devices], keyboards: [...keyboards], ...fields },
      }),
    [write, languages, devices, keyboards],
  );
}
