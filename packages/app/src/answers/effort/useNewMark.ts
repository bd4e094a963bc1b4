import type { Mark } from '@yellow-latch/core/model';
import { mainMark, USUAL } from '@yellow-latch/core/propose/near';
import { useMemo } from 'react';

import { useList } from '@/frame/replica/ReplicaProvider';
import { usualKeyboards } from '@yellow-latch/replica/storage/view';

import { useAnswer } from './useAnswer';

/** The mark that new codes are shown with: the list's own; while none has one, what would be recommended for the keyboards. */
export function useNewMark(): Mark {
  const { shortcuts, languages, keyboards, ownKeyboards } = useList();
  const own = useMemo(() => mainMark(shortcuts.map(({ code }) => code)), [shortcuts]);
  const chosen = useMemo(() => {
    const isUsual = JSON.stringify(keyboards) === JSON.stringify(usualKeyboards(languages));
    return own || isUsual ? null : { keyboards, ownKeyboards };
  }, [own, languages, keyboards, ownKeyboards]);
  const { answer } = useAnswer(chosen, ({ effort }) => effort.usualMark(chosen!));
  return own ?? answer ?? USUAL;
}
