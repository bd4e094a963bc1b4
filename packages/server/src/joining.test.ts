import { DirectorySchema, ProblemSchema } from '@yellow-latch/core/sync';
import request from 'supertest';
import { v7 as uuid } from 'uuid';

import { devices, invitations, lists } from './schema';
import { newSecret, TestDevice, testServer, type TestServer } from './testing';

const MINUTE = 60_000;
let server: TestServer;
beforeEach(() => {
  server = testServer(undefined, { openList: undefined, tries: { ofAddress: 3, ofAll: 5, lists: 4 } });
});
afterEach(() => server.end());

const newDevice = (name = 'Tablet') => ({ id: uuid(), name, kind: 'tablet' });
const post = (path: string, body: object) => request(server.app).post(`/api${path}`).send(body);
const slug = (answer: request.Response) => ProblemSchema.parse(JSON.parse(answer.text)).type;
const codeOf = async (device: TestDevice) =>
  ((await device.post(device.at('/invitations'), {})).body as { code: string; until: number }).code;

describe('a list', () => {
  test('is begun by its first device, and is apart from every other', async () => {
    const [mine, theirs] = [await TestDevice.begin(server.app), await TestDevice.begin(server.app)];
    await mine.push([mine.change()]);
    expect((await mine.pages()).records).toHaveLength(1);
    expect((await theirs.pages()).records).toHaveLength(0);
  });

  test('is begun once: the same device may ask again, another joins by a code', async () => {
    const [listId, id, secret] = [uuid(), uuid(), newSecret()];
    await TestDevice.begin(server.app, listId, id, secret);
    const again = await TestDevice.begin(server.app, listId, id, secret);
    expect((await again.get(again.at('/pages'))).status).toBe(200);
    const other = await post('/lists', { list: { id: listId, name: 'A list' }, device: newDevice() });
    expect([other.status, slug(other)]).toEqual([409, '/problems/list-known']);
  });

  test('nobody is taken in without a code, and the door says so', async () => {
    expect((await request(server.app).get('/api/door')).body).toEqual({ open: false, lists: true });
    const answer = await post('/devices', newDevice());
    expect([answer.status, slug(answer)]).toEqual([403, '/problems/closed']);
  });

  test('so many are begun from one address and no more', async () => {
    for (let begun = 0; begun < 4; begun += 1) await TestDevice.begin(server.app);
    const answer = await post('/lists', { list: { id: uuid(), name: 'A list' }, device: newDevice() });
    expect([answer.status, slug(answer)]).toEqual([429, '/problems/too-many-tries']);
  });
});

