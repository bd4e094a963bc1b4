/** Makes the file of common slips. Runs in Node. */
import { countedEnglish, readJson } from '../build';
import type { SlipsFile } from './file';

interface Dictionary {
  readonly dictionaryDefinitions: readonly { readonly suggestWords: readonly string[] }[];
}

/** Only slips of the commonest words are offered: of rarer ones nobody makes them every week. */
const MOST_WORDS = 5_000;
/** What is itself written as often as this, in the source's count, is no slip. */
const LEAST_WRITTEN = 60;

/**
 * English slips with one word that was meant, which is a common one; those of the commonest words first. A slip that is a word of the
 * language itself is left out.
 */
export function buildSlips(): SlipsFile {
  const { words } = countedEnglish();
  const rank = new Map(words.slice(0, MOST_WORDS).map(({ word }, index) => [word, index]));
  const written = new Set(words.filter(({ count }) => count >= LEAST_WRITTEN).map(({ word }) => word));
  const [dictionary] = (readJson('@cspell/dict-en-common-misspellings', 'dict/dict-en.json') as Dictionary)
    .dictionaryDefinitions;
  const slips = dictionary!.suggestWords
    .map((line) => line.split('->') as [string, string])
    .filter(([typed, meant]) => /^[a-z]{3,}$/u.test(typed) && rank.has(meant) && !written.has(typed))
    .sort(([a, first], [b, second]) => rank.get(first)! - rank.get(second)! || (a < b ? -1 : 1));
  return {
    format: 1,
    source: '@cspell/dict-en-common-misspellings, from Wikipedia, codespell and others',
    licence: 'CC BY-SA 4.0',
    slips: slips.map(([typed, meant]) => `${typed} ${meant}`).join('\n'),
  };
}
