import { waitFor } from '../testing/waitFor';
import { openDB } from 'idb';

import { FakeServer } from '../testing/fakeServer';

import { idOfJoined } from '@yellow-latch/core/devices';
import { LIST_RECORD_ID } from '@yellow-latch/core/model';
import type { Page, StoredRecord } from '@yellow-latch/core/sync';

import { openDatabase } from '../storage/database';
import { keptState, newDeviceState } from '../storage/device';
import type { DeviceState } from '../storage/database';
import { succeedDevice } from '../storage/currentDevice';
import { makingPrivate } from '../commands/shortcuts';
import { Replica, UNSENT, type Unsent } from '../storage/replica';
import type { Write } from '../storage/write';
import { Sync } from './sync';

async function newReplica(): Promise<Replica> {
  const state = newDeviceState();
  const db = await openDatabase(state.id);
  await db.put('state', keptState(state), 'device');
  return Replica.open(db, state);
}

const running: Sync[] = [];
afterEach(() => running.splice(0).forEach((sync) => sync.stop()));

async function device(server: FakeServer): Promise<{ replica: Replica; sync: Sync }> {
  const replica = await newReplica();
  const sync = new Sync(replica, server);
  running.push(sync);
  sync.start();
  await waitFor(() => expect(sync.state.phase).toBe(server.isThere ? 'in-step' : 'away'));
  return { replica, sync };
}

function shortcut(code: string, id?: string): Write & { type: 'shortcut' } {
  return {
    type: 'shortcut',
    id,
    fields: {
      code,
      content: { expansion: `what ${code} gives`, template: false, format: 'plain' },
      kind: 'message',
      setId: null,
    },
  };
}

/** A page of a device that gets everything; what is not given is as on one that tells nothing new. */
const page = (more: Partial<Page>): Page => ({
  records: [],
  removed: [],
  through: 0,
  last: null,
  acknowledged: 0,
  more: false,
  fresh: false,
  parted: false,
  may: 'edit',
  subscribedSets: null,
  ...more,
});

const codes = (replica: Replica) => replica.read().shortcuts.map(({ code }) => code);

describe('a replica', () => {
  test('shows a write at once and has it in its outbox', async () => {
    const replica = await newReplica();
    const [id] = await replica.write([shortcut(';b'), shortcut(';a')]);
    expect(codes(replica)).toEqual([';a', ';b']);
    expect(replica.waiting.map(({ n, record }) => [n, record.id === id])).toEqual([
      [1, true],
      [2, false],
    ]);
  });

  test('opens again with what was waiting', async () => {
    const replica = await newReplica();
    await replica.write([shortcut(';a')]);
    const again = await Replica.open(replica.db, replica.state);
    expect(codes(again)).toEqual([';a']);
    expect(again.waiting).toHaveLength(1);
    await again.write([shortcut(';b')]);
    expect(again.waiting.map(({ n }) => n)).toEqual([1, 2]);
  });

  test('reads the same object until something changes', async () => {
    const replica = await newReplica();
    const before = replica.read();
    expect(replica.read()).toBe(before);
    await replica.write([shortcut(';a')]);
    expect(replica.read()).not.toBe(before);
  });

  test('leaves out what is deleted, and takes it back in', async () => {
    const replica = await newReplica();
    const [id] = await replica.write([shortcut(';a')]);
    await replica.write([{ type: 'shortcut', id, fields: { deleted: true } }]);
    expect(codes(replica)).toEqual([]);
    await replica.write([{ type: 'shortcut', id, fields: { deleted: false } }]);
    expect(codes(replica)).toEqual([';a']);
  });

  test('keeps sets in their order and shortcuts by code, numbers by size', async () => {
    const replica = await newReplica();
    const set = (name: string, order: string): Write => ({
      type: 'set',
      fields: { name, icon: 'folder', order },
    });
    await replica.write([set('second', 'a1'), set('first', 'a0')]);
    await replica.write([shortcut(';oar10'), shortcut(';oar2'), shortcut('B'), shortcut('a')]);
    expect(replica.read().sets.map(({ name }) => name)).toEqual(['first', 'second']);
    expect(codes(replica)).toEqual([';oar2', ';oar10', 'a', 'B']);
  });

  test('an edit begun before another came in does not replace it', async () => {
    const replica = await newReplica();
    const [id] = await replica.write([shortcut(';a')]);
    const seen = replica.recordOf('shortcut', id!);
    await replica.write([{ type: 'shortcut', id, fields: { code: ';theirs' } }]);
    await replica.write([{ type: 'shortcut', id, fields: { code: ';mine' }, seen }]);
    const versions = replica.recordOf('shortcut', id!)!.fields.code!.map(({ value }) => value);
    expect(versions).toEqual([';mine', ';theirs']);
  });
});

