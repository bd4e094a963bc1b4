/** Ways out of a draft: addresses that open a mail or a text message, and what a draft is called. */
import { clustersOf } from '../model';

export interface MailDraft {
  /** Addresses of those it goes to; none: they are filled in there. */
  readonly to?: readonly string[];
  readonly subject?: string;
  readonly body: string;
}

/** A longer address than this, in characters, is cut by some mail programs (common practice, no source). */
export const LONG_DRAFT = 2_000;

/**
 * The address that opens a mail draft: RFC 6068. Everything but unreserved characters is percent-encoded as UTF-8; a
 * line break is %0D%0A (section 5). A lone surrogate becomes U+FFFD.
 */
export function mailtoUri({ to = [], subject = '', body }: MailDraft): string {
  const fields = [
    ...(subject === '' ? [] : [`subject=${encoded(subject.replaceAll(/\s+/gu, ' '))}`]),
    ...(body === '' ? [] : [`body=${encoded(body.replaceAll(/\r\n?|\n/gu, '\r\n'))}`]),
  ];
  return `mailto:${to.map(encodedAddress).join(',')}${fields.length > 0 ? `?${fields.join('&')}` : ''}`;
}

/**
 * The address that opens a text message: RFC 5724 with numbers as RFC 3966 writes them, without what only makes them
 * easier to read.
 */
export function smsUri({ to = [], body }: { to?: readonly string[]; body: string }): string {
  const numbers = to.map((number) => number.replaceAll(/[^\d+*#]/gu, '')).filter((number) => number !== '');
  return `sms:${numbers.join(',')}${body === '' ? '' : `?body=${encoded(body)}`}`;
}

/** An address with its last @ as it is: the part before may hold others in quotes. */
function encodedAddress(address: string): string {
  const at = address.lastIndexOf('@');
  return at < 0 ? encoded(address) : `${encoded(address.slice(0, at))}@${encoded(address.slice(at + 1))}`;
}

function encoded(text: string): string {
  // Its marks are what a URI's grammar calls sub-delimiters; encoded, they are safe in every reader.
  return encodeURIComponent(wellFormed(text)).replaceAll(
    /[!'()*]/gu,
    (sign) => `%${sign.charCodeAt(0).toString(16).toUpperCase()}`,
  );
}

function wellFormed(text: string): string {
  return text.replaceAll(/\p{Surrogate}/gu, '\ufffd');
}

/**
 * What is sent of a draft. Where all of it is one word, an address or a link, the space that fired it stays behind: in a
 * form's field it would make the address invalid (common practice, no source).
 */
export function textToSend(text: string): string {
  return /^\S+[^\S\n]+$/u.test(text) ? text.trimEnd() : text;
}

const LONGEST_TITLE = 60;

/** What a draft is called: its first line with something on it; '': there is none. */
export function titleOf(text: string): string {
  // A first line of a megabyte need not be read to its end.
  const line = /\S[^\n]{0,400}/u.exec(text)?.[0].trim() ?? '';
  const clusters = clustersOf(line);
  return clusters.length <= LONGEST_TITLE
    ? line
    : `${clusters
        .slice(0, LONGEST_TITLE - 1)
        .map(({ text: one }) => one)
        .join('')
        .trimEnd()}…`;
}

/** A name for a file of a draft, safe on every system. */
export function fileNameOf(title: string, extension: 'txt' | 'html'): string {
  const name = title
    .replaceAll(/[\p{C}<>:"/\\|?*…]+/gu, ' ')
    .replaceAll(/\s+/gu, ' ')
    .trim()
    .replaceAll(/^\.+|[.,;: ]+$/gu, '');
  return `${name === '' ? 'Draft' : name}.${extension}`;
}
