import type { Vocabulary } from '@yellow-latch/core/clash';
import { Punctuation } from '@yellow-latch/core/clash/punctuation';
import { z } from 'zod';

import { PunctuationFileSchema } from './punctuation/file';
import { zipf } from './zipf';

/** Abbreviations that no source counts, and how often each is assumed to come in 10,000 words; files of before have none. */
const AssumedSchema = z.strictObject({ words: z.string().min(1), perTenThousand: z.number().positive() });

/** How words stand; files of before have none. `classes`: words that stand alike. */
const PunctuationSchema = PunctuationFileSchema.extend({ classes: z.array(z.array(z.string())) });

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
    assumed: AssumedSchema.optional(),
    punctuation: PunctuationSchema.optional(),
  }),
  z.strictObject({
    format: z.literal(1),
    kind: z.literal('ranked'),
    language: z.string(),
    source: z.string(),
    words: z.string().min(1),
    law: z.strictObject({ a: z.number(), b: z.number(), c: z.number() }),
    assumed: AssumedSchema.optional(),
    punctuation: PunctuationSchema.optional(),
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
  const { language, assumed, kind, punctuation } = file;
  // Of what did not come in n words at most 3 / n come, in 95 of 100 cases: the rule of three (Hanley & Lippman-Hand 1983, from memory).
  const unseen = Math.max(file.kind === 'counted' ? 30_000 / file.total : 0, perTenThousand.at(-1)!);
  return {
    language,
    isEstimate: kind === 'ranked',
    unseen,
    ...(punctuation ? { punctuation: new Punctuation(punctuation) } : {}),
    ...(assumed ? withAssumed(words, perTenThousand, assumed) : { words, perTenThousand }),
  };
}

/** The words with those that are assumed to come more often than was counted, most frequent first. */
function withAssumed(
  words: readonly string[],
  perTenThousand: Float64Array,
  assumed: z.infer<typeof AssumedSchema>,
): Pick<Vocabulary, 'words' | 'perTenThousand' | 'assumed'> {
  const rank = new Map(words.map((word, i) => [word, i]));
  const rarer = assumed.words
    .split(' ')
    .filter((word) => (perTenThousand[rank.get(word) ?? -1] ?? 0) < assumed.perTenThousand);
  const isRaised = new Set(rarer);
  const at = perTenThousand.findIndex((value) => value < assumed.perTenThousand);
  const first = at < 0 ? words.length : at;
  const kept = words.map((_, i) => i).filter((i) => !isRaised.has(words[i]!));
  const before = kept.filter((i) => i < first);
  const after = kept.filter((i) => i >= first);
  return {
    words: [...before.map((i) => words[i]!), ...rarer, ...after.map((i) => words[i]!)],
    perTenThousand: Float64Array.from([
      ...before.map((i) => perTenThousand[i]!),
      ...rarer.map(() => assumed.perTenThousand),
      ...after.map((i) => perTenThousand[i]!),
    ]),
    assumed: isRaised,
  };
}