describe('sync', () => {
  test('brings what one device writes to another', async () => {
    const server = new FakeServer();
    const [phone, computer] = [await device(server), await device(server)];
    await phone.replica.write([shortcut(';a')]);
    await waitFor(() => expect(codes(computer.replica)).toEqual([';a']));
    await waitFor(() => expect(phone.sync.state).toMatchObject({ phase: 'in-step', waiting: 0, refusals: [] }));
  });

  test('once stopped, leaves what is written after it alone', async () => {
    const server = new FakeServer();
    const { replica, sync } = await device(server);
    await waitFor(() => expect(sync.state.phase).toBe('in-step'));
    sync.stop();
    await replica.write([shortcut(';a')]);
    expect(codes(replica)).toEqual([';a']);
    expect(server.log).toEqual([]);
  });

  test('waits while the server is away, then sends all in order', async () => {
    const server = new FakeServer();
    const { replica, sync } = await device(server);
    server.be(false);
    await waitFor(() => expect(sync.state.phase).toBe('away'));
    const [id] = await replica.write([shortcut(';a')]);
    await replica.write([{ type: 'shortcut', id, fields: { code: ';b' } }]);
    expect(sync.state.waiting).toBe(2);
    server.be(true);
    await waitFor(() => expect(sync.state.waiting).toBe(0), { timeout: 5_000 });
    expect(server.log.map(({ fields }) => fields.code)).toEqual([';a', ';b']);
    expect(codes(replica)).toEqual([';b']);
  });

  test('works before the server has ever been seen', async () => {
    const server = new FakeServer();
    server.isThere = false;
    const { replica, sync } = await device(server);
    await replica.write([shortcut(';a')]);
    expect(codes(replica)).toEqual([';a']);
    server.be(true);
    await waitFor(() => expect(sync.state).toMatchObject({ phase: 'in-step', waiting: 0 }), { timeout: 5_000 });
  });

  test('sends many in pushes of at most two hundred', async () => {
    const server = new FakeServer();
    const { replica, sync } = await device(server);
    await replica.write(Array.from({ length: 450 }, (_, index) => shortcut(`;${index}`)));
    await waitFor(() => expect(sync.state.waiting).toBe(0), { timeout: 5_000 });
    expect(server.pushes).toEqual([200, 200, 50]);
  });

  test('a change the server will not take stays on the screen and is told; the rest goes on', async () => {
    const server = new FakeServer();
    server.refusedCodes.add(';full');
    const { replica, sync } = await device(server);
    await replica.write([shortcut(';a'), shortcut(';full'), shortcut(';b')]);
    await waitFor(() => expect(sync.state).toMatchObject({ waiting: 0, refusals: ['invalid'] }));
    expect(server.log.map(({ fields }) => fields.code)).toEqual([';a', ';b']);
    expect(codes(replica)).toEqual([';a', ';b', ';full']);
    await replica.write([shortcut(';c')]);
    await waitFor(() => expect(server.log.map(({ n }) => n)).toEqual([1, 2, 3]));
  });
});

