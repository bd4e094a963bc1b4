import type { CodePlan, PlannedMove } from '@yellow-latch/core/codePlan';
import { makeShortcut } from '@yellow-latch/core/model/testing';
import type { ShortcutSet } from '@yellow-latch/core/model';

import { groupsOf } from './groups';

const sets = [
  { id: 's1', name: 'Visits' },
  { id: 's2', name: 'Us' },
] as unknown as ShortcutSet[];
const shortcuts = [
  makeShortcut(';a', 'A text', { id: 'a', setId: 's2' }),
  makeShortcut(';b', 'B text', { id: 'b', setId: 's1' }),
  makeShortcut(';c', 'C text', { id: 'c', setId: 'gone' }),
  makeShortcut(';d', 'D text', { id: 'd', setId: 's2' }),
];
const byId = new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut]));
const move = (id: string, to: string): PlannedMove => ({ id, from: `;${id}`, to, how: 'initials', gain: 1 });
const plan = (...moves: PlannedMove[]): CodePlan => ({ moves, kept: 0, before: 0, after: 0, gap: 0, stuck: [] });

test('set by set in the order of the list, those in none last', () => {
  const items = groupsOf(plan(move('a', ';x'), move('c', ';y'), move('b', ';z')), new Set(), byId, sets);
  expect(items.map(({ key }) => key)).toEqual(['set s1', 'b', 'set s2', 'a', 'set ', 'c']);
});

test('what was told to stay keeps its row, and does not count as changing', () => {
  const items = groupsOf(plan(move('a', ';x')), new Set(['d', 'gone']), byId, sets);
  expect(items).toMatchObject([
    { type: 'set', name: 'Us', ids: ['a', 'd'], changing: 1 },
    { type: 'code', ids: ['a'], move: { to: ';x' } },
    { type: 'code', ids: ['d'], move: null },
  ]);
  // A plan of before it was told so does not move it.
  expect(groupsOf(plan(move('a', ';x')), new Set(['a']), byId, sets)[1]).toMatchObject({ ids: ['a'], move: null });
});
