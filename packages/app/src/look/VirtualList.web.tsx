import { useVirtualizer } from '@tanstack/react-virtual';
import { useImperativeHandle, useRef, type KeyboardEvent, type ReactNode, type Ref } from 'react';

import { usePalette } from './useLook';

export interface VirtualListHandle {
  /** Brings an item into view, and the focus into it when it is there. */
  focusOn(index: number): void;
  toTop(): void;
}

interface VirtualListProps<Item> {
  items: readonly Item[];
  keyOf: (item: Item) => string;
  /** About how high an item is, in px; it is measured when it is drawn. */
  estimate: (item: Item) => number;
  renderItem: (item: Item, index: number) => ReactNode;
  handle?: Ref<VirtualListHandle>;
  onKeyDown?: (event: KeyboardEvent) => void;
  /** What the list is called. */
  label: string;
}

/** So many items beyond the view are drawn on either side: a flick of the finger outruns fewer. */
const OVERSCAN = 24;
/** The view before it is measured, in px: what a first frame shows. */
const FIRST = { width: 390, height: 900 };

/** A list of any length, of which only what is in view is drawn: rows are there before they are scrolled to. */
export function VirtualList<Item>({
  items,
  keyOf,
  estimate,
  renderItem,
  handle,
  onKeyDown,
  label,
}: VirtualListProps<Item>) {
  const palette = usePalette();
  const view = useRef<HTMLDivElement>(null);
  // The rows are drawn by the functions it gives, which change what they say while they stay the same.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtualizer = useVirtualizer({
    count: items.length,
    getScrollElement: () => view.current,
    estimateSize: (index) => estimate(items[index]!),
    getItemKey: (index) => keyOf(items[index]!),
    overscan: OVERSCAN,
    initialRect: FIRST,
  });
  useImperativeHandle(handle, () => ({
    focusOn(index) {
      virtualizer.scrollToIndex(index, { align: 'auto' });
      const focus = (tries: number) => {
        const row = view.current?.querySelector<HTMLElement>(
          `[data-index="${index}"] :is([role=link], [role=checkbox])`,
        );
        if (row) row.focus({ preventScroll: true });
        else if (tries > 0) requestAnimationFrame(() => focus(tries - 1));
      };
      focus(10);
    },
    toTop: () => virtualizer.scrollToOffset(0),
  }));
  return (
    <div
      ref={view}
      role="group"
      aria-label={label}
      onKeyDown={onKeyDown}
      style={{
        height: '100%',
        overflowY: 'auto',
        overflowX: 'hidden',
        contain: 'strict',
        scrollbarWidth: 'thin',
        scrollbarColor: `${palette.line} transparent`,
      }}
    >
      <div style={{ height: virtualizer.getTotalSize(), position: 'relative', width: '100%' }}>
        {virtualizer.getVirtualItems().map(({ key, index, start }) => (
          <div
            key={key}
            data-index={index}
            ref={virtualizer.measureElement}
            style={{ position: 'absolute', top: 0, left: 0, right: 0, transform: `translateY(${start}px)` }}
          >
            {renderItem(items[index]!, index)}
          </div>
        ))}
      </div>
    </div>
  );
}
