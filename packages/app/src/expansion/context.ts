import type { ExpansionContext } from '@yellow-latch/core/expansion';
import type { Shortcut } from '@yellow-latch/core/model';

/** The circumstances of an expansion on this device, now. */
export function contextNow(shortcuts: readonly Shortcut[], values: Readonly<Record<string, string>> = {}): ExpansionContext {
  return {
    now: Date.now(),
    locale: typeof navigator === 'undefined' ? 'en-GB' : navigator.language,
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    values,
    shortcutOf: (id) => shortcuts.find((shortcut) => shortcut.id === id),
  };
}

/** The room of expansions: it is fetched when a template is first met, and is no part of the first screen. */
export const loadExpansion = () => import('@yellow-latch/core/expansion');
