import { findCardNumbers, type Found } from './card';
import { findIbans } from './iban';
import { findKeysAndTokens } from './key';
import { looksLikePassword } from './password';

/** Something that should not be copied to every device, and where it stands. */
export interface Secret extends Found {
  readonly kind: 'card' | 'account' | 'private-key' | 'token' | 'password';
}

/** A quick no: none of them is without eight figures, a run of sixteen signs, dashes, or a lone word. */
function mayHoldSecret(text: string): boolean {
  let digits = 0;
  let run = 0;
  let longest = 0;
  let isOneWord = true;
  for (let i = 0; i < text.length; i += 1) {
    const unit = text.charCodeAt(i);
    const isDigit = unit >= 0x30 && unit <= 0x39;
    if (isDigit) digits += 1;
    const isLetter = (unit | 0x20) >= 0x61 && (unit | 0x20) <= 0x7a;
    run = isDigit || isLetter || '_+/=-'.includes(text[i]!) ? run + 1 : 0;
    if (run > longest) longest = run;
    if (unit === 0x20 || unit === 0x0a || unit === 0x09) isOneWord = false;
  }
  return digits >= 8 || longest >= 16 || (isOneWord && digits > 0) || text.includes('-----');
}

/** The secrets in an expansion, in their order. Linear in its length. */
export function findSecrets(expansion: string): Secret[] {
  if (!mayHoldSecret(expansion)) return [];
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
