import fc from 'fast-check';

import { wordsIn } from '../model';
import { WordIndex } from './wordIndex';

const ALL = { areWhole: false, skipped: [], most: 1_000, goesFirst: () => false };
const word = fc.stringMatching(/^[ab]{1,4}$/);
const items = fc.array(fc.array(word, { maxLength: 5 }), { minLength: 1, maxLength: 40 });

test('finds what a plain filter finds: first what has every word whole, then what only begins one so', () => {
  fc.assert(
    fc.property(items, fc.array(word, { minLength: 1, maxLength: 3 }), fc.boolean(), (all, asked, areWhole) => {
      const hasWhole = (words: readonly string[]) => asked.every((one) => words.includes(one));
      const has = (words: readonly string[]) =>
        areWhole ? hasWhole(words) : asked.every((one) => words.some((other) => other.startsWith(one)));
      const numbers = all.map((_, item) => item);
      const wanted = [
        ...numbers.filter((item) => hasWhole(all[item]!)),
        ...numbers.filter((item) => has(all[item]!) && !hasWhole(all[item]!)),
      ];
      const index = new WordIndex(all);
      expect(index.find(asked, { ...ALL, areWhole })).toEqual({ first: wanted, count: wanted.length });
      const [skipped] = wanted;
      if (skipped === undefined) return;
      expect(index.find(asked, { ...ALL, areWhole, skipped: [skipped] }).first).toEqual(wanted.slice(1));
    }),
  );
});

test('hands on as many as are asked for, counts all, and lets some go first', () => {
  const index = new WordIndex(Array.from({ length: 50 }, (_, at) => (at % 2 === 0 ? ['arrow'] : ['arrows'])));
  const { first, count } = index.find(['arrow'], { ...ALL, most: 3, goesFirst: (item) => item === 48 });
  expect([first, count]).toEqual([[48, 0, 2, 4, 1, 3, 5], 50]);
  expect(index.find([], ALL)).toEqual({ first: [], count: 0 });
});

test('the nearest word: a slip, two letters the other way round, the commoner of two; none for short or far ones', () => {
  const index = new WordIndex([['arrow'], ['arrow'], ['error'], ['heart'], ['hearty'], ['fraction']]);
  expect(['arow', 'arrwo', 'haert', 'fractoin', 'frction'].map((one) => index.nearest(one))).toEqual([
    'arrow',
    'arrow',
    'heart',
    'fraction',
    'fraction',
  ]);
  // Some word begins so: nothing was misspelt.
  expect(index.nearest('frac')).toBe('frac');
  expect(['aro', 'zebra', 'xrrow'].map((one) => index.nearest(one))).toEqual([null, null, null]);
});

test('words are without capitals and marks, of every script', () => {
  expect(wordsIn('Flèche DROITE, n°5')).toEqual(['fleche', 'droite', 'n', '5']);
  expect(wordsIn('ﬁne Ⅷ →')).toEqual(['fine', 'viii']);
  expect(wordsIn('стрелка')).toEqual(['стрелка']);
});
