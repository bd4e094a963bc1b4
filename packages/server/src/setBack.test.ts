/** A server whose data was set back from a copy: a device that had come further notices, whatever was written since. */
import { copyFileSync } from 'node:fs';
import { join } from 'node:path';

import { asShortcut, PageSchema, type Page } from '@yellow-latch/core/sync';

import { problemOf, TestDevice, testServer, WHOLE, type TestServer } from './testing';

let server: TestServer;
let writer: TestDevice;
let reader: TestDevice;
beforeEach(async () => {
  server = testServer();
  writer = await TestDevice.join(server.app);
  reader = await TestDevice.join(server.app);
  await writer.push([writer.change({ ...WHOLE, code: ';1' }), writer.change({ ...WHOLE, code: ';2' })]);
});
afterEach(() => server.end());

const codes = (page: Page) => page.records.map((record) => asShortcut(record).code).sort();
const ask = async (device: TestDevice, since: number, last?: string | null) =>
  device.get(device.at(`/pages?since=${since}${last ? `&last=${last}` : ''}`));

/** Writes more, and goes on from a copy that was made before that. */
async function setBackBehind(written: number): Promise<{ through: number; last: string | null }> {
  const file = join(server.data, 'yellow-latch.sqlite');
  server.db.$client.pragma('wal_checkpoint(TRUNCATE)');
  copyFileSync(file, `${file}.copy`);
  const other = await TestDevice.join(server.app);
  await other.push(Array.from({ length: written }, (_, index) => other.change({ ...WHOLE, code: `;lost${index}` })));
  const { through, last } = await reader.pages();
  server.db.$client.close();
  copyFileSync(`${file}.copy`, file);
  server = testServer(server.data);
  writer = await TestDevice.join(server.app);
  // The cookies of devices that the copy knows still hold.
  reader = Object.assign(Object.create(TestDevice.prototype) as TestDevice, { ...reader, app: server.app });
  return { through, last };
}

test('a device that is further than the server is told so', async () => {
  const { through, last } = await setBackBehind(3);
  expect(problemOf(await ask(reader, through, last))).toBe('set-back');
});

test.each([3, 2, 5])(
  'with 3 changes lost and %i written since, it gets a fresh copy rather than part of what is new',
  async (written) => {
    const { through, last } = await setBackBehind(3);
    await writer.push(Array.from({ length: written }, (_, index) => writer.change({ ...WHOLE, code: `;new${index}` })));
    const answer = await ask(reader, through, last);
    const page = answer.status === 200 ? PageSchema.parse(answer.body) : null;
    expect(page ? [page.fresh, page.records.length] : problemOf(answer)).toEqual(
      written < 3 ? 'set-back' : [true, 2 + written],
    );
  },
);

test('a device that the server agrees with goes on from where it was', async () => {
  const { through, last } = await reader.pages();
  await writer.push([writer.change({ ...WHOLE, code: ';3' })]);
  const page = PageSchema.parse((await ask(reader, through, last)).body);
  expect([page.fresh, codes(page), page.last]).toEqual([false, [';3'], (await reader.pages()).last]);
});

test('a page in the midst of a fresh copy, and a device of an earlier version, say no change and go on', async () => {
  expect(PageSchema.parse((await ask(reader, 1)).body).fresh).toBe(false);
});

test('what is no id of a change is refused', async () => {
  expect((await ask(reader, 1, 'x')).status).toBe(422);
});
