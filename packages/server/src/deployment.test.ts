/** What runs the server elsewhere: a service, a container, a proxy in front of two processes. */
import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { Agent, request as ask, type IncomingMessage } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { DockerfileParser } from 'dockerfile-ast';
import { v7 as uuid } from 'uuid';

import { freePort, Program, type Started } from './program';
import { readSettings } from './settings';

const ROOT = join(__dirname, '../../..');
const SERVICE = readFileSync(join(__dirname, '../yellow-latch.service'), 'utf8');

test('the service starts the server with settings that it knows', () => {
  const [, command] = /^ExecStart=(.*)$/mu.exec(SERVICE)!;
  const [node, program, ...flags] = command!.split(' ');
  expect(node).toBe('/usr/bin/node');
  expect(program).toMatch(/packages\/server\/dist\/server\.mjs$/u);
  expect(readSettings({}, flags)).toMatchObject({
    data: '/var/lib/yellow-latch',
    publicUrl: 'https://list.example',
    backups: { folder: '/var/lib/yellow-latch/backups' },
    log: { format: 'json' },
  });
  // It may write where its state is, and nowhere else.
  expect(SERVICE).toMatch(/^StateDirectory=yellow-latch$/mu);
  expect(SERVICE).toMatch(/^ProtectSystem=strict$/mu);
});

test('the container is built from the lock file and runs as nobody in particular, with its data in a volume', () => {
  const dockerfile = DockerfileParser.parse(readFileSync(join(ROOT, 'Dockerfile'), 'utf8'));
  const told = dockerfile.getInstructions().map((one) => [one.getKeyword(), one.getArgumentsContent() ?? ''] as const);
  const all = (keyword: string) => told.filter(([one]) => one === keyword).map(([, content]) => content);
  expect(all('FROM')).toEqual(['node:20.20.2-bookworm AS build', 'node:20.20.2-bookworm-slim']);
  expect(all('USER')).toEqual(['node']);
  expect(all('VOLUME')).toEqual(['/data']);
  const entry = JSON.parse(all('ENTRYPOINT')[0]!) as string[];
  expect(readSettings({}, entry.slice(2))).toMatchObject({ data: '/data', site: 'packages/app/dist', port: 4170 });
  // What the server needs at run time and is not in its one file.
  for (const copied of all('COPY').slice(1)) {
    const [from, to] = copied.split(' ') as [string, string];
    expect(from).toBe(`/src/${to}`);
    if (!to.includes('/dist')) expect([to, existsSync(join(ROOT, to))]).toEqual([to, true]);
  }
  expect(JSON.stringify(all('COPY'))).toContain(entry[1]);
});

