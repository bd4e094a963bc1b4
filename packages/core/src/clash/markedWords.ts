/**
 * The texts in which a code with marks, figures or a capital may fire in what people write: a word with marks around it (`no,`, `(see`), two
 * words with no blank between (`left,so`), marks alone, figures, the first word of a sentence. How often each comes is the
 * frequency of the word by the share that `Punctuation` gives; whether the code fires there is for the engine to tell.
 */
import { splitMarker } from '../model';
import type { Vocabulary } from './vocabulary';
import { bankOf, NONE, type InWord } from './words';

/** One of them. */
export interface MarkedWord {
  readonly text: string;
  /** The mnemonic in it: UTF-16 units. Where a code fires that has marks of the text beside the mnemonic, it is counted. */
  readonly start: number;
  readonly end: number;
  /** The place of the word in the vocabulary; NONE: it is of no word. Fires the same code in the word alone, it is counted there. */
  readonly word: number;
  readonly kind: InWord;
  /** In 10,000 words; of a word that stands for others, of all of them. */
  readonly perTenThousand: number;
}

/** The words of a language around one mnemonic. */
interface Around {
  /** The place of the word that it is; NONE. */
  exact: number;
  /** Longer words that end with it: how often all of them come in 10,000 words, and the most frequent one. */
  endingSum: number;
  ending: number;
  beginningSum: number;
  beginning: number;
}

/** What comes more seldom in 10,000 words is not looked at. */
const LEAST = 1e-6;
/** So few mnemonics are searched for one by one. */
const FEW = 4;

/** The texts in which this code may fire. `aroundOf` as `wordsAround` gives it for the code's mnemonic. */
export function markedWordsFor(code: string, vocabulary: Vocabulary, aroundOf: (mnemonic: string) => Around): MarkedWord[] {
  const { punctuation } = vocabulary;
  if (!punctuation) return [];
  const key = code.toLowerCase();
  const made: MarkedWord[] = [];
  const { before, mnemonic, after } = splitMarker(key);
  if (/\s/u.test(key) || before.length > 2 || after.length > 2) return made;
  if (!/[\p{L}\p{N}]/u.test(key)) {
    if (key.length > 3) return made;
    const common = vocabulary.words[0]!;
    const share = key.length > 2 ? 0 : punctuation.after(null, key);
    put(made, { text: common + key, start: common.length, end: common.length, word: NONE, kind: 'whole', perTenThousand: share * 10_000 });
    put(made, { text: key, start: 0, end: 0, word: NONE, kind: 'whole', perTenThousand: punctuation.alone(key) });
    return made;
  }
  if (/\p{N}/u.test(mnemonic)) {
    const rate = punctuation.figures(before + mnemonic + after) || punctuation.figures(before + mnemonic) * (after ? punctuation.after(null, after) : 1);
    put(made, { text: key, start: before.length, end: before.length + mnemonic.length, word: NONE, kind: 'whole', perTenThousand: rate });
    return made;
  }
  if (before || after) {
    addMarked(made, vocabulary, mnemonic, aroundOf(mnemonic), before, after, false);
  } else if (/^\p{Lu}/u.test(code)) {
    const { exact } = aroundOf(mnemonic);
    if (exact !== NONE) put(made, { text: code, start: 0, end: code.length, word: exact, kind: 'whole', perTenThousand: vocabulary.perTenThousand[exact]! * punctuation.begins(mnemonic) });
  }
  return made;
}

/** The texts in which codes with this mnemonic may fire under any mark there is. */
export function markedWordsUnder(mnemonic: string, vocabulary: Vocabulary, around: Around): MarkedWord[] {
  const made: MarkedWord[] = [];
  if (!vocabulary.punctuation || !/^\p{L}/u.test(mnemonic) || !/\p{L}$/u.test(mnemonic)) return made;
  const { after, before, glued } = vocabulary.punctuation.marks;
  for (const marks of after) {
    addMarked(made, vocabulary, mnemonic, around, '', marks, true);
    if (marks.length === 1 && before.includes(marks)) addMarked(made, vocabulary, mnemonic, around, marks, marks, true);
  }
  for (const marks of new Set([...before, ...glued])) addMarked(made, vocabulary, mnemonic, around, marks, '', true);
  return made;
}

