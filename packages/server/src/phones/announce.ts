/** The computer’s name on the network, so that its address may change: multicast DNS (RFC 6762). */
import { isIPv6 } from 'node:net';

import multicastDns, { type Options } from 'multicast-dns';

import { logFailure } from '../log';

/** How long others may remember an answer, in seconds (RFC 6762, section 10). */
const REMEMBERED = 120;

export interface Announced {
  /** Tells the addresses of now to whoever listens. */
  again(): void;
  close(): Promise<void>;
}

/** Answers for `name` with what `addresses` gives; where that can’t be, it is logged and nothing else. */
export function announce(name: string, addresses: () => readonly string[], options: Options = {}): Announced {
  const mdns = multicastDns(options);
  const answers = (ttl = REMEMBERED) =>
    addresses().map((data) => ({
      name,
      type: isIPv6(data) ? ('AAAA' as const) : ('A' as const),
      ttl,
      flush: true,
      data,
    }));
  const tell = (ttl?: number) => {
    const all = answers(ttl);
    if (all.length > 0) mdns.respond(all);
  };
  mdns.on('query', ({ questions }) => {
    const isAsked = questions.some(
      (question) => question.name.toLowerCase() === name && ['A', 'AAAA', 'ANY'].includes(question.type),
    );
    if (isAsked) tell();
  });
  for (const event of ['error', 'warning'] as const)
    mdns.on(event, (error: unknown) => logFailure(`${name} could not be announced`, error));
  mdns.on('ready', () => tell());
  return {
    again: () => tell(),
    close: () => {
      tell(0);
      return new Promise((resolve) => mdns.destroy(() => resolve()));
    },
  };
}
