/** Where a list is, as a person types or pastes it: an address, with or without its beginning, or the link of an invitation. */
export interface Address {
  /** Without a slash at its end. */
  readonly address: string;
  /** The code that came with it; empty: none. */
  readonly code: string;
}

const LOOPBACK = /^(localhost|127(\.\d{1,3}){3}|\[::1\])(:|\/|$)/iu;

/** Reads an address; null: it is none. Without a beginning it is https, or http for this computer itself. */
export function readAddress(typed: string): Address | null {
  const text = typed.trim();
  if (/^(?!https?:)[a-z][a-z\d+.-]*:\/\//iu.test(text)) return null;
  const whole = /^https?:\/\//iu.test(text) ? text : `${LOOPBACK.test(text) ? 'http' : 'https'}://${text}`;
  if (text === '' || /\s/u.test(text) || !URL.canParse(whole)) return null;
  const { protocol, host, hash, username } = new URL(whole);
  if (host === '' || username !== '') return null;
  return { address: `${protocol}//${host}`, code: hash.slice(1) };
}
