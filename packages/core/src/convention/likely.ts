import type { Vocabulary } from '../clash';
import type { FiringEntry } from '../fire';

/** A code that is not there yet, with the usual rules. */
export type LikelyCode = FiringEntry & { readonly mnemonic: string };

const WORDS = 60;
const MOST = 80;

/**
 * Codes that people are likely to make next: the first two and three letters of a language's most frequent longer words, most frequent first.
 * At most `MOST` of them, in parts as there are languages.
 */
export function likelyCodes(vocabularies: readonly Vocabulary[]): LikelyCode[] {
  const mnemonics = new Set<string>();
  for (const { words } of vocabularies) {
    const longer = words.filter((word) => /^\p{L}{4,}$/u.test(word)).slice(0, WORDS);
    const cut = longer.flatMap((word) => [word.slice(0, 2), word.slice(0, 3)]);
    for (const mnemonic of [...new Set(cut)].slice(0, Math.ceil(MOST / vocabularies.length))) mnemonics.add(mnemonic);
  }
  // A language of a few words has none as long.
  if (mnemonics.size === 0) for (const mnemonic of ['ab', 'adr', 'ml', 'tel']) mnemonics.add(mnemonic);
  return Array.from(mnemonics, (mnemonic) => ({
    id: `~${mnemonic}`,
    code: mnemonic,
    mnemonic,
    expansion: '',
    uses: 0,
    language: 'und',
    fires: 'delimiter',
    edge: 'word',
    capitals: 'ignore',
    delimiter: 'keep',
  }));
}
