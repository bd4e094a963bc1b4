import { useLayoutEffect } from 'react';

/** Takes away what public/index.html shows until the app draws; what is drawn first of it stands in its place. */
export function useShellGone(): void {
  useLayoutEffect(() => document.querySelector('#shell')?.remove(), []);
}
