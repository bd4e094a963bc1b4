/** When the page has time: after the next frame, when it has nothing better to do, and when somebody pauses. */

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

/** A pause in what happens again and again, such as keys: a timer runs on and looks when it rings, rather than being set anew each time. */
export class Pause {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private last = 0;
  private call = () => {};

  /** `length` in ms. */
  constructor(private readonly length: number) {}

  /** It has happened: calls when it has not happened again for a while. */
  wait(call: () => void): void {
    this.last = performance.now();
    this.call = call;
    this.timer ??= setTimeout(this.ring, this.length);
  }

  /** Waits no more. */
  end(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
  }

  private readonly ring = (): void => {
    const left = this.last + this.length - performance.now();
    this.timer = left > 0 ? setTimeout(this.ring, left) : undefined;
    if (left <= 0) this.call();
  };
}