/** `isAll`: no other marks follow or go before. */
function addMarked(made: MarkedWord[], vocabulary: Vocabulary, mnemonic: string, around: Around, before: string, after: string, isAll: boolean): void {
  const { words, perTenThousand, punctuation } = vocabulary;
  const { exact } = around;
  const start = before.length;
  const end = start + mnemonic.length;
  const shareOf = (word: string | null) => (before ? punctuation!.before(word, before, isAll) : 1) * (after ? punctuation!.after(word, after, isAll) : 1);
  const frequency = exact === NONE ? 0 : perTenThousand[exact]!;
  put(made, { text: before + mnemonic + after, start, end, word: exact, kind: 'whole', perTenThousand: frequency * shareOf(mnemonic) });
  if (!before && around.ending !== NONE) {
    const word = words[around.ending]!;
    const from = word.length - mnemonic.length;
    put(made, { text: word + after, start: from, end: word.length, word: around.ending, kind: 'inside', perTenThousand: around.endingSum * shareOf(null) });
  }
  if (!after && around.beginning !== NONE) {
    const word = words[around.beginning]!;
    put(made, { text: before + word, start, end, word: around.beginning, kind: 'beginning', perTenThousand: around.beginningSum * shareOf(null) });
  }
  if (after || before.length !== 1) return;
  const glued = punctuation!.glued(before);
  const head = words[0]! + before;
  const place = { start: head.length, end: head.length + mnemonic.length };
  put(made, { ...place, text: head + mnemonic, word: exact, kind: 'whole', perTenThousand: frequency * glued });
  if (around.beginning !== NONE) put(made, { ...place, text: head + words[around.beginning]!, word: around.beginning, kind: 'beginning', perTenThousand: around.beginningSum * glued });
}

function put(made: MarkedWord[], one: MarkedWord): void {
  if (one.perTenThousand >= LEAST) made.push(one);
}

/** The words of a language around each of some mnemonics, in small letters. Linear in the words; a few mnemonics are quicker. */
export function wordsAround(mnemonics: ReadonlySet<string>, vocabulary: Vocabulary): (mnemonic: string) => Around {
  const found = new Map<string, Around>();
  for (const mnemonic of mnemonics) found.set(mnemonic, { exact: NONE, endingSum: 0, ending: NONE, beginningSum: 0, beginning: NONE });
  const { words, perTenThousand } = vocabulary;
  const note = (around: Around, word: number, length: number, isEnding: boolean) => {
    if (words[word]!.length === length) around.exact = word;
    else if (isEnding) {
      around.endingSum += perTenThousand[word]!;
      if (around.ending === NONE) around.ending = word;
    } else {
      around.beginningSum += perTenThousand[word]!;
      if (around.beginning === NONE) around.beginning = word;
    }
  };
  if (found.size <= FEW) {
    for (const [mnemonic, around] of found) {
      for (const word of bankOf(vocabulary).containing(mnemonic)) {
        if (words[word]!.endsWith(mnemonic)) note(around, word, mnemonic.length, true);
        if (words[word]!.startsWith(mnemonic)) note(around, word, mnemonic.length, false);
      }
    }
  } else {
    const lengths = [...new Set(Array.from(mnemonics, ({ length }) => length))].sort((a, b) => a - b);
    words.forEach((word, index) => {
      for (const length of lengths) {
        if (length > word.length) break;
        const ending = found.get(length === word.length ? word : word.slice(-length));
        if (ending) note(ending, index, length, true);
        const beginning = found.get(length === word.length ? word : word.slice(0, length));
        if (beginning) note(beginning, index, length, false);
      }
    });
  }
  return (mnemonic) => found.get(mnemonic)!;
}