describe('a private shortcut', () => {
  const fields = {
    code: ';ib',
    content: { expansion: 'GB82 WEST', template: false, format: 'plain' as const },
    kind: 'contact' as const,
    setId: null,
    rules: {},
    usesAWeek: null,
    former: null,
    pinned: null,
    note: '',
    language: null,
  };

  test('is kept on this device alone, through edits and openings, until it is deleted', async () => {
    const replica = await newReplica();
    const [id] = await replica.write([{ type: 'shortcut', isPrivate: true, fields }]);
    await replica.write([{ type: 'shortcut', id, fields: { code: ';iban' } }]);
    expect(replica.waiting).toEqual([]);
    const again = await Replica.open(replica.db, replica.state);
    expect(again.read().shortcuts).toMatchObject([{ ...fields, id, code: ';iban', private: true }]);
    await again.write([{ type: 'shortcut', id, fields: { deleted: true } }]);
    expect(codes(again)).toEqual([]);
    expect(again.waiting).toEqual([]);
  });

  test('made of one that is everywhere erases it there, and that can be taken back', async () => {
    const server = new FakeServer();
    const phone = await device(server);
    const computer = await device(server);
    await phone.replica.write([{ type: 'shortcut', fields }]);
    await waitFor(() => expect(codes(computer.replica)).toEqual([';ib']));
    const [shared] = phone.replica.read().shortcuts;
    const command = makingPrivate(shared!);
    const ids = await phone.replica.write(command.writes);
    await waitFor(() => expect(codes(computer.replica)).toEqual([]));
    expect(phone.replica.read().shortcuts).toMatchObject([{ ...fields, private: true }]);
    await phone.replica.write(command.undo(ids));
    await waitFor(() => expect(computer.replica.read().shortcuts).toMatchObject([{ ...fields, private: false }]));
    expect(phone.replica.read().shortcuts).toMatchObject([{ ...fields, id: shared!.id, private: false }]);
  });

  test('never leaves with what still waits to be sent', async () => {
    const replica = await newReplica();
    const [id] = await replica.write([{ type: 'shortcut', fields }]);
    const [made] = replica.read().shortcuts;
    await replica.write(makingPrivate(made!).writes);
    expect(JSON.stringify(replica.waiting)).not.toContain('GB82');
    const again = await Replica.open(replica.db, replica.state);
    expect(JSON.stringify(again.waiting)).not.toContain('GB82');
    expect(again.read().shortcuts.map((one) => [one.id === id, one.private])).toEqual([[false, true]]);
  });
});

test('the languages, the devices and what was left are read from their records', async () => {
  const replica = await newReplica();
  expect(replica.read().languages).toEqual(['en']);
  const chosen = { languages: ['de', 'fr'], devices: ['phone-list'] };
  const phone = { name: 'Phone', places: [{ profile: 'phone-list' }] };
  const left = { shortcutId: LIST_RECORD_ID, finding: 'word', about: 'breaks so', reason: 'I want it so' };
  await replica.write([
    { type: 'list', id: LIST_RECORD_ID, fields: chosen },
    { type: 'leftFinding', fields: left },
  ]);
  expect(replica.read()).toMatchObject({ chosen, languages: ['de', 'fr'], devices: [phone], ignored: [left] });
});

