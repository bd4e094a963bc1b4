import { t } from '@lingui/core/macro';
import { tellCount } from '@/wording/format';
import { useChosen } from '@/parts/choosing';
import { useLearningNow } from '@/answers/learn/useLearningNow';
import { Choice } from '@/look/Choice';
import { useList } from '@/frame/replica/ReplicaProvider';

import type { What } from './what';

/** Which part of the list goes out. */
export function WhatChoice({ value, onChange }: { value: What; onChange: (what: What) => void }) {
  const { shortcuts, sets } = useList();
  const chosen = useChosen();
  const learning = useLearningNow();
  const choices: { value: What; label: string }[] = [
    { value: 'all', label: t`The whole list (${{ count: tellCount(shortcuts.length) }})` },
    ...(chosen && chosen.size > 0
      ? [{ value: 'chosen' as const, label: t`Selected (${{ count: tellCount(chosen.size) }})` }]
      : []),
    ...(learning.length > 0
      ? [{ value: 'learning' as const, label: t`The codes you’re learning (${{ count: tellCount(learning.length) }})` }]
      : []),
    ...sets.map(({ id, name }) => ({
      value: `set ${id}` as const,
      label: `${name} (${tellCount(shortcuts.filter(({ setId }) => setId === id).length)})`,
    })),
  ];
  return <Choice label={t`Which shortcuts`} value={value} choices={choices} onChange={onChange} />;
}

/** What goes out at first: what was chosen, if anything was. */
export function useFirstWhat(): What {
  const chosen = useChosen();
  return chosen && chosen.size > 0 ? 'chosen' : 'all';
}
