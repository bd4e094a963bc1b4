/** What a device of the list, or a stranger, might try in order to get more than it was given. */
import { createServer, request as ask } from 'node:http';
import type { AddressInfo } from 'node:net';

import { makeClock } from '@yellow-latch/core/sync';
import { eq } from 'drizzle-orm';
import request from 'supertest';
import { v7 as uuid } from 'uuid';

import { UNSEEN_LASTS } from './devices';
import { changes, devices, lists, records } from './schema';
import { newSecret, NOW, problemOf, TestDevice, testServer, WHOLE, type TestServer } from './testing';

let server: TestServer;
let owner: TestDevice;
let helper: TestDevice;
beforeEach(async () => {
  server = testServer(undefined, { openList: undefined });
  owner = await TestDevice.begin(server.app, uuid());
  helper = await owner.letIn('Helper');
});
afterEach(() => server.end());

const set = (by: TestDevice, id: string, settings: object) =>
  by
    .ask('patch', by.at(`/devices/${id}`))
    .send(settings)
    .then(problemOf);
const listIdOf = () => server.db.select().from(lists).all().at(-1)!.id;
const newcomer = (id = uuid(), secret?: string) => ({ id, name: 'Newcomer', kind: 'phone', secret });
const codeFrom = async (device: TestDevice) =>
  ((await device.post(device.at('/invitations'), {})).body as { code: string }).code;
const joinWith = (code: string, device = newcomer()) => request(server.app).post('/api/joins').send({ code, device });

describe('a device that can only use the list', () => {
  beforeEach(() => set(owner, helper.id, { may: 'use' }));

  test('does not get in as a newcomer that has not come yet', async () => {
    const code = await codeFrom(owner);
    const [id, secret] = [uuid(), newSecret()];
    await joinWith(code, newcomer(id, secret)).expect(201);
    // Its id is told to all devices of the list.
    const body = (device: object) => ({ list: { id: listIdOf(), name: 'A list' }, device });
    for (const device of [newcomer(id), newcomer(id, newSecret())]) {
      expect(problemOf(await request(server.app).post('/api/lists').send(body(device)))).toBe('device-known');
      expect(problemOf(await helper.post(helper.at('/successor'), device))).toBe('device-known');
      expect(problemOf(await joinWith(await codeFrom(owner), device))).toBe('device-known');
    }
    // The newcomer itself may ask again, if its welcome was lost.
    expect(
      (
        await request(server.app)
          .post('/api/lists')
          .send(body(newcomer(id, secret)))
      ).status,
    ).toBe(201);
  });

  test('does not take the place of a device that is known', async () => {
    for (const id of [owner.id, helper.id])
      expect(problemOf(await helper.post(helper.at('/successor'), newcomer(id, newSecret())))).toBe('device-known');
    expect((await owner.get(owner.at('/pages'))).status).toBe(200);
  });

  test('lets nobody in by a code that it made when it could edit', async () => {
    await set(owner, helper.id, { may: 'edit' });
    const code = await codeFrom(helper);
    await set(owner, helper.id, { may: 'use' });
    expect(problemOf(await joinWith(code))).toBe('code-unknown');
  });

  test('cannot delete the list', async () => {
    expect(problemOf(await helper.ask('delete', helper.at('/list')))).toBe('only-use');
  });
});

describe('a device that was let in', () => {
  test('and never came is not let in after a day', async () => {
    const answer = await joinWith(await codeFrom(owner));
    const late = TestDevice.welcomed(server.app, (answer.body as { device: string }).device, answer);
    server.clock.now += UNSEEN_LASTS + 1;
    expect(problemOf(await late.get(late.at('/pages')))).toBe('device-unknown');
  });

  test('by a code that it has used as a device that is out gets nothing, and the code still holds', async () => {
    await owner.ask('delete', owner.at(`/devices/${helper.id}`)).expect(200);
    const code = await codeFrom(owner);
    expect(problemOf(await joinWith(code, newcomer(helper.id, newSecret())))).toBe('device-known');
    expect((await joinWith(code)).status).toBe(201);
  });
});

