/**
 * Devices and the server's ledger as they are, with a line between them that loses, repeats and reorders. Whatever
 * happens, all devices end equal, nothing that was typed is lost, and nothing is applied twice.
 */
import 'fake-indexeddb/auto';

import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { MODEL_VERSION } from '@yellow-latch/core/model';
import { currentFields, isErased, PageSchema, type Page, type StoredRecord } from '@yellow-latch/core/sync';
import fc from 'fast-check';
import { v7 as uuid } from 'uuid';

import { openDatabase as openReplicaDatabase } from '@yellow-latch/replica/storage/database';
import { keptState, newDeviceState } from '@yellow-latch/replica/storage/device';
import { goOnAs } from '@yellow-latch/replica/sync/successor';
import { Replica } from '@yellow-latch/replica/storage/replica';
import type { Write } from '@yellow-latch/replica/storage/write';
import type { Position } from '@yellow-latch/replica/storage/replica';
import { compact, LOG_KEEPS } from '../../packages/server/src/compaction';
import { openDatabase, type Database } from '../../packages/server/src/database';
import { admitDevice, deviceNow } from '../../packages/server/src/devices';
import { receiveChanges } from '../../packages/server/src/ledger';
import { succeed } from '../../packages/server/src/lists';
import { ProblemError } from '../../packages/server/src/problem';
import { readPage } from '../../packages/server/src/reading';
import { changes, devices, lists } from '../../packages/server/src/schema';

// Where a browser notes which device it is; here each replica is at hand.
Object.defineProperty(globalThis, 'localStorage', { value: { setItem: () => {} } });

const DAY = 24 * 60 * 60_000;
const START = Date.UTC(2026, 10, 24, 9);
const RUNS = process.env.YELLOW_LATCH_SOAK ? 600 : 60;

/** What may happen to what is sent on the line. */
const LINES = ['arrives', 'lost on the way', 'answer lost', 'repeated'] as const;
type Line = (typeof LINES)[number];

type Action =
  | {
      do: 'write';
      device: number;
      what: 'code' | 'text' | 'kind' | 'delete' | 'bring back' | 'make' | 'count' | 'erase' | 'name set' | 'move set';
      target: number;
      bulk: boolean;
    }
  | { do: 'send'; device: number; most: number; line: Line }
  | { do: 'pull'; device: number; limit: number; line: Line }
  | { do: 'old page'; device: number; which: number }
  | { do: 'restart'; device: number }
  | { do: 'months pass' }
  | { do: 'copy made' }
  | { do: 'set back' };

const device = fc.nat(4);
const line = fc.constantFrom(...LINES);
const write = fc.record({
  do: fc.constant('write' as const),
  device,
  what: fc.constantFrom(
    'code',
    'code',
    'text',
    'text',
    'kind',
    'delete',
    'bring back',
    'make',
    'count',
    'name set',
    'move set',
  ),
  target: fc.nat(5),
  bulk: fc.boolean(),
});
const send = fc.record({ do: fc.constant('send' as const), device, most: fc.integer({ min: 1, max: 4 }), line });
const pull = fc.record({ do: fc.constant('pull' as const), device, limit: fc.integer({ min: 1, max: 4 }), line });
const oldPage = fc.record({ do: fc.constant('old page' as const), device, which: fc.nat(9) });
const restart = fc.record({ do: fc.constant('restart' as const), device });
const erase = fc.record({
  do: fc.constant('write' as const),
  device,
  what: fc.constant('erase' as const),
  target: fc.nat(5),
  bulk: fc.constant(false),
});
const usual = [
  { arbitrary: write, weight: 8 },
  { arbitrary: send, weight: 5 },
  { arbitrary: pull, weight: 5 },
  { arbitrary: oldPage, weight: 1 },
  { arbitrary: restart, weight: 1 },
];
const skews = fc.array(fc.integer({ min: -DAY, max: DAY }), { minLength: 2, maxLength: 5 });

/** What a server says to a device that it does not know as it is. */
const SPENT = new Set(['device-unknown', 'gap', 'number-reused', 'set-back']);

class World {
  readonly replicas: Replica[] = [];
  readonly typed = new Map<string, string>();
  readonly counted = new Map<string, number>();
  now = START;
  private readonly pages: Page[][] = [];
  private serial = 0;

