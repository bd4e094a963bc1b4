import { Subscribable } from '@yellow-latch/core/subscribable';
import { useEffect, useSyncExternalStore } from 'react';
import { useColorScheme } from 'react-native';

import { PALETTES } from './theme';

/** Light or dark: as the device has it, or as somebody chose for this app on this device. */
export type Scheme = 'system' | 'light' | 'dark';
export const SCHEMES: readonly Scheme[] = ['system', 'light', 'dark'];

const KEY = 'yellow-latch.scheme';
const changes = new Subscribable();

/** The choice: kept where it can be read before the list is there. */
export function chosenScheme(): Scheme {
  const kept = globalThis.localStorage?.getItem(KEY) as Scheme | null;
  return kept && SCHEMES.includes(kept) ? kept : 'system';
}

export function chooseScheme(scheme: Scheme): void {
  try {
    localStorage.setItem(KEY, scheme);
  } catch {
    // Not kept, it holds for this visit no longer than the device's own.
  }
  changes.emit();
}

export function useChosenScheme(): Scheme {
  return useSyncExternalStore(changes.subscribe, chosenScheme, () => 'system');
}

/** What is shown; the bars of the browser and what stands outside the app follow it. */
export function useScheme(): 'light' | 'dark' {
  const chosen = useChosenScheme();
  const ofDevice = useColorScheme() === 'dark' ? 'dark' : 'light';
  const scheme = chosen === 'system' ? ofDevice : chosen;
  useEffect(() => {
    document.documentElement.dataset['scheme'] = scheme;
    for (const meta of document.querySelectorAll('meta[name=theme-color]'))
      meta.setAttribute('content', PALETTES[scheme].ground);
  }, [scheme]);
  return scheme;
}