describe('behind nginx, two processes under two names', () => {
  const program = new Program();
  let folder: string;
  let nginx: ChildProcess | undefined;
  let servers: Started[];
  let port = 0;
  const agent = new Agent({ keepAlive: true });

  beforeAll(async () => {
    await program.build();
    folder = mkdtempSync(join(tmpdir(), 'yellow-latch-nginx-'));
    const names = ['one.list.example', 'two.list.example'];
    servers = await Promise.all(
      names.map((name) => program.start(join(folder, name), { YELLOW_LATCH_PUBLIC_URL: `https://${name}` })),
    );
    nginx = await startNginx();
  }, 60_000);
  afterAll(async () => {
    const gone = new Promise((resolve) => nginx?.once('exit', resolve));
    nginx?.kill();
    if (nginx) await gone;
    agent.destroy();
    await program.endAll();
    program.remove();
    rmSync(folder, { recursive: true, force: true });
  });

  /** Starts nginx on a free port; on another where somebody took that one first. */
  async function startNginx(): Promise<ChildProcess> {
    for (let tried = 0; tried < 5; tried += 1) {
      port = await freePort();
      const ours = readFileSync(join(__dirname, '../nginx.conf'), 'utf8')
        .replace('127.0.0.1:4171', new URL(servers[0]!.address!).host)
        .replace('127.0.0.1:4172', new URL(servers[1]!.address!).host)
        .replace('listen 443 ssl;', `listen 127.0.0.1:${port};`)
        .replaceAll(/^ *ssl_certificate.*$/gmu, '');
      const temporary = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map(
        (kind) => `${kind}_temp_path ${folder}/${kind};`,
      );
      writeFileSync(
        join(folder, 'nginx.conf'),
        `daemon off; pid ${folder}/pid; error_log stderr crit; events {}\nhttp { access_log off; ${temporary.join(' ')}\n${ours}}\n`,
      );
      const child = spawn('nginx', ['-e', 'stderr', '-p', folder, '-c', join(folder, 'nginx.conf')], {
        stdio: ['ignore', 'ignore', 'inherit'],
        env: { ...process.env, PATH: `${process.env.PATH}:/usr/sbin` },
      });
      const ended = new Promise<false>((resolve) => child.once('exit', () => resolve(false)));
      if (await Promise.race([ended, nginxAnswers(child)])) return child;
    }
    throw new Error('nginx ended five times; what it said stands above.');
  }
  /** Resolves when it is nginx that answers at the port, false once the process has ended. */
  async function nginxAnswers(child: ChildProcess): Promise<boolean> {
    while (child.exitCode === null) {
      const isNginx = await get('one.list.example', '/api/health?live').then(
        ({ status, headers }) => status === 200 && String(headers.server).startsWith('nginx'),
        () => false,
      );
      if (isNginx) return true;
    }
    return false;
  }

  interface Got {
    status: number;
    headers: IncomingMessage['headers'];
    body: string;
  }
  /** Asks nginx as a browser that was sent to a name; `from`: the address of this machine that it asks from. */
  function get(
    host: string,
    path: string,
    { body, cookie, from }: { body?: object; cookie?: string; from?: string } = {},
  ) {
    return new Promise<Got>((resolve, reject) => {
      const asked = ask(
        {
          host: '127.0.0.1',
          port,
          path,
          agent: from ? undefined : agent,
          localAddress: from,
          method: body ? 'POST' : 'GET',
          headers: {
            Host: host,
            ...(body ? { 'Content-Type': 'application/json' } : {}),
            ...(cookie ? { Cookie: cookie } : {}),
          },
        },
        (response) => {
          let text = '';
          response.on('data', (chunk) => (text += String(chunk)));
          response.on('end', () => resolve({ status: response.statusCode!, headers: response.headers, body: text }));
        },
      );
      asked.on('error', reject).end(body && JSON.stringify(body));
    });
  }
  async function begin(host: string): Promise<{ id: string; cookie: string; asGiven: string }> {
    const id = uuid();
    const body = { list: { id: uuid(), name: `At ${host}` }, device: { id, name: 'First', kind: 'computer' } };
    const { status, headers } = await get(host, '/api/lists', { body });
    expect(status).toBe(201);
    const [asGiven] = headers['set-cookie'] as [string];
    return { id, cookie: asGiven.split(';')[0]!, asGiven };
  }

  test('each list lives at its name alone, with cookies for https and every header a browser is to have', async () => {
    const one = await begin('one.list.example');
    expect(one.asGiven).toMatch(/Secure/u);
    const mine = await get('one.list.example', `/api/d/${one.id}/devices`, one);
    expect(JSON.parse(mine.body)).toMatchObject({
      list: { name: 'At one.list.example' },
      address: 'https://one.list.example',
    });
    expect(mine.headers['strict-transport-security']).toBeDefined();
    expect((await get('two.list.example', `/api/d/${one.id}/devices`, one)).status).toBe(401);
  });

  test('an event arrives at once, through an open stream', async () => {
    const { id, cookie } = await begin('two.list.example');
    const arrived = new Promise<string>((resolve, reject) => {
      const asked = ask(
        { host: '127.0.0.1', port, path: `/api/d/${id}/stream`, headers: { Host: 'two.list.example', Cookie: cookie } },
        (stream) => {
          let text = '';
          stream.on('data', (chunk) => {
            text += String(chunk);
            if (!text.includes('event: devices')) return;
            asked.destroy();
            resolve(text);
          });
        },
      );
      asked.on('error', reject).end();
    });
    const { body } = await get('two.list.example', `/api/d/${id}/invitations`, { body: {}, cookie });
    const { code } = JSON.parse(body) as { code: string };
    await get('two.list.example', '/api/joins', {
      body: { code, device: { id: uuid(), name: 'Second', kind: 'phone' } },
    });
    expect(await arrived).toMatch(/event: page/u);
  });

  test('who guesses codes from one address is stopped, and others are not', async () => {
    const guess = (from: string) =>
      get('one.list.example', '/api/joins', {
        body: { code: 'AAAA-AAAA', device: { id: uuid(), name: 'X', kind: 'phone' } },
        from,
      });
    for (let tried = 0; tried < 10; tried += 1) expect((await guess('127.0.0.9')).status).toBe(403);
    expect((await guess('127.0.0.9')).status).toBe(429);
    expect((await guess('127.0.0.10')).status).toBe(403);
  });

  test('a name that nobody has leads nowhere, and one process that is gone leaves the other alone', async () => {
    expect((await get('three.list.example', '/api/door')).status).toBe(404);
    await program.end(servers[1]!);
    expect((await get('two.list.example', '/api/door')).status).toBe(502);
    expect((await get('one.list.example', '/api/door')).status).toBe(200);
  });
});