  /** What was typed and no device has been told of that it was taken, when the data was set back last; and all that was typed since. */
  readonly typedSinceSetBack = new Set<string>();
  /** How many pages said that the server and a device had gone different ways. */
  parted = 0;
  private hasCopy = false;

  private constructor(
    public db: Database,
    private readonly listId: string,
    private readonly folder: string,
    private readonly skews: readonly number[],
  ) {}

  /** A server and as many devices as there are clocks; each is wrong by so many ms. */
  static async make(skews: readonly number[]): Promise<World> {
    const folder = mkdtempSync(join(tmpdir(), 'yellow-latch-whole-'));
    const db = openDatabase(folder);
    // What survives a loss of power is tested elsewhere.
    db.$client.pragma('synchronous = OFF');
    const listId = uuid();
    db.insert(lists).values({ id: listId, name: 'List', createdAt: START }).run();
    const world = new World(db, listId, folder, skews);
    for (const [index] of skews.entries()) {
      const state = newDeviceState({ id: uuid(), listId });
      admitDevice(db, listId, { id: state.id, name: `Device ${index}`, kind: 'phone' }, START);
      const replicaDb = await openReplicaDatabase(state.id);
      await replicaDb.put('state', keptState(state), 'device');
      world.replicas.push(await Replica.open(replicaDb, state));
      world.pages.push([]);
    }
    return world;
  }

  end(): void {
    for (const { db } of this.replicas) db.close();
    this.db.$client.close();
    rmSync(this.folder, { recursive: true, force: true });
  }

  async do(action: Action): Promise<void> {
    this.now += 1_000;
    if (action.do === 'months pass') {
      this.now += LOG_KEEPS + DAY;
      compact(this.db, this.now);
      return;
    }
    if (action.do === 'copy made' || action.do === 'set back') return this.copyData(action.do);
    const at = action.device % this.replicas.length;
    const replica = this.replicas[at]!;
    switch (action.do) {
      case 'write':
        return this.write(replica, action, this.now + this.skews[at]!);
      case 'send':
        return this.send(at, action.most, action.line);
      case 'pull':
        await this.pull(at, action.limit, action.line);
        return;
      case 'old page': {
        const page = this.pages[at]![action.which];
        // A page that was on the line for long, of a stream that was cut: none of a fresh copy, which is asked for anew.
        if (page && !page.fresh && !page.more) await replica.receive(page);
        return;
      }
      case 'restart':
        this.replicas[at] = await Replica.open(replica.db, replica.state);
    }
  }

  /** The data folder is copied; or the copy is put in its place, and every line is cut. */
  private copyData(what: 'copy made' | 'set back'): void {
    const file = join(this.folder, 'yellow-latch.sqlite');
    if (what === 'copy made') {
      this.db.$client.pragma('wal_checkpoint(TRUNCATE)');
      copyFileSync(file, `${file}.copy`);
      this.hasCopy = true;
      return;
    }
    if (!this.hasCopy) return;
    this.db.$client.close();
    copyFileSync(`${file}.copy`, file);
    this.db = openDatabase(this.folder);
    this.db.$client.pragma('synchronous = OFF');
    this.pages.forEach((pages) => (pages.length = 0));
    this.typedSinceSetBack.clear();
    for (const replica of this.replicas) {
      replica.dropCopy();
      const waits = new Map(
        replica.waiting.flatMap(({ record, fields }) =>
          Object.entries(fields).map(([field, value]) => [`${record.id} ${field}`, value]),
        ),
      );
      for (const text of JSON.stringify([...waits.values()]).match(/text\d+x/gu) ?? [])
        this.typedSinceSetBack.add(text);
    }
  }

  /** What a device does when the server does not know it as it is: it goes on as another. See `Sync.answer`. */
  private async goOn(at: number, { slug }: ProblemError): Promise<void> {
    const old = this.replicas[at]!;
    const me = { id: uuid(), name: 'Successor', kind: 'phone' as const };
    const known = deviceNow(this.db, old.state.id) as ReturnType<typeof deviceNow> | undefined;
    if (known) succeed(this.db, known, me, this.now);
    else admitDevice(this.db, this.listId, me, this.now);
    const list = { id: this.listId, name: 'List' };
    this.replicas[at] = await goOnAs(
      old,
      me,
      { device: me.id, list },
      slug === 'device-unknown' ? 'waiting' : 'all',
      (from) => Promise.resolve(this.pageOf(me.id, from, 1_000)),
    );
  }

