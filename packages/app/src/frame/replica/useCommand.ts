import { t } from '@lingui/core/macro';
import type { Command } from '@yellow-latch/replica/commands/command';
import { redoing } from '@yellow-latch/replica/commands/redoing';
import { useMemo } from 'react';

import { useNotice } from '@/frame/Notices';

import { useWrite } from './ReplicaProvider';

/**
 * Does something to the list, and says so in a line from which one tap takes all of it back; and another does it
 * again. Resolves with the ids of what was written.
 */
export function useCommand(): (command: Command, done: string) => Promise<string[]> {
  const write = useWrite();
  const notify = useNotice();
  return useMemo(() => {
    const run = async (command: Command, done: string) => {
      const ids = await write(...command.writes);
      const undo = async () => {
        await write(...command.undo(ids));
        const redo = () => void run(redoing(command, ids), done);
        notify({ text: t`Undone.`, action: { label: t`Redo`, onPress: redo } });
      };
      notify({ text: done, action: { label: t`Undo`, onPress: () => void undo() } });
      return ids;
    };
    return run;
  }, [write, notify]);
}
