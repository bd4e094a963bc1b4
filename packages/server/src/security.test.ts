import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import SQLite from 'better-sqlite3';
import { ProblemSchema } from '@yellow-latch/core/sync';
import type { Router } from 'express';
import request from 'supertest';
import { v7 as uuid } from 'uuid';

import { openDatabase } from './database';
import { changes } from './schema';
import { listenToLog, TestDevice, testServer, WHOLE, type TestServer } from './testing';

let server: TestServer;
let mine: TestDevice;
let theirs: TestDevice;
beforeEach(async () => {
  server = testServer(undefined, { openList: undefined });
  mine = await TestDevice.begin(server.app);
  theirs = await TestDevice.begin(server.app);
});
afterEach(() => server.end());

interface Layer {
  route?: { path: string; methods: Record<string, boolean> };
  handle: { stack?: Layer[] };
}

/** Every route of a router, at any depth, as Express itself lists them: none can be forgotten. */
function routesOf(router: { stack?: Layer[] }): { method: 'get' | 'post' | 'patch' | 'delete'; path: string }[] {
  return (router.stack ?? []).flatMap(({ route, handle }) =>
    route
      ? Object.keys(route.methods).map((method) => ({ method: method as 'get', path: route.path }))
      : routesOf(handle),
  );
}

/** The routes that let a device in or tell of the server, and so ask for no token. That these are all there are: api/description.test.ts. */
const DOORS = ['/health', '/openapi.json', '/door', '/devices', '/lists', '/joins', '/recoveries'];

describe('every route', () => {
  const all = () =>
    routesOf(server.app.express.router as unknown as Router as never).filter(({ path }) => path !== '/{*path}');
  const inner = () =>
    all().filter(({ method, path }) => !DOORS.includes(path) || (method === 'get' && path === '/devices'));

  test('below a device’s path wants its own token: none, another’s and one made up are refused alike', async () => {
    expect(inner().length).toBeGreaterThanOrEqual(11);
    for (const { method, path } of inner()) {
      const url = mine.at(path.replace(':other', mine.id).replace(':code', '00000000'));
      const made = `yellow-latch-token=${Buffer.alloc(32, 7).toString('base64url')}`;
      for (const cookie of ['', theirs.cookie, made, 'yellow-latch-token=']) {
        const answer = await request(server.app)
          [method](url)
          .set('Cookie', cookie)
          .send(method === 'get' ? undefined : {});
        expect([method, path, answer.status]).toEqual([method, path, 401]);
        expect(ProblemSchema.parse(JSON.parse(answer.text)).type).toBe('/problems/device-unknown');
      }
    }
  });

  test('refuses a request that shows two tokens', async () => {
    for (const { method, path } of inner()) {
      const url = mine.at(path.replace(':other', mine.id).replace(':code', '00000000'));
      const answer = await request(server.app)
        [method](url)
        .set('Cookie', `${mine.cookie}; ${theirs.cookie}`)
        .send(method === 'get' ? undefined : {});
      expect([method, path, answer.status]).toEqual([method, path, 400]);
    }
  });

  test('refuses a page of another site, with the right token too (CSRF)', async () => {
    for (const { method, path } of all()) {
      const url =
        DOORS.includes(path) && method !== 'get'
          ? `/api${path}`
          : mine.at(path.replace(':other', mine.id).replace(':code', '00000000'));
      for (const [header, value] of [
        ['Origin', 'http://elsewhere.example'],
        ['Origin', 'null'],
        ['Sec-Fetch-Site', 'cross-site'],
      ] as const) {
        const answer = await request(server.app)
          [method](url)
          .set('Cookie', mine.cookie)
          .set(header, value)
          .send(method === 'get' ? undefined : {});
        expect([method, path, header, answer.status]).toEqual([method, path, header, 403]);
      }
    }
  });

  test('takes no form in place of JSON, which a page of another site could send without asking', async () => {
    for (const { method, path } of all().filter(({ method: name }) => name === 'post' || name === 'patch')) {
      if (['/invitations', '/spare-key'].includes(path)) continue;
      const url = DOORS.includes(path) ? `/api${path}` : mine.at(path.replace(':other', mine.id));
      const answer = await request(server.app)[method](url).set('Cookie', mine.cookie).type('form').send('a=1');
      expect([path, answer.status]).toEqual([path, 415]);
    }
  });
});

