/** A stranger fills neither disk nor server, and an owner can let go of everything. */
import { DirectorySchema } from '@yellow-latch/core/sync';
import { RECORD_TYPES } from '@yellow-latch/core/model';
import { count, eq } from 'drizzle-orm';
import request from 'supertest';
import { v7 as uuid } from 'uuid';

import { compact, LOG_KEEPS } from './compaction';
import { changes, lists, records } from './schema';
import { filesWith, NOW, problemOf, TestDevice, testServer, WHOLE, type TestServer } from './testing';

let server: TestServer;
afterEach(() => server.end());

const text = (length: number) => ({ ...WHOLE.content, expansion: 'x'.repeat(length) });
/** What the list takes, added up from its rows. */
const added = () => {
  const bytes = (rows: (string | null)[]) => rows.reduce((sum, row) => sum + Buffer.byteLength(row ?? ''), 0);
  return (
    bytes(
      server.db
        .select()
        .from(records)
        .all()
        .map(({ body }) => body),
    ) +
    bytes(
      server.db
        .select()
        .from(changes)
        .all()
        .flatMap(({ body, before }) => [body, before]),
    )
  );
};
const kept = () => server.db.select().from(lists).get()!.bytes;

describe('a list that takes all the room it may', () => {
  let phone: TestDevice;
  beforeEach(async () => {
    server = testServer(undefined, { quota: 60_000 });
    phone = await TestDevice.join(server.app);
  });

  test('takes no more; the change that is too much is named, and what is small still comes through', async () => {
    const id = uuid();
    expect(problemOf(await phone.push([phone.change({ ...WHOLE, content: text(20_000) }, id)]))).toBe(200);
    const [known] = (await phone.pages()).records;
    const tooMuch = await phone.push([
      phone.change({ code: ';b' }, id, known),
      phone.change({ ...WHOLE, content: text(20_000) }),
    ]);
    expect([problemOf(tooMuch), JSON.parse(tooMuch.text)]).toMatchObject([
      'list-too-large',
      { errors: [{ index: 1, detail: expect.stringContaining('full') as string }] },
    ]);
    phone.n = 1;
    expect(problemOf(await phone.push([phone.change({ deleted: true }, id, known)]))).toBe(200);
  });

  test('still erases: what is private is not kept for want of room', async () => {
    const id = uuid();
    await phone.push([phone.change({ ...WHOLE, content: text(14_000) }, id)]);
    server.db.update(lists).set({ bytes: 74_900 }).run();
    const [known] = (await phone.pages()).records;
    expect(problemOf(await phone.push([phone.change({ deleted: true }, id, known)]))).toBe('list-too-large');
    phone.n = 1;
    expect(problemOf(await phone.push([phone.change({ deleted: 'erased' }, id, known)]))).toBe(200);
  });

  test('has its size kept exactly, through edits, erasing and forgetting', async () => {
    const id = uuid();
    await phone.push([
      phone.change({ ...WHOLE, content: text(3_000) }, id),
      phone.change({ ...WHOLE, code: ';é→', content: text(10) }),
    ]);
    expect(kept()).toBe(added());
    await phone.push([
      phone.change(
        { content: text(500) },
        id,
        (await phone.pages()).records.find((one) => one.id === id),
      ),
    ]);
    expect(kept()).toBe(added());
    await phone.push([
      phone.change(
        { deleted: 'erased' },
        id,
        (await phone.pages()).records.find((one) => one.id === id),
      ),
    ]);
    expect(kept()).toBe(added());
    compact(server.db, NOW + LOG_KEEPS + 1);
    expect(kept()).toBe(added());
  });
});

test('of every type of record a list holds so many and no more', async () => {
  server = testServer();
  const phone = await TestDevice.join(server.app);
  const most = RECORD_TYPES.keyboard.most;
  const layout = {
    type: 'hardware' as const,
    name: 'Mine',
    language: 'en',
    form: 'ISO' as const,
    base: ['x', 'x', 'x', 'x'] as const,
    shift: ['x', 'x', 'x', 'x'] as const,
    altGr: {},
    dead: '',
  };
  expect(problemOf(await phone.push(Array.from({ length: most }, () => phone.write('keyboard', { layout }))))).toBe(
    200,
  );
  const answer = await phone.push([phone.write('keyboard', { layout })]);
  expect(problemOf(answer)).toBe('invalid');
  expect(answer.text).toContain(`(${most})`);
  for (const { most: bound } of Object.values(RECORD_TYPES)) expect(bound).toBeLessThanOrEqual(50_000);
});

