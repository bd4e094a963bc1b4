import { MissedChances } from '@yellow-latch/core/compose';
import type { Shortcut } from '@yellow-latch/core/model';
import { useEffect, useState } from 'react';

import { whenIdle } from '@/frame/moments';

/** The texts of the list, to be found when they are typed out; made when the page has nothing better to do. */
export function useChances(shortcuts: readonly Shortcut[], isOn: boolean): MissedChances | null {
  const [chances, setChances] = useState<MissedChances | null>(null);
  useEffect(() => {
    if (!isOn) return;
    return whenIdle(() => setChances(new MissedChances(shortcuts)));
  }, [shortcuts, isOn]);
  return isOn ? chances : null;
}
