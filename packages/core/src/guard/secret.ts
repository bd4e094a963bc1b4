import { findCardNumbers, type Found } from './card';
import { findIbans } from './iban';
import { findKeysAndTokens } from './key';
import { looksLikePassword } from './password';

/** Something that should not be copied to every device, and where it stands. */
export interface Secret extends Found {
  readonly kind: 'card' | 'account' | 'private-key' | 'token' | 'password';
}

// What none of them is without: figures in a row, the head of an account number, a long run, dashes.
const SUSPECT = /\d(?:[ -]?\d){7}|[A-Za-z]{2}\d{2}[ A-Za-z0-9]{4}|[\w+/=-]{16}|-----|^\S*\d\S*$/;

/** The secrets in an expansion, in their order. Linear in its length. */
export function findSecrets(expansion: string): Secret[] {
  if (!SUSPECT.test(expansion)) return [];
  const secrets: Secret[] = [
    ...findCardNumbers(expansion).map((found) => ({ kind: 'card' as const, ...found })),
    ...findIbans(expansion).map((found) => ({ kind: 'account' as const, ...found })),
    ...findKeysAndTokens(expansion),
  ];
  if (secrets.length === 0 && looksLikePassword(expansion)) {
    secrets.push({ kind: 'password', start: 0, end: expansion.length });
  }
  return secrets.sort((a, b) => a.start - b.start);
}
