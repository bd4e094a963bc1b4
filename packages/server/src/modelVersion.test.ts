/** Devices of an earlier version of the app, which do not know all types of records, go on in step with what they know. */
import { idOfJoined } from '@yellow-latch/core/devices';
import { MODEL_VERSION, RECORD_TYPES, type DeviceFields, type RecordType } from '@yellow-latch/core/model';
import { HistorySchema, PageSchema, type History, type Page } from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import { TestDevice, testServer, type TestServer } from './testing';

let server: TestServer;
let old: TestDevice;
let young: TestDevice;
beforeEach(async () => {
  server = testServer();
  [old, young] = [await TestDevice.join(server.app), await TestDevice.join(server.app)];
});
afterEach(() => server.end());

const PHONE: DeviceFields = {
  name: 'Phone',
  kind: 'phone',
  joined: null,
  places: [{ profile: 'phone-list', answers: {} }],
  keyboards: [],
  share: 6,
};
const NEW = `model=${MODEL_VERSION}`;

const pageOf = async (device: TestDevice, query: string): Promise<Page> =>
  PageSchema.parse((await device.get(device.at(`/pages?${query}`))).body);
const typesOf = ({ records }: Page) => records.map(({ type }) => type);
const historyOf = async (device: TestDevice, query = ''): Promise<History> =>
  HistorySchema.parse((await device.get(device.at(`/history?${query}`))).body);

test('an earlier version is sent what it knows, up to the same number, and nothing of the rest', async () => {
  await young.push([young.write('device', PHONE, idOfJoined(young.id)), young.change()]);
  const [seenOld, seenNew] = [await pageOf(old, 'since=0'), await pageOf(young, `since=0&${NEW}`)];
  expect([typesOf(seenOld), seenOld.removed, seenOld.through]).toEqual([['shortcut'], [], 2]);
  expect([typesOf(seenNew), seenNew.through]).toEqual([['device', 'shortcut'], 2]);
});

test('a page of nothing it knows is empty, and it goes on from there', async () => {
  await young.push([young.write('device', PHONE)]);
  const page = await pageOf(old, 'since=0');
  expect([page.records, page.more, page.through]).toEqual([[], false, 1]);
  await young.push([young.change()]);
  expect(typesOf(await pageOf(old, `since=1&last=${page.last}`))).toEqual(['shortcut']);
});

test('pages end where they are full, whatever of them it knows', async () => {
  await young.push([young.write('device', PHONE), young.write('device', PHONE), young.change()]);
  const first = await pageOf(old, 'since=0&limit=2');
  expect([first.records, first.more, first.through]).toEqual([[], true, 2]);
  expect(typesOf(await pageOf(old, 'since=2&limit=2'))).toEqual(['shortcut']);
});

test('what it writes is taken, and reaches all', async () => {
  await young.push([young.write('device', PHONE)]);
  const answer = await old.push([old.write('list', { languages: ['en'], devices: ['app', 'tablet-list'] })]);
  expect(answer.status).toBe(200);
  expect(typesOf(await pageOf(young, `since=1&${NEW}`))).toEqual(['list']);
});

test('history tells it of what it knows; what was carried is in nobody’s', async () => {
  const shortcut = young.change();
  const carried = {
    deviceId: uuid(),
    profile: 'phone-list',
    shortcutId: shortcut.record.id,
    code: ';ws',
    digest: '0123456789abcdef',
    at: 1,
  };
  await young.push([shortcut, young.write('device', PHONE), young.write('carried', carried)]);
  const typesIn = ({ changes }: History) => changes.map(({ record }) => record.type);
  expect(typesIn(await historyOf(old))).toEqual(['shortcut']);
  expect(typesIn(await historyOf(young, NEW))).toEqual(['device', 'shortcut']);
});

test('what was carried goes where its shortcut goes', async () => {
  const setId = uuid();
  const set = young.write('set', { name: 'Visits', icon: 'van', order: 'a0' }, setId);
  const shortcut = young.change({
    code: ';w',
    content: { expansion: 'w', template: false, format: 'plain' },
    kind: 'message',
    setId,
  });
  const fields = {
    deviceId: uuid(),
    profile: 'phone-list',
    shortcutId: shortcut.record.id,
    code: ';w',
    digest: '0123456789abcdef',
    at: 1,
  };
  const note = young.write('carried', fields);
  await young.push([set, shortcut, note]);
  await young
    .ask('patch', `/api/d/${young.id}/devices/${old.id}`)
    .send({ takes: [null] })
    .expect(200);
  const page = await pageOf(old, `since=0&${NEW}`);
  expect(page.removed.map(({ type }) => type)).toEqual(['set', 'shortcut', 'carried']);
});

test('every type of record says since when it is there', () => {
  const since = Object.fromEntries(Object.entries(RECORD_TYPES).map(([type, { since: from }]) => [type, from]));
  const first: RecordType[] = ['shortcut', 'set', 'leftFinding', 'list', 'convention', 'keyboard'];
  // What an earlier version knows is never renumbered: it would be kept from it.
  for (const type of first) expect(since[type]).toBe(1);
  expect(Math.max(...Object.values(since))).toBe(MODEL_VERSION);
});
