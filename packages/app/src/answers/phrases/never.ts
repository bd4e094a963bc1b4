import { derivedId } from '@yellow-latch/core/model';

/** How something that is never to be shown is kept: it cannot be read back. `key`: of what was found. */
export function neverKey(key: string): string {
  // eslint-disable-next-line lingui/no-unlocalized-strings -- a name
  return derivedId('never shown', key);
}
