import { EventEmitter } from 'node:events';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { get, type IncomingMessage } from 'node:http';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { asShortcut, PageSchema, type Directory, type Page } from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import { seedDemo } from './demo/seed';
import { DEMO_SETS } from '@yellow-latch/core/scenario';
import { startServer, type RunningServer } from './server';
import { listenToLog, TestDevice, testServer, WHOLE } from './testing';

/** Reads server-sent events (WHATWG HTML, section 9.2.6: fields by line, an empty line ends one). */
class EventReader {
  private buffer = '';
  private readonly events: { id?: string; event?: string; data: string }[] = [];
  private wake: () => void = () => {};

  /** Resolves when the server has ended the stream. */
  readonly ended: Promise<void>;

  constructor(private readonly response: IncomingMessage) {
    this.ended = new Promise((resolve) => response.on('end', resolve));
    response.setEncoding('utf8');
    response.on('data', (chunk: string) => {
      this.buffer += chunk;
      for (let end = this.buffer.indexOf('\n\n'); end >= 0; end = this.buffer.indexOf('\n\n')) {
        const fields = this.buffer
          .slice(0, end)
          .split('\n')
          .map((line) => line.split(/: (.*)/s));
        this.buffer = this.buffer.slice(end + 2);
        this.events.push(Object.fromEntries(fields.map(([name, value]) => [name, value])) as never);
      }
      this.wake();
    });
  }

  async next(): Promise<{ id?: string; event?: string; page: Page }> {
    while (this.events.length === 0) await new Promise<void>((resolve) => (this.wake = resolve));
    const { data, ...rest } = this.events.shift()!;
    const told: unknown = JSON.parse(data);
    return { ...rest, page: rest.event === 'page' ? PageSchema.parse(told) : (told as Page) };
  }

  get status(): number {
    return this.response.statusCode!;
  }

  close(): void {
    this.response.destroy();
  }
}

let data: string;
let server: RunningServer;

beforeEach(async () => {
  data = mkdtempSync(join(tmpdir(), 'yellow-latch-server-'));
  const site = join(data, 'site');
  mkdirSync(join(site, '_expo/static'), { recursive: true });
  writeFileSync(join(site, 'index.html'), '<title>Yellow Latch</title>');
  writeFileSync(join(site, '_expo/static/entry-abc.js'), '1');
  server = await startServer({ data: join(data, 'db'), site, openList: 'A list', host: '127.0.0.1', port: 0 });
});
afterEach(async () => {
  await server.close();
  rmSync(data, { recursive: true, force: true });
});

async function joinServer(id = uuid()): Promise<{ id: string; Cookie: string }> {
  const response = await fetch(`${server.address}/api/devices`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ id, name: 'Phone', kind: 'phone' }),
  });
  return { id, Cookie: response.headers.get('set-cookie')!.split(';')[0]! };
}

function follow(id: string, headers: Record<string, string>): Promise<EventReader> {
  return new Promise((resolve, reject) => {
    get(`${server.address}/api/d/${id}/stream`, { headers }, (response) => resolve(new EventReader(response))).once(
      'error',
      reject,
    );
  });
}

test('the stream sends what is there, then what comes, and resumes at Last-Event-ID', async () => {
  const { id, Cookie } = await joinServer();
  const push = async (n: number, code: string) => {
    const other = testChange(id, n, code);
    await fetch(`${server.address}/api/d/${id}/changes`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Cookie },
      body: JSON.stringify({ changes: [other] }),
    });
  };
  const stream = await follow(id, { Cookie });
  expect(await stream.next()).toMatchObject({ event: 'page', id: '0', page: { records: [] } });
  await push(1, ';a');
  const first = await stream.next();
  expect(first).toMatchObject({ event: 'page', id: `1/${first.page.last}`, page: { through: 1, acknowledged: 1 } });
  expect(asShortcut(first.page.records[0]!).code).toBe(';a');
  stream.close();

  await push(2, ';b');
  const resumed = await follow(id, { Cookie, 'Last-Event-ID': first.id! });
  const missed = await resumed.next();
  expect(missed.page.records.map((record) => asShortcut(record).code)).toEqual([';b']);
  resumed.close();
});

