import type { Judging } from '@yellow-latch/core/standIn';
import { shownText } from '@yellow-latch/core/model';

import { switchBoardOf } from '@/frame/standIn/switches';

import { useStandIn } from './useStandIn';

/** What answers are judged by: the texts of the list, and the clock of the stand-in. */
export function useJudging(): Judging {
  const { shortcuts, tab } = useStandIn();
  return {
    textOf: (code) => {
      const shortcut = shortcuts.find((one) => one.code === code);
      return shortcut && shownText(shortcut);
    },
    now: switchBoardOf(tab).clock(),
    locale: navigator.language,
  };
}