test('one list never shows in another, whatever is asked for', async () => {
  const made = mine.change({ ...WHOLE, content: { ...WHOLE.content, expansion: 'Only mine' } });
  await mine.push([made]);
  await theirs.push([theirs.change({ code: ';x' }, made.record.id, (await mine.pages()).records[0])]);
  const seen = [
    await theirs.pages(),
    (await theirs.get(theirs.at('/history'))).body,
    (await theirs.get(theirs.at(`/history?type=shortcut&id=${made.record.id}`))).body,
  ];
  expect(JSON.stringify(seen)).not.toContain('Only mine');
  expect((await mine.pages()).records[0]!.fields.code![0]!.value).toBe(WHOLE.code);
});

test('nothing written, no token and no code goes into the log of the program', async () => {
  const said: unknown[] = [];
  const logged = listenToLog();
  const spies = (['log', 'info', 'warn', 'error', 'debug'] as const).map((name) =>
    jest.spyOn(console, name).mockImplementation((...words) => void said.push(words)),
  );
  const secret = 'Sluice 44 Heron';
  const withSecret = mine.change({ ...WHOLE, content: { ...WHOLE.content, expansion: secret } });
  await mine.push([withSecret]);
  await mine.push([{ ...withSecret, n: 7, fields: { colour: secret } }]);
  await request(server.app)
    .post(mine.at('/changes'))
    .set('Cookie', mine.cookie)
    .type('json')
    .send(`{"changes": "${secret}`);
  const { code } = (await mine.post(mine.at('/invitations'), {})).body as { code: string };
  await request(server.app).post('/api/joins').send({ code, device: secret });
  // The database fails under it: the one thing that is logged.
  server.db.$client.close();
  expect((await mine.push([mine.change(withSecret.fields)])).status).toBe(500);
  for (const spy of spies) spy.mockRestore();
  logged.end();
  const log = JSON.stringify([said, logged.lines]);
  expect(log).toContain('Unexpected');
  for (const word of [secret, mine.cookie.split('=')[1]!, code]) expect(log).not.toContain(word);
  rmSync(server.data, { recursive: true });
  server = testServer();
});

describe('behind a proxy with a public address', () => {
  const join = (app: TestServer['app'], headers: Record<string, string>) =>
    request(app).post('/api/devices').set(headers).send({ id: uuid(), name: 'Phone', kind: 'phone' });

  test('it answers to that name, and its cookies go over https alone', async () => {
    const behind = testServer(undefined, { hosts: () => ['127.0.0.1', 'list.example'], isBehindProxy: true });
    const answer = await join(behind.app, {
      Host: 'list.example',
      Origin: 'https://list.example',
      'X-Forwarded-Proto': 'https',
    });
    expect(answer.status).toBe(201);
    expect(answer.headers['set-cookie']![0]).toMatch(/; Secure/u);
    expect((await join(behind.app, { Host: 'other.example' })).status).toBe(421);
    behind.end();
  });

  test('its cookies go over https alone even if the proxy forgets to say by which protocol it was asked', async () => {
    const behind = testServer(undefined, {
      hosts: () => ['127.0.0.1', 'list.example'],
      isBehindProxy: true,
      publicUrl: 'https://list.example',
    });
    const answer = await join(behind.app, { Host: 'list.example' });
    expect(answer.headers['set-cookie']![0]).toMatch(/; Secure/u);
    // RFC 6797, section 6.1.
    expect(answer.headers['strict-transport-security']).toBe('max-age=15724800');
    expect(answer.headers['permissions-policy']).toContain('camera=()');
    behind.end();
  });

  test('with a certificate of its own and no public address, browsers are not bound to https', async () => {
    const own = testServer(undefined, { isSecure: true });
    const answer = await join(own.app, {});
    expect(answer.headers['strict-transport-security']).toBeUndefined();
    expect(answer.headers['permissions-policy']).toContain('microphone=()');
    own.end();
  });

  test('without it, what a request says of itself is not believed', async () => {
    const open = testServer();
    const answer = await join(open.app, { 'X-Forwarded-Proto': 'https' });
    expect(answer.headers['set-cookie']![0]).not.toMatch(/; Secure/u);
    open.end();
  });
});

