/** Backups of a server that runs, and the way back; the program as a process where it matters. */
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { makeClock } from '@yellow-latch/core/sync';
import SQLite from 'better-sqlite3';
import { v7 as uuid } from 'uuid';

import { databaseFile, openDatabase } from '../database';
import { FolderLock } from '../lock';
import { Program } from '../program';
import { listenToLog, NOW, TestDevice, testServer, WHOLE } from '../testing';
import { restoreBackup, takeBackup } from './backup';
import { BackupSchedule } from './schedule';

let folder: string;
const program = new Program();
beforeAll(() => program.build());
afterAll(() => program.remove());
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'yellow-latch-backup-'));
});
afterEach(async () => {
  await program.endAll();
  rmSync(folder, { recursive: true, force: true });
});
const at = (name: string) => join(folder, name);

/** A device that pushes one change after the other, and remembers what was acknowledged. */
class Pusher {
  readonly acknowledged: string[] = [];
  private n = 0;

  private constructor(
    private readonly address: string,
    private readonly id: string,
    private readonly cookie: string,
  ) {}

  static async join(address: string): Promise<Pusher> {
    const id = uuid();
    const headers = { 'Content-Type': 'application/json' };
    const body = JSON.stringify({ id, name: 'P', kind: 'phone' });
    const answer = await fetch(`${address}/api/devices`, { method: 'POST', headers, body });
    return new Pusher(address, id, answer.headers.get('set-cookie')!.split(';')[0]!);
  }

  /** `goesOn`: asked before each. */
  async push(goesOn: () => boolean): Promise<void> {
    while (goesOn()) {
      this.n += 1;
      const change = {
        id: uuid(),
        record: { type: 'shortcut', id: uuid() },
        fields: { ...WHOLE, code: `;${this.id.slice(-6)}${this.n}` },
        base: {},
        clock: makeClock(Date.now(), this.n, this.id),
        device: this.id,
        n: this.n,
      };
      const answer = await fetch(`${this.address}/api/d/${this.id}/changes`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Cookie: this.cookie },
        body: JSON.stringify({ changes: [change] }),
      });
      if (answer.status !== 200) throw new Error(await answer.text());
      this.acknowledged.push(change.id);
    }
  }
}

const changesIn = (file: string) => {
  const database = new SQLite(file, { readonly: true });
  const ids = database.prepare('SELECT id FROM changes').pluck().all() as string[];
  database.close();
  return new Set(ids);
};

test('taken while 20 devices push, it restores to a server that holds every change acknowledged before', async () => {
  const data = at('data');
  const server = await program.start(data, { YELLOW_LATCH_OPEN: '1' });
  const pushers = await Promise.all(Array.from({ length: 20 }, () => Pusher.join(server.address!)));
  let isOver = false;
  const pushing = Promise.all(pushers.map((pusher) => pusher.push(() => !isOver)));
  const known = () => pushers.flatMap(({ acknowledged }) => acknowledged);
  const many = async (more: number) => {
    const from = known().length;
    while (known().length < from + more) await new Promise((resolve) => setImmediate(resolve));
  };
  await many(200);
  const before = known();
  const said = await program.run(['backup', at('copy.sqlite'), '--data', data]);
  await many(100);
  isOver = true;
  await pushing;
  expect(said).toMatch(/Backed up to .*copy\.sqlite: 1 lists, 20 devices, .*Checked\./u);
  const copied = changesIn(at('copy.sqlite'));
  expect(before.filter((id) => !copied.has(id))).toEqual([]);
  // The devices went on meanwhile.
  expect(known().length).toBeGreaterThan(copied.size);

  await program.end(server);
  expect(await program.run(['restore', at('copy.sqlite'), '--data', data])).toMatch(
    /Restored .*before is in .*-before-/su,
  );
  const again = await program.start(data, { YELLOW_LATCH_OPEN: '1' });
  expect((await fetch(`${again.address}/api/health`)).status).toBe(200);
  await program.end(again);
  expect(changesIn(databaseFile(data))).toEqual(copied);
  // What was there before the restore is beside it, whole.
  const aside = readdirSync(data).find((name) => name.includes('-before-'))!;
  const kept = changesIn(join(data, aside));
  expect(known().filter((id) => !kept.has(id))).toEqual([]);
}, 120_000);

