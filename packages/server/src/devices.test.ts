import { learningOf } from '@yellow-latch/core/learn';
import { codeDigest, learnerOfDevice, learningId } from '@yellow-latch/core/learn/names';
import { MODEL_VERSION } from '@yellow-latch/core/model';
import {
  DirectorySchema,
  HistorySchema,
  PageSchema,
  ProblemSchema,
  type DeviceInfo,
  type DeviceSettingsSchema,
  type Page,
} from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';
import type { z } from 'zod';

import { NOW, TestDevice, testServer, WHOLE, type TestServer } from './testing';

let server: TestServer;
let first: TestDevice;
let second: TestDevice;
beforeEach(async () => {
  server = testServer(undefined, { openList: undefined });
  first = await TestDevice.begin(server.app);
  second = await first.letIn();
});
afterEach(() => server.end());

const directory = async (device: TestDevice) => DirectorySchema.parse((await device.get(device.at('/devices'))).body);
const deviceIn = async (by: TestDevice, id: string) =>
  (await directory(by)).devices.find((one: DeviceInfo) => one.id === id)!;
const set = (by: TestDevice, id: string, settings: z.input<typeof DeviceSettingsSchema>) =>
  by.ask('patch', by.at(`/devices/${id}`)).send(settings);

describe('the devices of a list', () => {
  test('are told with how far each has come and when it was seen', async () => {
    await first.push([first.change(), first.change()]);
    expect(await deviceIn(first, second.id)).toMatchObject({ behind: 2, isHere: false });
    await second.pages(0);
    await second.pages(2);
    server.clock.now = NOW + 5 * 60_000;
    expect(await deviceIn(first, second.id)).toMatchObject({ behind: 0, seen: NOW, signedOut: null });
  });

  test('are named and given a kind', async () => {
    await set(first, second.id, { name: 'Van tablet', kind: 'phone' }).expect(200);
    await set(second, second.id, { name: 'Blue tablet' }).expect(200);
    expect(await deviceIn(first, second.id)).toMatchObject({ name: 'Blue tablet', kind: 'phone' });
  });

  test.each([
    ['no name', { name: ' ' }],
    ['a name of two lines', { name: 'a\nb' }],
    ['a name of 61 signs', { name: 'x'.repeat(61) }],
    ['another kind', { kind: 'fridge' }],
    ['something else', { colour: 'red' }],
  ])('are not given %s', async (_name, settings) => {
    expect((await set(first, second.id, settings as never)).status).toBe(422);
  });

  test('of another list are as if they were not', async () => {
    const stranger = await TestDevice.begin(server.app);
    expect((await set(stranger, first.id, { name: 'Mine' })).status).toBe(404);
    expect((await stranger.ask('delete', stranger.at(`/devices/${first.id}`))).status).toBe(404);
    expect((await directory(stranger)).devices).toHaveLength(1);
  });
});

describe('a device that may only use the list', () => {
  beforeEach(() => set(first, second.id, { may: 'use' }).expect(200));

  test('reads it, counts uses, and changes nothing', async () => {
    const made = first.change();
    await first.push([made]);
    const page = await second.pages();
    expect(page.may).toBe('use');
    const known = page.records[0]!;
    const refused = await second.push([second.change({ code: ';x' }, made.record.id, known)]);
    expect([refused.status, ProblemSchema.parse(JSON.parse(refused.text)).type]).toEqual([403, '/problems/only-use']);
    second.n = 0;
    const counted = await second.push([second.change({ used: { count: 3, since: NOW } }, made.record.id, known)]);
    expect(counted.status).toBe(200);
    expect(counted.body).toMatchObject({ taken: 1 });
  });

  test('learns its codes all the same, which is no change to the list', async () => {
    const made = first.change();
    await first.push([made]);
    const shortcutId = made.record.id;
    const learnerId = learnerOfDevice(second.id);
    const state = { ...learningOf([], codeDigest(';ten')), chosenAt: NOW };
    const learnt = [
      second.write('learner', { name: 'Mara', atOnce: 1 }, learnerId),
      second.write('learning', { learnerId, shortcutId, state }, learningId(learnerId, shortcutId)),
    ];
    expect((await second.push(learnt)).status).toBe(200);
    const seen = PageSchema.parse((await first.get(first.at(`/pages?since=0&model=${MODEL_VERSION}`))).body);
    expect(seen.records.map(({ type }) => type).sort()).toEqual(['learner', 'learning', 'shortcut']);
    const history = HistorySchema.parse((await first.get(first.at(`/history?model=${MODEL_VERSION}`))).body);
    expect(history.changes.map(({ record }) => record.type)).toEqual(['shortcut']);
    // What a later version brings, an earlier one is not sent.
    const old = PageSchema.parse((await first.get(first.at('/pages?since=0&model=2'))).body);
    expect(old.records.map(({ type }) => type)).toEqual(['shortcut']);
  });

  test('sends what waited when it may edit again', async () => {
    const waiting = second.change();
    expect((await second.push([waiting])).status).toBe(403);
    await set(first, second.id, { may: 'edit' });
    expect((await second.push([waiting])).status).toBe(200);
  });

  test('looks after itself and after nobody else', async () => {
    await set(second, second.id, { name: 'Mine' }).expect(200);
    for (const settings of [{ may: 'edit' }, { takes: null }] as const)
      expect((await set(second, second.id, settings)).status).toBe(403);
    expect((await set(second, first.id, { name: 'Theirs' })).status).toBe(403);
    expect((await second.ask('delete', second.at(`/devices/${first.id}`))).status).toBe(403);
    expect((await second.post(second.at('/invitations'), {})).status).toBe(403);
    expect((await second.post(second.at('/spare-key'), {})).status).toBe(403);
    await second.ask('delete', second.at(`/devices/${second.id}`)).expect(200);
  });

  test('cannot be the last that may edit: none takes the right from itself', async () => {
    expect((await set(first, first.id, { may: 'use' })).status).toBe(409);
  });
});

