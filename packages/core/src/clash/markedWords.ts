/**
 * The texts in which a code with marks, figures or a capital may fire in what people write: a word with marks around it (`no,`, `(see`), two
 * words with no blank between (`left,so`), marks alone, figures, the first word of a sentence. How often each comes is the
 * frequency of the word by the share that `Punctuation` gives; whether the code fires there is for the engine to tell.
 */
import type { MarkedCode } from '../model';
import type { Vocabulary } from './vocabulary';
import { NONE, type InWord } from './wordHits';

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

/** Longer words on one side of a mnemonic: how often all of them come in 10,000 words, and the place of the most frequent one. */
interface Longer {
  sum: number;
  word: number;
}

/** What comes more seldom in 10,000 words is not looked at; words that do so even without marks are not either. */
const LEAST = 1e-5;
const LEAST_WORD = 0.01;

/** The texts in which a code may fire, given with its key cut up; none where nothing is known of how words stand. */
export function markedWordsFor(
  code: string,
  { before, mnemonic, after }: MarkedCode,
  vocabulary: Vocabulary,
): MarkedWord[] {
  const { punctuation } = vocabulary;
  const key = before + mnemonic + after;
  if (!punctuation || /\s/u.test(key) || before.length > 2 || after.length > 2) return [];
  const found = new Found(vocabulary, mnemonic);
  if (!/[\p{L}\p{N}]/u.test(key)) {
    if (key.length > 3) return [];
    const common = vocabulary.words[0]!;
    if (key.length < 3) found.add(common + key, common.length, common.length, 10_000 * punctuation.after(null, key));
    found.add(key, 0, 0, punctuation.alone(key));
  } else if (/\p{N}/u.test(mnemonic)) {
    const ended = after === '' ? 1 : punctuation.after(null, after);
    const rate = punctuation.figures(key) || punctuation.figures(before + mnemonic) * ended;
    found.add(key, before.length, before.length + mnemonic.length, rate);
  } else if (before || after) {
    const share = (before ? punctuation.before(null, before) : 1) * (after ? punctuation.after(null, after) : 1);
    found.addMarked(before, after, share, false);
    if (before.length === 1 && after === '') found.addGlued(before, punctuation.glued(before));
  } else if (/^\p{Lu}/u.test(code)) {
    found.addFirst(code);
  }
  return found.texts;
}

/** The texts in which codes with this mnemonic, in small letters, may fire under any mark there is. */
export function markedWordsUnder(mnemonic: string, vocabulary: Vocabulary): MarkedWord[] {
  if (!vocabulary.punctuation || !/^\p{L}/u.test(mnemonic) || !/\p{L}$/u.test(mnemonic)) return [];
  const { after, before, both, glued } = vocabulary.punctuation.marks;
  const found = new Found(vocabulary, mnemonic);
  for (const { marks, share } of after) found.addMarked('', marks, share, true);
  for (const { marks, share } of before) found.addMarked(marks, '', share, true);
  for (const { marks, share } of both) found.addMarked(marks, marks, share, true);
  for (const { marks, share } of glued) found.addGlued(marks, share);
  return found.texts;
}

/** The texts found for one mnemonic. */
class Found {
  readonly texts: MarkedWord[] = [];
  private readonly exact: number;
  private readonly frequency: number;
  private readonly often: OftenUsed;

  constructor(
    private readonly vocabulary: Vocabulary,
    private readonly mnemonic: string,
  ) {
    this.often = oftenIn(vocabulary);
    this.exact = this.often.placeOf(mnemonic);
    this.frequency = this.exact === NONE ? 0 : vocabulary.perTenThousand[this.exact]!;
  }

  add(text: string, start: number, end: number, perTenThousand: number, word = NONE, kind: InWord = 'whole'): void {
    if (perTenThousand >= LEAST) this.texts.push({ text, start, end, word, kind, perTenThousand });
  }

