/** The program itself, as a process, on a folder that is in use, or a disk that is full. */
import { existsSync, mkdirSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import SQLite from 'better-sqlite3';
import { v7 as uuid } from 'uuid';

import { FolderLock } from './lock';
import { Program } from './program';
import { startServer } from './server';

let folder: string;
const program = new Program();
beforeAll(() => program.build());
afterAll(() => program.remove());
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-disk-'));
});
afterEach(async () => {
  await program.endAll();
  rmSync(folder, { recursive: true, force: true });
});

const start = (before = '') => program.start(join(folder, 'data'), { YELLOW_LATCH_OPEN: '1' }, before);

const joinAt = (address: string, id = uuid()) =>
  fetch(`${address}/api/devices`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ id, name: 'P', kind: 'phone' }),
  });

describe('a data folder', () => {
  test('has one server: a second is told why it cannot start, and may after the first was killed', async () => {
    const first = await start();
    const second = await start();
    expect(second.address).toBeNull();
    expect(second.said()).toMatch(/another Yellow Latch server is using .*data/u);
    // Other programs read the data as before.
    const other = new SQLite(join(folder, 'data/yellow-latch.sqlite'), { readonly: true });
    expect(other.prepare('SELECT count(*) AS held FROM lists').get()).toEqual({ held: 1 });
    other.close();
    await program.end(first, 'SIGKILL');
    expect((await start()).address).not.toBeNull();
  }, 60_000);

  test('is not used by two servers of one process either', async () => {
    const options = { data: folder, host: '127.0.0.1', port: 0 };
    const one = await startServer(options);
    await expect(startServer(options)).rejects.toThrow('another Yellow Latch server');
    await one.close();
    const lock = FolderLock.acquire(folder);
    lock.release();
  });

  test('that is there keeps its mode; one that is made is private', async () => {
    const mode = (path: string) => statSync(path).mode & 0o777;
    const there = join(folder, 'there');
    mkdirSync(there, { mode: 0o755 });
    for (const data of [there, join(folder, 'made/here')]) {
      const server = await startServer({ data, host: '127.0.0.1', port: 0 });
      await server.close();
    }
    expect([mode(there), mode(join(folder, 'made/here'))]).toEqual([0o755, 0o700]);
  });
});

/** No file may grow past so many kB: what a full disk is to the program, without one. */
const full = (kB: number) => `trap '' XFSZ; ulimit -f ${kB};`;

describe('a disk without room', () => {
  test('does not keep it from starting to read, and it says so', async () => {
    const first = await start();
    const id = uuid();
    const cookie = (await joinAt(first.address!, id)).headers.get('set-cookie')!.split(';')[0]!;
    const pages = (address: string) => fetch(`${address}/api/d/${id}/pages`, { headers: { Cookie: cookie } });
    expect((await pages(first.address!)).status).toBe(200);
    await program.end(first);
    expect(existsSync(join(folder, 'data/yellow-latch.sqlite-shm'))).toBe(false);

    const again = await start(full(16));
    expect(again.said()).toMatch(/Nothing can be saved.*can be read/u);
    const page = await pages(again.address!);
    expect([page.status, ((await page.json()) as { through: number }).through]).toEqual([200, 0]);
    expect((await joinAt(again.address!)).status).toBeGreaterThanOrEqual(503);
    await program.end(again);

    const room = await start();
    expect((await joinAt(room.address!)).status).toBe(201);
  }, 60_000);

  test('that fills up later ends nothing: what cannot be written is refused, the rest goes on', async () => {
    const server = await start(full(200));
    const answers: number[] = [];
    for (let asked = 0; asked < 120; asked += 1) answers.push((await joinAt(server.address!)).status);
    expect(answers[0]).toBe(201);
    expect(answers.at(-1)).toBeGreaterThanOrEqual(503);
    expect((await fetch(`${server.address}/api/door`)).status).toBe(200);
    expect(server.child.exitCode).toBeNull();
  }, 60_000);
});
