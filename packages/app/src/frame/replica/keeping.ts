/** What the browser keeps for us: asked for, and said where it fails. */
import { t } from '@lingui/core/macro';

/** A write that the browser did not keep. It was told already; what called must not go on as if it was kept. */
export class NotKeptError extends Error {
  constructor(readonly reason: unknown) {
    super();
  }
}

// Whoever awaits a write stops there; nothing is left to report.
globalThis.addEventListener?.('unhandledrejection', (event) => {
  if (event.reason instanceof NotKeptError) event.preventDefault();
});

export const tellOnlyUse = () =>
  t`This device can use the list but not change it. You can change that on another device.`;

export function tellNotKept(error: unknown): string {
  return (error as { name?: string } | null)?.name === 'QuotaExceededError'
    ? t`This device is full, so nothing was changed. Free up some space and try again.`
    : t`The browser couldn’t save that, so nothing was changed. Try again.`;
}

let asked: Promise<boolean> | null = null;

/** Asks the browser, once, not to clear away what is kept when it needs room. Resolves to whether it promises. */
export function keepForGood(): Promise<boolean> {
  asked ??= Promise.resolve(navigator.storage?.persist?.() ?? false).catch(() => false);
  return asked;
}
