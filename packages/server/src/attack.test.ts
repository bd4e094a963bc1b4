/**
 * A seeded attack on the server as a process: every route with bodies of every schema, whole and spoilt, from everyone
 * who might ask; and lines that do what lines do not. `npm run soak -- attack` runs ten times as much.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

import { PageSchema, ProblemSchema } from '@yellow-latch/core/sync';
import fc from 'fast-check';
import { v7 as uuid } from 'uuid';

import { memoryOf, Program, type Started } from './program';
import { newSecret, NOW, WHOLE } from './testing';

const REQUESTS = process.env.YELLOW_LATCH_SOAK ? 6_000 : 600;
const LARGEST_MEMORY = 500_000_000;
const MARK = 'only in the first list';

const program = new Program();
let folder: string;
let server: Started;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-attack-'));
  await program.build();
  server = await program.start(folder);
}, 60_000);
afterAll(async () => {
  await program.endAll();
  program.remove();
  rmSync(folder, { recursive: true, force: true });
});

interface Known {
  id: string;
  cookie: string;
}

async function send(method: string, path: string, body?: unknown, cookie = ''): Promise<Response> {
  return fetch(`${server.address}${path}`, {
    method,
    headers: {
      ...(cookie ? { Cookie: cookie } : {}),
      ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
    },
    body: body === undefined ? undefined : JSON.stringify(body),
  });
}

async function enter(path: string, body: (device: object) => object): Promise<Known> {
  const id = uuid();
  const answer = await send('POST', path, body({ id, name: 'Device', kind: 'phone', secret: newSecret() }));
  return { id, cookie: answer.headers.get('set-cookie')!.split(';')[0]! };
}

const begin = () => enter('/api/lists', (device) => ({ list: { id: uuid(), name: 'A list' }, device }));

async function letIn(by: Known): Promise<Known> {
  const { code } = (await (await send('POST', `/api/d/${by.id}/invitations`, {}, by.cookie)).json()) as {
    code: string;
  };
  return enter('/api/joins', (device) => ({ code, device }));
}

const change = (
  device: string,
  n: number,
  fields: object = { ...WHOLE, content: { ...WHOLE.content, expansion: MARK } },
) => ({
  id: uuid(),
  record: { type: 'shortcut', id: uuid() },
  fields,
  base: {},
  clock: `${NOW.toString(16).padStart(12, '0')}.${n.toString(16).padStart(4, '0')}.${device}`,
  device,
  n,
});

/** Values that a schema may trip over. */
const SPOILT = fc.oneof(
  fc.constantFrom<unknown>(
    null,
    true,
    -1,
    1e308,
    9_007_199_254_740_993,
    '',
    ' ',
    '\u0000',
    '\ud800',
    '😀'.repeat(3_000),
    'x'.repeat(70_000),
    [],
    {},
    [[]],
    '../../etc/passwd',
    "'; DROP TABLE lists; --",
    '__proto__',
  ),
  fc.json({ maxDepth: 3 }).map((text): unknown => JSON.parse(text)),
  fc
    .integer({ min: 1, max: 3_000 })
    .map((depth) => Array.from({ length: depth }).reduce<unknown>((inner) => [inner], 1)),
);

/** A body with one of its members, at any depth, put out of order. */
function spoil(body: unknown, path: readonly number[], value: unknown): unknown {
  if (typeof body !== 'object' || body === null || path.length === 0) return value;
  const names = Object.keys(body);
  const name = names[path[0]! % (names.length + 1)];
  // A name too many, and one that JavaScript has a meaning for.
  if (name === undefined)
    return JSON.parse(
      `${JSON.stringify(body).replace(/\}$/u, names.length > 0 && !Array.isArray(body) ? ',"__proto__":{"may":"edit"},"constructor":1}' : '}')}`,
    ) as unknown;
  const inner = (body as Record<string, unknown>)[name];
  const copy = Array.isArray(body) ? [...(body as unknown[])] : { ...body };
  (copy as Record<string, unknown>)[name] = spoil(inner, path.slice(1), value);
  return copy;
}