  private async write(replica: Replica, { what, target, bulk }: Action & { do: 'write' }, now: number): Promise<void> {
    const { shortcuts, sets } = replica.read();
    const some = [...shortcuts].sort((a, b) => (a.id < b.id ? -1 : 1));
    const chosen = bulk ? some.slice(0, 3) : some.slice(target % Math.max(1, some.length)).slice(0, 1);
    const fresh = (): string => {
      this.serial += 1;
      return `text${this.serial}x`;
    };
    const type = (id: string): string => {
      const text = fresh();
      this.typed.set(text, id);
      this.typedSinceSetBack.add(text);
      return text;
    };
    const written = (id: string) => ({ expansion: type(id), template: false, format: 'plain' as const });
    const writes: Write[] = [];
    if (what === 'make') {
      const id = uuid();
      writes.push({
        type: 'shortcut',
        id,
        fields: { code: type(id), content: written(id), kind: 'message', setId: sets[0]?.id ?? null },
      });
    } else if (what === 'name set' || what === 'move set') {
      const set = sets[target % Math.max(1, sets.length)];
      if (!set) {
        const id = uuid();
        writes.push({ type: 'set', id, fields: { name: type(id), icon: 'folder', order: 'a0' } });
      } else if (what === 'name set') {
        this.typedSinceSetBack.delete(set.name);
        writes.push({ type: 'set', id: set.id, fields: { name: type(set.id) } });
      } else writes.push({ type: 'set', id: set.id, fields: { order: `a${target}V` } });
    } else if (what === 'bring back') {
      const gone = [...this.typed.values()].find((id) => {
        const record = replica.recordOf('shortcut', id);
        return record && !isErased(record) && !shortcuts.some((shortcut) => shortcut.id === id);
      });
      if (gone) writes.push({ type: 'shortcut', id: gone, fields: { deleted: false } });
    } else {
      for (const {
        id,
        used,
        code,
        content: { expansion },
      } of chosen) {
        // What its writer sees and writes over, or deletes, is not waited for any more.
        if (what === 'code' || what === 'delete') this.typedSinceSetBack.delete(code);
        if (what === 'text' || what === 'delete') this.typedSinceSetBack.delete(expansion);
        if (what === 'code') writes.push({ type: 'shortcut', id, fields: { code: type(id) } });
        if (what === 'text') writes.push({ type: 'shortcut', id, fields: { content: written(id) } });
        if (what === 'kind') writes.push({ type: 'shortcut', id, fields: { kind: 'link' } });
        if (what === 'delete') writes.push({ type: 'shortcut', id, fields: { deleted: true } });
        if (what === 'erase') writes.push({ type: 'shortcut', id, fields: { deleted: 'erased' } });
        if (what === 'count') {
          const own = `${replica.state.id} ${id}`;
          this.counted.set(own, (this.counted.get(own) ?? 0) + 1);
          writes.push({
            type: 'shortcut',
            id,
            fields: { used: { count: this.counted.get(own)!, since: used?.since ?? START } },
          });
        }
      }
    }
    if (writes.length > 0) await replica.write(writes, now);
  }

  private async send(at: number, most: number, how: Line): Promise<void> {
    const replica = this.replicas[at]!;
    const { id } = replica.state;
    const push = structuredClone(replica.waiting.slice(0, most));
    if (push.length === 0 || how === 'lost on the way') return;
    const from = replica.next;
    try {
      if (!this.knows(id)) throw new ProblemError(401, 'device-unknown', 'This device is not known here');
      for (let time = how === 'repeated' ? 3 : 1; time > 0; time -= 1)
        receiveChanges(this.db, deviceNow(this.db, id), push, this.now);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      if (SPENT.has(error.slug)) return this.goOn(at, error);
      if (error.slug !== 'incomplete') throw error;
      const { index } = error.more.errors![0]!;
      if (!(await replica.makeWhole(push[index!]!))) throw error;
      return;
    }
    if (how === 'answer lost') return;
    const page = await this.page(at, from, 1_000);
    if (page) await this.take(at, page);
  }

  /** Asks for one page; resolves to whether there is more. */
  private async pull(at: number, limit: number, how: Line): Promise<boolean> {
    if (how === 'lost on the way') return false;
    const page = await this.page(at, this.replicas[at]!.next, limit);
    if (how === 'answer lost' || page === null) return false;
    await this.take(at, page);
    if (how === 'repeated' && !page.more && !page.fresh) await this.take(at, page);
    return page.more;
  }

