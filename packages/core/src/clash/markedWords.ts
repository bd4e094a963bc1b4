/**
 * The texts in which a code with marks, figures or a capital may fire in what people write: a word with marks around it (`no,`, `(see`), two
 * words with no blank between (`left,so`), marks alone, figures, the first word of a sentence. How often each comes is the
 * frequency of the word by the share that `Punctuation` gives; whether the code fires there is for the engine to tell.
 */
import type { MarkedCode } from '../model';
import { positionIn } from './bank';
import type { Vocabulary } from './vocabulary';
import { NONE, type InWord } from './words';

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

/** What comes more seldom in 10,000 words is not looked at; words that do so even without marks are not either. */
const LEAST = 1e-5;
const LEAST_WORD = 0.01;
/** So few mnemonics are searched for one by one. */
const FEW = 4;

/** The texts in which a code may fire, given with its key cut up. `aroundOf` as `wordsAround` gives it for the mnemonic. */
export function markedWordsFor(
  code: string,
  { before, mnemonic, after }: MarkedCode,
  vocabulary: Vocabulary,
  aroundOf: (mnemonic: string) => Around,
): MarkedWord[] {
  const { punctuation } = vocabulary;
  if (!punctuation) return [];
  const key = before + mnemonic + after;
  const made: MarkedWord[] = [];
  if (/\s/u.test(key) || before.length > 2 || after.length > 2) return made;
  if (!/[\p{L}\p{N}]/u.test(key)) {
    if (key.length > 3) return made;
    const common = vocabulary.words[0]!;
    const share = key.length > 2 ? 0 : punctuation.after(null, key);
    put(made, {
      text: common + key,
      start: common.length,
      end: common.length,
      word: NONE,
      kind: 'whole',
      perTenThousand: share * 10_000,
    });
    put(made, { text: key, start: 0, end: 0, word: NONE, kind: 'whole', perTenThousand: punctuation.alone(key) });
    return made;
  }
  if (/\p{N}/u.test(mnemonic)) {
    const rate =
      punctuation.figures(before + mnemonic + after) ||
      punctuation.figures(before + mnemonic) * (after ? punctuation.after(null, after) : 1);
    put(made, {
      text: key,
      start: before.length,
      end: before.length + mnemonic.length,
      word: NONE,
      kind: 'whole',
      perTenThousand: rate,
    });
    return made;
  }
  if (before || after) {
    const share = (before ? punctuation.before(null, before) : 1) * (after ? punctuation.after(null, after) : 1);
    addMarked(made, vocabulary, mnemonic, aroundOf(mnemonic), { before, after, share, isAll: false });
    if (before.length === 1 && after === '')
      addGlued(made, vocabulary, mnemonic, aroundOf(mnemonic), before, punctuation.glued(before));
  } else if (/^\p{Lu}/u.test(code)) {
    const { exact } = aroundOf(mnemonic);
    if (exact !== NONE)
      put(made, {
        text: code,
        start: 0,
        end: code.length,
        word: exact,
        kind: 'whole',
        perTenThousand: vocabulary.perTenThousand[exact]! * punctuation.begins(mnemonic),
      });
  }
  return made;
}

/** The texts in which codes with this mnemonic may fire under any mark there is. */
export function markedWordsUnder(mnemonic: string, vocabulary: Vocabulary, around: Around): MarkedWord[] {
  const made: MarkedWord[] = [];
  if (!vocabulary.punctuation || !/^\p{L}/u.test(mnemonic) || !/\p{L}$/u.test(mnemonic)) return made;
  const { after, before, both, glued } = vocabulary.punctuation.marks;
  for (const one of after)
    addMarked(made, vocabulary, mnemonic, around, { before: '', after: one.marks, share: one.share, isAll: true });
  for (const one of before)
    addMarked(made, vocabulary, mnemonic, around, { before: one.marks, after: '', share: one.share, isAll: true });
  for (const one of both)
    addMarked(made, vocabulary, mnemonic, around, {
      before: one.marks,
      after: one.marks,
      share: one.share,
      isAll: true,
    });
  for (const one of glued) addGlued(made, vocabulary, mnemonic, around, one.marks, one.share);
  return made;
}

/** Marks around words, and what part of all words has them. */
interface Marks {
  readonly before: string;
  readonly after: string;
  readonly share: number;
  /** No other marks follow or go before. */
  readonly isAll: boolean;
}

function addMarked(
  made: MarkedWord[],
  vocabulary: Vocabulary,
  mnemonic: string,
  around: Around,
  { before, after, share, isAll }: Marks,
): void {
  const { words, perTenThousand, punctuation } = vocabulary;
  const start = before.length;
  const end = start + mnemonic.length;
  if (around.exact !== NONE) {
    const ofWord =
      (before ? punctuation!.before(mnemonic, before, isAll) : 1) *
      (after ? punctuation!.after(mnemonic, after, isAll) : 1);
    const rate = perTenThousand[around.exact]! * ofWord;
    if (rate >= LEAST)
      made.push({
        text: before + mnemonic + after,
        start,
        end,
        word: around.exact,
        kind: 'whole',
        perTenThousand: rate,
      });
  }
  if (!before && around.endingSum * share >= LEAST) {
    const word = words[around.ending]!;
    made.push({
      text: word + after,
      start: word.length - mnemonic.length,
      end: word.length,
      word: around.ending,
      kind: 'inside',
      perTenThousand: around.endingSum * share,
    });
  }
  if (!after && around.beginningSum * share >= LEAST) {
    made.push({
      text: before + words[around.beginning]!,
      start,
      end,
      word: around.beginning,
      kind: 'beginning',
      perTenThousand: around.beginningSum * share,
    });
  }
}

