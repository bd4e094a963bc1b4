import { useChosen } from '@/parts/choosing';
import { Choice } from '@/look/Choice';
import { useList } from '@/frame/replica/ReplicaProvider';

import type { What } from './what';

/** Which part of the list goes out. */
export function WhatChoice({ value, onChange }: { value: What; onChange: (what: What) => void }) {
  const { shortcuts, sets } = useList();
  const chosen = useChosen();
  const choices: { value: What; label: string }[] = [
    { value: 'all', label: `The whole list (${shortcuts.length.toLocaleString('en')})` },
    ...(chosen && chosen.size > 0
      ? [{ value: 'chosen' as const, label: `What is chosen (${chosen.size.toLocaleString('en')})` }]
      : []),
    ...sets.map(({ id, name }) => ({
      value: `set ${id}` as const,
      label: `${name} (${shortcuts.filter(({ setId }) => setId === id).length})`,
    })),
  ];
  return <Choice label="What" value={value} choices={choices} onChange={onChange} />;
}

/** What goes out at first: what was chosen, if anything was. */
export function useFirstWhat(): What {
  const chosen = useChosen();
  return chosen && chosen.size > 0 ? 'chosen' : 'all';
}
