import { useEffect, useState } from 'react';

/**
 * A text on its way into a new shortcut, or a text or file on its way into the list. It goes by memory: no text of a person ever enters an
 * address, where logs and histories would keep it.
 */
export type Incoming =
  { type: 'text'; text: string; note?: string } | { type: 'file'; file: File } | { type: 'refused' };

let waiting: Incoming | null = null;

export function handOver(incoming: Incoming): void {
  waiting = incoming;
}

/** What was handed over, once. */
export function takeIncoming(): Incoming | null {
  const incoming = waiting;
  waiting = null;
  return incoming;
}

/** What was handed over to a page that begins with it, where it is wanted: taken once the page stands, since until then it may be begun anew. */
export function useIncoming(isWanted: boolean): Incoming | null {
  const [incoming] = useState(() => (isWanted ? waiting : null));
  useEffect(() => {
    if (waiting === incoming) waiting = null;
  }, [incoming]);
  return incoming;
}
