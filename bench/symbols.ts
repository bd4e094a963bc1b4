/** Any character found by name and keyword in four languages, letter by letter, beside reading all of them each time. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { SymbolFinder } from '@yellow-latch/core/symbols';
import { parseSymbols, parseSymbolWords } from '@yellow-latch/language';

import { percentile, round, type Figure } from './measure';

const LANGUAGES = ['en', 'de', 'fr', 'es'];
const ASKED = [
  'right arrow',
  'half',
  'quarter note',
  'copyright',
  'euro sign',
  'herzchen',
  'flèche gauche',
  'corazón rojo',
  'degree celsius',
  'greek small letter omega',
  'box drawings light',
  'waving hand',
  'smiling face with hearts',
  'zzzzz',
  'arow',
];

function read(name: string): unknown {
  const folder = join(process.cwd(), 'packages/app/public/language');
  return JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8'));
}

export function symbols(): Figure[] {
  const table = parseSymbols(read('symbols'));
  const words = LANGUAGES.map((language) => parseSymbolWords(read(`symbols-${language}`)));
  const begun = performance.now();
  const finder = new SymbolFinder(table, words);
  const made = performance.now() - begun;
  const texts = table.characters.map((character, index) =>
    [
      table.names[index]!,
      ...words.flatMap(({ names, keywords }) => [names.get(character) ?? '', ...(keywords.get(character) ?? [])]),
    ]
      .join('\n')
      .toLowerCase(),
  );
  const queries = ASKED.flatMap((query) => Array.from(query, (_, index) => query.slice(0, index + 1)));
  const ours: number[] = [];
  const plain: number[] = [];
  let found = 0;
  for (let run = 0; run < 8; run += 1) {
    for (const query of queries) {
      let start = performance.now();
      found += finder.search(query).count;
      const mine = performance.now() - start;
      start = performance.now();
      const parts = query.split(' ');
      found += texts.filter((text) => parts.every((part) => text.includes(part))).length;
      const all = performance.now() - start;
      // The first run warms both up.
      if (run === 0) continue;
      ours.push(mine);
      plain.push(all);
    }
  }
  if (found === 0) throw new Error('nothing was found');
  const [p95, filter] = [percentile(ours, 95), percentile(plain, 95)];
  return [
    {
      name: 'symbols',
      what: `one of ${finder.size.toLocaleString('en')} characters and emoji searched for at each letter of ${queries.length} queries, p95; the index was made in ${round(made)} ms`,
      ours: round(p95),
      peer: `${round(filter)} ms, Array.filter over all names and keywords`,
      ratio: round(filter / p95),
      unit: 'ms',
      bar: '≥ 5 ×',
      holds: filter >= 5 * p95,
    },
  ];
}
