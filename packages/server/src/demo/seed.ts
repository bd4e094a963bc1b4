import { idOfJoined } from '@yellow-latch/core/devices';
import { DEMO_DEVICES, scenarioRecords } from '@yellow-latch/core/scenario';
import {
  applyChange,
  draftChange,
  nextClock,
  type Change,
  type FieldChanges,
  type StoredRecord,
} from '@yellow-latch/core/sync';
import { eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';

import type { Database } from '../database';
import { admitDevice, type Device } from '../devices';
import { receiveChanges } from '../ledger';
import { devices, lists } from '../schema';

/** Fills an empty list with the demo scenario, as changes of a device like any other. */
export function seedDemo(db: Database, listId: string, now: number): void {
  const list = db.select().from(lists).where(eq(lists.id, listId)).get();
  if (!list || list.lastNumber > 0) return;
  const id = uuid();
  admitDevice(db, listId, { id, name: 'Workshop laptop', kind: 'computer' }, now);
  const device = db.select().from(devices).where(eq(devices.id, id)).get()!;
  receiveChanges(db, device, demoChanges(device, now), now);
  const { lastNumber } = db.select().from(lists).where(eq(lists.id, listId)).get()!;
  db.update(devices).set({ seenAt: now, through: lastNumber }).where(eq(devices.id, id)).run();
}

function demoChanges(device: Device, now: number): Change[] {
  const made: Change[] = [];
  const together = uuid();
  let clock: string | null = null;
  const create = <T extends 'shortcut' | 'set' | 'list' | 'device'>(
    type: T,
    fields: FieldChanges<T>,
    id: string = uuid(),
  ): void => {
    clock = nextClock(clock, now, device.id);
    const record = { type, id };
    const stamp = { id: uuid(), clock, device: device.id, n: made.length + 1, together };
    const change = draftChange(record, undefined as StoredRecord | undefined, fields, stamp);
    if (applyChange(undefined, change).type !== 'applied') throw new Error('incomplete demo data');
    made.push(change);
  };
  for (const record of scenarioRecords(uuid)) create(record.type, record.fields, record.id);
  // The workshop's computer is the one that has joined.
  for (const fields of DEMO_DEVICES)
    if (fields.kind === 'computer') create('device', { ...fields, joined: device.id }, idOfJoined(device.id));
    else create('device', fields);
  return made;
}
