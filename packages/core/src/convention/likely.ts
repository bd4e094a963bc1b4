import { bankOf, CONTEXT_BANK, CONTEXT_COUNT, WORDS_A_CONTEXT, type Vocabulary } from '../clash';
import type { FiringEntry } from '../fire';
import type { DeviceProfile } from '../profile';
import { MarkedCorpus } from './markedCorpus';
import type { MarkIndex } from './markIndex';
import { MarkTally } from './tally';

const WORDS = 60;
const MOST = 60;

/**
 * Mnemonics that people are likely to make next: the first two and three letters of a language's most frequent longer words, most frequent
 * first; at most `MOST`.
 */
export function likelyMnemonics({ words }: Vocabulary): string[] {
  const longer = words.filter((word) => /^\p{L}{4,}$/u.test(word)).slice(0, WORDS);
  return [...new Set(longer.flatMap((word) => [word.slice(0, 2), word.slice(0, 3)]))].slice(0, MOST);
}

const known = new WeakMap<Vocabulary, WeakMap<DeviceProfile, Map<string, Float64Array>>>();

/** How often in a word of this language one such code, with the usual rules, would misfire on a device, on average; by mark. Kept, since nothing of the list is in it. */
export function misfiresOfLikely(vocabulary: Vocabulary, profile: DeviceProfile, marks: MarkIndex): Float64Array {
  const ofVocabulary = known.get(vocabulary) ?? new WeakMap<DeviceProfile, Map<string, Float64Array>>();
  known.set(vocabulary, ofVocabulary);
  const ofDevice = ofVocabulary.get(profile) ?? new Map<string, Float64Array>();
  ofVocabulary.set(profile, ofDevice);
  const characters = marks.characters.join('');
  let rates = ofDevice.get(characters);
  if (!rates) ofDevice.set(characters, (rates = weighLikely(vocabulary, profile, marks)));
  return rates;
}

function weighLikely(vocabulary: Vocabulary, profile: DeviceProfile, marks: MarkIndex): Float64Array {
  const mnemonics = likelyMnemonics(vocabulary);
  // A language of a few short words has none.
  if (mnemonics.length === 0) return new Float64Array(marks.count);
  const tally = new MarkTally(marks, mnemonics.map(newCode), profile);
  const corpus = bankOf(vocabulary);
  const words = tally.weigh({
    folded: corpus.foldedFor(profile),
    starts: corpus.starts,
    weights: vocabulary.perTenThousand,
  });
  const marked = tally.weighMarked(new MarkedCorpus(mnemonics, vocabulary).weighedFor(profile));
  const contexts = tally.weigh({
    folded: CONTEXT_BANK.foldedFor(profile),
    starts: CONTEXT_BANK.starts,
    weights: new Float64Array(CONTEXT_COUNT).fill(1 / CONTEXT_COUNT),
  });
  return words.map(
    (word, mark) => ((word + marked[mark]!) / 10_000 + contexts[mark]! / WORDS_A_CONTEXT) / mnemonics.length,
  );
}

function newCode(mnemonic: string): FiringEntry & { readonly mnemonic: string } {
  return {
    id: mnemonic,
    code: mnemonic,
    mnemonic,
    expansion: '',
    uses: 0,
    language: 'und',
    fires: 'delimiter',
    edge: 'word',
    capitals: 'ignore',
    delimiter: 'keep',
  };
}