  /** With these marks around it; `share`: the part of all words that have them. `isAll`: no other marks follow or go before. */
  addMarked(before: string, after: string, share: number, isAll: boolean): void {
    const { mnemonic, exact, often } = this;
    const { words, punctuation } = this.vocabulary;
    const start = before.length;
    const end = start + mnemonic.length;
    if (exact !== NONE) {
      const isBefore = before ? punctuation!.before(mnemonic, before, isAll) : 1;
      const isAfter = after ? punctuation!.after(mnemonic, after, isAll) : 1;
      this.add(before + mnemonic + after, start, end, this.frequency * isBefore * isAfter, exact);
    }
    if (share === 0) return;
    const ending = before ? null : often.endingWith(mnemonic);
    if (ending && ending.sum * share >= LEAST) {
      const word = words[ending.word]!;
      this.add(word + after, word.length - mnemonic.length, word.length, ending.sum * share, ending.word, 'inside');
    }
    const beginning = after ? null : often.beginningWith(mnemonic);
    if (beginning && beginning.sum * share >= LEAST) {
      this.add(before + words[beginning.word]!, start, end, beginning.sum * share, beginning.word, 'beginning');
    }
  }

  /** Behind another word with this mark between them and no blank. */
  addGlued(mark: string, share: number): void {
    if (share === 0) return;
    const { mnemonic, exact } = this;
    const { words } = this.vocabulary;
    const beginning = this.often.beginningWith(mnemonic);
    const head = words[0]! + mark;
    const end = head.length + mnemonic.length;
    if (this.frequency * share >= LEAST) this.add(head + mnemonic, head.length, end, this.frequency * share, exact);
    if (beginning && beginning.sum * share >= LEAST) {
      this.add(head + words[beginning.word]!, head.length, end, beginning.sum * share, beginning.word, 'beginning');
    }
  }

  /** As the first word of a sentence, with its capital. */
  addFirst(code: string): void {
    if (this.exact === NONE) return;
    const share = this.vocabulary.punctuation!.begins(this.mnemonic);
    this.add(code, 0, code.length, this.frequency * share, this.exact);
  }
}

/**
 * The words that come often enough to be looked at: which of them a mnemonic is, begins and ends. Made once for a language, for each length of
 * mnemonics when the first is asked about; some 100 bytes a word and length.
 */
class OftenUsed {
  private readonly count: number;
  private readonly exact = new Map<string, number>();
  private readonly beginnings = new Map<number, Map<string, Longer>>();
  private readonly endings = new Map<number, Map<string, Longer>>();

  constructor(private readonly vocabulary: Vocabulary) {
    const { words, perTenThousand } = vocabulary;
    const rarer = perTenThousand.findIndex((value) => value < LEAST_WORD);
    this.count = rarer < 0 ? words.length : rarer;
    for (let i = 0; i < this.count; i += 1) this.exact.set(words[i]!, i);
  }

  /** The place of the word that a mnemonic is; NONE. */
  placeOf(mnemonic: string): number {
    return this.exact.get(mnemonic) ?? NONE;
  }

  /** The words that go on from a mnemonic; null: none does. */
  beginningWith(mnemonic: string): Longer | null {
    return this.sumsOf(this.beginnings, mnemonic, (word, length) => word.slice(0, length));
  }

  endingWith(mnemonic: string): Longer | null {
    return this.sumsOf(this.endings, mnemonic, (word, length) => word.slice(-length));
  }

  private sumsOf(
    known: Map<number, Map<string, Longer>>,
    mnemonic: string,
    partOf: (word: string, length: number) => string,
  ): Longer | null {
    const { length } = mnemonic;
    let sums = known.get(length);
    if (!sums) {
      sums = new Map<string, Longer>();
      known.set(length, sums);
      const { words, perTenThousand } = this.vocabulary;
      for (let i = 0; i < this.count; i += 1) {
        if (words[i]!.length <= length) continue;
        const part = partOf(words[i]!, length);
        const longer = sums.get(part);
        if (longer) longer.sum += perTenThousand[i]!;
        else sums.set(part, { sum: perTenThousand[i]!, word: i });
      }
    }
    return sums.get(mnemonic) ?? null;
  }
}

const OFTEN = new WeakMap<Vocabulary, OftenUsed>();

function oftenIn(vocabulary: Vocabulary): OftenUsed {
  let often = OFTEN.get(vocabulary);
  if (!often) OFTEN.set(vocabulary, (often = new OftenUsed(vocabulary)));
  return often;
}
