/**
 * A text on its way into a new shortcut. It goes by memory: no text of a person ever enters an
 * address, where logs and histories would keep it.
 */
export type Incoming = { type: 'text'; text: string } | { type: 'refused' };

let waiting: Incoming | null = null;

export function handOver(incoming: Incoming): void {
  waiting = incoming;
}

/** What was handed over, once. */
export function takeIncoming(): Incoming | null {
  const taken = waiting;
  waiting = null;
  return taken;
}
