import { statSync } from 'node:fs';
import { join } from 'node:path';

import SQLite from 'better-sqlite3';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';

import { LOG_KEEPS } from './compaction';
import { openDatabase } from './database';
import { Presence } from './devices';
import { Erasure } from './erasure';
import { CLOCK_LEAP, EMPTY_LIST_LASTS, Housekeeping, isTimeToBeTrusted } from './housekeeping';
import { changes, devices, invitations, lists, records } from './schema';
import { listenToLog, NOW, problemOf, TestDevice, testServer, WHOLE, type TestServer } from './testing';

const DAY = 24 * 60 * 60_000;

let server: TestServer;
beforeEach(() => {
  server = testServer(undefined, { openList: undefined });
});
afterEach(() => server.end());

function housekeeping(forgetAfter?: number): Housekeeping {
  const { db, clock } = server;
  return new Housekeeping({
    db,
    presence: new Presence(db),
    erasure: new Erasure(db),
    now: () => clock.now,
    forgetAfter,
  });
}

/** Day after day, as a server that is on. */
async function daysPass(days: number, keeping = housekeeping()): Promise<void> {
  for (let day = 0; day < days; day += 1) {
    server.clock.now += DAY;
    await keeping.run();
  }
}

/** Week after week: no leap yet, and fewer runs. */
async function weeksPass(days: number, keeping = housekeeping()): Promise<void> {
  for (let week = 0; week < days; week += CLOCK_LEAP / DAY) {
    server.clock.now += CLOCK_LEAP;
    await keeping.run();
  }
}

const logged = () => server.db.select().from(changes).all().length;

describe('a clock that leaps', () => {
  let phone: TestDevice;
  beforeEach(async () => {
    phone = await TestDevice.begin(server.app);
    await phone.push(Array.from({ length: 6 }, () => phone.change()));
  });

  test('once ahead by four hundred days and then right again wipes no history', async () => {
    server.clock.now = NOW + 400 * DAY;
    await housekeeping().run();
    expect(logged()).toBe(6);
    server.clock.now = NOW + DAY;
    await housekeeping().run();
    await daysPass(30);
    expect(logged()).toBe(6);
  });

  test('is believed when as much time has passed since, and then what is old goes', async () => {
    server.clock.now = NOW + 400 * DAY;
    await housekeeping().run();
    await daysPass(CLOCK_LEAP / DAY - 1);
    expect(logged()).toBe(6);
    await daysPass(1);
    // The newest change stays, whatever its age.
    expect(logged()).toBe(1);
    expect(server.db.select().from(records).all()).toHaveLength(6);
  });

  test('again and again is never believed', () => {
    const trusted = [0, 8, 16, 24].map((days) => isTimeToBeTrusted(server.db, NOW + days * DAY));
    expect(trusted).toEqual([true, false, false, false]);
  });

  test('day by day, it is right, and the log goes as it gets old', async () => {
    await daysPass(LOG_KEEPS / DAY + 1);
    expect(logged()).toBe(1);
  });
});

describe('lists', () => {
  test('without a shortcut, opened by nobody for thirty days, are forgotten; one that is looked at or used is not', async () => {
    await TestDevice.begin(server.app);
    const [looking, using] = [await TestDevice.begin(server.app), await TestDevice.begin(server.app)];
    await using.push([using.change()]);
    await looking.pages();
    const keeping = housekeeping();
    for (let day = 0; day <= EMPTY_LIST_LASTS / DAY; day += 1) {
      await daysPass(1, keeping);
      if (day === 15) await looking.pages();
    }
    // The list of the test server itself is one of the empty.
    expect(server.db.select().from(lists).all()).toHaveLength(2);
    expect((await using.pages()).records).toHaveLength(1);
    await weeksPass(400, keeping);
    expect(server.db.select().from(lists).all()).toHaveLength(1);
  });

  test('with shortcuts go only if the operator has set a time', async () => {
    const idle = await TestDevice.begin(server.app);
    await idle.push([idle.change()]);
    await weeksPass(401);
    expect(server.db.select().from(records).all()).toHaveLength(1);
    await daysPass(1, housekeeping(400 * DAY));
    expect(server.db.select().from(records).all()).toHaveLength(0);
    // If it comes back after all, it begins its list anew with what it holds.
    expect(problemOf(await idle.get(idle.at('/pages')))).toBe('device-unknown');
  });
});

test('a device that was let in and never came is forgotten after a day', async () => {
  const owner = await TestDevice.begin(server.app);
  await owner.pages();
  await owner.letIn();
  await daysPass(3);
  expect(
    server.db
      .select()
      .from(devices)
      .all()
      .map(({ id }) => id),
  ).toEqual([owner.id]);
});

test('a join code that has expired is gone with the next daily work', async () => {
  const owner = await TestDevice.begin(server.app);
  await owner.post(owner.at('/invitations'), {});
  await housekeeping().run();
  expect(server.db.select().from(invitations).all()).toHaveLength(1);
  server.clock.now += 11 * 60_000;
  await housekeeping().run();
  expect(server.db.select().from(invitations).all()).toEqual([]);
});

