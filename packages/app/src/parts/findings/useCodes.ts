import { t } from '@lingui/core/macro';
import type { Shortcut } from '@yellow-latch/core/model';
import { useMemo } from 'react';

import { useList } from '@/frame/replica/ReplicaProvider';

/** The list's shortcuts by their ids, for sentences and evidence that name them. */
export function useCodes(): { shortcutOf: (id: string) => Shortcut | undefined; codeOf: (id: string) => string } {
  const { shortcuts } = useList();
  return useMemo(() => {
    const byId = new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut]));
    const shortcutOf = (id: string) => byId.get(id);
    return { shortcutOf, codeOf: (id) => shortcutOf(id)?.code ?? t`a code built into the device` };
  }, [shortcuts]);
}

/** What evidence shows of shortcuts, by their ids. */
export type Codes = ReturnType<typeof useCodes>;
