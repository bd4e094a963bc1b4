import type { Sentence } from './sentences';
import type { WordRow } from './wordRow';

/** A group is read off so many different sentences. */
const MOST_READ = 60;
/** A word that most have belongs to all; another for it is a slip. */
const IN_MOST = 0.7;
/** Where a common word is not. */
export const MISSING = -1;
/** So much of the words is the same in all. */
const SAME = 0.5;
/** Fewer words say nothing. */
const FEWEST = 2;

/** The words that most different sentences of a group have in the order of the most typical one; null: too few. */
export function commonWords({ words }: WordRow, group: readonly Sentence[]): Int32Array | null {
  const different = [...new Map(group.map((one) => [words.subarray(one.from, one.to).join(' '), one])).values()]
    .slice(0, MOST_READ)
    .map((one) => words.subarray(one.from, one.to));
  if (different.length < 2) return null;
  const inHowMany = new Map<number, number>();
  for (const one of different) for (const word of new Set(one)) inHowMany.set(word, (inHowMany.get(word) ?? 0) + 1);
  const typical = (one: Int32Array) =>
    one.filter((word) => inHowMany.get(word)! * 2 > different.length).length / one.length ** 0.5;
  const model = different.reduce((best, one) => (typical(one) > typical(best) ? one : best));
  const holding = new Uint32Array(model.length);
  let count = 0;
  for (const one of different) {
    const at = alignedTo(model, one);
    const same = at.filter((place) => place !== MISSING).length;
    // One that has little in common with the rest says something else.
    if (same < SAME * model.length) continue;
    count += 1;
    at.forEach((place, word) => {
      if (place !== MISSING) holding[word] = holding[word]! + 1;
    });
  }
  const common = model.filter((_, word) => holding[word]! >= IN_MOST * count);
  return common.length < SAME * model.length || common.length < FEWEST ? null : common;
}

/** Where each word of `common` stands in a sentence, in the longest row of words that both have in the same order; MISSING: it does not. */
export function alignedTo(common: Int32Array, sentence: Int32Array): number[] {
  const width = sentence.length + 1;
  const lengths = new Uint8Array((common.length + 1) * width);
  for (let x = common.length - 1; x >= 0; x -= 1)
    for (let y = sentence.length - 1; y >= 0; y -= 1)
      lengths[x * width + y] =
        common[x] === sentence[y]
          ? lengths[(x + 1) * width + y + 1]! + 1
          : Math.max(lengths[(x + 1) * width + y]!, lengths[x * width + y + 1]!);
  const at: number[] = [];
  for (let y = 0; at.length < common.length;) {
    const x = at.length;
    if (y < sentence.length && common[x] === sentence[y]) {
      at.push(y);
      y += 1;
    } else if (y >= sentence.length || lengths[(x + 1) * width + y]! >= lengths[x * width + y + 1]!) at.push(MISSING);
    else y += 1;
  }
  return at;
}
