import {
  asShortcut,
  canTakeBack,
  changeGroupsOf,
  HistorySchema,
  takingBack,
  type FieldChanges,
  type StoredRecord,
} from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import { compact, LOG_KEEPS } from './compaction';
import { changes, devices, records } from './schema';
import { NOW, TestDevice, testServer, WHOLE, type TestServer } from './testing';

let server: TestServer;
let phone: TestDevice;
beforeEach(async () => {
  server = testServer();
  phone = await TestDevice.join(server.app);
});
afterEach(() => server.end());

const history = async (query = '') => HistorySchema.parse((await phone.get(phone.at(`/history?${query}`))).body);
const records_ = async () => (await phone.pages()).records;
const edit = async (id: string, fields: FieldChanges<'shortcut'>, together?: string) => {
  const known = (await records_()).find((record) => record.id === id);
  const change = phone.change(fields, id, known);
  await phone.push([{ ...change, ...(together ? { together } : {}) }]);
};

describe('history', () => {
  test('tells each change with what was there before, latest first, in pages', async () => {
    const id = uuid();
    await edit(id, WHOLE);
    await edit(id, { code: ';w2' });
    await edit(id, { deleted: true });
    const told = await history();
    expect(told.changes.map(({ fields, before }) => [fields, before])).toEqual([
      [{ deleted: true }, { deleted: false }],
      [{ code: ';w2' }, { code: ';ws' }],
      [WHOLE, null],
    ]);
    const page = await history('limit=2');
    expect(page.next).toBe(page.changes[1]!.number);
    expect((await history(`limit=2&before=${page.next}`)).changes.map(({ number }) => number)).toEqual([1]);
  });

  test('of one shortcut, of one group, and of what was deleted', async () => {
    const [a, b, together] = [uuid(), uuid(), uuid()];
    await edit(a, WHOLE);
    await edit(b, WHOLE);
    await edit(a, { kind: 'link' }, together);
    await edit(b, { kind: 'link' }, together);
    await edit(b, { deleted: true });
    expect((await history(`type=shortcut&id=${a}`)).changes).toHaveLength(2);
    expect((await history(`together=${together}`)).changes.map(({ record }) => record.id)).toEqual([b, a]);
    expect((await history('deleted=1')).changes.map(({ record }) => record.id)).toEqual([b]);
    expect(changeGroupsOf((await history()).changes).map((group) => group.changes.length)).toEqual([1, 2, 1, 1]);
  });

  test('passes over the counting of uses', async () => {
    const id = uuid();
    await edit(id, WHOLE);
    await edit(id, { used: { count: 4, since: NOW } });
    expect((await history()).changes).toHaveLength(1);
    expect(asShortcut((await records_())[0]!).used).toEqual({ count: 4, since: NOW });
  });

  test('anything of it is taken back, a bulk change as one, and that again', async () => {
    const [a, b, together] = [uuid(), uuid(), uuid()];
    await edit(a, WHOLE);
    await edit(b, { ...WHOLE, code: ';b' });
    const before = await fieldsNow();
    await edit(a, { code: ';x', kind: 'link' }, together);
    await edit(b, { deleted: true }, together);
    const after = await fieldsNow();
    const takeBack = async () => {
      const [latest] = changeGroupsOf((await history()).changes);
      expect(canTakeBack(latest!)).toBe(true);
      const again = uuid();
      for (const { id, fields } of takingBack(latest!)) await edit(id, fields as FieldChanges<'shortcut'>, again);
    };
    await takeBack();
    expect(await fieldsNow()).toEqual(before);
    await takeBack();
    expect(await fieldsNow()).toEqual(after);
  });

  test('takes back what was made by deleting it', async () => {
    await edit(uuid(), WHOLE);
    const [made] = changeGroupsOf((await history()).changes);
    expect(takingBack(made!).map(({ fields }) => fields)).toEqual([{ deleted: true }]);
  });

  test('holds nothing of what was erased, nor offers to bring it back', async () => {
    const id = uuid();
    await edit(id, { ...WHOLE, code: ';pin' });
    await edit(id, { content: { ...WHOLE.content, expansion: 'another secret' } });
    await edit(id, { deleted: 'erased' });
    const told = JSON.stringify(await history());
    for (const written of ['Workshop', 'another secret', ';pin']) expect(told).not.toContain(written);
    expect(canTakeBack(changeGroupsOf((await history()).changes)[0]!)).toBe(false);
  });

  test.each(['limit=0', 'before=-1', 'type=poem', 'together=x'])('asked for with %s is refused', async (query) => {
    expect((await phone.get(phone.at(`/history?${query}`))).status).toBe(422);
  });

  async function fieldsNow() {
    return (await records_())
      .map((record: StoredRecord) => [
        record.id,
        asShortcut(record).code,
        asShortcut(record).kind,
        record.fields.deleted?.[0]?.value ?? false,
      ])
      .sort();
  }
});

describe('compaction', () => {
  const DAY = 24 * 60 * 60_000;

  test('keeps ninety days of the log, every record that stands, and the numbers of devices', async () => {
    const [stands, gone] = [uuid(), uuid()];
    const first = phone.change(WHOLE, stands);
    await phone.push([first]);
    await edit(gone, { ...WHOLE, code: ';gone' });
    await edit(gone, { deleted: true });
    server.clock.now = NOW + LOG_KEEPS;
    compact(server.db, server.clock.now);
    expect(server.db.select().from(changes).all()).toHaveLength(3);
    server.clock.now += DAY;
    await edit(uuid(), { ...WHOLE, code: ';new' });
    compact(server.db, server.clock.now);
    expect(server.db.select().from(changes).all()).toHaveLength(1);
    expect(
      server.db
        .select()
        .from(records)
        .all()
        .map(({ id }) => id),
    ).not.toContain(gone);
    expect((await records_()).map((record) => asShortcut(record).code).sort()).toEqual([';new', ';ws']);
    // A late replay of what the log has forgotten is not taken again.
    expect((await phone.push([first])).status).toBe(200);
    expect(server.db.select().from(changes).all()).toHaveLength(1);
    expect(server.db.select().from(devices).all()[0]!.lastN).toBe(4);
  });

  test('a device that was away for longer gets a fresh copy, one that was not goes on', async () => {
    const gone = uuid();
    await edit(uuid(), WHOLE);
    await edit(gone, { ...WHOLE, code: ';gone' });
    await edit(gone, { deleted: true });
    await edit(uuid(), { ...WHOLE, code: ';kept' });
    server.clock.now = NOW + LOG_KEEPS + DAY;
    compact(server.db, server.clock.now);
    const away = await phone.pages(2);
    expect([away.fresh, away.records.map((record) => asShortcut(record).code).sort()]).toEqual([
      true,
      [';kept', ';ws'],
    ]);
    expect((await phone.pages(3)).fresh).toBe(false);
  });

  test('what was deleted within ninety days is still there to come back', async () => {
    const id = uuid();
    await edit(id, WHOLE);
    await edit(id, { deleted: true });
    server.clock.now = NOW + 89 * DAY;
    compact(server.db, server.clock.now);
    await edit(id, { deleted: false });
    expect(asShortcut((await records_())[0]!).code).toBe(';ws');
  });
});
