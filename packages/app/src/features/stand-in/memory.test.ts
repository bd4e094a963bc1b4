import { JOBS } from '@yellow-latch/core/scenario/jobs';
import { NO_TAPS } from '@yellow-latch/core/standIn';
import type { ReplicaDatabase } from '@yellow-latch/replica/storage/database';

import { Memory } from './memory';

/** A database that keeps what it is given, while it has room. */
function database() {
  const kept = new Map<string, unknown>();
  const db = {
    isFull: false,
    kept,
    get: (_store: string, key: string) => Promise.resolve(kept.get(key)),
    put(_store: string, value: unknown, key: string) {
      if (db.isFull) return Promise.reject(new DOMException('full', 'QuotaExceededError'));
      kept.set(key, structuredClone(value));
      return Promise.resolve();
    },
  };
  return db;
}
const open = (db: ReturnType<typeof database>) => Memory.open(db as unknown as ReplicaDatabase);
const [customers, onTheWay] = JOBS;

test('what was written in a job stays with it, apart from other jobs and from free typing', async () => {
  const db = database();
  const memory = await open(db);
  memory.setText('talk', 'free');
  memory.openJob(customers!, 'with');
  expect(memory.textOf('talk')).toBe('');
  memory.setText('talk', 'half');
  memory.count({ taps: 4, keys: 'half' });
  memory.openJob(onTheWay!, 'with');
  expect([memory.textOf('talk'), memory.tally]).toEqual(['', NO_TAPS]);
  memory.save();
  const again = await open(db);
  again.openJob(customers!, 'with');
  expect([again.textOf('talk'), again.tally.taps, again.written]).toEqual(['half', 4, 'half']);
  again.openJob(null, 'with');
  expect([again.textOf('talk'), again.written]).toEqual(['free', 'free']);
});

test('what was sent stays in the count, and its fields are empty', async () => {
  const memory = await open(database());
  memory.setText('to', 'a@b');
  memory.setText('body', 'Hello');
  memory.send({ to: 'a@b', body: 'Hello' });
  expect([memory.textOf('to'), memory.textOf('body'), memory.written]).toEqual(['', '', 'a@b\nHello']);
  memory.setText('body', 'More');
  expect(memory.written).toBe('a@b\nHello\nMore');
});

test('a job that is done begins anew when it is opened again; its result stays', async () => {
  const memory = await open(database());
  memory.set({ source: 'own' });
  memory.openJob(customers!, 'with');
  expect(memory.value).toMatchObject({ source: 'app', place: 'talk' });
  memory.count({ taps: 3 });
  memory.set({ talks: { [memory.scope]: { said: [], answered: 3 } } });
  const result = { spent: { taps: 3, seconds: 1 }, written: { taps: 30, seconds: 10 } };
  memory.finish(result);
  expect(memory.isFinished).toBe(true);
  memory.openJob(customers!, 'without');
  expect(memory.isFinished).toBe(false);
  memory.openJob(customers!, 'with');
  expect([memory.isFinished, memory.tally, memory.value.talks]).toEqual([false, NO_TAPS, {}]);
  expect(memory.value.results.customers).toEqual({ with: result });
});

test('on a full device its own list is left as it was; what is typed holds for the visit', async () => {
  const db = database();
  const memory = await open(db);
  const entry = { code: 'a', text: 'b', language: null };
  await memory.setKept({ own: [entry] });
  db.isFull = true;
  await expect(memory.setKept({ own: [] })).rejects.toMatchObject({ name: 'QuotaExceededError' });
  expect(memory.value.own).toEqual([entry]);
  memory.setText('note', 'kept for now');
  expect(memory.textOf('note')).toBe('kept for now');
  memory.save();
  db.isFull = false;
  expect((await open(db)).textOf('note')).toBe('');
});