describe('a device that takes some sets', () => {
  const [kept, other] = [uuid(), uuid()];
  const codesOf = ({ records }: Page) => records.map(({ fields }) => fields.code![0]!.value).sort();

  beforeEach(async () => {
    await first.push([
      first.change({ ...WHOLE, code: ';a', setId: kept }),
      first.change({ ...WHOLE, code: ';b', setId: other }),
      first.change({ ...WHOLE, code: ';c' }),
    ]);
    await set(first, second.id, { takes: [kept, null] }).expect(200);
  });

  test('is given those, and advances past the others', async () => {
    const page = await second.pages();
    expect([codesOf(page), page.through, page.subscribedSets, page.fresh]).toEqual([
      [';a', ';c'],
      3,
      [kept, null],
      true,
    ]);
    expect(page.removed).toHaveLength(1);
    await first.push([first.change({ ...WHOLE, code: ';d', setId: other })]);
    expect(await second.pages(3)).toMatchObject({ records: [], through: 4, more: false, fresh: false });
  });

  test('is told to let go of what leaves its sets, and gets what enters them', async () => {
    const [a, b] = (await first.pages()).records;
    await first.push([first.change({ setId: other }, a!.id, a), first.change({ setId: kept }, b!.id, b)]);
    const page = await second.pages(3);
    expect(page.removed).toEqual([{ type: 'shortcut', id: a!.id }]);
    expect(codesOf(page)).toEqual([';b']);
  });

  test('sees no history of what it does not take', async () => {
    const told = JSON.stringify((await second.get(second.at('/history'))).body);
    expect([told.includes(';a'), told.includes(';c'), told.includes(';b')]).toEqual([true, true, false]);
    const whole = JSON.stringify((await first.get(first.at('/history'))).body);
    expect(whole).toContain(';b');
  });
});

describe('a device that was signed out', () => {
  test('is out at once, and is told so only by its own token', async () => {
    await first.ask('delete', first.at(`/devices/${second.id}`)).expect(200);
    const answer = await second.push([second.change()]);
    expect([answer.status, ProblemSchema.parse(JSON.parse(answer.text)).type]).toEqual([401, '/problems/signed-out']);
    const stranger = await first.get(second.at('/pages'));
    expect(ProblemSchema.parse(JSON.parse(stranger.text)).type).toBe('/problems/device-unknown');
    expect((await first.ask('delete', first.at(`/devices/${second.id}`))).status).toBe(404);
    expect((await deviceIn(first, second.id)).signedOut).toBe(NOW);
  });
});

describe('a device whose numbers are spent', () => {
  test('goes on under a new id with what it may and takes; the old one is out', async () => {
    await set(first, second.id, { may: 'use' });
    const id = uuid();
    const answer = await second.post(second.at('/successor'), { id, name: 'Second', kind: 'tablet' });
    const next = TestDevice.welcomed(server.app, id, answer);
    expect((await next.pages()).may).toBe('use');
    expect((await second.get(second.at('/pages'))).status).toBe(401);
  });

  test('learns that the server was set back, rather than losing what it has', async () => {
    await first.push([first.change()]);
    const answer = await first.get(first.at('/pages?since=9'));
    expect([answer.status, ProblemSchema.parse(JSON.parse(answer.text)).type]).toEqual([409, '/problems/set-back']);
  });
});