  /** A page for a device; null: it went on as another, which has its copy. */
  private async page(at: number, from: Position, limit: number): Promise<Page | null> {
    const { id } = this.replicas[at]!.state;
    try {
      if (!this.knows(id)) throw new ProblemError(401, 'device-unknown', 'This device is not known here');
      return this.pageOf(id, from, limit);
    } catch (error) {
      if (!(error instanceof ProblemError) || !SPENT.has(error.slug)) throw error;
      await this.goOn(at, error);
      return null;
    }
  }

  private pageOf(id: string, { since, last }: Position, limit: number): Page {
    const { json } = readPage(this.db, null, deviceNow(this.db, id), {
      since,
      last: last ?? undefined,
      limit,
      model: MODEL_VERSION,
    });
    return PageSchema.parse(JSON.parse(json));
  }

  /** Whether the server knows a device, and not as one that was succeeded. */
  private knows(id: string): boolean {
    return this.db
      .select()
      .from(devices)
      .all()
      .some((one) => one.id === id);
  }

  private async take(at: number, page: Page): Promise<void> {
    this.pages[at]!.push(page);
    this.parted += Number(page.parted);
    await this.replicas[at]!.receive(page);
  }

  /** The line is good again: everything is sent and pulled until nothing is left to do. */
  async settle(): Promise<void> {
    for (let round = 0; round < 2; round += 1) {
      for (const [at, replica] of this.replicas.entries()) {
        replica.dropCopy();
        while (await this.pull(at, 3, 'arrives'));
        while (this.replicas[at]!.waiting.length > 0) await this.send(at, 3, 'arrives');
      }
    }
    for (const at of this.replicas.keys()) while (await this.pull(at, 1_000, 'arrives'));
  }

  /** Every record as a replica holds it, in the order of their names. */
  standing(at: number): StoredRecord[] {
    return [...this.replicas[at]!.standing()].sort((a, b) => (a.type + a.id < b.type + b.id ? -1 : 1));
  }
}

async function live(
  actions: readonly Action[],
  skews: readonly number[],
  check: (world: World) => void,
): Promise<void> {
  const world = await World.make(skews);
  try {
    for (const action of actions) await world.do(action);
    await world.settle();
    check(world);
  } finally {
    world.end();
  }
}

function allEqual(world: World): void {
  const first = world.standing(0);
  for (const at of world.replicas.keys()) {
    expect(world.standing(at)).toEqual(first);
    expect(world.replicas[at]!.waiting).toEqual([]);
  }
}

function nothingTwice(world: World): void {
  const log = world.db.select().from(changes).all();
  expect(new Set(log.map(({ id }) => id)).size).toBe(log.length);
  for (const { id, lastN } of world.db.select().from(devices).all()) {
    const numbers = log.filter(({ deviceId }) => deviceId === id).map(({ n }) => n);
    expect(new Set(numbers).size).toBe(numbers.length);
    expect(lastN).toBe(world.replicas.find(({ state }) => state.id === id)!.state.lastN);
  }
}

test('whatever the line does, all end equal, nothing typed is lost, nothing is applied twice', async () => {
  const actions = fc.array(fc.oneof(...usual), { minLength: 5, maxLength: 60 });
  await fc.assert(
    fc.asyncProperty(actions, skews, (does, clocks) =>
      live(does, clocks, (world) => {
        allEqual(world);
        nothingTwice(world);
        const log = JSON.stringify(world.db.select().from(changes).all());
        for (const text of world.typed.keys()) expect(log.includes(text)).toBe(true);
        // What each device has counted is in the sum, once.
        for (const record of world.standing(0)) {
          if (record.type !== 'shortcut') continue;
          const sum = [...world.counted]
            .filter(([name]) => name.endsWith(record.id))
            .reduce((total, [, count]) => total + count, 0);
          const shown = world.replicas[0]!.read().shortcuts.find(({ id }) => id === record.id)!;
          expect(shown.used?.count ?? 0).toBe(sum);
        }
      }),
    ),
    { numRuns: RUNS, seed: 9 },
  );
}, 600_000);