describe('a successor', () => {
  test('whose welcome was lost may ask again; the old device is out when the new one comes', async () => {
    const [id, secret] = [uuid(), newSecret()];
    await helper.post(helper.at('/successor'), newcomer(id, secret));
    expect((await helper.get(helper.at('/pages'))).status).toBe(200);
    const answer = await helper.post(helper.at('/successor'), newcomer(id, secret));
    const next = TestDevice.welcomed(server.app, id, answer);
    expect((await next.pages()).may).toBe('edit');
    expect(problemOf(await helper.get(helper.at('/pages')))).toBe('signed-out');
  });

  test('is one: who asks for many leaves no more than the last', async () => {
    for (let asked = 0; asked < 5; asked += 1) await helper.post(helper.at('/successor'), newcomer());
    expect(server.db.select().from(devices).all()).toHaveLength(3);
  });

  test('is asked for so often from one address and no more', async () => {
    const small = testServer(undefined, { tries: { successors: 3 } });
    const device = await TestDevice.join(small.app);
    const answers: (string | number)[] = [];
    for (let asked = 0; asked < 4; asked += 1)
      answers.push(problemOf(await device.post(device.at('/successor'), newcomer())));
    expect(answers).toEqual([201, 201, 201, 'too-many-tries']);
    small.end();
  });
});

describe('a device that gets some sets', () => {
  const [mine, other] = [uuid(), uuid()];
  const named = (name: string) => ({ name, icon: 'folder', order: 'a0' });
  const secrets = ['Hidden set', ';hidden', 'hidden text'];
  const hidden = { ...WHOLE, code: ';hidden', content: { ...WHOLE.content, expansion: 'hidden text' }, setId: other };
  let [hiddenId, shownId] = ['', ''];

  beforeEach(async () => {
    [hiddenId, shownId] = [uuid(), uuid()];
    await owner.push([
      owner.write('set', named('Shown set'), mine),
      owner.write('set', named('Hidden set'), other),
      owner.change(hidden, hiddenId),
      owner.change({ ...WHOLE, code: ';shown', setId: mine }, shownId),
      owner.write('leftFinding', {
        shortcutId: hiddenId,
        finding: 'word misfire',
        about: 'warning ;hidden',
        reason: 'hidden text is fine',
      }),
      owner.write('leftFinding', {
        shortcutId: shownId,
        finding: 'word misfire',
        about: 'warning ;shown',
        reason: 'fine',
      }),
      owner.write('convention', {
        scope: { of: 'set', setId: other },
        mark: { place: 'before', marker: ';' },
        capitals: 'small',
      }),
      owner.write('list', { languages: ['en'], devices: ['app'] }),
    ]);
    await set(owner, helper.id, { takes: [mine] });
  });

  const everything = async () =>
    JSON.stringify([
      await helper.pages(),
      (await helper.get(helper.at('/history'))).body,
      (await helper.get(helper.at('/history?deleted=1'))).body,
    ]);

  test('gets nothing that names another: no set, no ignored finding, no convention, no history', async () => {
    const page = await helper.pages();
    expect(page.records.map(({ type }) => type).sort()).toEqual(['leftFinding', 'list', 'set', 'shortcut']);
    const told = await everything();
    for (const word of secrets) expect(told).not.toContain(word);
    expect(told).toContain('Shown set');
  });

  test('gets what is about a shortcut together with it, and lets go of both', async () => {
    const { through } = await helper.pages();
    const [known] = (await owner.pages()).records.filter(({ id }) => id === hiddenId);
    await owner.push([owner.change({ setId: mine }, hiddenId, known)]);
    const page = await helper.pages(through);
    expect(page.records.map(({ type }) => type).sort()).toEqual(['leftFinding', 'shortcut']);
    const [moved] = (await owner.pages()).records.filter(({ id }) => id === hiddenId);
    await owner.push([owner.change({ setId: other }, hiddenId, moved)]);
    expect((await helper.pages(page.through)).removed.map(({ type }) => type).sort()).toEqual([
      'leftFinding',
      'shortcut',
    ]);
  });

  test('sees of a shortcut that is moved in no earlier text and no earlier code', async () => {
    const known = async () => (await owner.pages()).records.find(({ id }) => id === hiddenId);
    await owner.push([
      owner.change({ content: { ...WHOLE.content, expansion: 'a new text' }, code: ';new' }, hiddenId, await known()),
    ]);
    await owner.push([owner.change({ setId: mine }, hiddenId, await known())]);
    await owner.push([owner.change({ kind: 'link' }, hiddenId, await known())]);
    const told = JSON.stringify((await helper.get(helper.at(`/history?type=shortcut&id=${hiddenId}`))).body);
    for (const word of secrets) expect(told).not.toContain(word);
    expect(told).toContain('"link"');
    expect(JSON.stringify(await helper.pages())).toContain('a new text');
  });

  test('moves nothing into its sets to read it, and writes nothing elsewhere', async () => {
    const { removed } = await helper.pages();
    expect(removed.map(({ id }) => id)).toContain(hiddenId);
    const tries = [
      () => helper.change({ setId: mine }, hiddenId),
      () => helper.change({ code: ';mine' }, hiddenId),
      () => helper.change({ used: { count: 1, since: NOW } }, hiddenId),
      () => helper.change({ ...WHOLE, setId: other }),
      () => helper.change({ setId: other }, shownId, undefined, NOW + 1_000),
      () => helper.write('set', named('Mine'), other),
      () => helper.write('set', named('New'), uuid()),
      () => helper.write('leftFinding', { shortcutId: hiddenId, finding: 'word misfire', about: 'x', reason: 'x' }),
      () =>
        helper.write('convention', {
          scope: { of: 'set', setId: other },
          mark: { place: 'before', marker: ';' },
          capitals: 'small',
        }),
    ];
    for (const attempt of tries) {
      expect(problemOf(await helper.push([attempt()]))).toBe('not-got');
      helper.n = 0;
    }
    expect(
      problemOf(
        await helper.push([
          helper.change(
            { kind: 'link' },
            shownId,
            (await helper.pages()).records.find(({ id }) => id === shownId),
          ),
        ]),
      ),
    ).toBe(200);
    expect(await everything()).not.toContain('hidden text');
  });

  test('does not widen what it gets, and lets nobody in who would get more', async () => {
    expect(await set(helper, helper.id, { takes: null })).toBe('some-sets');
    expect(await set(helper, owner.id, { may: 'use' })).toBe('some-sets');
    expect(problemOf(await helper.post(helper.at('/invitations'), {}))).toBe('some-sets');
    expect(problemOf(await helper.post(helper.at('/spare-key'), {}))).toBe('some-sets');
    expect(problemOf(await helper.ask('delete', helper.at(`/devices/${owner.id}`)))).toBe('some-sets');
    expect(problemOf(await helper.ask('delete', helper.at('/list')))).toBe('some-sets');
    const id = uuid();
    const next = TestDevice.welcomed(server.app, id, await helper.post(helper.at('/successor'), newcomer(id)));
    expect((await next.pages()).subscribedSets).toEqual([mine]);
  });
});