test('a device signed out while its stream is open: the stream ends, the others and the server go on', async () => {
  const [one, two] = [await joinServer(), await joinServer()];
  const [first, second] = [await follow(one.id, { Cookie: one.Cookie }), await follow(two.id, { Cookie: two.Cookie })];
  await first.next();
  await second.next();
  const answer = await fetch(`${server.address}/api/d/${one.id}/devices/${two.id}`, {
    method: 'DELETE',
    headers: { Cookie: one.Cookie },
  });
  expect(answer.status).toBe(200);
  await second.ended;
  expect((await follow(two.id, { Cookie: two.Cookie })).status).toBe(401);
  // The other one is told, and its stream still brings what comes.
  expect((await first.next()).event).toBe('devices');
  await fetch(`${server.address}/api/d/${one.id}/changes`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Cookie: one.Cookie },
    body: JSON.stringify({ changes: [testChange(one.id, 1, ';a')] }),
  });
  expect((await first.next()).page.through).toBe(1);
  first.close();
});

test('a device that was here and went is told as in step with what it had been sent', async () => {
  const [one, two] = [await joinServer(), await joinServer()];
  const stream = await follow(two.id, { Cookie: two.Cookie });
  await stream.next();
  const push = (n: number) =>
    fetch(`${server.address}/api/d/${one.id}/changes`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Cookie: one.Cookie },
      body: JSON.stringify({ changes: [testChange(one.id, n, `;${n}`)] }),
    });
  const told = async () => {
    const { devices } = (await (
      await fetch(`${server.address}/api/d/${one.id}/devices`, { headers: { Cookie: one.Cookie } })
    ).json()) as Directory;
    const { isHere, behind } = devices.find(({ id }) => id === two.id)!;
    return { isHere, behind };
  };
  await push(1);
  for (let page = await stream.next(); page.event !== 'page' || page.page.through < 1;) page = await stream.next();
  expect(await told()).toEqual({ isHere: true, behind: 0 });
  stream.close();
  const deadline = Date.now() + 4_000;
  while ((await told()).isHere && Date.now() < deadline);
  expect(await told()).toEqual({ isHere: false, behind: 0 });
  await push(2);
  expect(await told()).toEqual({ isHere: false, behind: 1 });
});

test('of one device three streams stay open: the oldest are lines that were lost', async () => {
  const { id, Cookie } = await joinServer();
  const streams: EventReader[] = [];
  for (let line = 0; line < 4; line += 1) {
    streams.push(await follow(id, { Cookie }));
    await streams.at(-1)!.next();
  }
  await streams[0]!.ended;
  // The three others still bring what comes.
  await fetch(`${server.address}/api/d/${id}/changes`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Cookie },
    body: JSON.stringify({ changes: [testChange(id, 1, ';a')] }),
  });
  for (const stream of streams.slice(1)) expect((await stream.next()).page.through).toBe(1);
  for (const stream of streams) stream.close();
});

test('a stream from a number that the server does not have is refused with its reason, not cut', async () => {
  const said = listenToLog();
  const { id, Cookie } = await joinServer();
  const response = await fetch(`${server.address}/api/d/${id}/stream?since=999999`, { headers: { Cookie } });
  expect(response.status).toBe(409);
  expect(((await response.json()) as { type: string }).type).toBe('/problems/set-back');
  expect(said.lines).toEqual([]);
  said.end();
});

test('a push that is cut off is no error of the server', async () => {
  const said = listenToLog();
  const { id, Cookie } = await joinServer();
  const { hostname, port } = new URL(server.address);
  const socket = connect(Number(port), hostname);
  await new Promise<void>((resolve) => {
    socket.once('close', () => resolve());
    socket.write(
      `POST /api/d/${id}/changes HTTP/1.1\r\nHost: ${hostname}\r\nCookie: ${Cookie}\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{"chan`,
      () => socket.resetAndDestroy(),
    );
  });
  // The server has heard of it when it answers what was asked after.
  for (let asked = 0; asked < 3; asked += 1) expect((await fetch(`${server.address}/api/door`)).status).toBe(200);
  expect(said.lines).toEqual([]);
  said.end();
});

