import { t } from '@lingui/core/macro';
import { useCallback } from 'react';

import { useNotice } from '@/frame/Notices';

import type { Command } from '@yellow-latch/replica/commands/command';
import { useWrite } from './ReplicaProvider';

/** Does something to the list, and says so in a line from which one tap takes all of it back. */
export function useCommand(): (command: Command, done: string) => Promise<string[]> {
  const write = useWrite();
  const notify = useNotice();
  return useCallback(
    async (command, done) => {
      const ids = await write(...command.writes);
      notify({ text: done, action: { label: t`Undo`, onPress: () => void write(...command.undo(ids)) } });
      return ids;
    },
    [write, notify],
  );
}
