/** The program as whoever runs it meets it: how it is, what it logs and counts, how it stops, what it says when it cannot start. */
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request as ask } from 'node:http';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import SQLite from 'better-sqlite3';
import request from 'supertest';
import { v7 as uuid } from 'uuid';

import { version } from '../package.json';
import { databaseFile, openDatabase } from './database';
import { HealthSchema } from './health';
import { Metrics } from './metrics';
import { freePort, Program, type Started } from './program';
import { testServer } from './testing';

let folder: string;
const program = new Program();
beforeAll(() => program.build());
afterAll(() => program.remove());
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-operating-'));
});
afterEach(async () => {
  await program.endAll();
  rmSync(folder, { recursive: true, force: true });
});
const start = (settings: Record<string, string> = {}) =>
  program.start(join(folder, 'data'), { YELLOW_LATCH_OPEN: '1', ...settings });

async function joined({ address }: Started): Promise<{ id: string; headers: { Cookie: string } }> {
  const id = uuid();
  const answer = await fetch(`${address}/api/devices`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ id, name: 'Ines’ phone', kind: 'phone' }),
  });
  return { id, headers: { Cookie: answer.headers.get('set-cookie')!.split(';')[0]! } };
}
const ended = ({ child }: Started) =>
  new Promise<number | null>((resolve) => child.once('exit', (code) => resolve(code)));

describe('health', () => {
  test('tells version, tables and room; how much room, on this machine alone', async () => {
    const server = await start();
    const answer = await fetch(`${server.address}/api/health`);
    const health = HealthSchema.parse(await answer.json());
    expect(answer.status).toBe(200);
    expect(health).toMatchObject({ status: 'ready', version });
    expect(health.freeBytes).toBeGreaterThan(0);
    const behind = testServer(undefined, { isBehindProxy: true });
    const asked = await request(behind.app).get('/api/health').set('X-Forwarded-For', '203.0.113.9').expect(200);
    expect(asked.body).not.toHaveProperty('freeBytes');
    behind.end();
  });

  test('is not ready where nothing can be saved, or when it stops; live all the same', async () => {
    for (const [readOnly, isStopping, status] of [
      ['The disk is full', false, 'read-only'],
      [null, true, 'stopping'],
    ] as const) {
      const server = testServer();
      const app = testServer(undefined, { state: { data: server.data, readOnly, isStopping } });
      expect((await request(app.app).get('/api/health').expect(503)).body).toMatchObject({ status });
      await request(app.app).get('/api/health?live').expect(200);
      app.end();
      server.end();
    }
  });
});

describe('the log', () => {
  test('has a line for each request, with the route and never an id, a name or an address', async () => {
    const server = await start({ YELLOW_LATCH_LOG_LEVEL: 'info', YELLOW_LATCH_LOG_FORMAT: 'json' });
    const { id, headers } = await joined(server);
    const answer = await fetch(`${server.address}/api/d/${id}/devices`, { headers });
    const asked = answer.headers.get('x-request-id');
    await answer.text();
    await program.end(server);
    const lines = server
      .said()
      .split('\n')
      .filter((line) => line.startsWith('{'))
      .map((line) => JSON.parse(line) as Record<string, unknown>);
    expect(lines.at(-1)).toMatchObject({ id: asked, method: 'GET', route: '/api/d/{device}/devices', status: 200 });
    expect(lines.at(-1)!.bytes).toBeGreaterThan(500);
    expect(lines.at(-1)!.ms).toBeGreaterThan(0);
    for (const secret of [id, headers.Cookie.split('=')[1]!, 'Ines'])
      expect(JSON.stringify(lines)).not.toContain(secret);
    expect(JSON.stringify(lines)).not.toMatch(/127\.0\.0\.1|::1/u);
  });

  test('is as quiet as it is told, and readable where that is asked for', async () => {
    const quiet = await start({ YELLOW_LATCH_LOG_LEVEL: 'silent' });
    await joined(quiet);
    await program.end(quiet);
    expect(quiet.said().trim().split('\n')).toHaveLength(1);
    const pretty = await start({ YELLOW_LATCH_LOG_LEVEL: 'info', YELLOW_LATCH_LOG_FORMAT: 'pretty' });
    await joined(pretty);
    await program.end(pretty);
    expect(pretty.said()).toMatch(/INFO: answered .*"route":"\/api\/devices"/u);
  });
});

