import { makeShortcut } from '@yellow-latch/core/model/testing';
import type { Severity } from '@yellow-latch/core/clash/finding';
import type { Shortcut, ShortcutSet } from '@yellow-latch/core/model';

import { makeFinder } from '@/parts/find';
import { arrange, NO_FILTERS, type Filters, type Sort } from './arrange';

const shortcut = (code: string, expansion: string, setId: string | null = null, more: Partial<Shortcut> = {}) =>
  makeShortcut(code, expansion, { setId, ...more });

const set = (id: string, name: string) => ({ id, name, icon: 'folder', order: id, changed: 0 });

const view = {
  ignored: [],
  keyboards: [],
  ownKeyboards: [],
  conventions: [],
  unsettled: [],
  languages: ['en'],
  devices: [],
  places: [],
  profiles: ['app'],
  leftOut: [],
  carried: [],
  learners: [],
  learning: [],
  chosen: { languages: ['en'], devices: ['app'], keyboards: [], hasDevices: true },
  sets: [set('a', 'Visits'), set('b', 'Signs')],
  shortcuts: [
    shortcut(';hum', 'Pianos like a steady relative humidity.', 'a', { private: true, usesAWeek: 3 }),
    shortcut(';sh', '♯', 'b', { kind: 'symbol', note: 'raised by a semitone' }),
    shortcut(';ten', 'I am about ten minutes away.', 'a', { used: { count: 2, since: 0 } }),
    shortcut('hrp', 'Heather Road: park behind the kitchens.', 'gone', { language: 'de' }),
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
    ['humidtiy', [';hum']],
    ['mintues', [';ten']],
    ['semitone', [';sh']],
    ['signs', [';sh']],
    ['visits minutes', [';ten']],
    ['raod', ['hrp']],
    ['minutes ten', [';ten']],
    ['minutes humidity', []],
    ['xylophone', []],
  ])('%j', (query, ids) => expect(found(query)).toEqual(ids.sort()));
});

const nameOf = (set: ShortcutSet | 'corrections' | null) => (set === 'corrections' ? set : (set?.name ?? 'none'));

describe('the order and the filters', () => {
  const lines = (
    found: Set<string> | null,
    filters: Partial<Filters> = {},
    sort: Sort = 'set',
    worst = new Map<string, Severity>(),
  ) =>
    arrange(view, found, { ...NO_FILTERS, ...filters }, sort, worst).map((item) =>
      item.type === 'set' ? `${nameOf(item.set)} ${item.count}` : item.shortcut.code,
    );

  test('by set in their order, first what has none or one that is gone', () => {
    expect(lines(null)).toEqual(['none 1', 'hrp', 'Visits 2', ';hum', ';ten', 'Signs 1', ';sh']);
  });

  test('leaves out sets in which nothing was found', () => {
    expect(lines(new Set([';sh']))).toEqual(['Signs 1', ';sh']);
    expect(lines(new Set())).toEqual([]);
  });

  test.each<[Sort, string[]]>([
    ['code', [';hum', ';sh', ';ten', 'hrp']],
    ['expansion', [';sh', 'hrp', ';ten', ';hum']],
    ['newest', ['hrp', ';ten', ';sh', ';hum']],
    ['most used', [';ten', ';hum', ';sh', 'hrp']],
  ])('by %s', (sort, codes) => expect(lines(null, {}, sort)).toEqual(codes));

  test.each<[Partial<Filters>, string[]]>([
    [{ kind: 'symbol' }, [';sh']],
    [{ setId: 'a' }, [';hum', ';ten']],
    [{ setId: '' }, ['hrp']],
    [{ language: 'de' }, ['hrp']],
    [{ language: '' }, [';hum', ';sh', ';ten']],
    [{ neverUsed: true }, [';hum', ';sh', 'hrp']],
    [{ privateOnly: true }, [';hum']],
    [{ severity: 'risky' }, [';ten']],
    [{ neverUsed: true, setId: 'a' }, [';hum']],
  ])('filters: %j', (filters, codes) =>
    expect(lines(null, filters, 'code', new Map([[';ten', 'risky']]))).toEqual(codes),
  );
});

test('the index follows the list: what is changed, gone or renamed', () => {
  const finder = makeFinder(view);
  const ids = (query: string) => [...finder.find(query)!].sort();
  expect(ids('kitchens')).toEqual(['hrp']);
  const changed = view.shortcuts
    .map((one) => (one.id === 'hrp' ? { ...one, content: { ...one.content, expansion: 'Mill Lane' } } : one))
    .filter(({ id }) => id !== ';ten');
  finder.observe({ shortcuts: changed, sets: [set('a', 'Calls')] });
  expect([ids('kitchens'), ids('lane'), ids('minutes'), ids('calls')]).toEqual([[], ['hrp'], [], [';hum']]);
});
