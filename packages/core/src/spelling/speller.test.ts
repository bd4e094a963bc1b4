import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

import { parseVocabulary } from '@yellow-latch/language';
import { buildVocabulary } from '@yellow-latch/language/build';
import { distance } from 'fastest-levenshtein';

import { Speller } from '.';

const english = parseVocabulary(buildVocabulary('en'));
const speller = Speller.of(english);
const known = new Set(english.words);

/** A slip and the word that it is listed for. */
type Slip = readonly [typed: string, meant: string];

/**
 * The list of the package @cspell/dict-en-common-misspellings 2.2.6 (CC BY-SA 4.0), from Wikipedia's and others: slips with one
 * correction, which is a word of the language. What slips cost was set on those of even places.
 */
const SLIPS: readonly Slip[] = read(
  join(dirname(require.resolve('@cspell/dict-en-common-misspellings')), 'dict/dict-en.json'),
).dictionaryDefinitions[0]!.suggestWords.flatMap((line): Slip[] => {
  const [typed, meant] = line.split('->') as [string, string];
  return /^[a-z]+$/u.test(typed) && known.has(meant) ? [[typed, meant]] : [];
});
const ODD = SLIPS.filter((_, at) => at % 2 === 1);

function read(file: string) {
  return JSON.parse(readFileSync(file, 'utf8')) as {
    dictionaryDefinitions: readonly { suggestWords: readonly string[] }[];
  };
}

/** Every `n`th, so that all letters are met. */
function some(slips: readonly Slip[], count: number): Slip[] {
  const step = Math.floor(slips.length / count);
  return slips.filter((_, at) => at % step === 0).slice(0, count);
}

function sharesOf(slips: readonly Slip[], correct: (typed: string) => string | null) {
  const came = slips.map(([typed, meant]) => [correct(typed), meant] as const);
  const right = came.filter(([word, meant]) => word === meant).length;
  const wrong = came.filter(([word, meant]) => word !== null && word !== meant).length;
  return { right: right / slips.length, wrong: wrong / slips.length };
}

test('of slips that nothing was set on, 80 of 100 become the word and no more than 8 another one', () => {
  const { right, wrong } = sharesOf(some(ODD, process.env.YELLOW_LATCH_SOAK ? 20_000 : 1_200), (typed) =>
    speller.correctionOf(typed),
  );
  expect(right).toBeGreaterThanOrEqual(0.8);
  expect(wrong).toBeLessThanOrEqual(0.08);
}, 120_000);

test('it is right more often than the nearest word by edit distance, the commonest of those, and wrong less', () => {
  const slips = some(ODD, 150);
  /** The plain way (P. Norvig 2007, from memory): up to two edits, of the nearest words the commonest; distances by the package fastest-levenshtein. */
  const nearest = (typed: string) => {
    let best: string | null = null;
    let least = 3;
    for (const word of english.words) {
      if (Math.abs(word.length - typed.length) >= least) continue;
      const edits = distance(typed, word);
      if (edits < least) [best, least] = [word, edits];
    }
    return best;
  };
  const plain = sharesOf(slips, nearest);
  const ours = sharesOf(slips, (typed) => speller.correctionOf(typed));
  expect(ours.right).toBeGreaterThan(plain.right);
  expect(ours.wrong).toBeLessThan(plain.wrong / 2);
}, 60_000);

test('no word of the 5,000 commonest is changed: small, at the start of a sentence, in capitals, of somebody', () => {
  const changed = english.words
    .slice(0, 5_000)
    .flatMap((word) => [
      word,
      word.charAt(0).toUpperCase() + word.slice(1),
      word.toUpperCase(),
      `${word}'s`,
      `${word}’s`,
    ])
    .filter((word) => speller.correctionOf(word) !== null);
  expect(changed).toEqual([]);
});

test.each([
  ['teh', 'the'],
  ['Teh', 'The'],
  ['adn', 'and'],
  ['hte', 'the'],
  ['recieve', 'receive'],
  ['tommorow', 'tomorrow'],
  ['definately', 'definitely'],
])('%s was meant to be %s', (typed, meant) => {
  expect(speller.correctionOf(typed)).toBe(meant);
});

test.each(['qx', 'TEH', 'tEh', 'te7h', 'Corrieandvale', 'xzqvkw', 'x'.repeat(40), ''])('%s stays', (typed) => {
  expect(speller.correctionOf(typed)).toBeNull();
});

test('other languages are searched by their own words', () => {
  const german = Speller.of(parseVocabulary(buildVocabulary('de')));
  expect(german.correctionOf('nciht')).toBe('nicht');
  expect(german.correctionOf('wirklihc')).toBe('wirklich');
});
