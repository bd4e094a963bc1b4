import type * as Room from '@yellow-latch/core/expansion';
import type { ExpansionContext } from '@yellow-latch/core/expansion';
import type { Shortcut } from '@yellow-latch/core/model';

/** The circumstances of an expansion on this device, now. */
export function contextNow(
  shortcuts: readonly Shortcut[],
  values: Readonly<Record<string, string>> = {},
): ExpansionContext {
  return {
    now: Date.now(),
    locale: typeof navigator === 'undefined' ? 'en-GB' : navigator.language,
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    values,
    shortcutOf: (id) => shortcuts.find((shortcut) => shortcut.id === id),
  };
}

type ExpansionModule = typeof Room;

let loaded: ExpansionModule | null = null;

/**
 * The module of expansions: it is fetched when a template is first met, and is no part of the first screen. It is reached
 * through here alone; what two bundles had in common would come with the first screen.
 */
export async function loadExpansion(): Promise<ExpansionModule> {
  loaded ??= await import('@yellow-latch/core/expansion');
  return loaded;
}

/** The same for what is shown only when it was loaded. */
export function loadedExpansion(): ExpansionModule {
  if (!loaded) throw new Error('the module of expansions was not loaded');
  return loaded;
}
