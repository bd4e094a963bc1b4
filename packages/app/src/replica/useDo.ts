import { useCallback } from 'react';

import { useNotice } from '@/frame/Notices';

import type { Doing } from './doing';
import { useWrite } from './ReplicaProvider';

/** Does something to the list, and says so in a line from which one tap takes all of it back. */
export function useDo(): (doing: Doing, done: string) => Promise<string[]> {
  const write = useWrite();
  const notify = useNotice();
  return useCallback(
    async (doing, done) => {
      const ids = await write(...doing.writes);
      notify({ text: done, action: { label: 'Undo', onPress: () => void write(...doing.undo(ids)) } });
      return ids;
    },
    [write, notify],
  );
}
