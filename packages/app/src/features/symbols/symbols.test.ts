/** @jest-environment node */
import { STARTERS, USES } from '@yellow-latch/core/symbols';
import { buildSymbols, buildSymbolWords } from '@yellow-latch/language/symbols/build';

import { SymbolsWorkerApi } from '@/answers/symbols/workerApi';

import { toggled, type Ticked } from './chosen';
import { emojiName, starterName, tellSearch, nameOfUse } from './words';

async function openedApi() {
  const symbols = await buildSymbols();
  const api = new SymbolsWorkerApi((name) => {
    if (name === 'symbols') return Promise.resolve(symbols);
    const language = name.replace('symbols-', '');
    return language === 'en' || language === 'de'
      ? Promise.resolve(buildSymbolWords(language))
      : Promise.reject(new Error('none'));
  });
  return api;
}

test('the worker’s answers: a search, shelves, what stands on them, a closer look; a language that is not to be had is left out', async () => {
  const api = await openedApi();
  expect([api.search('half'), api.shelves(), api.browse({ of: 'use', use: 'music' }), api.details('½')]).toEqual([
    null,
    null,
    null,
    null,
  ]);
  expect(await api.open(['de', 'pl'])).toEqual(['pl']);
  expect(api.search('pfeil')?.symbols[0]?.text).toBe('→');
  const shelves = api.shelves()!;
  expect(shelves.uses.map(({ use }) => use)).toEqual([...USES]);
  expect(shelves.blocks.find(({ block }) => block === 'Arrows')?.count).toBe(112);
  expect(api.browse({ of: 'block', block: 'Arrows' })).toHaveLength(112);
  expect(api.browse({ of: 'emoji', group: 'Flags' })!.length).toBeGreaterThan(250);
  expect(api.details('½')).toMatchObject({ block: 'Latin 1 Supplement', symbol: { isDrawn: true } });
  expect(api.called(['♐', '½'])).toEqual([['sagittarius'], ['half']]);
  expect(api.usual()![0]!.text).toBe('–');
});

test('everything that can be browsed has a name in words', () => {
  for (const name of [
    ...USES.map(nameOfUse),
    ...(Object.keys(STARTERS) as (keyof typeof STARTERS)[]).map(starterName),
  ]) {
    expect(name).not.toBe('');
  }
  expect([emojiName('Food & Drink'), emojiName('Something else')]).toEqual(['Food and drink', 'Something else']);
});

test('a search is told where it is not as asked', () => {
  const none = { symbols: [], count: 0, meant: null, none: null };
  expect(tellSearch({ ...none, count: 3 }, 'x')).toBeNull();
  expect(tellSearch(none, 'qqq')).toContain('qqq');
  expect(tellSearch({ ...none, meant: 'arrow', count: 2 }, 'arow')).toContain('arrow');
  expect(tellSearch({ ...none, none: { why: 'control', codePoint: 'U+0007' } }, 'x')).toContain('U+0007');
});

test('ticked in the order of taps; all of a shelf at once, and none again', () => {
  const [a, b] = ['½', '→'].map((text) => ({ text, name: text, isDrawn: true }));
  const one: Ticked = toggled(new Map(), [b!]);
  const both = toggled(one, [a!, b!]);
  expect([...both.keys()]).toEqual(['→', '½']);
  expect(toggled(both, [a!, b!]).size).toBe(0);
});
