import type { Mark } from '@yellow-latch/core/model';
import { mainMark, USUAL } from '@yellow-latch/core/propose/near';
import { useMemo } from 'react';

import { useList } from '@/frame/replica/ReplicaProvider';

import { useAnswer } from './useAnswer';

/** The mark that new codes are shown with: the list's own; while none has one, what would be recommended for the keyboards. */
export function useNewMark(): Mark {
  const { shortcuts, devices, keyboards, ownKeyboards } = useList();
  const own = useMemo(() => mainMark(shortcuts.map(({ code }) => code)), [shortcuts]);
  const chosen = useMemo(() => {
    const isUsual = devices.every((device) => device.keyboards.length === 0);
    return own || isUsual ? null : { keyboards, ownKeyboards };
  }, [own, devices, keyboards, ownKeyboards]);
  const { answer } = useAnswer(chosen, ({ effort }) => effort.usualMark(chosen!));
  return own ?? answer ?? USUAL;
}