describe('the last device that looks after the list', () => {
  test('does not leave the others without one', async () => {
    await set(owner, helper.id, { may: 'use' });
    expect(problemOf(await owner.ask('delete', owner.at(`/devices/${owner.id}`)))).toBe('last-editor');
    expect(await set(owner, owner.id, { takes: [uuid()] })).toBe('last-editor');
    await set(owner, helper.id, { may: 'edit' });
    expect(problemOf(await owner.ask('delete', owner.at(`/devices/${owner.id}`)))).toBe(200);
  });

  test('may go when nobody is left behind', async () => {
    await owner.ask('delete', owner.at(`/devices/${helper.id}`)).expect(200);
    expect(problemOf(await owner.ask('delete', owner.at(`/devices/${owner.id}`)))).toBe(200);
  });
});

describe('a change', () => {
  test('whose push began before its device was signed out is not taken', async () => {
    const listening = createServer(server.app);
    await new Promise<void>((resolve) => listening.listen(0, '127.0.0.1', resolve));
    const { port } = listening.address() as AddressInfo;
    const body = JSON.stringify({ changes: [helper.change()] });
    const headers = {
      Cookie: helper.cookie,
      'Content-Type': 'application/json',
      'Content-Length': Buffer.byteLength(body),
    };
    const answered = new Promise<number>((resolve, reject) => {
      const push = ask({ port, host: '127.0.0.1', method: 'POST', path: helper.at('/changes'), headers }, (answer) =>
        resolve(answer.resume().statusCode!),
      ).on('error', reject);
      push.write(body.slice(0, 20));
      // Its token was looked at; the rest of it comes when the device is out.
      void owner.ask('delete', owner.at(`/devices/${helper.id}`)).then(() => push.end(body.slice(20)));
    });
    expect(await answered).toBe(401);
    expect(server.db.select().from(changes).all()).toEqual([]);
    await new Promise((resolve) => listening.close(resolve));
  });

  test('is taken by the token of its device alone, also after it has shown the right one', async () => {
    await helper.push([helper.change()]);
    const other = await owner.ask('get', helper.at('/devices'));
    expect(other.status).toBe(401);
    const stolen = request(server.app).post(helper.at('/changes')).set('Cookie', owner.cookie);
    expect(problemOf(await stolen.send({ changes: [helper.change()] }))).toBe('device-unknown');
  });

  test('is not taken by the token that a device had before it was forgotten and came anew', async () => {
    await helper.push([helper.change()]);
    await owner.ask('delete', owner.at(`/devices/${helper.id}`)).expect(200);
    server.db.delete(changes).where(eq(changes.deviceId, helper.id)).run();
    server.db.delete(devices).where(eq(devices.id, helper.id)).run();
    expect(problemOf(await helper.push([helper.change()]))).toBe('device-unknown');
    const anew = await owner.letIn('Helper', helper.id);
    expect(problemOf(await helper.push([anew.change()]))).toBe('device-unknown');
    anew.n = 0;
    expect(problemOf(await anew.push([anew.change()]))).toBe(200);
    anew.n = 0;
    expect(problemOf(await helper.push([anew.change()]))).toBe('device-unknown');
  });

  test('is stamped by the device that sends it, and no other', async () => {
    const change = { ...helper.change(), clock: makeClock(NOW, 1, owner.id) };
    expect(problemOf(await helper.push([change]))).toBe('invalid');
  });

  test('counts no more than fingers can, and for its own device alone', async () => {
    const id = uuid();
    await owner.push([owner.change(WHOLE, id)]);
    const [known] = (await helper.pages()).records;
    const count = (by: TestDevice, uses: number) => by.change({ used: { count: uses, since: NOW } }, id, known);
    for (const uses of [9_007_199_254_740_991, 100_001]) {
      expect(problemOf(await helper.push([count(helper, uses)]))).toBe('invalid');
      helper.n = 0;
    }
    // Not beside another field either.
    expect(
      problemOf(await helper.push([helper.change({ kind: 'link', used: { count: 100_001, since: NOW } }, id, known)])),
    ).toBe('invalid');
    helper.n = 0;
    expect(problemOf(await helper.push([{ ...count(helper, 5), clock: makeClock(NOW, 9, owner.id) }]))).toBe('invalid');
    helper.n = 0;
    expect(problemOf(await helper.push([count(helper, 100_000)]))).toBe(200);
  });

  test('written two hundred times without knowledge of the others leaves a few versions; all are in history', async () => {
    const id = uuid();
    await owner.push([owner.change(WHOLE, id)]);
    await helper.push(
      Array.from({ length: 199 }, (_, index) =>
        helper.change({ content: { ...WHOLE.content, expansion: `Text ${index} ${'x'.repeat(1_000)}` } }, id),
      ),
    );
    const [record] = (await owner.pages()).records;
    expect(record!.fields.content).toHaveLength(8);
    expect(server.db.select().from(records).get()!.body.length).toBeLessThan(12_000);
    expect(server.db.select().from(changes).all()).toHaveLength(200);
  });

  test('without a stated base of reasonable size is refused', async () => {
    const change = helper.change();
    expect(
      problemOf(await helper.push([{ ...change, base: { code: Array.from({ length: 201 }, () => uuid()) } }])),
    ).toBe('invalid');
  });
});

describe('nothing of a body is looked at before the token is', () => {
  test('nested deep, it is refused as a body without a token', async () => {
    const deep = '['.repeat(500_000);
    for (const path of [helper.at('/changes'), helper.at('/successor')]) {
      expect((await request(server.app).post(path).type('json').send(deep)).status).toBe(401);
    }
    expect((await request(server.app).post('/api/lists').type('json').send(deep)).status).toBe(413);
  });
});
