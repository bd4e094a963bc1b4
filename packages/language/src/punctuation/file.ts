import { z } from 'zod';

import type { Counted } from './count';

const counts = z.record(z.string().min(1), z.int().positive());

/** What was counted of how words stand, as a file; `ofWord` and the rest as `PunctuationCounts` of core/clash has them. */
export const PunctuationFileSchema = z.strictObject({
  format: z.literal(1),
  language: z.string(),
  source: z.string(),
  words: z.int().positive(),
  begins: z.int().nonnegative(),
  after: counts,
  before: counts,
  glued: counts,
  alone: counts,
  figures: counts,
  ofWord: z.record(z.string().min(1), z.array(z.int().nonnegative())),
});

export type PunctuationFile = z.infer<typeof PunctuationFileSchema>;

/** What was met less often is chance. */
const LEAST = 3;

/** What was counted as the content of a file: one line for each word that was met `leastOfWord` times. */
export function asFile(language: string, source: string, counted: Counted, leastOfWord: number): string {
  const kept = (of: Map<string, number>) =>
    Object.fromEntries(
      [...of]
        .filter(([what, count]) => count >= LEAST && isPlain(what))
        .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)),
    );
  const { words, begins, after, before, glued, alone, figures } = counted;
  const file = {
    format: 1,
    language,
    source,
    words,
    begins,
    after: kept(after),
    before: kept(before),
    glued: kept(glued),
    alone: kept(alone),
    figures: kept(figures),
  };
  const lines = [...counted.ofWord]
    .filter(([, ofWord]) => ofWord.words >= leastOfWord)
    .sort((a, b) => b[1].words - a[1].words || (a[0] < b[0] ? -1 : 1))
    .map(([word, ofWord]) => {
      const row = [ofWord.words, ofWord.begins, ...ofWord.after, ...ofWord.before];
      while (row.at(-1) === 0) row.pop();
      return `${JSON.stringify(word)}:${JSON.stringify(row)}`;
    });
  return `${JSON.stringify(file).slice(0, -1)},"ofWord":{\n${lines.join(',\n')}\n}}\n`;
}

/** Whether marks are such as stand on keyboards, not what is left of broken characters or drawings. */
function isPlain(text: string): boolean {
  return /^[\x20-\x7e\u00a0-\u024f\u20ac]+$/u.test(text);
}