test('whatever is asked by whomever, it answers as it should, gives nothing away and stays as it was', async () => {
  const owner = await begin();
  const [helper, bounded] = [await letIn(owner), await letIn(owner)];
  const stranger = await begin();
  await send(
    'POST',
    `/api/d/${owner.id}/changes`,
    { changes: [change(owner.id, 1), change(owner.id, 2)] },
    owner.cookie,
  );
  await send('PATCH', `/api/d/${owner.id}/devices/${helper.id}`, { may: 'use' }, owner.cookie);
  await send('PATCH', `/api/d/${owner.id}/devices/${bounded.id}`, { takes: [uuid()] }, owner.cookie);
  const pages = async () =>
    PageSchema.parse(await (await send('GET', `/api/d/${owner.id}/pages`, undefined, owner.cookie)).json());
  const before = await pages();

  const askers = [helper, bounded, stranger];
  /** Where something is asked for, and a body that it would take. The owner is whose it is, and no one else asks as it. */
  const routes: [method: string, path: (as: string) => string, body: (as: string) => unknown][] = [
    ['POST', (as) => `/api/d/${as}/changes`, (as) => ({ changes: [change(as, 1), change(as, 2, { setId: uuid() })] })],
    ['GET', (as) => `/api/d/${as}/pages?since=0`, () => undefined],
    ['GET', (as) => `/api/d/${as}/pages?since=2&last=${uuid()}`, () => undefined],
    ['GET', (as) => `/api/d/${as}/history?limit=500`, () => undefined],
    ['GET', (as) => `/api/d/${as}/devices`, () => undefined],
    [
      'PATCH',
      (as) => `/api/d/${as}/devices/${owner.id}`,
      () => ({ name: 'Mine', kind: 'phone', may: 'use', takes: [] }),
    ],
    ['PATCH', (as) => `/api/d/${as}/devices/${as}`, () => ({ may: 'edit', takes: null })],
    ['DELETE', (as) => `/api/d/${as}/devices/${owner.id}`, () => undefined],
    ['POST', (as) => `/api/d/${as}/invitations`, () => ({})],
    ['DELETE', (as) => `/api/d/${as}/invitations/00000000`, () => undefined],
    ['POST', (as) => `/api/d/${as}/spare-key`, () => ({})],
    [
      'POST',
      (as) => `/api/d/${as}/successor`,
      () => ({ id: owner.id, name: 'Mine', kind: 'phone', secret: newSecret() }),
    ],
    [
      'POST',
      () => '/api/lists',
      () => ({ list: { id: uuid(), name: 'Mine' }, device: { id: owner.id, name: 'Mine', kind: 'phone' } }),
    ],
    ['POST', () => '/api/joins', () => ({ code: '00000000', device: { id: uuid(), name: 'Mine', kind: 'phone' } })],
    [
      'POST',
      () => '/api/recoveries',
      () => ({ spareKey: '0'.repeat(25), device: { id: uuid(), name: 'Mine', kind: 'phone' } }),
    ],
    ['POST', () => '/api/devices', () => ({ id: owner.id, name: 'Mine', kind: 'phone' })],
    ['DELETE', () => `/api/d/${owner.id}/list`, () => undefined],
    ['GET', () => `/api/d/${owner.id}/pages`, () => undefined],
    ['GET', () => `/api/d/${owner.id}/stream`, () => undefined],
  ];
  const asked = fc.sample(
    fc.record({
      route: fc.nat(routes.length - 1),
      asker: fc.nat(askers.length - 1),
      cookie: fc.constantFrom('own', 'own', 'own', 'other', 'none', 'made up', 'two'),
      spoilt: fc.option(fc.record({ path: fc.array(fc.nat(8), { maxLength: 5 }), value: SPOILT })),
    }),
    { numRuns: REQUESTS, seed: 19 },
  );
  for (const { route, asker, cookie, spoilt } of asked) {
    const [method, path, body] = routes[route]!;
    const { id, cookie: own } = askers[asker]!;
    const shown = {
      own,
      other: stranger.cookie,
      none: '',
      'made up': `yellow-latch-token=${newSecret()}`,
      two: `${own}; ${stranger.cookie}`,
    }[cookie];
    const whole = body(id);
    const answer = await send(
      method,
      path(id),
      whole === undefined || !spoilt ? whole : spoil(whole, spoilt.path, spoilt.value),
      shown,
    );
    const text = await answer.text();
    const told = `${method} ${path(id)} as ${cookie}: ${answer.status} ${text.slice(0, 200)}`;
    expect([told, answer.status < 500]).toEqual([told, true]);
    if (answer.status >= 400) expect(ProblemSchema.safeParse(JSON.parse(text)).success).toBe(true);
    // The helper may read the list; nobody else here may.
    if (askers[asker] !== helper) expect(text).not.toContain(MARK);
  }
  expect(await pages()).toEqual(before);
  expect(memoryOf(server)).toBeLessThan(LARGEST_MEMORY);
  expect(server.said()).not.toMatch(/Unexpected|ended|rror:/u);
}, 600_000);