/** Behind another word with this mark between them and no blank. */
function addGlued(
  made: MarkedWord[],
  { words, perTenThousand }: Vocabulary,
  mnemonic: string,
  around: Around,
  mark: string,
  share: number,
): void {
  const head = words[0]! + mark;
  const place = { start: head.length, end: head.length + mnemonic.length };
  const rate = around.exact === NONE ? 0 : perTenThousand[around.exact]! * share;
  if (rate >= LEAST)
    made.push({ ...place, text: head + mnemonic, word: around.exact, kind: 'whole', perTenThousand: rate });
  if (around.beginningSum * share >= LEAST) {
    made.push({
      ...place,
      text: head + words[around.beginning]!,
      word: around.beginning,
      kind: 'beginning',
      perTenThousand: around.beginningSum * share,
    });
  }
}

function put(made: MarkedWord[], one: MarkedWord): void {
  if (one.perTenThousand >= LEAST) made.push(one);
}

/** Mnemonics in small letters: those that longer words around them matter of, by where. All of them may be words. */
export interface Mnemonics {
  readonly ending: ReadonlySet<string>;
  readonly beginning: ReadonlySet<string>;
}

/** The words of a language around each of some mnemonics. Linear in the words; a few mnemonics are quicker. */
export function wordsAround({ ending, beginning }: Mnemonics, vocabulary: Vocabulary): (mnemonic: string) => Around {
  const found = new Map<string, Around>();
  for (const mnemonic of [...ending, ...beginning])
    found.set(mnemonic, { exact: NONE, endingSum: 0, ending: NONE, beginningSum: 0, beginning: NONE });
  const { words, perTenThousand } = vocabulary;
  const noteEnding = (around: Around, word: number) => {
    around.endingSum += perTenThousand[word]!;
    if (around.ending === NONE) around.ending = word;
  };
  const noteBeginning = (around: Around, word: number) => {
    around.beginningSum += perTenThousand[word]!;
    if (around.beginning === NONE) around.beginning = word;
  };
  const often = oftenIn(vocabulary);
  if (found.size <= FEW) {
    for (const [mnemonic, around] of found) {
      for (const word of often.containing(`\n${mnemonic}`)) {
        if (words[word] === mnemonic) around.exact = word;
        else noteBeginning(around, word);
      }
      for (const word of often.containing(`${mnemonic}\n`)) if (words[word] !== mnemonic) noteEnding(around, word);
    }
    return (mnemonic) => found.get(mnemonic)!;
  }
  const lengthsOf = (some: ReadonlySet<string>) =>
    [...new Set(Array.from(some, ({ length }) => length))].sort((a, b) => a - b);
  const [endings, beginnings] = [lengthsOf(ending), lengthsOf(beginning)];
  for (let index = 0; index < often.count; index += 1) {
    const word = words[index]!;
    const exact = found.get(word);
    if (exact) exact.exact = index;
    for (const length of endings) {
      if (length >= word.length) break;
      const end = word.slice(-length);
      if (ending.has(end)) noteEnding(found.get(end)!, index);
    }
    for (const length of beginnings) {
      if (length >= word.length) break;
      const start = word.slice(0, length);
      if (beginning.has(start)) noteBeginning(found.get(start)!, index);
    }
  }
  return (mnemonic) => found.get(mnemonic)!;
}

/** The words that come often enough to be looked at: the first so many; and those of them in which something stands, a line end before and behind each. */
class OftenUsed {
  readonly count: number;
  private readonly joined: string;
  private readonly starts: Int32Array;

  constructor({ words, perTenThousand }: Vocabulary) {
    const rarer = perTenThousand.findIndex((value) => value < LEAST_WORD);
    this.count = rarer < 0 ? words.length : rarer;
    this.joined = `\n${words.slice(0, this.count).join('\n')}\n`;
    this.starts = new Int32Array(this.count + 1);
    for (let i = 0; i < this.count; i += 1) this.starts[i + 1] = this.starts[i]! + words[i]!.length + 1;
  }

  *containing(text: string): Generator<number> {
    for (let at = this.joined.indexOf(text); at >= 0; at = this.joined.indexOf(text, at + 1))
      yield positionIn(this.starts, at);
  }
}

const OFTEN = new WeakMap<Vocabulary, OftenUsed>();

function oftenIn(vocabulary: Vocabulary): OftenUsed {
  let often = OFTEN.get(vocabulary);
  if (!often) OFTEN.set(vocabulary, (often = new OftenUsed(vocabulary)));
  return often;
}