describe('a page', () => {
  /** What a server holds of a shortcut that some device wrote. */
  async function held(code: string, number = 1): Promise<StoredRecord> {
    const other = await newReplica();
    const [id] = await other.write([shortcut(code)], number);
    return other.recordOf('shortcut', id!)!;
  }

  test('of a fresh copy takes the place of what was there when it is whole, and not before', async () => {
    const replica = await newReplica();
    const [old, one, two] = [await held(';old'), await held(';one'), await held(';two')];
    await replica.receive(page({ records: [old], through: 3 }));
    await replica.receive(page({ records: [one], through: 5, fresh: true, more: true }));
    expect([codes(replica), replica.next.since, replica.state.through]).toEqual([[';old'], 5, 3]);
    await replica.receive(page({ records: [two], through: 7 }));
    expect([codes(replica), replica.next.since]).toEqual([[';one', ';two'], 7]);
    expect(codes(await Replica.open(replica.db, replica.state))).toEqual([';one', ';two']);
  });

  test('of a copy whose line was lost is forgotten', async () => {
    const replica = await newReplica();
    await replica.receive(page({ records: [await held(';one')], through: 5, fresh: true, more: true }));
    replica.dropCopy();
    expect([replica.next.since, codes(replica)]).toEqual([0, []]);
  });

  test('keeps the outbox through a fresh copy, and makes whole what the server has forgotten', async () => {
    const replica = await newReplica();
    const gone = await held(';gone');
    await replica.receive(page({ records: [gone], through: 3 }));
    await replica.write([{ type: 'shortcut', id: gone.id, fields: { kind: 'link' } }]);
    await replica.write([{ type: 'shortcut', id: gone.id, fields: { code: ';lives' } }]);
    await replica.receive(page({ records: [await held(';new')], through: 9, fresh: true }));
    expect(codes(replica)).toEqual([';lives', ';new']);
    const [, edit] = replica.waiting;
    expect(edit!.fields).toMatchObject({ code: ';lives', kind: 'link', content: { expansion: 'what ;gone gives' } });
    expect(replica.waiting.map(({ n }) => n)).toEqual([1, 2]);
  });

  test('lets go of what has left the sets that the device takes', async () => {
    const replica = await newReplica();
    const [stays, leaves] = [await held(';stays'), await held(';leaves')];
    await replica.receive(page({ records: [stays, leaves], through: 2 }));
    await replica.receive(page({ removed: [{ type: 'shortcut', id: leaves.id }], through: 3 }));
    expect(codes(replica)).toEqual([';stays']);
    expect(codes(await Replica.open(replica.db, replica.state))).toEqual([';stays']);
  });

  test('of other sets than the device holds asks for a fresh copy', async () => {
    const replica = await newReplica();
    expect(await replica.receive(page({ subscribedSets: [null], through: 1 }))).toBe('copy-needed');
    expect(
      await replica.receive(page({ subscribedSets: [null], through: 1, fresh: true, records: [await held(';a')] })),
    ).toBe('received');
    expect([replica.state.subscribedSets, codes(replica)]).toEqual([[null], [';a']]);
  });

  test('that is older than what is held changes nothing', async () => {
    const replica = await newReplica();
    const record = await held(';a');
    await replica.receive(page({ records: [record], through: 5 }));
    await replica.receive(page({ removed: [{ type: 'shortcut', id: record.id }], through: 4 }));
    expect([codes(replica), replica.state.through]).toEqual([[';a'], 5]);
  });
});

test('a fresh copy from a server whose data was set back: what it lost is on its way again, what waits stays', async () => {
  const other = await newReplica();
  const [kept, lostId] = await other.write([shortcut(';kept'), shortcut(';lost')]);
  const records = [kept!, lostId!].map((id) => other.recordOf('shortcut', id)!);
  const replica = await newReplica();
  await replica.receive(page({ records, through: 2, last: 'b' }));
  expect(replica.next).toEqual({ since: 2, last: 'b' });
  await replica.write([shortcut(';waits')]);
  await replica.receive(page({ fresh: true, parted: true, records: [records[0]!], through: 3, last: 'c' }));
  expect(replica.next).toEqual({ since: 3, last: 'c' });
  expect(codes(replica)).toEqual([';kept', ';lost', ';waits']);
  expect(replica.waiting.map(({ record }) => record.id === lostId)).toEqual([false, true]);
});

test('a change that found no room waits on the device, and is sent again when the app starts anew', async () => {
  const replica = await newReplica();
  await replica.write([shortcut(';a')]);
  await replica.write([shortcut(';b')]);
  await replica.refuse(replica.waiting[0]!.id, 'this list is full', true);
  expect([replica.refusals, replica.waiting.map(({ n }) => n)]).toEqual([['this list is full'], [1]]);
  await replica.retryWhatFoundNoRoom();
  expect([replica.refusals, replica.waiting.map(({ n, fields }) => [n, fields.code])]).toEqual([
    [],
    [
      [1, ';b'],
      [2, ';a'],
    ],
  ]);
  const again = await Replica.open(replica.db, replica.state);
  expect(again.waiting.map(({ n }) => n)).toEqual([1, 2]);
  expect(codes(again)).toEqual([';a', ';b']);
});

