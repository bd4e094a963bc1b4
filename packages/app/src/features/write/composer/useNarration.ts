import type { MissedChance, Refused } from '@yellow-latch/core/compose';
import { idOfFormer } from '@yellow-latch/core/convention/former';
import type { Explanation } from '@yellow-latch/core/fire';
import type { Shortcut } from '@yellow-latch/core/model';
import type { FieldEvent } from '@yellow-latch/field/own';

import { useAudit } from '@/answers/audit/AuditProvider';
import { useList } from '@/frame/replica/ReplicaProvider';

import { tellFiring, tellMissed, tellRefused, tellWhy } from '@/parts/typing/words';
import type { LiveWrite } from './live';

/** Says in a line what has just happened, why nothing did, and what a code would have saved. */
export function useNarration(live: LiveWrite, shortcutOf: (id: string) => Shortcut | undefined) {
  const { keyboards, ownKeyboards } = useList();
  const { client } = useAudit();
  const codeOf = (id: string) => shortcutOf(idOfFormer(id) ?? id)?.code ?? id;
  return {
    codeOf,
    tellFiring: (event: FieldEvent) => live.say(tellFiring(event, codeOf)),
    tellWhy: (explanations: readonly Explanation[], refused: Refused | null) => {
      if (refused) return live.say(tellRefused(refused), true);
      const why = tellWhy(explanations, codeOf);
      if (why !== null) live.say(why);
    },
    /** What it would have saved is worked out meanwhile, and told if the line still stands. */
    tellMissed: ({ id }: MissedChance) => {
      const shortcut = shortcutOf(id);
      if (!shortcut) return;
      const first = tellMissed(shortcut.code, null);
      live.say(first);
      void client
        .ask(({ effort }) => effort.one(shortcut, { keyboards, ownKeyboards }))
        .then((answer) => {
          if (live.line.value?.text === first) live.say(tellMissed(shortcut.code, answer?.saved ?? null));
        });
    },
  };
}
