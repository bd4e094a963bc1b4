import { formerCodes } from '@yellow-latch/core/convention/former';
import { CompiledList, LARGEST_OVERLAY, settleRules, type FiringEntry } from '@yellow-latch/core/fire';
import { THIS_APP } from '@yellow-latch/core/fit';
import { isMade, type Shortcut, type ShortcutSet } from '@yellow-latch/core/model';
import { useEffect, useMemo, useRef, useState } from 'react';

import { changeBetween } from '@/replica/listChange';

/** The list with its rules settled; what a template or formatted text gives is made when it fires. */
function entriesOf(shortcuts: readonly Shortcut[], sets: readonly ShortcutSet[]): FiringEntry[] {
  return settleRules({ shortcuts, sets }).map((entry, index) => (isMade(shortcuts[index]!.content) ? { ...entry, asks: true } : entry));
}

/**
 * The list made ready for typing in this app. An edit lies over what was made ready before, at once;
 * when many do, the list is made ready anew between two keys. Former codes fire as long as they live.
 */
export function useCompiled(current: readonly Shortcut[], sets: readonly ShortcutSet[]): CompiledList {
  const [openedAt] = useState(Date.now);
  const shortcuts = useMemo(() => {
    const former = formerCodes(current, openedAt);
    return former.length === 0 ? current : [...current, ...former];
  }, [current, openedAt]);
  const [list, setList] = useState(() => CompiledList.compile(entriesOf(shortcuts, sets), THIS_APP));
  const known = useRef(shortcuts);
  useEffect(() => {
    const change = changeBetween(known.current, shortcuts);
    known.current = shortcuts;
    if (!change) return;
    const put = entriesOf(change.put, sets);
    setList((before) => before.with({ put, remove: change.remove }));
  }, [shortcuts, sets]);
  useEffect(() => {
    if (list.overlaySize <= LARGEST_OVERLAY) return;
    const timer = setTimeout(() => setList(CompiledList.compile(entriesOf(shortcuts, sets), THIS_APP)), 0);
    return () => clearTimeout(timer);
  }, [list, shortcuts, sets]);
  return list;
}
