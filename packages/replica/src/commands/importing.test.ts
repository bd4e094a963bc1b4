import { makeShortcut } from '@yellow-latch/core/model/testing';
import { planImport, readList, writeList } from '@yellow-latch/core/exchange';
import type { Shortcut } from '@yellow-latch/core/model';

import type { ListView } from '../storage/view';

import { importing, type Choices, type Import } from './importing';

const NOW = '2026-11-26T09:00:00.000Z';
let number = 0;
const idOf = (n: number) => `01930000-0000-7000-8000-${String(n).padStart(12, '0')}`;

function shortcut(code: string, expansion: string, more: Partial<Shortcut> = {}): Shortcut {
  number += 1;
  return makeShortcut(code, expansion, { id: idOf(number), ...more });
}

const visits = { id: idOf(900), name: 'Visits', icon: 'truck', order: 'a0', changed: 0 };
const list: ListView = {
  shortcuts: [shortcut(';ten', 'Ten minutes', { setId: visits.id }), shortcut(';ws', 'Mill Lane')],
  sets: [visits],
  ignored: [],
  languages: ['en'],
  devices: [],
  places: [],
  profiles: ['app'],
  keyboards: [],
  ownKeyboards: [],
  conventions: [],
  leftOut: [],
  carried: [],
  learners: [],
  learning: [],
  chosen: { languages: ['en'], devices: ['app'], keyboards: [], hasDevices: true },
  unsettled: [],
};

function plan(
  text: string,
  choices: Choices = new Map(),
  more: Partial<Import> = {},
  into = list,
  isKnown: (type: string, id: string) => boolean = () => false,
) {
  const read = readList(text);
  if ('type' in read) throw new Error(read.type);
  const rows = planImport(read.rows, into, read.file?.sets);
  return importing(
    {
      rows,
      choices,
      fileSets: read.file?.sets ?? [],
      into: null,
      keepsSecrets: true,
      rest: read.file?.rest ?? null,
      restParts: ['list', 'conventions', 'keyboards', 'leftFindings'],
      ...more,
    },
    into,
    isKnown,
  );
}

test('what is new and what is changed, with a set that is made once; and all of it taken back', () => {
  const { command, made, changed } = plan(
    'code,expansion,set\n;a,one,Loans\n;b,two,loans\n;c,three,visits\n;ten,Soon,Visits\n;ws,Mill Lane,\n',
    new Map([[3, { do: 'take' }]]),
  );
  expect([made, changed]).toEqual([3, 1]);
  const [set, ...shortcuts] = command.writes;
  expect(set).toMatchObject({ type: 'set', fields: { name: 'Loans' } });
  expect(shortcuts).toMatchObject([
    { fields: { code: ';a', setId: set!.id } },
    { fields: { code: ';b', setId: set!.id } },
    { fields: { code: ';c', setId: visits.id } },
    { id: list.shortcuts[0]!.id, fields: { content: { expansion: 'Soon' } } },
  ]);
  expect(command.undo([])).toMatchObject([
    { id: list.shortcuts[0]!.id, fields: { content: { expansion: 'Ten minutes' } } },
    ...[2, 1, 0].map((index) => ({ id: shortcuts[index]!.id, fields: { deleted: true } })),
    { type: 'set', id: set!.id, fields: { deleted: true } },
  ]);
});

test('what a person decides: out, another code, in place of what is there', () => {
  const text = 'code,expansion\n;a,one\n;TEN,other ten\n;WS,other lane\n';
  const { command } = plan(
    text,
    new Map([
      [0, { do: 'leave' }],
      [1, { do: 'recode', code: ';ten2' }],
      [2, { do: 'replace' }],
    ]),
  );
  expect(command.writes).toMatchObject([
    { fields: { code: ';ten2', content: { expansion: 'other ten' } } },
    { id: list.shortcuts[1]!.id, fields: { code: ';WS', content: { expansion: 'other lane' } } },
  ]);
  expect(command.writes).toHaveLength(2);
  expect(plan(text, new Map([[0, { do: 'leave' }]])).command.writes).toEqual([]);
});

