import { CodePointSet, type Block, type SymbolTable, type SymbolWords } from '@yellow-latch/core/symbols';
import { z } from 'zod';

const BlocksSchema = z.array(z.tuple([z.string().min(1), z.int().nonnegative(), z.int().nonnegative()]));

/**
 * Symbols as a file. `runs`: runs of code points that have names, each the distance from the end of the last and its length, in base
 * 36; `names` in their order, a line each. `drawn`: likewise, what a shipped face draws. `emoji`: by group, separated by spaces.
 */
export const SymbolsFileSchema = z.strictObject({
  format: z.literal(1),
  source: z.string(),
  runs: z.string().min(1),
  names: z.string().min(1),
  emoji: z.array(z.tuple([z.string().min(1), z.string().min(1)])),
  tones: z.string(),
  blocks: BlocksSchema,
  numbered: BlocksSchema,
  drawn: z.string(),
  lookAlikes: z.array(z.tuple([z.string(), z.string()])),
});
export type SymbolsFile = z.infer<typeof SymbolsFileSchema>;

/** What symbols are called in a language: `texts` separated by spaces; a line of `names` and of `keywords` (separated by |) for each. */
export const SymbolWordsFileSchema = z.strictObject({
  format: z.literal(1),
  language: z.string(),
  source: z.string(),
  texts: z.string().min(1),
  names: z.string(),
  keywords: z.string(),
});
export type SymbolWordsFile = z.infer<typeof SymbolWordsFileSchema>;

/** Reads a file's content. Errors: not such a file, or names that do not belong to its code points. */
export function parseSymbols(content: unknown): SymbolTable {
  const file = SymbolsFileSchema.parse(content);
  const characters = rangesOf(file.runs).flatMap(({ first, last }) =>
    Array.from({ length: last - first + 1 }, (_, index) => String.fromCodePoint(first + index)),
  );
  const names = file.names.split('\n');
  if (names.length !== characters.length) {
    throw new RangeError(`${characters.length} characters have ${names.length} names`);
  }
  const tones = new Map<string, string[]>();
  for (const text of file.tones.split(' ').filter((one) => one !== '')) {
    const plain = withoutTone(text);
    const others = tones.get(plain);
    if (others) others.push(text);
    else tones.set(plain, [text]);
  }
  const emoji = file.emoji.map(([id, texts]) => ({ id, emoji: texts.split(' ') }));
  return {
    characters,
    names,
    emoji,
    tones: new Map(
      emoji.flatMap((group) => group.emoji.map((one) => [one, tones.get(withoutTone(one)) ?? []] as const)),
    ),
    blocks: file.blocks.map(asBlock),
    numbered: file.numbered.map(asBlock),
    drawn: new CodePointSet(rangesOf(file.drawn).flatMap(({ first, last }) => [first, last + 1])),
    lookAlikes: new Map(file.lookAlikes.map(([one, others]) => [one, others.split(' ')])),
  };
}

/** Reads a file's content. Errors: not such a file, or lines that do not belong to its texts. */
export function parseSymbolWords(content: unknown): SymbolWords {
  const file = SymbolWordsFileSchema.parse(content);
  const texts = file.texts.split(' ');
  const names = file.names.split('\n');
  const keywords = file.keywords.split('\n');
  if (names.length !== texts.length || keywords.length !== texts.length) {
    throw new RangeError(`${texts.length} symbols have ${names.length} names and ${keywords.length} lines of keywords`);
  }
  return {
    language: file.language,
    names: new Map(texts.map((text, index) => [text, names[index]!])),
    keywords: new Map(texts.map((text, index) => [text, keywords[index]!.split('|').filter((word) => word !== '')])),
  };
}

/** Two people of different tones are spelt out; of one tone, or without any, they are one character. */
const TWO_PEOPLE: Readonly<Record<string, string>> = {
  '🫱‍🫲': '🤝',
  '👩‍🤝‍👩': '👭',
  '👩‍🤝‍👨': '👫',
  '👨‍🤝‍👨': '👬',
  '🧑‍❤‍💋‍🧑': '💏',
  '🧑‍❤‍🧑': '💑',
  '🧑‍🐰‍🧑': '👯',
  '👨‍🐰‍👨': '👯‍♂',
  '👩‍🐰‍👩': '👯‍♀',
  '🧑‍🫯‍🧑': '🤼',
  '👨‍🫯‍👨': '🤼‍♂',
  '👩‍🫯‍👩': '🤼‍♀',
};

/** An emoji as it is without a skin tone, and without what chooses a picture: where a tone stands that does not. */
function withoutTone(text: string): string {
  const plain = text.replaceAll(/[\ufe0f\u{1f3fb}-\u{1f3ff}]/gu, '');
  return TWO_PEOPLE[plain] ?? plain;
}

/** Code points as runs: each the distance from the end of the last and its length, in base 36. */
export function asRuns(codePoints: readonly number[]): string {
  const runs: string[] = [];
  let end = 0;
  for (let index = 0; index < codePoints.length;) {
    const first = codePoints[index]!;
    let length = 1;
    while (codePoints[index + length] === first + length) length += 1;
    runs.push(`${(first - end).toString(36)} ${length.toString(36)}`);
    end = first + length;
    index += length;
  }
  return runs.join(' ');
}

function rangesOf(runs: string): { first: number; last: number }[] {
  const figures = runs.split(' ').map((figure) => Number.parseInt(figure, 36));
  const ranges: { first: number; last: number }[] = [];
  let end = 0;
  for (let index = 0; index + 1 < figures.length; index += 2) {
    const first = end + figures[index]!;
    end = first + figures[index + 1]!;
    ranges.push({ first, last: end - 1 });
  }
  return ranges;
}

function asBlock([name, first, last]: readonly [string, number, number]): Block {
  return { name, first, last };
}
