import { waitFor } from '@testing-library/react';

import { FakeServer } from '@/testing/fakeServer';

import { LIST_RECORD_ID } from '@yellow-latch/core/model';

import { openDatabase } from './database';
import { newDeviceState } from './device';
import { makingPrivate } from './doing';
import { Replica, type Write } from './replica';
import { Sync } from './sync';

async function newReplica(): Promise<Replica> {
  const state = newDeviceState();
  const db = await openDatabase(state.id);
  await db.put('state', state, 'device');
  return Replica.open(db, state);
}

async function device(server: FakeServer): Promise<{ replica: Replica; sync: Sync }> {
  const replica = await newReplica();
  const sync = new Sync(replica, server);
  sync.start();
  await waitFor(() => expect(sync.state.phase).toBe(server.isThere ? 'in-step' : 'away'));
  return { replica, sync };
}

function shortcut(code: string, id?: string): Write {
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
    phone.sync.wrote();
    await waitFor(() => expect(codes(computer.replica)).toEqual([';a']));
    await waitFor(() => expect(phone.sync.state).toMatchObject({ phase: 'in-step', waiting: 0, refusals: [] }));
  });

  test('waits while the server is away, then sends all in order', async () => {
    const server = new FakeServer();
    const { replica, sync } = await device(server);
    server.be(false);
    await waitFor(() => expect(sync.state.phase).toBe('away'));
    const [id] = await replica.write([shortcut(';a')]);
    sync.wrote();
    await replica.write([{ type: 'shortcut', id, fields: { code: ';b' } }]);
    sync.wrote();
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
    sync.wrote();
    await waitFor(() => expect(sync.state.waiting).toBe(0), { timeout: 5_000 });
    expect(server.pushes).toEqual([200, 200, 50]);
  });

  test('a change the server will not take stays on the screen and is told; the rest goes on', async () => {
    const server = new FakeServer();
    server.refusedCodes.add(';full');
    const { replica, sync } = await device(server);
    await replica.write([shortcut(';a'), shortcut(';full'), shortcut(';b')]);
    sync.wrote();
    await waitFor(() => expect(sync.state).toMatchObject({ waiting: 0, refusals: ['the list is full'] }));
    expect(server.log.map(({ fields }) => fields.code)).toEqual([';a', ';b']);
    expect(codes(replica)).toEqual([';a', ';b', ';full']);
    await replica.write([shortcut(';c')]);
    sync.wrote();
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
    phone.sync.wrote();
    await waitFor(() => expect(codes(computer.replica)).toEqual([';ib']));
    const [shared] = phone.replica.read().shortcuts;
    const doing = makingPrivate(shared!);
    const ids = await phone.replica.write(doing.writes);
    phone.sync.wrote();
    await waitFor(() => expect(codes(computer.replica)).toEqual([]));
    expect(phone.replica.read().shortcuts).toMatchObject([{ ...fields, private: true }]);
    await phone.replica.write(doing.undo(ids));
    phone.sync.wrote();
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
  const left = { shortcutId: LIST_RECORD_ID, finding: 'word', about: 'breaks so', reason: 'I want it so' };
  await replica.write([
    { type: 'list', id: LIST_RECORD_ID, fields: chosen },
    { type: 'leftFinding', fields: left },
  ]);
  expect(replica.read()).toMatchObject({ ...chosen, left: [left] });
});
