/** When the page has time: after the next frame, and when it has nothing better to do. */

/** Calls when the next frame has been painted; gives the way to call it off. */
export function afterPaint(call: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const frame = requestAnimationFrame(() => {
    timer = setTimeout(call, 0);
  });
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}

let wasIdle = false;

/** Calls when the page has nothing better to do; gives the way to call it off. The first such moment is marked: what is fetched from then on is behind the first screen. */
export function whenIdle(call: () => void): () => void {
  const begin = () => {
    if (!wasIdle) globalThis.performance?.mark?.('idle');
    wasIdle = true;
    call();
  };
  if (typeof requestIdleCallback === 'function') {
    const handle = requestIdleCallback(begin, { timeout: 3_000 });
    return () => cancelIdleCallback(handle);
  }
  const timer = setTimeout(begin, 300);
  return () => clearTimeout(timer);
}
