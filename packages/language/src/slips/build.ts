/** Makes the file of common slips. Runs in Node. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

import { countedEnglish } from '../build';
import type { SlipsFile } from './file';

const require = createRequire(import.meta.url);

interface Dictionary {
  readonly dictionaryDefinitions: readonly { readonly suggestWords: readonly string[] }[];
}

/** Only slips of the commonest words are offered: of rarer ones nobody makes them every week. */
const MOST_WORDS = 5_000;
/** What is itself written as often as this, in the source's count, is no slip. */
const LEAST_WRITTEN = 60;

/** So many are offered of one word. */
const MOST_OF_ONE = 3;

/**
 * How likely one makes a slip without seeing it, rather than with a finger beside its key: two letters the other way round, then
 * another vowel, then a letter doubled or not. 0: it is none of these.
 */
function likelihood(typed: string, meant: string): number {
  const isSwapped = typed.length === meant.length && [...typed].sort().join('') === [...meant].sort().join('');
  if (isSwapped && (typed[0] === meant[0] || typed.length <= 4)) return 3;
  if (typed[0] !== meant[0]) return 0;
  const single = (word: string) => word.replaceAll(/(.)\1/gu, '$1');
  const withoutVowels = (word: string) => single(word).replaceAll(/[aeiouy]+/gu, 'a');
  if (single(typed) === single(meant)) return 1;
  return meant.length > 4 && withoutVowels(typed) === withoutVowels(meant) ? 2 : 0;
}

/**
 * English slips and the common word that was meant; those of the commonest words first. A slip that is a word of the
 * language itself is left out.
 */
export function buildSlips(): SlipsFile {
  const { words } = countedEnglish();
  const rank = new Map(words.slice(0, MOST_WORDS).map(({ word }, index) => [word, index]));
  const written = new Set(words.filter(({ count }) => count >= LEAST_WRITTEN).map(({ word }) => word));
  const folder = dirname(require.resolve('@cspell/dict-en-common-misspellings'));
  const content = JSON.parse(readFileSync(join(folder, 'dict/dict-en.json'), 'utf8')) as Dictionary;
  const [dictionary] = content.dictionaryDefinitions;
  const slips = dictionary!.suggestWords
    .map((line): [string, string] => {
      const [typed, meant] = line.split('->') as [string, string];
      // Of several that may have been meant the likeliest stands first.
      return [typed, meant.split(',')[0]!];
    })
    .filter(([typed, meant]) => /^[a-z]{3,}$/u.test(typed) && rank.has(meant) && !written.has(typed))
    .filter(([typed, meant]) => likelihood(typed, meant) > 0)
    .sort(
      ([a, first], [b, second]) =>
        rank.get(first)! - rank.get(second)! || likelihood(b, second) - likelihood(a, first) || (a < b ? -1 : 1),
    );
  const counts = new Map<string, number>();
  const offered = slips.filter(([, meant]) => {
    const count = (counts.get(meant) ?? 0) + 1;
    counts.set(meant, count);
    return count <= MOST_OF_ONE;
  });
  return {
    format: 1,
    source: '@cspell/dict-en-common-misspellings, from Wikipedia, codespell and others',
    licence: 'CC BY-SA 4.0',
    slips: offered.map(([typed, meant]) => `${typed} ${meant}`).join('\n'),
  };
}