describe('bad changes', () => {
  test('of an unknown record are refused with their place, and nothing of the push is taken', async () => {
    const answer = await mine.push([mine.change(), mine.change({ code: ';x' })]);
    expect(ProblemSchema.parse(JSON.parse(answer.text)).errors![0]).toMatchObject({ index: 1 });
    expect(server.db.select().from(changes).all()).toEqual([]);
  });

  test('repeated a hundred times are taken once', async () => {
    const change = mine.change();
    const answers = await Promise.all(Array.from({ length: 100 }, () => mine.push([change])));
    expect(new Set(answers.map(({ status }) => status))).toEqual(new Set([200]));
    expect(server.db.select().from(changes).all()).toHaveLength(1);
  });

  test('of ten megabytes are refused, and the device goes on', async () => {
    const many = Array.from({ length: 100 }, () =>
      mine.change({ ...WHOLE, content: { ...WHOLE.content, expansion: 'é'.repeat(50_000) } }),
    );
    expect((await mine.push(many)).status).toBe(413);
    mine.n = 0;
    expect((await mine.push([mine.change()])).status).toBe(200);
  });

  test('that arrive together are each taken whole or not at all', async () => {
    const good = mine.change();
    const bad = theirs.change({ code: ';part' });
    const [first, second] = await Promise.all([mine.push([good]), theirs.push([theirs.change(), bad])]);
    expect([first.status, second.status]).toEqual([200, 409]);
    expect(server.db.select().from(changes).all()).toHaveLength(1);
  });
});

describe('a database in trouble', () => {
  const problemOf = async () => {
    const answer = await mine.push([mine.change()]);
    mine.n -= 1;
    return [answer.status, ProblemSchema.parse(JSON.parse(answer.text)).type];
  };

  test('locked by another program: told, and taken when it is free', async () => {
    server.db.$client.pragma('busy_timeout = 20');
    const other = new SQLite(join(server.data, 'yellow-latch.sqlite'));
    other.exec('BEGIN IMMEDIATE');
    expect(await problemOf()).toEqual([503, '/problems/busy']);
    other.exec('ROLLBACK');
    other.close();
    expect((await mine.push([mine.change()])).status).toBe(200);
  });

  test('on a full disk: told, nothing half taken, and taken when there is room', async () => {
    const { db } = server;
    db.$client.pragma(`max_page_count = ${db.$client.pragma('page_count', { simple: true }) as number}`);
    const large = () => mine.change({ ...WHOLE, content: { ...WHOLE.content, expansion: 'x'.repeat(20_000) } });
    const answer = await mine.push([large(), large(), large()]);
    expect([answer.status, ProblemSchema.parse(JSON.parse(answer.text)).type]).toEqual([507, '/problems/disk-full']);
    expect(db.select().from(changes).all()).toEqual([]);
    db.$client.pragma('max_page_count = 1000000');
    mine.n = 0;
    expect((await mine.push([large(), large(), large()])).status).toBe(200);
  });

  test('that may not be written: told, and read all the same', async () => {
    await mine.pages();
    server.db.$client.pragma('query_only = ON');
    expect(await problemOf()).toEqual([503, '/problems/read-only']);
    expect((await mine.get(mine.at('/devices'))).status).toBe(200);
    server.db.$client.pragma('query_only = OFF');
  });

  test('written by a later version is left alone', () => {
    const folder = mkdtempSync(join(tmpdir(), 'yellow-latch-later-'));
    openDatabase(folder).$client.close();
    const file = new SQLite(join(folder, 'yellow-latch.sqlite'));
    file.prepare('INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)').run('later', Date.UTC(2099, 0));
    file.close();
    expect(() => openDatabase(folder)).toThrow(/later version/u);
    rmSync(folder, { recursive: true });
  });

  test('that cannot be opened is an error with a word, not a crash later', () => {
    const folder = mkdtempSync(join(tmpdir(), 'yellow-latch-closed-'));
    // A folder where the file should be: nobody can open that, root neither.
    mkdirSync(join(folder, 'yellow-latch.sqlite'));
    expect(() => openDatabase(folder)).toThrow(/unable to open/u);
    rmSync(folder, { recursive: true });
  });
});

test('ids that the tests use are as RFC 9562 wants them: version 7, in the order of time', () => {
  const ids = Array.from({ length: 100 }, () => uuid());
  for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/u);
  expect([...ids].sort()).toEqual(ids);
});