describe('lists', () => {
  const begin = (from: string, id = uuid()) =>
    request(server.app)
      .post('/api/lists')
      .set('X-Forwarded-For', from)
      .send({ list: { id, name: 'A list' }, device: { id: uuid(), name: 'P', kind: 'phone' } })
      .then(problemOf);

  test('are counted for all of an IPv6 prefix, which one person has', async () => {
    server = testServer(undefined, { openList: undefined, isBehindProxy: true, tries: { lists: 3 } });
    const answers: (string | number)[] = [];
    for (let host = 1; host <= 4; host += 1) answers.push(await begin(`2001:db8:7:${host}::1`));
    expect(answers).toEqual([201, 201, 201, 'too-many-tries']);
    expect(await begin('2001:db8:8::1')).toBe(201);
  });

  test('can be closed to strangers', async () => {
    server = testServer(undefined, { openList: undefined, isBehindProxy: true, isInviteOnly: true });
    expect((await request(server.app).get('/api/door')).body).toEqual({ open: false, lists: false });
    expect(await begin('192.0.2.1')).toBe('invite-only');
  });

  test('that were made in bulk and left empty make room when the server is full', async () => {
    server = testServer(undefined, { openList: undefined, isBehindProxy: true, tries: { lists: 5_000 } });
    server.db.transaction((tx) => {
      for (let made = 1; made < 1_000; made += 1)
        tx.insert(lists).values({ id: uuid(), name: 'Empty', createdAt: NOW }).run();
    });
    expect(await begin('192.0.2.1')).toBe('server-full');
    server.clock.now = NOW + 25 * 60 * 60_000;
    expect(await begin('192.0.2.1')).toBe(201);
    expect(server.db.select({ open: count() }).from(lists).where(eq(lists.name, 'A list')).get()!.open).toBe(1);
  });
});

describe('a list that its owner deletes', () => {
  test('is gone from the files, its devices are told so, and it is not started again by one that did not know', async () => {
    server = testServer(undefined, { openList: undefined });
    const listId = uuid();
    const owner = await TestDevice.begin(server.app, listId);
    const other = await owner.letIn();
    await owner.push(Array.from({ length: 30 }, (_, made) => owner.change({ ...WHOLE, code: `;kestrel${made}` })));
    const { spareKey } = (await owner.post(owner.at('/spare-key'), {})).body as { spareKey: string };
    const { code } = (await owner.post(owner.at('/invitations'), {})).body as { code: string };
    expect(filesWith(server.data, 'kestrel')).not.toEqual([]);

    await owner.ask('delete', owner.at('/list')).expect(204);
    expect(filesWith(server.data, 'kestrel')).toEqual([]);
    for (const device of [owner, other]) expect(problemOf(await device.get(device.at('/pages')))).toBe('list-deleted');
    const device = { id: uuid(), name: 'P', kind: 'phone' };
    expect(problemOf(await request(server.app).post('/api/joins').send({ code, device }))).toBe('code-unknown');
    expect(problemOf(await request(server.app).post('/api/recoveries').send({ spareKey, device }))).toBe('key-unknown');
    expect(
      problemOf(
        await request(server.app)
          .post('/api/lists')
          .send({ list: { id: listId, name: 'A list' }, device: { ...device, id: other.id } }),
      ),
    ).toBe('device-known');
    expect(
      problemOf(
        await request(server.app)
          .post('/api/lists')
          .send({ list: { id: listId, name: 'A list' }, device }),
      ),
    ).toBe('list-known');
  });

  test('takes no other list with it', async () => {
    server = testServer(undefined, { openList: undefined });
    const [gone, stays] = [await TestDevice.begin(server.app), await TestDevice.begin(server.app)];
    await stays.push([stays.change()]);
    await gone.ask('delete', gone.at('/list')).expect(204);
    expect((await stays.pages()).records).toHaveLength(1);
    expect(DirectorySchema.parse((await stays.get(stays.at('/devices'))).body).list.name).toBe('A list');
  });

  test('is not the one that is open to everyone', async () => {
    server = testServer();
    const phone = await TestDevice.join(server.app);
    expect(problemOf(await phone.ask('delete', phone.at('/list')))).toBe('open-list');
  });
});
