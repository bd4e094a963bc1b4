/**
 * How words stand in what people write: the marks around them, how often they begin a sentence, how figures are written. Shares
 * come from counts. A word that was counted seldom is taken to stand as its class does, and a class as all words do: it is counted
 * as if `OTHERS` more had been seen that do so (a beta prior; additive smoothing, from memory).
 */

/** Marks that words are counted with one by one, in the order of their counts; others are counted for all words together. */
export const MARKS_AFTER = [',', '.', ';', ':', '!', '?', ')', '-', '"', "'"] as const;
export const MARKS_BEFORE = ['(', '"', "'", '-'] as const;

/** What was counted in texts of one language. A mark is a character that is no letter, figure or blank. */
export interface PunctuationCounts {
  /** Words of letters in all. */
  readonly words: number;
  /** How many of them are the first of a sentence or paragraph. */
  readonly begins: number;
  /** How many words have these marks, one or two, right behind them. */
  readonly after: Readonly<Record<string, number>>;
  /** As `after`, right before them. */
  readonly before: Readonly<Record<string, number>>;
  /** Words that follow another with this mark between them and no blank. */
  readonly glued: Readonly<Record<string, number>>;
  /** Marks with blanks on both sides. */
  readonly alone: Readonly<Record<string, number>>;
  /** What holds figures, each figure as d. */
  readonly figures: Readonly<Record<string, number>>;
  /** By word: how often it was met, how often it begins a sentence, then by `MARKS_AFTER` and `MARKS_BEFORE`; zeros at the end are left out. */
  readonly ofWord: Readonly<Record<string, readonly number[]>>;
  /** Words that stand alike: answers, names of days, abbreviations. */
  readonly classes: readonly (readonly string[])[];
}

/** So often at least the blank after one of these is missing in what is typed in a hurry; assumed, since texts that were printed are corrected. */
const SLIP = 1 / 500;
const SLIPS = [',', '.', ';', ':', '!', '?'];
/** As many words as were seen standing as others do. */
const OTHERS = 50;
const AFTER_FROM = 2;
const BEFORE_FROM = AFTER_FROM + MARKS_AFTER.length;
const COLUMNS = BEFORE_FROM + MARKS_BEFORE.length;
/** How often figures begin a number: Benford's law (Benford 1938, from memory). Others are alike. */
const FIRST = (figure: number): number => (figure === 0 ? 0.02 : 0.98 * Math.log10(1 + 1 / figure));

export class Punctuation {
  private readonly all: Float64Array;
  private readonly ofClass = new Map<string, Float64Array>();
  /** The shares of one mark, whatever follows it: by mark. */
  private readonly firstAfter = new Map<string, number>();
  private readonly lastBefore = new Map<string, number>();

  constructor(readonly counts: PunctuationCounts) {
    const { words, begins, after, before, ofWord, classes } = counts;
    for (const [marks, count] of Object.entries(after)) add(this.firstAfter, marks[0]!, count / words);
    for (const [marks, count] of Object.entries(before)) add(this.lastBefore, marks.at(-1)!, count / words);
    this.all = new Float64Array(COLUMNS);
    this.all[1] = begins / words;
    MARKS_AFTER.forEach((mark, i) => (this.all[AFTER_FROM + i] = this.firstAfter.get(mark) ?? 0));
    MARKS_BEFORE.forEach((mark, i) => (this.all[BEFORE_FROM + i] = this.lastBefore.get(mark) ?? 0));
    for (const members of classes) {
      const sums = new Float64Array(COLUMNS);
      for (const word of members) ofWord[word]?.forEach((count, i) => (sums[i]! += count));
      const shares = sums.map((sum, i) => (sum + OTHERS * this.all[i]!) / (sums[0]! + OTHERS));
      for (const word of members) this.ofClass.set(word, shares);
    }
    const sharesOf = (counted: Readonly<Record<string, number>>) =>
      Object.entries(counted).map(([marks, count]) => ({ marks, share: count / words }));
    const both = Object.keys(before).filter((marks) => marks.length === 1 && after[marks] !== undefined);
    this.marks = {
      after: sharesOf(after),
      before: sharesOf(before),
      both: both.map((marks) => ({ marks, share: (before[marks]! / words) * (after[marks]! / words) })),
      glued: [...new Set([...Object.keys(counts.glued), ...SLIPS])]
        .filter((mark) => mark.length === 1)
        .map((marks) => ({ marks, share: this.glued(marks) })),
    };
  }

  /** Words that were looked at. */
  get words(): number {
    return this.counts.words;
  }

  /** All marks that were seen right behind words and no others with them; right before them; on both sides of one; between two: and the part of all words that have them. */
  readonly marks: Readonly<
    Record<'after' | 'before' | 'both' | 'glued', readonly { readonly marks: string; readonly share: number }[]>
  >;

  /** The part of a word's uses that begin a sentence or paragraph. */
  begins(word: string): number {
    return this.share(word, 1);
  }

  /** The part of a word's uses with these marks right behind it, and no other if `isAll`; null: of all words. At most two marks. */
  after(word: string | null, marks: string, isAll = false): number {
    const known = (MARKS_AFTER as readonly string[]).indexOf(marks[0]!);
    const ofAll = this.firstAfter.get(marks[0]!) ?? 0;
    const first = word === null || known < 0 ? ofAll : this.share(word, AFTER_FROM + known);
    if (ofAll === 0 || (marks.length === 1 && !isAll)) return first;
    return first * ((this.counts.after[marks] ?? 0) / this.words / ofAll);
  }

  /** As `after`, right before it. */
  before(word: string | null, marks: string, isAll = false): number {
    const mark = marks.at(-1)!;
    const known = (MARKS_BEFORE as readonly string[]).indexOf(mark);
    const ofAll = this.lastBefore.get(mark) ?? 0;
    const last = word === null || known < 0 ? ofAll : this.share(word, BEFORE_FROM + known);
    if (ofAll === 0 || (marks.length === 1 && !isAll)) return last;
    return last * ((this.counts.before[marks] ?? 0) / this.words / ofAll);
  }

  /** The part of words that follow another with this mark between them and no blank. */
  glued(mark: string): number {
    const counted = (this.counts.glued[mark] ?? 0) / this.words;
    return SLIPS.includes(mark) ? Math.max(counted, (this.firstAfter.get(mark) ?? 0) * SLIP) : counted;
  }

  /** Marks with blanks on both sides, in 10,000 words. */
  alone(marks: string): number {
    return ((this.counts.alone[marks] ?? 0) * 10_000) / this.words;
  }

  /** How often such a text with figures comes in 10,000 words, with these very figures. */
  figures(text: string): number {
    const pattern = text.replaceAll(/\p{Nd}/gu, 'd');
    const count = this.counts.figures[pattern] ?? 0;
    if (count === 0) return 0;
    let share = 1;
    let isFirst = true;
    for (const character of text) {
      if (/\p{Nd}/u.test(character)) {
        share *= isFirst ? FIRST(Number(character)) : 0.1;
        isFirst = false;
      } else {
        isFirst = true;
      }
    }
    return (count * share * 10_000) / this.words;
  }

  private share(word: string, column: number): number {
    const prior = (this.ofClass.get(word) ?? this.all)[column]!;
    const counts = Object.hasOwn(this.counts.ofWord, word) ? this.counts.ofWord[word] : undefined;
    return ((counts?.[column] ?? 0) + OTHERS * prior) / ((counts?.[0] ?? 0) + OTHERS);
  }
}

function add(to: Map<string, number>, key: string, value: number): void {
  to.set(key, (to.get(key) ?? 0) + value);
}
