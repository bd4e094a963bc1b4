import type { WordRow } from './wordRow';

/** A sentence: its words, from one place in the row to before another. */
export interface Sentence {
  readonly from: number;
  readonly to: number;
}

/** What ends a sentence between two words: a mark with white space behind it, or a new line. */
const END = /[.!?…:;](?:["'”’)\]]*)\s|\n/u;

/** The sentences of a row of words, a line or a message ending them too. Linear. */
export function sentencesOf({ text, words, starts, ends }: WordRow, isBreak: (word: number) => boolean): Sentence[] {
  const sentences: Sentence[] = [];
  let from = 0;
  const end = (to: number) => {
    if (to > from) sentences.push({ from, to });
  };
  for (let at = 0; at < words.length; at += 1) {
    if (isBreak(words[at]!)) {
      end(at);
      from = at + 1;
    } else if (at > from && END.test(text.slice(ends[at - 1], starts[at]))) {
      end(at);
      from = at;
    }
  }
  end(words.length);
  return sentences;
}