describe('a backup', () => {
  test('replaces an older one, and nothing else', async () => {
    const { end, data, app } = testServer(at('data'));
    await takeBackup(data, at('copy'));
    const device = await TestDevice.join(app);
    await device.push([device.change()]);
    expect(await takeBackup(data, at('copy'))).toMatchObject({ devices: 1, changes: 1, records: 1 });
    writeFileSync(at('letter'), 'Dear Ines,');
    await expect(takeBackup(data, at('letter'))).rejects.toThrow(/letter is no backup of Yellow Latch/u);
    expect(readFileSync(at('letter'), 'utf8')).toBe('Dear Ines,');
    await expect(takeBackup(data, databaseFile(data))).rejects.toThrow('is the list itself');
    await expect(takeBackup(data, at('letter/copy'))).rejects.toThrow(/nothing can be written into .*letter \(E/u);
    await expect(takeBackup(at('nowhere'), at('x'))).rejects.toThrow(/there is no list in .*nowhere; --data/u);
    end();
  });

  test('on a full disk fails with the reason, and leaves the one before', async () => {
    const { end, data } = testServer(at('data'));
    await takeBackup(data, at('copy'));
    const before = readFileSync(at('copy'));
    end();
    openDatabase(at('data')).$client.close();
    // No file may grow past 16 kB: what a full disk is to the program, without one.
    await expect(
      program.run(['backup', at('copy'), '--data', at('data')], "trap '' XFSZ; ulimit -f 16;"),
    ).rejects.toThrow(/The backup failed: .*(disk|full)/iu);
    expect(readFileSync(at('copy')).equals(before)).toBe(true);
    expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
  });
});

describe('a restore is refused', () => {
  const made = async () => {
    const { end, data } = testServer(at('data'));
    await takeBackup(data, at('copy'));
    return { end, data };
  };

  test('of a later version, and nothing changes', async () => {
    const { end, data } = await made();
    const later = new SQLite(at('copy'));
    later.prepare("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('x', 9999999999999)").run();
    later.close();
    await expect(restoreBackup(data, at('copy'), NOW)).rejects.toThrow(/copy was written by a later version/u);
    expect(existsSync(databaseFile(data))).toBe(true);
    end();
  });

  test('of a damaged file, and of one that is no backup', async () => {
    const { end, data } = await made();
    const bytes = readFileSync(at('copy'));
    writeFileSync(at('cut'), bytes.subarray(0, bytes.length - 3 * 4_096));
    await expect(restoreBackup(data, at('cut'), NOW)).rejects.toThrow(/cut is damaged/u);
    writeFileSync(at('letter'), 'Dear Ines,');
    await expect(restoreBackup(data, at('letter'), NOW)).rejects.toThrow('is no backup');
    await expect(restoreBackup(data, at('nowhere'), NOW)).rejects.toThrow('nowhere is not there');
    mkdirSync(at('folder'));
    await expect(restoreBackup(data, at('folder'), NOW)).rejects.toThrow('folder is no file');
    end();
  });

  test('while a server uses the folder', async () => {
    const { end, data } = await made();
    const lock = FolderLock.acquire(data);
    await expect(restoreBackup(data, at('copy'), NOW)).rejects.toThrow('another Yellow Latch server is using');
    lock.release();
    end();
  });
});

describe('by schedule', () => {
  const HOUR = 60 * 60_000;
  const clock = { now: NOW };
  const schedule = (take?: (data: string, file: string) => Promise<void>) =>
    new BackupSchedule(at('data'), { folder: at('kept'), every: 24 * HOUR, keep: 3 }, () => clock.now, take);
  const takeHere = async (data: string, file: string) => void (await takeBackup(data, file));

  test('so many are kept, the newest; other files in the folder stay', async () => {
    testServer(at('data')).db.$client.close();
    mkdirSync(at('kept'));
    writeFileSync(at('kept/mine.sqlite'), 'mine');
    for (let day = 0; day < 5; day += 1, clock.now += 24 * HOUR) await schedule(takeHere).run();
    expect(readdirSync(at('kept')).sort()).toEqual([
      'mine.sqlite',
      'yellow-latch-2026-11-26T090000.sqlite',
      'yellow-latch-2026-11-27T090000.sqlite',
      'yellow-latch-2026-11-28T090000.sqlite',
    ]);
  });

  test('after a start, the next is made when the last one is old enough', async () => {
    clock.now = NOW;
    testServer(at('data')).db.$client.close();
    mkdirSync(at('kept'));
    await schedule(takeHere).run();
    jest.useFakeTimers({ doNotFake: ['setImmediate', 'performance'] });
    clock.now += 20 * HOUR;
    const take = jest.fn(() => Promise.resolve());
    const made = schedule(take);
    made.start();
    await jest.advanceTimersByTimeAsync(4 * HOUR - 1);
    expect(take).toHaveBeenCalledTimes(0);
    await jest.advanceTimersByTimeAsync(1);
    expect(take).toHaveBeenCalledTimes(1);
    await made.stop();
    jest.useRealTimers();
  });

  test('where its folder is gone or full, that is logged with its reason, and it is tried again', async () => {
    const log = listenToLog();
    jest.useFakeTimers({ doNotFake: ['setImmediate', 'performance'] });
    const take = jest.fn().mockRejectedValueOnce(new Error('the disk is full')).mockResolvedValue(undefined);
    const made = schedule(take);
    made.start();
    await jest.advanceTimersByTimeAsync(1);
    expect(log.lines.join()).toMatch(/the disk is full.*The backup failed/u);
    await jest.advanceTimersByTimeAsync(10 * 60_000);
    expect(take).toHaveBeenCalledTimes(2);
    await made.stop();
    jest.useRealTimers();
    log.end();
  });

  test('a folder that goes while it runs is not made anew: it may be a disk that was taken out', async () => {
    const log = listenToLog();
    jest.useFakeTimers({ doNotFake: ['setImmediate', 'performance'] });
    const take = jest.fn(() => Promise.resolve());
    const made = schedule(take);
    made.start();
    rmSync(at('kept'), { recursive: true });
    await jest.advanceTimersByTimeAsync(1);
    expect(take).not.toHaveBeenCalled();
    expect(log.lines.join()).toMatch(/kept is gone.*The backup failed/u);
    expect(existsSync(at('kept'))).toBe(false);
    await made.stop();
    jest.useRealTimers();
    log.end();
  });

  test('the program does it in a process of its own', async () => {
    await program.start(at('data'), { YELLOW_LATCH_OPEN: '1', YELLOW_LATCH_BACKUP_DIR: at('kept') });
    while (!existsSync(at('kept')) || !readdirSync(at('kept')).some((name) => name.endsWith('.sqlite')))
      await new Promise((resolve) => setImmediate(resolve));
    expect(changesIn(join(at('kept'), readdirSync(at('kept'))[0]!)).size).toBe(0);
  }, 60_000);
});