test('what is erased while others edit it is gone from every device, the records and the log', async () => {
  const actions = fc.array(fc.oneof(...usual, { arbitrary: erase, weight: 2 }), { minLength: 20, maxLength: 60 });
  let erasedInAll = 0;
  await fc.assert(
    fc.asyncProperty(actions, skews, (does, clocks) =>
      live(does, clocks, (world) => {
        allEqual(world);
        nothingTwice(world);
        const log = JSON.stringify(world.db.select().from(changes).all());
        for (const [text, id] of world.typed) {
          const record = world.replicas[0]!.recordOf('shortcut', id);
          if (!record || !isErased(record)) continue;
          erasedInAll += 1;
          expect(log).not.toContain(text);
          for (const replica of world.replicas)
            expect(JSON.stringify(replica.recordOf('shortcut', id))).not.toContain(text);
        }
      }),
    ),
    { numRuns: RUNS / 2, seed: 10 },
  );
  expect(erasedInAll).toBeGreaterThan(0);
}, 600_000);

test('set back to a copy at any moment, the server and all devices end equal, and what was still to be sent or typed since is there', async () => {
  const setsBack = [
    { arbitrary: fc.constant({ do: 'copy made' as const }), weight: 1 },
    { arbitrary: fc.constant({ do: 'set back' as const }), weight: 1 },
    { arbitrary: fc.constant({ do: 'months pass' as const }), weight: 1 },
  ];
  const some = (maxLength: number) => fc.array(fc.oneof(...usual, ...setsBack), { maxLength });
  // What one device was given is lost, and another writes on before that one is back.
  const make = (at: number): Action[] =>
    Array.from({ length: 3 }, () => ({ do: 'write', device: at, what: 'make', target: 0, bulk: false }));
  const away = fc
    .tuple(device, device, line)
    .map(([writer, reader, how]): Action[] => [
      { do: 'copy made' },
      ...make(writer),
      { do: 'send', device: writer, most: 3, line: 'arrives' },
      { do: 'pull', device: reader, limit: 1_000, line: 'arrives' },
      { do: 'set back' },
      ...make(writer + 2),
      ...make(writer + 2),
      { do: 'send', device: writer + 2, most: 9, line: how },
      { do: 'send', device: writer + 2, most: 9, line: 'arrives' },
    ]);
  const actions = fc.tuple(some(30), fc.oneof(away, some(10)), some(30)).map((parts) => parts.flat());
  let setBack = 0;
  let parted = 0;
  await fc.assert(
    fc.asyncProperty(actions, skews, (does, clocks) =>
      live(does, clocks, (world) => {
        parted += world.parted;
        allEqual(world);
        const log = world.db.select().from(changes).all();
        expect(new Set(log.map(({ id }) => id)).size).toBe(log.length);
        if (!does.some((action) => action.do === 'set back') || does.some((action) => action.do === 'months pass'))
          return;
        setBack += 1;
        const text = JSON.stringify(log);
        for (const typed of world.typedSinceSetBack) expect(text).toContain(typed);
      }),
    ),
    { numRuns: RUNS, seed: 12 },
  );
  expect([setBack > 0, parted > 0]).toEqual([true, true]);
}, 600_000);

test('away for longer than the log goes back, a device gets a fresh copy, and what it had written lives on', async () => {
  const actions = fc.array(fc.oneof(...usual, { arbitrary: fc.constant({ do: 'months pass' as const }), weight: 1 }), {
    minLength: 20,
    maxLength: 60,
  });
  await fc.assert(
    fc.asyncProperty(actions, skews, async (does, clocks) => {
      const world = await World.make(clocks);
      try {
        for (const action of does) await world.do(action);
        // What the server has not taken yet, a person has typed and not seen anywhere else.
        const waiting = world.replicas.map(({ state, waiting: own }) =>
          own.filter(({ n }) => n > deviceNow(world.db, state.id).lastN),
        );
        await world.settle();
        allEqual(world);
        nothingTwice(world);
        const log = JSON.stringify(world.db.select().from(changes).all());
        for (const change of waiting.flat())
          for (const field of ['code', 'name']) if (field in change.fields) expect(log).toContain(change.fields[field]);
        // Every record that stands is whole.
        for (const record of world.standing(0)) {
          for (const value of Object.values(currentFields(record))) expect(value).not.toBeUndefined();
        }
      } finally {
        world.end();
      }
    }),
    { numRuns: RUNS / 2, seed: 11 },
  );
}, 600_000);