describe('a code', () => {
  test('lets one device in, once, however it is typed', async () => {
    const first = await TestDevice.begin(server.app);
    await first.push([first.change()]);
    const code = await codeOf(first);
    const typed = `${code.slice(0, 4).toLowerCase()} - ${code.slice(4)}`;
    const answer = await post('/joins', { code: typed, device: newDevice('Kitchen tablet') });
    expect(answer.status).toBe(201);
    const { device } = answer.body as { device: string };
    const joined = TestDevice.welcomed(server.app, device, answer);
    expect((await joined.pages()).records).toHaveLength(1);
    const again = await post('/joins', { code, device: newDevice() });
    expect([again.status, slug(again)]).toEqual([403, '/problems/code-unknown']);
    const { devices: known } = DirectorySchema.parse((await first.get(first.at('/devices'))).body);
    expect(known.map(({ name, kind }) => [name, kind])).toEqual([
      ['First', 'computer'],
      ['Kitchen tablet', 'tablet'],
    ]);
  });

  test('holds for ten minutes', async () => {
    const first = await TestDevice.begin(server.app);
    const [soon, late] = [await codeOf(first), await codeOf(first)];
    server.clock.now += 10 * MINUTE;
    expect((await post('/joins', { code: soon, device: newDevice() })).status).toBe(201);
    server.clock.now += 1;
    expect((await post('/joins', { code: late, device: newDevice() })).status).toBe(403);
  });

  test('is worth nothing once it was taken back, or its device signed out', async () => {
    const first = await TestDevice.begin(server.app);
    const second = await first.letIn();
    const [taken, orphaned] = [await codeOf(first), await codeOf(second)];
    await first.ask('delete', first.at(`/invitations/${taken}`)).expect(204);
    await first.ask('delete', first.at(`/devices/${second.id}`)).expect(200);
    for (const code of [taken, orphaned])
      expect((await post('/joins', { code, device: newDevice() })).status).toBe(403);
  });

  test('tried in vain is counted for the address and for all; a right one still counts for nothing', async () => {
    const first = await TestDevice.begin(server.app);
    const codes = [await codeOf(first), await codeOf(first)];
    const guess = () => post('/joins', { code: '0000-0000', device: newDevice() });
    expect((await guess()).status).toBe(403);
    expect((await post('/joins', { code: codes[0], device: newDevice() })).status).toBe(201);
    expect([(await guess()).status, (await guess()).status]).toEqual([403, 403]);
    const refused = await post('/joins', { code: codes[1], device: newDevice() });
    expect([refused.status, slug(refused)]).toEqual([429, '/problems/too-many-tries']);
  });

  test('tried in vain from one address for long keeps nobody else out', async () => {
    const behind = testServer(undefined, {
      openList: undefined,
      isBehindProxy: true,
      tries: { ofAddress: 3, ofAll: 5 },
    });
    const from = (address: string, code = '00000000') =>
      request(behind.app).post('/api/joins').set('X-Forwarded-For', address).send({ code, device: newDevice() });
    for (let tried = 0; tried < 20; tried += 1) await from('192.0.2.1');
    const first = await TestDevice.begin(behind.app);
    expect((await from('198.51.100.7', await codeOf(first))).status).toBe(201);
    behind.end();
  });

  test('tried from many addresses is limited in all', async () => {
    const behind = testServer(undefined, {
      openList: undefined,
      isBehindProxy: true,
      tries: { ofAddress: 3, ofAll: 5, lists: 4 },
    });
    const from = (address: number) =>
      request(behind.app)
        .post('/api/joins')
        .set('X-Forwarded-For', `192.0.2.${address}`)
        .send({ code: '00000000', device: newDevice() });
    const answers: number[] = [];
    for (let address = 1; address <= 6; address += 1) answers.push((await from(address)).status);
    expect(answers).toEqual([403, 403, 403, 403, 403, 429]);
    behind.end();
  });

  test.each([
    ['too short', 'K7', 'length'],
    ['with a character that none has', 'K7QF3MZ!', 'character'],
  ])('%s is told as such', async (_name, code, why) => {
    const answer = await post('/joins', { code, device: newDevice() });
    expect(answer.status).toBe(422);
    expect(ProblemSchema.parse(JSON.parse(answer.text)).errors).toEqual([{ pointer: '/code', detail: why }]);
  });
});

describe('a spare key', () => {
  const makeKey = async (device: TestDevice) =>
    ((await device.post(device.at('/spare-key'), {})).body as { spareKey: string }).spareKey;

  test('gets the list back when no device is left, again and again', async () => {
    const first = await TestDevice.begin(server.app);
    await first.push([first.change()]);
    const spareKey = await makeKey(first);
    await first.ask('delete', first.at(`/devices/${first.id}`)).expect(200);
    expect((await first.get(first.at('/pages'))).status).toBe(401);
    for (const name of ['New phone', 'New computer']) {
      const answer = await post('/recoveries', {
        spareKey: spareKey.toLowerCase().replace(/.{5}/gu, '$& '),
        device: newDevice(name),
      });
      const back = TestDevice.welcomed(server.app, (answer.body as { device: string }).device, answer);
      expect((await back.pages()).records).toHaveLength(1);
    }
  });

  test('is worth nothing when another is made, and is guessed no more often than a code', async () => {
    const first = await TestDevice.begin(server.app);
    const [old, current] = [await makeKey(first), await makeKey(first)];
    for (let round = 0; round < 3; round += 1) {
      const answer = await post('/recoveries', { spareKey: old, device: newDevice() });
      expect([answer.status, slug(answer)]).toEqual([403, '/problems/key-unknown']);
    }
    expect((await post('/recoveries', { spareKey: current, device: newDevice() })).status).toBe(429);
  });

  test('with one sign wrong is told as that', async () => {
    const first = await TestDevice.begin(server.app);
    const key = await makeKey(first);
    const wrong = `${key[0] === '2' ? '3' : '2'}${key.slice(1)}`;
    const answer = await post('/recoveries', { spareKey: wrong, device: newDevice() });
    expect(ProblemSchema.parse(JSON.parse(answer.text)).errors).toEqual([{ pointer: '/spareKey', detail: 'check' }]);
  });
});

test('nothing that lets somebody in is kept as it is: tokens, codes and keys only as their SHA-256', async () => {
  const first = await TestDevice.begin(server.app);
  const code = await codeOf(first);
  const { spareKey } = (await first.post(first.at('/spare-key'), {})).body as { spareKey: string };
  const token = first.cookie.split('=')[1]!;
  const rows = JSON.stringify([lists, devices, invitations].map((table) => server.db.select().from(table).all()));
  for (const secret of [token, code, spareKey]) expect(rows).not.toContain(secret);
  expect(Buffer.from(token, 'base64url')).toHaveLength(32);
});
