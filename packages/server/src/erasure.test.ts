/** What was made private is gone from every file, and is not said to be before it is. */
import { join } from 'node:path';

import { isErased } from '@yellow-latch/core/sync';
import SQLite from 'better-sqlite3';
import { v7 as uuid } from 'uuid';

import { changes } from './schema';
import { filesWith, NOW, problemOf, TestDevice, testServer, WHOLE, type TestServer } from './testing';

let server: TestServer;
let phone: TestDevice;
let other: TestDevice;
beforeEach(async () => {
  server = testServer();
  phone = await TestDevice.join(server.app);
  other = await TestDevice.join(server.app);
});
afterEach(() => server.end());

const recordOf = async (id: string) => (await phone.pages()).records.find((record) => record.id === id);
/** Words that stand in one field each, at one time or another. */
const WRITTEN = {
  code: ';heron',
  former: ';egret',
  text: 'Sluice 44',
  note: 'under the bell',
  about: ';plover',
  reason: 'nobody knows it',
};

async function writeAndErase(id: string): Promise<void> {
  await phone.push([phone.change({ ...WHOLE, code: WRITTEN.former, note: WRITTEN.note }, id)]);
  await phone.push([
    phone.change(
      { code: WRITTEN.about, content: { ...WHOLE.content, expansion: WRITTEN.text } },
      id,
      await recordOf(id),
    ),
  ]);
  await phone.push([
    phone.change({ code: WRITTEN.code, former: { code: WRITTEN.former, until: NOW } }, id, await recordOf(id)),
  ]);
  await phone.push([
    phone.write('leftFinding', {
      shortcutId: id,
      finding: 'word misfire',
      about: `warning ${WRITTEN.about}`,
      reason: WRITTEN.reason,
    }),
  ]);
  // Of another shortcut, and names the code of this one.
  const second = uuid();
  await phone.push([
    phone.change({ ...WHOLE, code: ';tern' }, second),
    phone.write('leftFinding', {
      shortcutId: second,
      finding: 'prefix',
      about: `warning ;tern ${WRITTEN.code}`,
      reason: `begins like ${WRITTEN.code}`,
    }),
  ]);
  expect(problemOf(await phone.push([phone.change({ deleted: 'erased' }, id, await recordOf(id))]))).toBe(200);
}

test('none of its words is left in any file: note, former code, and what was said of it among them', async () => {
  const id = uuid();
  await writeAndErase(id);
  for (const word of Object.values(WRITTEN)) expect([word, filesWith(server.data, word)]).toEqual([word, []]);
  const told = JSON.stringify([await other.pages(), (await other.get(other.at('/history'))).body]);
  for (const word of Object.values(WRITTEN)) expect(told).not.toContain(word);
  expect(told).toContain(';tern');
});

test('every device lets go of what was said of it: as changes like any other', async () => {
  const id = uuid();
  await writeAndErase(id);
  const { records } = await other.pages();
  const findings = records.filter(({ type }) => type === 'leftFinding');
  expect(findings.map(isErased)).toEqual([true, true]);
  const log = server.db.select().from(changes).all();
  expect(log.map(({ number }) => number)).toEqual(log.map((_, index) => index + 1));
});

test('what a device that did not know says of it later is not kept', async () => {
  const id = uuid();
  await phone.push([phone.change(WHOLE, id)]);
  await phone.push([phone.change({ deleted: 'erased' }, id, await recordOf(id))]);
  await other.push([
    other.write('leftFinding', {
      shortcutId: id,
      finding: 'word misfire',
      about: 'warning ;lapwing',
      reason: 'lapwing',
    }),
    other.change({ note: 'lapwing' }, id),
  ]);
  expect(filesWith(server.data, 'lapwing')).toEqual([]);
});

describe('while another program reads the database', () => {
  const pushErasing = async () => {
    const id = uuid();
    await phone.push([phone.change({ ...WHOLE, code: ';heron' }, id)]);
    const known = await recordOf(id);
    const reader = new SQLite(join(server.data, 'yellow-latch.sqlite'), { readonly: true });
    reader.exec('BEGIN');
    reader.prepare('SELECT count(*) FROM records').get();
    let answer: number | string | null = null;
    const pushed = phone
      .push([phone.change({ deleted: 'erased' }, id, known)])
      .then((response) => (answer = problemOf(response)));
    // Others are served meanwhile: nothing waits with it.
    while ((await other.pages()).through < 2);
    return { reader, pushed, answerNow: () => answer };
  };

  test('the answer waits, no page says that it is done, and then it is so', async () => {
    const { reader, pushed, answerNow } = await pushErasing();
    expect(problemOf(await other.push([other.change()]))).toBe(200);
    expect(answerNow()).toBeNull();
    expect((await phone.pages()).acknowledged).toBe(1);
    expect(filesWith(server.data, ';heron')).not.toEqual([]);
    reader.close();
    expect(await pushed).toBe(200);
    expect(filesWith(server.data, ';heron')).toEqual([]);
    expect((await phone.pages()).acknowledged).toBe(2);
  });

  test('a push that is repeated waits as well', async () => {
    const { reader, pushed } = await pushErasing();
    const { body } = server.db.select().from(changes).all().at(-1)!;
    let isAnswered = false;
    const again = phone.push([JSON.parse(body)]).then(() => (isAnswered = true));
    for (let asked = 0; asked < 5; asked += 1) await other.pages();
    expect(isAnswered).toBe(false);
    reader.close();
    await Promise.all([pushed, again]);
    expect(filesWith(server.data, ';heron')).toEqual([]);
  });
});