test('one’s own text stays unless one says otherwise; under a new code the other comes beside it', () => {
  const text = 'code,expansion\n;ten,Soon\n';
  expect(plan(text).command.writes).toEqual([]);
  const { command, made } = plan(text, new Map([[0, { do: 'recode', code: ';ten2' }]]));
  expect(made).toBe(1);
  expect(command.writes).toMatchObject([{ fields: { code: ';ten2', content: { expansion: 'Soon' } } }]);
  expect(command.writes[0]!.id).not.toBe(list.shortcuts[0]!.id);
});

test('those that say nothing of a set go where they are sent', () => {
  const text = 'code,expansion,set\n;a,one,\n;b,two,Visits\n';
  expect(plan(text, new Map(), { into: { setId: visits.id } }).command.writes).toMatchObject([
    { fields: { setId: visits.id } },
    { fields: { setId: visits.id } },
  ]);
  const [set, first] = plan(text, new Map(), { into: { name: 'Brought in' } }).command.writes;
  expect([set, first]).toMatchObject([{ type: 'set', fields: { name: 'Brought in' } }, { fields: { setId: set!.id } }]);
  // While its name is still being typed there is no set.
  expect(plan(text, new Map(), { into: { name: ' ' } }).command.writes).toMatchObject([
    { fields: { setId: null } },
    { fields: { setId: visits.id } },
  ]);
});

test('what looks like a secret stays on this device, unless it is wanted everywhere', () => {
  const text = 'code,expansion\n;card,4111 1111 1111 1111\n';
  expect(plan(text).command.writes).toMatchObject([{ isPrivate: true }]);
  expect(plan(text, new Map(), { keepsSecrets: false }).command.writes).toMatchObject([{ isPrivate: false }]);
});

test('a file of ours brings its ids, sets and counts; what was deleted here comes back', () => {
  const own = shortcut(';own', 'mine', { setId: visits.id, used: { count: 7, since: 5 } });
  const gone = shortcut(';gone', 'back again');
  const empty = { ...list, shortcuts: [], sets: [] };
  const { command, uses } = plan(
    writeList({ shortcuts: [own, gone], sets: [visits] }, 'json', NOW),
    new Map(),
    {},
    empty,
    (_type, id) => id === gone.id,
  );
  expect(command.writes).toMatchObject([
    { type: 'set', id: visits.id, fields: { name: 'Visits', icon: 'truck', order: 'a0' } },
    { id: own.id, fields: { setId: visits.id, used: { count: 7, since: 5 } } },
    { id: gone.id, fields: { deleted: false } },
  ]);
  expect(uses).toEqual({ [own.id]: 7 });
});

test('the rest of a backup, as far as it is asked for and differs', () => {
  const backup = JSON.stringify({
    format: 'yellow-latch list',
    version: 1,
    made: NOW,
    sets: [],
    shortcuts: [],
    rest: {
      list: { languages: ['en', 'de'], devices: ['app'], keyboards: [] },
      conventions: [
        { id: idOf(950), scope: { of: 'list' }, mark: { place: 'before', marker: ';' }, capitals: 'small' },
      ],
      keyboards: [],
      leftFindings: [{ id: idOf(951), shortcutId: idOf(1), finding: 'word', about: 'x', reason: 'It is fine.' }],
    },
  });
  const chosen = {
    id: idOf(960),
    scope: { of: 'list' as const },
    mark: { place: 'before' as const, marker: ',' },
    capitals: 'small' as const,
    changed: 1,
  };
  const { command } = plan(
    backup,
    new Map(),
    { restParts: ['list', 'conventions'] },
    { ...list, conventions: [chosen] },
  );
  expect(command.writes).toMatchObject([
    { type: 'list', fields: { languages: ['en', 'de'] } },
    { type: 'convention', id: chosen.id, fields: { mark: { marker: ';' } } },
  ]);
  expect(command.undo([])).toMatchObject([
    { type: 'convention', id: chosen.id, fields: { mark: { marker: ',' } } },
    { type: 'list', fields: { languages: ['en'] } },
  ]);
});
