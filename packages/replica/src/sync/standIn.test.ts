/** What a stand-in has that a browser has not: a name of its own, a line that is cut, a clock that is wrong, no room. */
import { readClock } from '@yellow-latch/core/sync';

import { openDatabase } from '../storage/database';
import { keptState, newDeviceState } from '../storage/device';
import { actAs, forgetCurrentDevice, makeCurrentDevice, openCurrentDevice } from '../storage/currentDevice';
import { fullWhile } from '../storage/full';
import { Replica } from '../storage/replica';
import type { Write } from '../storage/write';
import { line } from './line';

const write: Write = {
  type: 'shortcut',
  fields: {
    code: ';a',
    content: { expansion: 'a', template: false, format: 'plain' },
    kind: 'message',
    setId: null,
  },
};

async function opened(isFull: () => boolean = () => false, clock: () => number = Date.now): Promise<Replica> {
  const state = newDeviceState();
  const db = await openDatabase(state.id);
  await db.put('state', keptState(state), 'device');
  return Replica.open(fullWhile(db, isFull), state, clock);
}

test('devices of one browser are kept apart by their names, and one is forgotten without the others', async () => {
  const phone = newDeviceState({ name: 'Stand-in phone' });
  actAs('phone');
  expect(await openCurrentDevice()).toBeNull();
  const { db } = await makeCurrentDevice(phone);
  actAs('sample');
  const sample = await makeCurrentDevice(newDeviceState({ name: 'Sample' }));
  expect((await openCurrentDevice())!.state.name).toBe('Sample');
  await forgetCurrentDevice(sample.db);
  expect(await openCurrentDevice()).toBeNull();
  actAs('phone');
  expect((await openCurrentDevice())!.state.id).toBe(phone.id);
  db.close();
});

test('on a full device nothing is written, it is told so, and what is there can be read', async () => {
  let isFull = false;
  const replica = await opened(() => isFull);
  await replica.write([write]);
  isFull = true;
  await expect(replica.write([write])).rejects.toMatchObject({ name: 'QuotaExceededError' });
  await expect(replica.db.put('kept', 1, 'x')).rejects.toMatchObject({ name: 'QuotaExceededError' });
  await replica.reload();
  expect(replica.read().shortcuts).toHaveLength(1);
  isFull = false;
  await replica.write([write]);
  expect(replica.read().shortcuts).toHaveLength(2);
});

test('changes bear the time of the device’s own clock', async () => {
  const noon = Date.UTC(2020, 0, 1, 12);
  const replica = await opened(undefined, () => noon);
  await replica.write([write]);
  expect(readClock(replica.waiting[0]!.clock).time).toBe(noon);
});

test('a line that is cut lets nothing through, ends what is open, and calls those who wait when it is there again', () => {
  const ended: string[] = [];
  const stream = Object.assign(new EventTarget(), { readyState: 1, CLOSED: 2, close: () => ended.push('closed') });
  stream.addEventListener('error', () => ended.push('error'));
  const heard: string[] = [];
  Object.assign(globalThis, { dispatchEvent: ({ type }: Event) => heard.push(type) });
  line.check();
  expect(line.follow(() => stream as unknown as EventSource)).toBe(stream);
  line.cut();
  expect(ended).toEqual(['closed', 'error']);
  expect(() => line.check()).toThrow(TypeError);
  expect(() => line.follow(() => stream as unknown as EventSource)).toThrow(TypeError);
  expect(heard).toEqual([]);
  line.mend();
  line.mend();
  expect(heard).toEqual(['online']);
  line.check();
});
