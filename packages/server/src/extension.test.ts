/** Our browser extension at the door: it asks from an origin of its own, and shows its token itself. */
import { EXTENSION_ORIGIN, WelcomeSchema, type Welcome } from '@yellow-latch/core/sync';
import request from 'supertest';
import { v7 as uuid } from 'uuid';

import { TestDevice, testServer, type TestServer } from './testing';

let server: TestServer;
let first: TestDevice;
beforeEach(async () => {
  server = testServer(undefined, { openList: undefined });
  first = await TestDevice.begin(server.app);
});
afterEach(() => server.end());

async function joinFrom(origin: string) {
  const { code } = (await first.post(first.at('/invitations'), {})).body as { code: string };
  const device = { id: uuid(), name: 'Browser', kind: 'computer' };
  return request(server.app).post('/api/joins').set('Origin', origin).send({ code, device });
}

async function joined(): Promise<{ id: string; token: string }> {
  const answer = await joinFrom(EXTENSION_ORIGIN);
  const { device: id, token } = WelcomeSchema.parse(answer.body) as Required<Welcome>;
  expect([answer.status, answer.headers['set-cookie']]).toEqual([201, undefined]);
  return { id, token };
}

test('it joins by a code and gets its token in the answer, as it has no cookies; a page gets none', async () => {
  const { token } = await joined();
  expect(token).toMatch(/^[\w-]{43}$/u);
  const page = await first.letIn();
  expect(page.cookie).toContain('yellow-latch-token=');
});

test('with its token in a header it reads, writes and is signed out like any device', async () => {
  const { id, token } = await joined();
  const ask = (method: 'get' | 'post', path: string, shown = token) =>
    request(server.app)
      [method](`/api/d/${id}${path}`)
      .set('Origin', EXTENSION_ORIGIN)
      .set('Authorization', `Bearer ${shown}`);
  expect((await ask('get', '/pages?since=0&model=99')).status).toBe(200);
  expect((await ask('post', '/changes').send({ changes: [] })).status).not.toBe(401);
  expect((await ask('get', '/pages?since=0&model=99', `${token}x`)).status).toBe(401);
  expect((await ask('get', '/pages?since=0&model=99').set('Cookie', `yellow-latch-token=${token}`)).status).toBe(400);
  await first.ask('delete', first.at(`/devices/${id}`)).expect(200);
  const out = await ask('get', '/pages?since=0&model=99');
  expect([out.status, (out.body as { type: string }).type]).toEqual([401, '/problems/signed-out']);
});

test.each([
  'chrome-extension://abcdefghijklmnopabcdefghijklmnop',
  EXTENSION_ORIGIN.toUpperCase(),
  `${EXTENSION_ORIGIN}.example`,
  'https://climjdfkdfbodpfikbbdgmogelgkpfba',
  'null',
])('from %s nobody gets in', async (origin) => {
  const answer = await joinFrom(origin);
  expect([answer.status, (answer.body as { type: string }).type]).toEqual([403, '/problems/foreign-origin']);
});

test('a token of one device opens no other’s path', async () => {
  const { token } = await joined();
  const answer = await request(server.app)
    .get(first.at('/pages?since=0&model=99'))
    .set('Authorization', `Bearer ${token}`);
  expect(answer.status).toBe(401);
});
