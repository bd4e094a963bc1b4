import type { Welcome } from '@yellow-latch/core/sync';

/** How a device reaches its server. */
export interface Reach {
  /** Where the server is, without a slash at its end; empty: where the page came from. */
  readonly address: string;
  /** What each request carries, so that the server knows who asks. */
  readonly asking: () => Pick<RequestInit, 'credentials' | 'headers'>;
  readonly openStream: (url: string) => EventSource;
  /** Called when a list has welcomed a device of this program. */
  readonly onWelcome?: (welcome: Welcome) => Promise<void>;
}

/** A page asks the server that it came from, and its browser shows the cookie. */
const OF_A_PAGE: Reach = {
  address: '',
  asking: () => ({ credentials: 'same-origin' }),
  openStream: (url) => new EventSource(url),
};

let current = OF_A_PAGE;

/** From now on the server is reached so; null: as a page does. */
export function reachBy(reach: Reach | null): void {
  current = reach ?? OF_A_PAGE;
}

export function reach(): Reach {
  return current;
}
