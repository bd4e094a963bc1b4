import { useEffect, useLayoutEffect, useRef, type RefObject } from 'react';

/** A ref that always holds what the last render was given. */
export function useLatest<T>(value: T): RefObject<T> {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}

/** Calls `leave`, as the last render gave it, once: when the component goes. */
export function useOnLeaving(leave: () => void): void {
  const latest = useLatest(leave);
  useEffect(() => () => latest.current(), [latest]);
}
