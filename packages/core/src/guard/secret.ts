import { findCardNumbers, SHORTEST_CARD, type Found } from './card';
import { findIbans } from './iban';
import { findKeysAndTokens } from './key';
import { looksLikePassword } from './password';

/** Something that should not be copied to every device, and where it stands. */
export interface Secret extends Found {
  readonly kind: 'card' | 'account' | 'private-key' | 'token' | 'password';
}

/** What of a text tells at once that most secrets cannot be in it. */
interface Look {
  readonly digits: number;
  /** The longest run of letters, figures and signs of keys. */
  readonly run: number;
  readonly spaces: number;
}

function lookAt(text: string): Look {
  let [digits, run, longest, spaces] = [0, 0, 0, 0];
  for (let i = 0; i < text.length; i += 1) {
    const unit = text.charCodeAt(i);
    const isDigit = unit >= 0x30 && unit <= 0x39;
    const isLetter = (unit | 0x20) >= 0x61 && (unit | 0x20) <= 0x7a;
    if (isDigit) digits += 1;
    run =
      isDigit || isLetter || unit === 0x5f || unit === 0x2b || unit === 0x2f || unit === 0x3d || unit === 0x2d
        ? run + 1
        : 0;
    if (run > longest) longest = run;
    if (unit === 0x20) spaces += 1;
  }
  return { digits, run: longest, spaces };
}

/** No number of an account or a card has fewer figures, no key or token a shorter run, no passphrase more spaces. */
const FEWEST_DIGITS = 8;
const SHORTEST_RUN = 16;
const MOST_SPACES = 10;

/** The secrets in an expansion, in their order. Linear in its length. */
export function findSecrets(expansion: string): Secret[] {
  const { digits, run, spaces } = lookAt(expansion);
  const accounts = digits >= FEWEST_DIGITS ? findIbans(expansion) : [];
  const cards = digits >= SHORTEST_CARD ? findCardNumbers(expansion) : [];
  const keys = run >= SHORTEST_RUN || expansion.includes('-----') ? findKeysAndTokens(expansion) : [];
  // By chance the figures of an account number may be as those of a card, or change as in a token.
  const isApart = ({ start, end }: Found) => !accounts.some((account) => start < account.end && account.start < end);
  const secrets: Secret[] = [
    ...accounts.map((found) => ({ kind: 'account' as const, ...found })),
    ...cards.filter(isApart).map((found) => ({ kind: 'card' as const, ...found })),
    ...keys.filter(isApart),
  ];
  if (secrets.length === 0 && spaces <= MOST_SPACES && looksLikePassword(expansion)) {
    secrets.push({ kind: 'password', start: 0, end: expansion.length });
  }
  return secrets.sort((a, b) => a.start - b.start);
}
