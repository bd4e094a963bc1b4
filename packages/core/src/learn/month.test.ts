/** The table in docs/learning.md: a month of a made-up learner. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import { learnFor, randomNumbers } from './testing';

const RUNS = 20;

function monthOf(atOnce: number, way: 'practises' | 'looks once') {
  const months = Array.from({ length: RUNS }, (_, seed) => learnFor(30, 30, atOnce, way, randomNumbers(seed + 1)));
  const mean = (of: (month: (typeof months)[number]) => number) =>
    Math.round(months.reduce((sum, month) => sum + of(month), 0) / RUNS);
  return { remembered: mean(({ remembered }) => remembered), minutes: mean(({ minutes }) => minutes) };
}

test('who looks at codes once remembers more of two at a time than of thirty at once; the table says how many', () => {
  const rows = ([2, 30] as const).flatMap((atOnce) =>
    (['looks once', 'practises'] as const).map((way) => ({ atOnce, way, ...monthOf(atOnce, way) })),
  );
  const of = (atOnce: number, way: string) => rows.find((row) => row.atOnce === atOnce && row.way === way)!;
  expect(of(2, 'looks once').remembered).toBeGreaterThan(of(30, 'looks once').remembered);
  expect(of(2, 'looks once').minutes).toBeGreaterThan(of(30, 'looks once').minutes);
  const doc = readFileSync(join(__dirname, '../../../../docs/learning.md'), 'utf8');
  const lines = doc.split('\n').map((line) => line.replaceAll(/\s+/gu, ' '));
  for (const { atOnce, way, remembered, minutes } of rows)
    expect(lines).toContain(`| ${atOnce} | ${way} | ${remembered} | ${minutes} |`);
});
