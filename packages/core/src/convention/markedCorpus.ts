import { ContextCorpus, markedWordsUnder, type MarkedWord, type Vocabulary } from '../clash';
import type { CompiledList, FoldedText } from '../fire';
import type { DeviceProfile } from '../profile';
import { matchKey } from '../model';

/** Marked words as a tally weighs them. */
export interface WeighedMarked {
  readonly folded: FoldedText;
  readonly starts: Int32Array;
  readonly texts: readonly MarkedWord[];
  /** Whether a code from `start` to `end` of a text is its mnemonic with marks, and nothing else. */
  readonly isMarked: (text: number, start: number, end: number) => boolean;
}

/** The words of a language with marks, in which codes with some mnemonics may fire under any mark. */
export class MarkedCorpus {
  private readonly corpus: ContextCorpus;
  private readonly texts: readonly MarkedWord[];
  /** Where the marks beside the mnemonic begin and end. */
  private readonly from: Int32Array;
  private readonly to: Int32Array;

  constructor(mnemonics: readonly string[], vocabulary: Vocabulary) {
    const keys = new Set(mnemonics.map((mnemonic) => matchKey(mnemonic)));
    this.texts = [...keys].flatMap((key) => markedWordsUnder(key, vocabulary));
    this.corpus = new ContextCorpus(
      this.texts.map(({ text }) => text),
      true,
    );
    this.from = Int32Array.from(
      this.texts,
      ({ text, start }) => start - /[^\p{L}\p{N}\p{M}]*$/u.exec(text.slice(0, start))![0].length,
    );
    this.to = Int32Array.from(
      this.texts,
      ({ text, end }) => end + /^[^\p{L}\p{N}\p{M}]*/u.exec(text.slice(end))![0].length,
    );
  }

  weighedFor(profile: DeviceProfile): WeighedMarked {
    return {
      folded: this.corpus.foldedFor(profile),
      starts: this.corpus.starts,
      texts: this.texts,
      isMarked: this.isMarked,
    };
  }

  /** How often, in 10,000 words, a code of this list fires with its marks. */
  weighWith(list: CompiledList): number {
    const hit = new Set<number>();
    this.corpus.scan(list, (text, start, end) => {
      if (this.isMarked(text, start, end)) hit.add(text);
    });
    let sum = 0;
    for (const text of hit) sum += this.texts[text]!.perTenThousand;
    return sum;
  }

  private readonly isMarked = (text: number, start: number, end: number): boolean => {
    const one = this.texts[text]!;
    return (
      start <= one.start &&
      start >= this.from[text]! &&
      end >= one.end &&
      end <= this.to[text]! &&
      (start < one.start || end > one.end)
    );
  };
}
