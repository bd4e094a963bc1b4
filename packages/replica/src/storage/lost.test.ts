import { applyChange, draftChange, makeClock, type FieldChanges, type StoredRecord } from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import { writesOfLost } from './lost';

const DEVICE = uuid();
const WHOLE = {
  code: ';a',
  content: { expansion: 'first', template: false, format: 'plain' as const },
  kind: 'message' as const,
  setId: null,
};
const text = (expansion: string) => ({ content: { ...WHOLE.content, expansion } });

/** A record after changes made at these moments. */
function record(id: string, ...changes: [time: number, fields: FieldChanges<'shortcut'>][]): StoredRecord {
  let known: StoredRecord | undefined;
  for (const [time, fields] of changes) {
    const change = draftChange({ type: 'shortcut', id }, known, fields, {
      id: uuid(),
      clock: makeClock(time, 0, DEVICE),
      device: DEVICE,
      n: 1,
    });
    const result = applyChange(known, change);
    if (result.type === 'applied') known = result.record;
  }
  return known!;
}

const ID = uuid();
const of = (...records: StoredRecord[]) => new Map(records.map((one) => [`shortcut:${one.id}`, one]));
const nowhere = () => false;
const lost = (mine: StoredRecord, theirs?: StoredRecord) =>
  writesOfLost(of(mine), theirs ? of(theirs) : of(), nowhere).map(({ fields }) => fields);

test('what the server has not is made anew, whole; what was deleted there is not', () => {
  expect(lost(record(ID, [1, WHOLE]))).toEqual([WHOLE]);
  expect(lost(record(ID, [1, WHOLE], [2, { deleted: true }]))).toEqual([]);
});

test('a field that is later here is written again, and no other', () => {
  const base: [number, FieldChanges<'shortcut'>] = [1, WHOLE];
  expect(lost(record(ID, base, [5, text('lost')]), record(ID, base))).toEqual([text('lost')]);
  expect(lost(record(ID, base, [5, { deleted: true }]), record(ID, base))).toEqual([{ deleted: true }]);
});

test('what was written there since is not undone', () => {
  expect(lost(record(ID, [1, WHOLE], [5, text('lost')]), record(ID, [1, WHOLE], [9, text('newer')]))).toEqual([]);
  expect(lost(record(ID, [1, WHOLE]), record(ID, [1, WHOLE]))).toEqual([]);
});

test('what was erased is erased again', () => {
  expect(lost(record(ID, [1, WHOLE], [2, { deleted: 'erased' }]), record(ID, [1, WHOLE], [9, text('newer')]))).toEqual([
    { deleted: 'erased' },
  ]);
  expect(lost(record(ID, [1, WHOLE], [2, { deleted: 'erased' }]))).toEqual([]);
});

test('of what is elsewhere nothing follows, and counts are each device’s own', () => {
  const mine = record(ID, [1, WHOLE], [5, { used: { count: 4, since: 0 } }]);
  expect(writesOfLost(of(mine), of(), () => true)).toEqual([]);
  expect(lost(mine, record(ID, [1, WHOLE]))).toEqual([]);
});