/** What a line may carry that is no honest request. Resolves to what came back until so many answers were there, or it was closed. */
function line(parts: readonly (string | Buffer)[], answers = 1): Promise<string> {
  const { hostname, port } = new URL(server.address!);
  return new Promise((resolve) => {
    let said = '';
    const socket = connect(Number(port), hostname, () => {
      for (const part of parts) socket.write(part);
    });
    socket.on('data', (chunk) => {
      said += String(chunk);
      if (statuses(said).length >= answers) socket.destroy();
    });
    socket.on('error', () => {}).on('close', () => resolve(said));
  });
}

const head = (path: string, ...more: string[]) =>
  [`POST ${path} HTTP/1.1`, 'Host: 127.0.0.1', 'Content-Type: application/json', ...more, '', ''].join('\r\n');
const statuses = (said: string) => [...said.matchAll(/HTTP\/1\.1 (\d+)/gu)].map(([, status]) => Number(status));

describe('a line that does what lines do not', () => {
  test('requests one behind the other are answered in their order', async () => {
    const one = 'GET /api/door HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n';
    expect(statuses(await line([one.repeat(50)], 50))).toEqual(Array(50).fill(200));
  });

  test.each([
    [
      'a body that blows up when unpacked',
      () => [head('/api/lists', 'Content-Encoding: gzip', `Content-Length: ${BOMB.length}`), BOMB],
      413,
    ],
    [
      'a packed push',
      () => [head(`/api/d/${uuid()}/changes`, 'Content-Encoding: gzip', `Content-Length: ${BOMB.length}`), BOMB],
      401,
    ],
    [
      'a length and chunks',
      () => [head('/api/lists', 'Content-Length: 3', 'Transfer-Encoding: chunked'), '0\r\n\r\n'],
      400,
    ],
    ['a length that is none', () => [head('/api/lists', 'Content-Length: -1')], 400],
    ['heads without end', () => [`GET /api/door HTTP/1.1\r\nHost: 127.0.0.1\r\nX: ${'y'.repeat(20_000)}\r\n\r\n`], 431],
    ['a body larger than it may be', () => [head('/api/lists', 'Content-Length: 2000000'), 'x'.repeat(2_000_000)], 413],
    ['a host that is not ours', () => ['GET /api/door HTTP/1.1\r\nHost: list.example\r\n\r\n'], 421],
    ['no host', () => ['GET /api/door HTTP/1.0\r\n\r\n'], 421],
    ['a path of another folder', () => ['GET /api/d/../../../etc/passwd HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n'], 401],
  ])('%s', async (_name, parts, status) => {
    expect(statuses(await line(parts()))[0]).toBe(status);
  });

  test('bodies that stop coming hold nobody up', async () => {
    const { hostname, port } = new URL(server.address!);
    const slow = await Promise.all(
      Array.from(
        { length: 100 },
        () =>
          new Promise<ReturnType<typeof connect>>((resolve) => {
            const socket = connect(Number(port), hostname, () =>
              socket.write(head('/api/lists', 'Content-Length: 500') + '{"list"', () => resolve(socket)),
            );
            socket.on('error', () => {});
          }),
      ),
    );
    expect((await send('GET', '/api/door')).status).toBe(200);
    for (const socket of slow) socket.destroy();
    expect((await send('GET', '/api/door')).status).toBe(200);
  });

  test('and after all that the server is as it was', () => {
    expect(server.child.exitCode).toBeNull();
    expect(memoryOf(server)).toBeLessThan(LARGEST_MEMORY);
  });
});

/** 20 MB of nothing, packed. */
const BOMB = gzipSync(Buffer.alloc(20_000_000, ' '));
