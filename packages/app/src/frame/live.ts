import { Subscribable } from '@yellow-latch/core/subscribable';
import { useEffect, useState } from 'react';

import { afterPaint } from './moments';

/** A value that changes with every key, followed by the parts of a screen that show it: the rest is not drawn anew. */
export class Live<T> {
  private readonly changes = new Subscribable<[value: T]>();

  constructor(private current: T) {}

  get value(): T {
    return this.current;
  }

  set(next: T): void {
    if (Object.is(next, this.current)) return;
    this.current = next;
    this.changes.emit(next);
  }

  readonly subscribe = this.changes.subscribe;
}

/**
 * The value of a `Live` for what may be drawn a moment later: the key that changed it is painted first, and of several
 * changes in that moment only the last is drawn.
 */
export function useLive<T>(live: Live<T>): T {
  const [value, setValue] = useState(live.value);
  useEffect(() => {
    let isOver = false;
    let isWaiting = false;
    const draw = () => {
      isWaiting = false;
      if (!isOver) setValue(() => live.value);
    };
    const wait = () => {
      if (isWaiting) return;
      isWaiting = true;
      afterPaint(draw);
    };
    if (live.value !== value) wait();
    const stop = live.subscribe(wait);
    return () => {
      isOver = true;
      stop();
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what was shown first is compared once
  }, [live]);
  return value;
}
