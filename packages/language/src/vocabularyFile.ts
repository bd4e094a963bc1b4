import type { Vocabulary } from '@yellow-latch/core/clash';
import { z } from 'zod';

import { zipf } from './zipf';

/**
 * A vocabulary as a file. `words` are separated by spaces, most frequent first. Counted words have
 * `counts` of `total` tokens: the first, then how much less each next one has, in base 36. Others have
 * the parameters of Zipf's law.
 */
export const VocabularyFileSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    format: z.literal(1),
    kind: z.literal('counted'),
    language: z.string(),
    source: z.string(),
    words: z.string().min(1),
    total: z.int().positive(),
    counts: z.string(),
  }),
  z.strictObject({
    format: z.literal(1),
    kind: z.literal('ranked'),
    language: z.string(),
    source: z.string(),
    words: z.string().min(1),
    law: z.strictObject({ a: z.number(), b: z.number(), c: z.number() }),
  }),
]);

export type VocabularyFile = z.infer<typeof VocabularyFileSchema>;

/** Reads a file's content. Errors: not such a file, or counts that do not belong to its words. */
export function parseVocabulary(content: unknown): Vocabulary {
  const file = VocabularyFileSchema.parse(content);
  const words = file.words.split(' ');
  const perTenThousand = new Float64Array(words.length);
  if (file.kind === 'ranked') {
    for (let i = 0; i < words.length; i += 1) perTenThousand[i] = zipf(file.law, i + 1);
  } else {
    const steps = file.counts.split(' ');
    if (steps.length !== words.length) {
      throw new RangeError(`${words.length} words have ${steps.length} counts`);
    }
    let count = 0;
    steps.forEach((step, i) => {
      const value = parseInt(step, 36);
      if (!Number.isInteger(value)) throw new RangeError(`count ${i + 1} is no number: ${step}`);
      count = i === 0 ? value : count - value;
      perTenThousand[i] = (count * 10_000) / file.total;
    });
  }
  return { language: file.language, words, perTenThousand, isEstimate: file.kind === 'ranked' };
}
