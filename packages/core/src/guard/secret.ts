import { findCardNumbers, type Found } from './card';
import { findIbans } from './iban';
import { findKeysAndTokens } from './key';
import { looksLikePassword } from './password';

/** Something that should not be copied to every device, and where it stands. */
export interface Secret extends Found {
  readonly kind: 'card' | 'account' | 'private-key' | 'token' | 'password';
}

/** The longest text that may be a passphrase, in UTF-16 units. */
const LONGEST_PHRASE = 140;

/** A quick no for most texts: what is long and has neither eight figures, a run of sixteen signs nor dashes holds no secret. */
function mayHoldSecret(text: string): boolean {
  if (text.length <= LONGEST_PHRASE) return true;
  let digits = 0;
  let run = 0;
  let longest = 0;
  for (let i = 0; i < text.length; i += 1) {
    const unit = text.charCodeAt(i);
    const isDigit = unit >= 0x30 && unit <= 0x39;
    if (isDigit) digits += 1;
    const isLetter = (unit | 0x20) >= 0x61 && (unit | 0x20) <= 0x7a;
    run = isDigit || isLetter || '_+/=-'.includes(text[i]!) ? run + 1 : 0;
    if (run > longest) longest = run;
  }
  return digits >= 8 || longest >= 16 || text.includes('-----');
}

/** The secrets in an expansion, in their order. Linear in its length. */
export function findSecrets(expansion: string): Secret[] {
  if (!mayHoldSecret(expansion)) return [];
  const accounts = findIbans(expansion);
  // By chance the figures of an account number may be as those of a card, or change as in a token.
  const isApart = ({ start, end }: Found) => !accounts.some((account) => start < account.end && account.start < end);
  const secrets: Secret[] = [
    ...accounts.map((found) => ({ kind: 'account' as const, ...found })),
    ...findCardNumbers(expansion).filter(isApart).map((found) => ({ kind: 'card' as const, ...found })),
    ...findKeysAndTokens(expansion).filter(isApart),
  ];
  if (secrets.length === 0 && looksLikePassword(expansion)) {
    secrets.push({ kind: 'password', start: 0, end: expansion.length });
  }
  return secrets.sort((a, b) => a.start - b.start);
}