test.each([
  [
    'two lengths',
    'POST /api/lists HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 4\r\nTransfer-Encoding: chunked\r\n\r\n0\r\n\r\n',
  ],
  ['no HTTP at all', '\x16\x03\x01\x02\x00\x01\x00 hello\r\n\r\n'],
])('%s are answered as a problem like any other', async (_name, garbage) => {
  const { hostname, port } = new URL(server.address);
  const answer = await new Promise<string>((resolve) => {
    let said = '';
    const socket = connect(Number(port), hostname, () => socket.write(garbage));
    socket.on('data', (chunk) => (said += String(chunk))).on('close', () => resolve(said));
  });
  expect(answer).toMatch(/^HTTP\/1\.1 400 Bad Request\r\nContent-Type: application\/problem\+json/u);
  expect(answer).toContain('"/problems/not-http"');
});

describe('streams whose database fails', () => {
  test('are ended and told, and the server and the push go on', async () => {
    const said = listenToLog();
    const test_ = testServer();
    const device = await TestDevice.join(test_.app);
    const response = Object.assign(new EventEmitter(), {
      writeHead: jest.fn(),
      write: jest.fn(() => false),
      end: jest.fn(),
      writableLength: 0,
    });
    const known = { id: device.id, listId: test_.listId };
    test_.streams.start(
      new EventEmitter() as never,
      response as never,
      known as never,
      { since: 0, model: 2 },
      () => {},
    );
    test_.db.$client.close();
    // It has read what was sent: the rest cannot be read.
    expect(() => response.emit('drain')).not.toThrow();
    expect(response.end).toHaveBeenCalledTimes(1);
    expect(test_.streams.isOpen(device.id)).toBe(false);
    expect(said.lines.join()).toMatch(/stream was ended/u);
    rmSync(test_.data, { recursive: true });
    said.end();
  });
});

test('the stream wants a token as everything does', async () => {
  const { id } = await joinServer();
  const response = await fetch(`${server.address}/api/d/${id}/stream`);
  expect(response.status).toBe(401);
});

test('the app is served: pages fresh, hashed files for ever, missing files as 404', async () => {
  const page = await fetch(`${server.address}/shortcut/anything`);
  expect(await page.text()).toContain('Yellow Latch');
  expect(page.headers.get('cache-control')).toBe('no-cache');
  const script = await fetch(`${server.address}/_expo/static/entry-abc.js`);
  expect(script.headers.get('cache-control')).toContain('immutable');
  expect((await fetch(`${server.address}/missing.js`)).status).toBe(404);
});

test('a port that is in use is an error, not a crash', async () => {
  const port = Number(new URL(server.address).port);
  await expect(startServer({ data: join(data, 'other'), host: '127.0.0.1', port })).rejects.toMatchObject({
    code: 'EADDRINUSE',
  });
});

function testChange(device: string, n: number, code: string) {
  const time = Date.now().toString(16).padStart(12, '0');
  return {
    id: uuid(),
    record: { type: 'shortcut', id: uuid() },
    fields: { ...WHOLE, code },
    base: {},
    clock: `${time}.0000.${device}`,
    device,
    n,
  };
}

describe('the demo list', () => {
  const all = DEMO_SETS.flatMap(({ shortcuts }) => shortcuts);

  test('is about sixty shortcuts in seven sets, taken in once', async () => {
    const demo = testServer();
    seedDemo(demo.db, demo.listId, Date.now());
    seedDemo(demo.db, demo.listId, Date.now());
    const device = await TestDevice.join(demo.app);
    const { records } = await device.pages();
    expect(records.filter(({ type }) => type === 'set')).toHaveLength(7);
    expect(records.filter(({ type }) => type === 'shortcut')).toHaveLength(all.length);
    expect(all.length).toBeGreaterThanOrEqual(55);
    demo.end();
  });

  test('holds nothing of a real place: domains and numbers kept for fiction', () => {
    const inAll = (pattern: RegExp) => all.flatMap(([, expansion]) => expansion.match(pattern) ?? []);
    const hosts = inAll(/(?<=:\/\/|@)[\w.-]+/g);
    const numbers = inAll(/\b0\d{4} \d{6}\b/g);
    expect([hosts.length > 3, numbers.length > 0]).toEqual([true, true]);
    // RFC 2606 keeps .example; Ofcom keeps 01632 960000-960999 and 07700 900000-900999.
    for (const host of hosts) expect(host).toMatch(/\.example$/);
    for (const number of numbers) expect(number).toMatch(/^(01632 960|07700 900)\d{3}$/);
  });
});