test('a device keeps its secret, by which alone it may ask again for a welcome that was lost', () => {
  const { secret } = newDeviceState();
  expect(secret).toMatch(/^[A-Za-z0-9_-]{43}$/u);
  expect(newDeviceState({ secret }).secret).toBe(secret);
  expect(newDeviceState().secret).not.toBe(secret);
});

test('out of its list a device lets go of it and keeps what its person wrote and it never sent', async () => {
  const server = new FakeServer();
  const { replica, sync } = await device(server);
  const [sent] = await replica.write([shortcut(';sent')]);
  await waitFor(() => expect(sync.state.waiting).toBe(0));
  server.be(false);
  await replica.write([
    shortcut(';late'),
    { type: 'shortcut', id: sent, fields: { used: { count: 2, since: 1 } } },
    { type: 'device', id: idOfJoined(replica.state.id), fields: { name: 'Phone', deleted: false } },
  ]);
  await replica.leave('signed-out');
  expect([codes(replica), replica.waiting]).toEqual([[], []]);
  const unsent = (await replica.db.get('kept', UNSENT)) as Unsent;
  expect(unsent.writes.map(({ fields }) => (fields as { code: string }).code)).toEqual([';late']);
  expect((await replica.db.get('state', 'device'))!.out).toBe('signed-out');
});

test('a device that may only use the list keeps its edits waiting, and sends what it has counted', async () => {
  const server = new FakeServer();
  const { replica, sync } = await device(server);
  const [id] = await replica.write([shortcut(';a')]);
  await waitFor(() => expect(sync.state.waiting).toBe(0));
  server.may = 'use';
  await replica.write([{ type: 'shortcut', id, fields: { used: { count: 2, since: 1 } } }]);
  await waitFor(() => expect(sync.state).toMatchObject({ waiting: 0, mayOnlyUse: true }));
  await replica.write([{ type: 'shortcut', id, fields: { code: ';b' } }]);
  expect(sync.state.waiting).toBe(1);
  server.may = 'edit';
  server.be(false);
  server.be(true);
  await waitFor(() => expect(sync.state).toMatchObject({ waiting: 0, mayOnlyUse: false }), { timeout: 5_000 });
  expect(server.log.at(-1)!.fields).toEqual({ code: ';b' });
});

test('told to take other sets, a device asks for a fresh copy by itself', async () => {
  const server = new FakeServer();
  const [phone, computer] = [await device(server), await device(server)];
  await phone.replica.write([shortcut(';a')]);
  await waitFor(() => expect(codes(computer.replica)).toEqual([';a']));
  server.subscribedSets = [null];
  await phone.replica.write([shortcut(';b')]);
  await waitFor(() => expect(computer.replica.state.subscribedSets).toEqual([null]));
  await waitFor(() => expect(codes(computer.replica)).toEqual([';a', ';b']));
  expect(computer.sync.state.phase).toBe('in-step');
});

test('what this browser alone holds goes along when it becomes another device', async () => {
  const replica = await newReplica();
  await replica.write([
    {
      type: 'shortcut',
      isPrivate: true,
      fields: {
        ...shortcut(';mine').fields,
        rules: {},
        usesAWeek: null,
        former: null,
        pinned: null,
        note: '',
        language: null,
      },
    },
  ]);
  await replica.db.put('kept', { since: 1, counts: { a: 2 } }, 'uses');
  await replica.db.put('kept', 'quiet', 'sound');
  const next = await succeedDevice(replica.db, newDeviceState({ listId: 'list' }));
  const successor = await Replica.open(next.db, next.state);
  expect(successor.read().shortcuts).toMatchObject([{ code: ';mine', private: true }]);
  expect(await next.db.get('kept', 'sound')).toBe('quiet');
  // It counts from nothing under its new name: what it had counted stands under the old one.
  expect(await next.db.get('kept', 'uses')).toBeUndefined();
});

