import type { DndContextProps, UniqueIdentifier } from '@dnd-kit/core';
import { t } from '@lingui/core/macro';

/** What a screen reader is told while things are put in order by keyboard: by their names and places. `names`: of all, by id, in their order. */
export function dragWords(names: ReadonlyMap<UniqueIdentifier, string>): DndContextProps['accessibility'] {
  const ids = [...names.keys()];
  const nameOf = (id: UniqueIdentifier) => names.get(id) ?? '';
  const placeOf = (id: UniqueIdentifier) => {
    const [place, all] = [ids.indexOf(id) + 1, ids.length];
    return t`place ${place} of ${all}`;
  };
  return {
    screenReaderInstructions: {
      draggable: t`Press Space to pick it up, arrows to move it, Space to drop it, Escape to leave it where it was.`,
    },
    announcements: {
      onDragStart: ({ active }) => t`Picked up ${{ name: nameOf(active.id) }}, ${{ place: placeOf(active.id) }}.`,
      onDragOver: ({ active, over }) =>
        over ? t`${{ name: nameOf(active.id) }}: ${{ place: placeOf(over.id) }}.` : undefined,
      onDragEnd: ({ active, over }) =>
        over ? t`Dropped ${{ name: nameOf(active.id) }}, ${{ place: placeOf(over.id) }}.` : undefined,
      onDragCancel: ({ active }) => t`${{ name: nameOf(active.id) }} is back where it was.`,
    },
  };
}