describe('figures', () => {
  test('are at a port of their own, in the text form of Prometheus, and count by route', async () => {
    const metrics = new Metrics({ size: 3 });
    await metrics.listen(0);
    const answered = { id: 'x', method: 'POST', route: '/api/d/{device}/changes', status: 200, ms: 12, bytes: 300 };
    metrics.count(answered);
    metrics.count({ ...answered, ms: 80 });
    metrics.count({ ...answered, route: '/api/d/{device}/stream', ms: 900_000 });
    const told = await (await fetch(`http://127.0.0.1:${metrics.port}/metrics`)).text();
    expect(told).toContain('yellow_latch_streams 3');
    expect(told).toContain('yellow_latch_sent_bytes_total{route="/api/d/{device}/changes"} 600');
    expect(told).toContain(
      'yellow_latch_request_seconds_bucket{le="0.05",method="POST",route="/api/d/{device}/changes",status="200"} 1',
    );
    expect(told).toContain(
      'yellow_latch_request_seconds_count{method="POST",route="/api/d/{device}/changes",status="200"} 2',
    );
    expect(told).not.toMatch(/request_seconds_count\{[^}]*stream/u);
    expect(told).toContain('yellow_latch_process_resident_memory_bytes');
    expect((await fetch(`http://127.0.0.1:${metrics.port}/`)).status).toBe(404);
    await metrics.close();
  });

  test('are served by the program where that is asked for, and nowhere else', async () => {
    const port = await freePort();
    const told = () =>
      fetch(`http://127.0.0.1:${port}/metrics`).then(
        (answer) => answer.text(),
        () => 'nobody listens',
      );
    const server = await start({ YELLOW_LATCH_METRICS_PORT: String(port) });
    await fetch(`${server.address}/api/door`);
    expect(await told()).toContain('route="/api/door",status="200"} 1');
    expect((await fetch(`${server.address}/metrics`)).status).toBe(404);
    await program.end(server);
    await start();
    expect(await told()).toBe('nobody listens');
  });
});

describe('told to stop', () => {
  test('it lets a request that runs end, and a stream hear the last change', async () => {
    const server = await start();
    const { id, headers } = await joined(server);
    const stream = await fetch(`${server.address}/api/d/${id}/stream`, { headers });
    // A push of which the server has read the half.
    const agent = new Agent({ keepAlive: true });
    const push = ask(`${server.address}/api/d/${id}/changes`, {
      method: 'POST',
      agent,
      headers: { ...headers, 'Content-Type': 'application/json', 'Content-Length': 15 },
    });
    const answered = new Promise<number>((resolve) =>
      push.once('response', (response) => resolve(response.resume().statusCode!)),
    );
    await new Promise<void>((resolve) => push.write('{"chang', () => resolve()));
    await fetch(`${server.address}/api/door`);
    const gone = ended(server);
    server.child.kill('SIGTERM');
    // The stream is closed in order: its text can be read to the end.
    expect(await stream.text()).toMatch(/event: page/u);
    push.end('es":"x"}');
    expect(await answered).toBe(422);
    expect(await gone).toBe(0);
    agent.destroy();
  });

  test('it waits no longer than five seconds for one that does not end', async () => {
    const server = await start();
    const { id, headers } = await joined(server);
    const push = ask(`${server.address}/api/d/${id}/changes`, {
      method: 'POST',
      headers: { ...headers, 'Content-Type': 'application/json', 'Content-Length': 15 },
    });
    const cut = new Promise((resolve) => push.once('error', resolve));
    await new Promise<void>((resolve) => push.write('{"chang', () => resolve()));
    await fetch(`${server.address}/api/door`);
    const gone = ended(server);
    server.child.kill('SIGTERM');
    await cut;
    expect(await gone).toBe(0);
  }, 30_000);

  test('twice, it waits for nobody', async () => {
    const server = await start();
    const { id, headers } = await joined(server);
    const push = ask(`${server.address}/api/d/${id}/changes`, {
      method: 'POST',
      headers: { ...headers, 'Content-Type': 'application/json', 'Content-Length': 15 },
    });
    push.on('error', () => {});
    await new Promise<void>((resolve) => push.write('{"chang', () => resolve()));
    await fetch(`${server.address}/api/door`);
    const gone = ended(server);
    server.child.kill('SIGTERM');
    while (
      (await fetch(`${server.address}/api/health?live`).then(
        ({ ok }) => ok,
        () => false,
      )) === true
    );
    server.child.kill('SIGTERM');
    expect(await gone).toBe(1);
    expect(openDatabase(join(folder, 'data')).$client.pragma('integrity_check', { simple: true })).toBe('ok');
  });
});

describe('it says why it cannot start', () => {
  test.each([
    [
      'nonsense in the environment',
      { YELLOW_LATCH_LIST_MB: 'plenty' },
      'YELLOW_LATCH_LIST_MB must be a whole number from 1 to 10000',
    ],
    ['a certificate that is not there', { YELLOW_LATCH_CERT: 'no.pem', YELLOW_LATCH_KEY: 'no.pem' }, 'no.pem'],
  ])('%s', async (_name, settings, said) => {
    const server = await start(settings);
    expect(server.address).toBeNull();
    expect(server.said()).toContain('Yellow Latch could not start: ');
    expect(server.said()).toContain(said);
  });

  test('a port that is taken, of its own, of phones and of figures', async () => {
    const taken = createServer();
    await new Promise<void>((resolve) => taken.listen(0, '127.0.0.1', resolve));
    const { port } = taken.address() as AddressInfo;
    expect((await start({ YELLOW_LATCH_PORT: String(port) })).said()).toContain(
      `port ${port} is in use; choose another with --port`,
    );
    expect((await start({ YELLOW_LATCH_METRICS_PORT: String(port) })).said()).toContain(`port ${port} is in use`);
    taken.close();
  });

  test('a database of a later version, which is left as it is', async () => {
    const data = join(folder, 'data');
    openDatabase(data).$client.close();
    const later = new SQLite(databaseFile(data));
    later.prepare("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('x', 9999999999999)").run();
    later.close();
    expect((await start()).said()).toMatch(
      /was written by a later version of Yellow Latch; start that one\. Nothing was changed/u,
    );
  });
});