test('where the device has no room for all of a write, none of it stands', async () => {
  const replica = await newReplica();
  await replica.write([shortcut(';a')]);
  const { add } = IDBObjectStore.prototype;
  let room = 1;
  IDBObjectStore.prototype.add = function (...given) {
    room -= 1;
    if (room < 0) throw new DOMException('no room', 'QuotaExceededError');
    return add.apply(this, given);
  };
  // More than go together into one value: the second has no room.
  await expect(replica.write(Array.from({ length: 300 }, (_, index) => shortcut(`;${index}`)))).rejects.toMatchObject({
    name: 'QuotaExceededError',
  });
  IDBObjectStore.prototype.add = add;
  expect([codes(replica), replica.waiting.length]).toEqual([[';a'], 1]);
  expect(codes(await Replica.open(replica.db, replica.state))).toEqual([';a']);
  await replica.write([shortcut(';d')]);
  expect(replica.waiting.map(({ n }) => n)).toEqual([1, 2]);
});

test('what came is shown at once; where the device has no room to keep it, it goes again and is asked for anew', async () => {
  const server = new FakeServer();
  const phone = await device(server);
  await phone.replica.write([shortcut(';a')]);
  const computer = await device(server);
  await waitFor(() => expect(codes(computer.replica)).toEqual([';a']));
  const records = computer.replica.standing();
  const replica = await newReplica();
  const { transaction } = IDBDatabase.prototype;
  let last: IDBTransaction | undefined;
  IDBDatabase.prototype.transaction = function (...given) {
    return (last = transaction.apply(this, given));
  };
  const shown: string[][] = [];
  const stop = replica.subscribe(() => {
    shown.push(codes(replica));
    if (shown.length === 1) last!.abort();
  });
  const came = page({ records, through: 9, last: 'nine', subscribedSets: replica.state.subscribedSets });
  await expect(replica.receive(came)).rejects.toMatchObject({ name: 'AbortError' });
  IDBDatabase.prototype.transaction = transaction;
  stop();
  expect(shown).toEqual([[';a'], []]);
  expect(replica.next.since).toBe(0);
  await replica.receive(came);
  expect(codes(await Replica.open(replica.db, replica.state))).toEqual([';a']);
});

test('several writes are one command, a single one is none', async () => {
  const replica = await newReplica();
  await replica.write([shortcut(';a'), shortcut(';b')]);
  await replica.write([shortcut(';c')]);
  const [a, b, c] = replica.waiting.map(({ together }) => together);
  expect(a).toBeDefined();
  expect([b, c]).toEqual([a, undefined]);
});

test('what was written at once leaves the outbox as the server takes it, part by part', async () => {
  const replica = await newReplica();
  await replica.write(Array.from({ length: 450 }, (_, index) => shortcut(`;${index}`)));
  await replica.write([shortcut(';last')]);
  for (const [acknowledged, left] of [
    [200, 251],
    [310, 141],
    [451, 0],
  ] as const) {
    await replica.receive(page({ acknowledged }));
    expect(replica.waiting.length).toBe(left);
    expect((await Replica.open(replica.db, replica.state)).waiting.map(({ n }) => n)).toEqual(
      replica.waiting.map(({ n }) => n),
    );
  }
});

test('what an earlier version kept one by one is read, and goes on its way', async () => {
  const replica = await newReplica();
  await replica.write([shortcut(';a')]);
  const [change] = replica.waiting;
  replica.db.close();
  // As version 4 kept it.
  const name = replica.db.name;
  await new Promise((resolve, reject) => {
    const gone = indexedDB.deleteDatabase(name);
    gone.onsuccess = resolve;
    gone.onerror = reject;
  });
  const old = await openDB(name, 4, {
    upgrade(db) {
      for (const store of ['records', 'state', 'drafts', 'private', 'kept']) db.createObjectStore(store);
      for (const store of ['outbox', 'blocks']) db.createObjectStore(store, { autoIncrement: true });
    },
  });
  await old.put('outbox', { change });
  await old.put('state', keptState(replica.state as DeviceState), 'device');
  old.close();
  const again = await Replica.open(await openDatabase(replica.state.id), replica.state);
  expect(again.waiting).toEqual([change]);
  expect(again.read().shortcuts.map(({ code }) => code)).toEqual([';a']);
});