test('of a device that is out only who it was stays, and its last number; it is told so for ninety days', async () => {
  const owner = await TestDevice.begin(server.app);
  const other = await owner.letIn('Old phone');
  const change = other.change();
  await other.push([change]);
  const set = uuid();
  await owner.ask('patch', owner.at(`/devices/${other.id}`)).send({ takes: [set], may: 'use' });
  await owner.ask('delete', owner.at(`/devices/${other.id}`)).expect(200);
  const kept = () => server.db.select().from(devices).where(eq(devices.id, other.id)).get()!;
  expect(kept()).toMatchObject({
    name: 'Old phone',
    lastN: 1,
    secretHash: null,
    subscribedSets: null,
    may: 'edit',
    through: 0,
  });
  expect(problemOf(await other.get(other.at('/devices')))).toBe('signed-out');
  await daysPass(91);
  expect(kept()).toMatchObject({ name: 'Old phone', lastN: 1, tokenHash: '' });
  expect(problemOf(await other.get(other.at('/devices')))).toBe('device-unknown');
  expect(problemOf(await other.push([change]))).toBe('device-unknown');
});

test('the file shrinks when much of it is free', async () => {
  const owner = await TestDevice.begin(server.app);
  for (let push = 0; push < 4; push += 1) {
    await owner.push(
      Array.from({ length: 40 }, (_, made) =>
        owner.change({
          ...WHOLE,
          code: `;${push}-${made}`,
          content: { ...WHOLE.content, expansion: 'x'.repeat(20_000) },
        }),
      ),
    );
  }
  const size = () => statSync(join(server.data, 'yellow-latch.sqlite')).size;
  server.db.$client.pragma('wal_checkpoint(TRUNCATE)');
  const full = size();
  await owner.ask('delete', owner.at('/list')).expect(204);
  await housekeeping().run();
  expect(full).toBeGreaterThan(6_000_000);
  expect(size()).toBeLessThan(full / 3);
});

test('a database of before this could shrink is written anew once', () => {
  const file = join(server.data, 'yellow-latch.sqlite');
  server.db.$client.close();
  const old = new SQLite(file);
  old.pragma('journal_mode = DELETE');
  old.pragma('auto_vacuum = NONE');
  old.exec('VACUUM');
  old.close();
  server.db = openDatabase(server.data);
  expect(server.db.$client.pragma('auto_vacuum', { simple: true })).toBe(2);
});

describe('housekeeping that fails', () => {
  test.each([
    ['while another program holds the lock', 'busy'],
    ['on a full disk', 'full'],
  ])('%s is told, ends nothing, and is done when it can be', async (_name, why) => {
    const owner = await TestDevice.begin(server.app);
    await owner.push(Array.from({ length: 3 }, () => owner.change()));
    await daysPass(LOG_KEEPS / DAY);
    jest.useFakeTimers({ doNotFake: ['setImmediate', 'performance'] });
    const said = listenToLog();
    const { $client } = server.db;
    $client.pragma('busy_timeout = 10');
    const holder = new SQLite(join(server.data, 'yellow-latch.sqlite'));
    if (why === 'busy') holder.exec('BEGIN IMMEDIATE');
    else $client.pragma(`query_only = ON`);
    server.clock.now += 2 * DAY;
    const keeping = housekeeping();
    keeping.start();
    await keeping.stop();
    expect(said.lines.join()).toMatch(/housekeeping failed/u);
    expect(logged()).toBe(3);

    if (why === 'busy') holder.exec('ROLLBACK');
    else $client.pragma('query_only = OFF');
    const again = housekeeping();
    await again.run();
    expect(logged()).toBe(1);
    holder.close();
    said.end();
    jest.useRealTimers();
  });

  test('is tried again in ten minutes', async () => {
    jest.useFakeTimers({ doNotFake: ['setImmediate', 'performance'] });
    const said = listenToLog();
    const keeping = housekeeping();
    const run = jest.spyOn(keeping, 'run').mockRejectedValueOnce(new Error('once')).mockResolvedValue();
    keeping.start();
    await jest.advanceTimersByTimeAsync(9 * 60_000);
    expect(run).toHaveBeenCalledTimes(1);
    await jest.advanceTimersByTimeAsync(2 * 60_000);
    expect(run).toHaveBeenCalledTimes(2);
    await jest.advanceTimersByTimeAsync(DAY);
    expect(run).toHaveBeenCalledTimes(3);
    await keeping.stop();
    said.end();
    jest.useRealTimers();
  });
});

test('what was noted of a device is written for many in one transaction', () => {
  const begun = jest.spyOn(server.db.$client, 'transaction');
  const presence = new Presence(server.db);
  for (let device = 0; device < 50; device += 1) presence.note(uuid(), 1, NOW - 70_000);
  presence.write(NOW);
  // The first that is noted after a minute, and the other forty-nine.
  expect(begun).toHaveBeenCalledTimes(2);
});
