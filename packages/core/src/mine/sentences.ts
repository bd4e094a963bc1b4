import type { WordRow } from './wordRow';

/** A sentence: its words, from one place in the row to before another. */
export interface Sentence {
  readonly from: number;
  readonly to: number;
}

/** What ends a sentence between two words: a mark with white space behind it, a full mark of Chinese or Japanese, or a new line. */
const END = /[.!?…:;](?:["'”’)\]]*)\s|[。！？]|\n/u;

/** The sentences of a row of words, a line or a message ending them too. Linear. */
export function sentencesOf({ text, words, starts, ends, firstBreak }: WordRow): Sentence[] {
  const sentences: Sentence[] = [];
  let from = 0;
  const end = (to: number) => {
    if (to > from) sentences.push({ from, to });
  };
  for (let at = 0; at < words.length; at += 1) {
    if (words[at]! >= firstBreak) {
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

/** 1 where a sentence begins and where one ends, by place in the row; one longer than the row. */
export function edgesOf(row: WordRow, sentences: readonly Sentence[]): Uint8Array {
  const edges = new Uint8Array(row.words.length + 1);
  for (const { from, to } of sentences) {
    edges[from] = 1;
    edges[to] = 1;
  }
  return edges;
}
