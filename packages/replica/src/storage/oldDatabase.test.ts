/**
 * A device's database as the version before the renames of November 2026 left it (made by that version, names of
 * stores, fields and values as they were): it opens, and nothing in it is lost.
 */
import { derivedId } from '@yellow-latch/core/model';
import { openDB } from 'idb';

import old from '../../fixtures/database-5.json';
import { settingDevice } from '../commands/devices';
import { openDatabase } from './database';
import { stateFrom } from './device';
import { lastDraft } from './drafts';
import { Replica } from './replica';
import { readCounts } from './uses';

const [[, state]] = old.stores.state as [[string, { id: string }]];

async function opened(): Promise<Replica> {
  const db = await openDB(`yellow-latch-${state.id}`, old.version, {
    upgrade(empty) {
      for (const [name, entries] of Object.entries(old.stores)) {
        const isNumbered = name === 'outbox' || name === 'blocks';
        const store = empty.createObjectStore(name, isNumbered ? { autoIncrement: true } : undefined);
        for (const [key, value] of entries as [IDBValidKey, unknown][]) void store.put(value, key);
      }
    },
  });
  db.close();
  const database = await openDatabase(state.id);
  return Replica.open(database, stateFrom((await database.get('state', 'device'))!));
}

let replica: Replica;
beforeAll(async () => {
  replica = await opened();
});

test('every store of it is known', () => {
  expect(Object.keys(old.stores).sort()).toEqual([...replica.db.objectStoreNames].sort());
});

test('the list is as it was: records, what waits on top of them, private ones, what was ignored', () => {
  const { shortcuts, sets, ignored: left, conventions, languages, devices } = replica.read();
  expect(shortcuts.map(({ code, private: isPrivate }) => [code, isPrivate])).toEqual([
    [';full', false],
    [';new', false],
    [';tune', true],
    [';wrk', false],
  ]);
  expect(shortcuts.at(-1)).toMatchObject({ content: { expansion: '12 Mill Lane' }, used: { count: 3 } });
  // What came to the model later is as in a new one.
  for (const shortcut of shortcuts) expect(shortcut).toMatchObject({ card: null, tagLimit: null });
  expect(sets.map(({ name }) => name)).toEqual(['Workshop']);
  expect(left).toMatchObject([{ finding: 'word', about: 'ws', reason: 'I never write it' }]);
  expect(conventions).toMatchObject([{ mark: { place: 'before', marker: ';' } }]);
  expect(languages).toEqual(['en', 'de']);
  // What was chosen before devices were records is read as devices; the app is a place on each of them.
  expect(devices).toEqual([
    {
      id: derivedId('before', 'phone-list'),
      changed: 0,
      name: 'Phone',
      kind: 'phone',
      joined: null,
      places: [
        { profile: 'phone-list', answers: {} },
        { profile: 'app', answers: {} },
      ],
      keyboards: [],
      share: 6,
    },
  ]);
});

test('the outbox goes on its way, and what was refused is told', () => {
  expect(replica.waiting.map(({ n, fields }) => [n, Object.keys(fields)[0]])).toEqual([
    [1, 'code'],
    [2, 'rules'],
    [3, 'used'],
    [4, 'deleted'],
  ]);
  expect(replica.refusals).toEqual(['this list is full']);
  const [, second] = replica.waiting;
  expect(second!.together).toBe(replica.waiting[0]!.together);
});

test('the device knows who it is, what it may do, and which sets it gets', () => {
  const setId = replica.read().sets[0]!.id;
  expect(replica.state).toMatchObject({ id: state.id, may: 'edit', through: 7, last: 'c7' });
  expect(JSON.stringify(replica.state)).toContain(JSON.stringify([null, setId]));
});

test('the draft is there with what can be undone in it, and so is what was counted', async () => {
  const draft = await lastDraft(replica.db);
  expect([draft.text, draft.history.done.length]).toEqual(['Dear 12 Mill Lane', 2]);
  expect(Object.values((await readCounts(replica.db))!.counts)).toEqual([3]);
});

test('what is written next comes after what waits', async () => {
  await replica.write([{ type: 'shortcut', id: replica.read().shortcuts[1]!.id, fields: { note: 'later' } }]);
  expect(replica.waiting.map(({ n }) => n)).toEqual([1, 2, 3, 4, 5]);
});

test('it asks for a fresh copy, since an earlier version of the app was not sent all types of records', () => {
  expect([replica.state.model, replica.next]).toEqual([1, { since: 0, last: null }]);
});

test('a device that is changed gets its record, and is no longer read off what was chosen', async () => {
  const list = replica.read();
  await replica.write(settingDevice(list.devices[0]!, { name: 'My phone' }, list).writes);
  expect(replica.read().devices).toMatchObject([{ id: list.devices[0]!.id, name: 'My phone', share: 6 }]);
  expect(replica.read().profiles).toEqual(['phone-list', 'app']);
});
