import { useCallback, type KeyboardEvent, type RefObject } from 'react';

import type { VirtualListHandle } from '@/look/VirtualList';

import { choosing } from '@/parts/choosing';
import type { ListItem } from './groups';

/** Rows that Page Up and Page Down pass. */
const PAGE = 8;

/**
 * The list by keyboard: arrows, Home, End and the page keys go from row to row, right and left to the row's button and back; with Shift they choose along the way; Space
 * chooses one, Ctrl or ⌘ with A all that are shown; Escape ends it.
 */
export function useListKeys(
  items: readonly ListItem[],
  list: RefObject<VirtualListHandle | null>,
): (event: KeyboardEvent) => void {
  return useCallback(
    (event) => {
      const { key, shiftKey, ctrlKey, metaKey } = event;
      if (key === 'Escape' && choosing.ids !== null) {
        event.preventDefault();
        choosing.end();
        return;
      }
      if (key.toLowerCase() === 'a' && (ctrlKey || metaKey)) {
        event.preventDefault();
        choosing.all();
        return;
      }
      const at = indexOf(event.target as Element);
      const here = at === null ? undefined : items[at];
      if (at === null || here?.type !== 'shortcut') return;
      if (key === ' ' && choosing.ids === null) {
        event.preventDefault();
        choosing.toggle(here.shortcut.id);
        return;
      }
      if ((key === 'ArrowRight' || key === 'ArrowLeft') && choosing.ids === null) {
        event.preventDefault();
        withinRow(event.target as Element, key === 'ArrowRight');
        return;
      }
      const to = goalOf(key, at, items);
      if (to === null) return;
      event.preventDefault();
      const goal = items[to];
      if (shiftKey && goal?.type === 'shortcut') {
        if (choosing.ids === null) choosing.begin(here.shortcut.id);
        choosing.extendTo(goal.shortcut.id);
      }
      list.current?.focusOn(to);
    },
    [items, list],
  );
}

/** To the button of a row, or back to the row itself. */
function withinRow(element: Element, isForward: boolean): void {
  const row = element.closest('[data-index]');
  row?.querySelector<HTMLElement>(isForward ? '[role=button], button' : '[role=link]')?.focus();
}

/** The item that holds the focus, by its place. */
function indexOf(element: Element): number | null {
  const item = element.closest('[data-index]');
  return item ? Number(item.getAttribute('data-index')) : null;
}

/** The row that a key leads to; null: none. */
function goalOf(key: string, at: number, items: readonly ListItem[]): number | null {
  const step = key === 'ArrowDown' || key === 'PageDown' || key === 'Home' ? 1 : -1;
  const from = {
    ArrowDown: at + 1,
    ArrowUp: at - 1,
    PageDown: at + PAGE,
    PageUp: at - PAGE,
    Home: 0,
    End: items.length - 1,
  }[key];
  if (from === undefined) return null;
  for (let index = Math.max(0, Math.min(items.length - 1, from)); index >= 0 && index < items.length; index += step) {
    if (items[index]!.type === 'shortcut') return index;
  }
  return null;
}
