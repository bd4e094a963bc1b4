import { DeviceList } from '@yellow-latch/core/compose';
import { formerCodes } from '@yellow-latch/core/convention/former';
import { CompiledList, LARGEST_OVERLAY } from '@yellow-latch/core/fire';
import { THIS_APP, type DeviceProfile } from '@yellow-latch/core/profile';
import type { Shortcut, ShortcutSet } from '@yellow-latch/core/model';
import { useEffect, useMemo, useRef, useState } from 'react';

import { readCounts, usesFrom } from '@yellow-latch/replica/storage/uses';
import { useLatest } from '@/look/useLatest';
import { changeBetween } from '@yellow-latch/replica/storage/listDiff';
import { useOpened } from '@/frame/replica/ReplicaProvider';
import { entriesOf, type Rated } from '@yellow-latch/core/fire';

/**
 * The list made ready for typing as on a device. In this app an edit lies over what was made ready before, at once;
 * when many do, the list is made ready anew between two keys. Former codes fire as long as they live.
 */
export function useDeviceList(
  current: readonly Shortcut[],
  sets: readonly ShortcutSet[],
  profile: DeviceProfile,
): DeviceList {
  const [openedAt] = useState(Date.now);
  const usesOf = useUses(current, openedAt);
  const shortcuts = useMemo(() => {
    const former = formerCodes(current, openedAt);
    const all: readonly Rated[] = former.length === 0 ? current : [...current, ...former];
    return usesOf ? all.map((one) => (usesOf[one.id] ? { ...one, uses: usesOf[one.id] } : one)) : all;
  }, [current, openedAt, usesOf]);
  const here = useOwnList(shortcuts, sets, usesOf);
  const device = useMemo(
    () => (profile === THIS_APP ? null : DeviceList.of(entriesOf(shortcuts, sets, profile), profile)),
    [profile, shortcuts, sets],
  );
  return useMemo(() => device ?? DeviceList.whole(here), [device, here]);
}

/** How often shortcuts were used up to the moment the page was opened: offers go by it, and keep their order meanwhile. */
function useUses(shortcuts: readonly Shortcut[], openedAt: number): Record<string, number> | null {
  const { db } = useOpened().replica;
  const atOpening = useRef(shortcuts);
  const [uses, setUses] = useState<Record<string, number> | null>(null);
  useEffect(() => {
    void readCounts(db).then((counts) => {
      const known = Object.entries(usesFrom(atOpening.current, counts, openedAt));
      setUses(Object.fromEntries(known.map(([id, { aWeek }]) => [id, aWeek])));
    });
  }, [db, openedAt]);
  return uses;
}

function useOwnList(shortcuts: readonly Rated[], sets: readonly ShortcutSet[], usesOf: unknown): CompiledList {
  const whole = () => CompiledList.compile(entriesOf(shortcuts, sets, THIS_APP), THIS_APP);
  const [list, setList] = useState(whole);
  const known = useRef({ shortcuts, usesOf });
  const latest = useLatest(whole);
  useEffect(() => {
    const before = known.current;
    known.current = { shortcuts, usesOf };
    const change = changeBetween(before.shortcuts, shortcuts);
    if (before.usesOf !== usesOf || (change && change.put.length > LARGEST_OVERLAY)) {
      setList(latest.current());
    } else if (change) {
      setList((list) => list.with({ put: entriesOf(change.put, sets, THIS_APP), remove: change.remove }));
    }
  }, [latest, shortcuts, sets, usesOf]);
  useEffect(() => {
    if (list.overlaySize <= LARGEST_OVERLAY) return;
    const timer = setTimeout(() => setList(latest.current()), 0);
    return () => clearTimeout(timer);
  }, [latest, list]);
  return list;
}
