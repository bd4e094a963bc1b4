import type { Shortcut } from '@yellow-latch/core/model';

import { makeFinder } from './find';
import { groupBySet } from './groups';

function shortcut(code: string, expansion: string, setId: string | null = null): Shortcut {
  const content = { expansion, template: false, format: 'plain' as const };
  return { id: code, code, content, kind: 'message', setId, rules: {}, usesAWeek: null, former: null, pinned: null, note: '', language: null, private: false, changed: 0 };
}

const set = (id: string, name: string) => ({ id, name, icon: 'folder', order: id, changed: 0 });

const view = {
  left: [], keyboards: [], ownKeyboards: [], conventions: [], unsettled: [],
  languages: ['en'],
  devices: ['app'],
  sets: [set('a', 'Visits'), set('b', 'Signs')],
  shortcuts: [
    shortcut(';hum', 'Pianos like a steady relative humidity.', 'a'),
    shortcut(';sh', '♯', 'b'),
    shortcut(';ten', 'I am about ten minutes away.', 'a'),
    shortcut('hrp', 'Heather Road: park behind the kitchens.', 'gone'),
  ],
};
const found = (query: string) => [...(makeFinder(view).find(query) ?? ['all'])].sort();

describe('finding', () => {
  test.each([
    ['', ['all']],
    ['  ', ['all']],
    [';', [';hum', ';sh', ';ten']],
    ['H', [';hum', ';sh', 'hrp']],
    ['humid', [';hum']],
    ['humdity', [';hum']],
    ['minutes ten', [';ten']],
    ['minutes humidity', []],
    ['xylophone', []],
  ])('%j', (query, ids) => expect(found(query)).toEqual(ids.sort()));
});

describe('grouping', () => {
  const lines = (ids: Set<string> | null) =>
    groupBySet(view, ids).map((item) =>
      item.type === 'set' ? `${item.set?.name ?? 'none'} ${item.count}` : item.shortcut.code,
    );

  test('by set in their order, first what has none or one that is gone', () => {
    expect(lines(null)).toEqual(['none 1', 'hrp', 'Visits 2', ';hum', ';ten', 'Signs 1', ';sh']);
  });

  test('leaves out sets in which nothing was found', () => {
    expect(lines(new Set([';sh']))).toEqual(['Signs 1', ';sh']);
    expect(lines(new Set())).toEqual([]);
  });
});
