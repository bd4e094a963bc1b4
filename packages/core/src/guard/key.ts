import type { Found } from './card';

// Textual encodings of keys (RFC 7468) and their like.
const PRIVATE_KEY = /-----BEGIN (?:[A-Z0-9]+ )*PRIVATE KEY(?: BLOCK)?-----/g;
// Three parts of base64url, the first a JSON object (RFC 7519).
const SIGNED_TOKEN = /\beyJ[\w-]{8,}\.[\w-]{4,}\.[\w-]{10,}/g;
// A long run of letters and digits, perhaps behind a short name: no word, no number.
const LONG_RUN = /(?<![\w/.@#-])(?:[A-Za-z]{2,10}[_-])*[A-Za-z0-9_+-]{24,}={0,2}(?![\w/@.])/g;
const AUTHORIZATION = /\b(?:bearer|basic|token|api[ _-]?key)\s*[:=]?\s+[\w.~+/-]{16,}=*/gi;

/** Private keys and access tokens in `text`, by shape. */
export function findKeysAndTokens(text: string): (Found & { kind: 'private-key' | 'token' })[] {
  const found: (Found & { kind: 'private-key' | 'token' })[] = [];
  const note = (kind: 'private-key' | 'token', match: RegExpExecArray) => {
    const start = match.index;
    if (!found.some((other) => start < other.end && other.start < start + match[0].length)) {
      found.push({ kind, start, end: start + match[0].length });
    }
  };
  for (const match of text.matchAll(PRIVATE_KEY)) note('private-key', match);
  for (const match of text.matchAll(SIGNED_TOKEN)) note('token', match);
  for (const match of text.matchAll(AUTHORIZATION)) if (isScattered(match[0])) note('token', match);
  for (const match of text.matchAll(LONG_RUN))
    if (!isPublic(match[0], text.slice(0, match.index)) && isScattered(match[0])) note('token', match);
  return found;
}

/** A checksum or the name of a version (hexadecimal), an identifier (RFC 9562), a checksum that says so, or a picture (RFC 2397). */
function isPublic(run: string, before: string): boolean {
  if (/^[0-9a-f]+$/i.test(run) || /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(run)) return true;
  return /(?:sha|md)\d+-[\w+/]*=*$/i.test(`${before}${run}`) || /base64,$/i.test(before);
}

/** Whether letters and digits change about as at random: nothing that a person spelled. */
function isScattered(run: string): boolean {
  const digits = run.match(/\d/g)?.length ?? 0;
  const changes = run.match(/[a-z](?=[A-Z0-9])|[A-Z](?=[a-z0-9])|\d(?=[A-Za-z])/g)?.length ?? 0;
  return digits >= 2 && digits < run.length && changes >= run.length / 4;
}
