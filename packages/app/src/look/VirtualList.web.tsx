import { defaultRangeExtractor, useVirtualizer, type Range } from '@tanstack/react-virtual';
import {
  useEffect,
  useImperativeHandle,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type ReactNode,
  type Ref,
} from 'react';

import { afterPaint } from '@/frame/moments';

import { TabStop } from './tabStop';
import { usePalette } from './useLook';

export interface VirtualListHandle {
  /** Brings an item into view, and the focus into it when it is there. */
  focusOn(index: number): void;
  /** Brings an item into view and leaves the focus where it is. */
  show(index: number): void;
  toTop(): void;
}

interface VirtualListProps<Item> {
  items: readonly Item[];
  keyOf: (item: Item) => string;
  /** About how high an item is, in px; it is measured when it is drawn. */
  estimate: (item: Item) => number;
  renderItem: (item: Item) => ReactNode;
  handle?: Ref<VirtualListHandle>;
  onKeyDown?: (event: KeyboardEvent) => void;
  /** What the list is called. */
  label: string;
  /**
   * Makes it one stop of Tab, whose rows are counted for a screen reader, those that are not drawn among them: what
   * is a row, and not a heading over rows. The rows take part by `useTabIndex`.
   */
  isRow?: (item: Item) => boolean;
  /** In such a list the item at which Tab stops until another has had the focus. */
  openKey?: string;
}

/** So many items beyond the view are drawn on either side: a flick of the finger outruns fewer. */
const OVERSCAN = 24;
/** The view before it is measured, in px: about what a phone shows. */
const FIRST = { width: 390, height: 560 };

/** A list of any length, of which only what is in view is drawn: rows are there before they are scrolled to. */
export function VirtualList<Item>({
  items,
  keyOf,
  estimate,
  renderItem,
  handle,
  onKeyDown,
  label,
  isRow,
  openKey,
}: VirtualListProps<Item>) {
  const palette = usePalette();
  const view = useRef<HTMLDivElement>(null);
  const { stop, onFocus } = useStop({ items, keyOf, isRow, openKey });
  const overscan = useOverscan();
  const counted = useMemo(() => (isRow ? positionsOf(items, isRow) : null), [items, isRow]);
  // The rows are drawn by the functions it gives, which change what they say while they stay the same.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtualizer = useVirtualizer({
    count: items.length,
    getScrollElement: () => view.current,
    estimateSize: (index) => estimate(items[index]!),
    getItemKey: (index) => keyOf(items[index]!),
    overscan,
    initialRect: FIRST,
    // Where Tab stops is always drawn, so that what has the focus does not go when it is scrolled away.
    rangeExtractor: (range) => withStop(range, stop),
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
    show: (index) => virtualizer.scrollToIndex(index, { align: 'auto' }),
    toTop: () => virtualizer.scrollToOffset(0),
  }));
  return (
    <div
      ref={view}
      role="group"
      aria-label={label}
      onKeyDown={onKeyDown}
      onFocus={onFocus}
      style={{
        height: '100%',
        overflowY: 'auto',
        overflowX: 'hidden',
        contain: 'strict',
        scrollbarWidth: 'thin',
        scrollbarColor: `${palette.line} transparent`,
      }}
    >
      <div
        role={counted ? 'list' : undefined}
        style={{ height: virtualizer.getTotalSize(), position: 'relative', width: '100%' }}
      >
        {virtualizer.getVirtualItems().map(({ key, index, start }) => (
          <div
            key={key}
            data-index={index}
            role={counted ? 'listitem' : undefined}
            aria-posinset={counted?.positions[index]}
            aria-setsize={counted?.count}
            ref={virtualizer.measureElement}
            style={{ position: 'absolute', top: 0, left: 0, right: 0, transform: `translateY(${start}px)` }}
          >
            <TabStop value={stop === null || stop === index}>{renderItem(items[index]!)}</TabStop>
          </div>
        ))}
      </div>
    </div>
  );
}

/** How many items beyond the view are drawn: none in the first frame, so that it is there sooner. */
function useOverscan(): number {
  const [overscan, setOverscan] = useState(0);
  // No deferred value: who scrolls at once would put it off again and again.
  useEffect(() => afterPaint(() => setOverscan(OVERSCAN)), []);
  return overscan;
}

/** The place of each row among the rows, from 1; a heading has that of the row below it. */
function positionsOf<Item>(items: readonly Item[], isRow: (item: Item) => boolean) {
  const positions: number[] = [];
  let rows = 0;
  for (const item of items) {
    positions.push(rows + 1);
    if (isRow(item)) rows += 1;
  }
  return { positions, count: rows };
}

function withStop(range: Range, stop: number | null): number[] {
  const drawn = defaultRangeExtractor(range);
  if (stop === null || stop >= range.count || drawn.includes(stop)) return drawn;
  return [...drawn, stop].sort((a, b) => a - b);
}

/** Where Tab stops in a list: where the focus was last; if that is gone, what took its place. Null: everywhere. */
function useStop<Item>({
  items,
  keyOf,
  isRow,
  openKey,
}: Pick<VirtualListProps<Item>, 'items' | 'keyOf' | 'isRow' | 'openKey'>) {
  const [last, setLast] = useState<{ key: string; index: number } | null>(null);
  const stop = useMemo(() => {
    if (!isRow) return null;
    const indexOf = (key: string | undefined) =>
      key === undefined ? -1 : items.findIndex((item) => keyOf(item) === key);
    const found = indexOf(last?.key);
    if (found >= 0) return found;
    const open = last ? -1 : indexOf(openKey);
    if (open >= 0) return open;
    const from = Math.min(last?.index ?? 0, items.length - 1);
    const next = items.findIndex((item, index) => index >= from && isRow(item));
    return next >= 0 ? next : items.findLastIndex(isRow);
    // The functions say the same of the same items.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [items, last, openKey]);
  const onFocus = ({ target }: { target: EventTarget }) => {
    const index = Number((target as Element).closest('[data-index]')?.getAttribute('data-index') ?? -1);
    const item = items[index];
    if (item && isRow?.(item)) setLast({ key: keyOf(item), index });
  };
  return { stop, onFocus };
}
