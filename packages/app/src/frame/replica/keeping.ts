/** What the browser keeps for us: asked for, and said where it fails. */

/** A write that the browser did not keep. It was told already; what called must not go on as if it was kept. */
export class NotKeptError extends Error {
  constructor(readonly reason: unknown) {
    super('not kept');
  }
}

// Whoever awaits a write stops there; nothing is left to report.
globalThis.addEventListener?.('unhandledrejection', (event) => {
  if (event.reason instanceof NotKeptError) event.preventDefault();
});

export const ONLY_USE = 'This device may use the list, not change it. Another device can let it, under Devices.';

export function tellNotKept(error: unknown): string {
  return (error as { name?: string } | null)?.name === 'QuotaExceededError'
    ? 'This device has no room left: nothing was changed. Make room on it, then try again.'
    : 'The browser could not keep that: nothing was changed. Try again.';
}

let asked: Promise<boolean> | null = null;

/** Asks the browser, once, not to clear away what is kept when it needs room. Resolves to whether it promises. */
export function keepForGood(): Promise<boolean> {
  asked ??= Promise.resolve(navigator.storage?.persist?.() ?? false).catch(() => false);
  return asked;
}
