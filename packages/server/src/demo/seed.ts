import { idOfJoined } from '@yellow-latch/core/devices';
import { LIST_RECORD_ID } from '@yellow-latch/core/model';
import { guessKind } from '@yellow-latch/core/mnemonic';
import {
  applyChange,
  draftChange,
  nextClock,
  type Change,
  type FieldChanges,
  type StoredRecord,
} from '@yellow-latch/core/sync';
import { eq } from 'drizzle-orm';
import { generateNKeysBetween } from 'fractional-indexing';
import { v7 as uuid } from 'uuid';

import type { Database } from '../database';
import { admitDevice, type Device } from '../devices';
import { receiveChanges } from '../ledger';
import { devices, lists } from '../schema';
import { DEMO_BOARD, DEMO_DEVICES, DEMO_SETS, DEMO_USES } from './scenario';

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
  ): string => {
    clock = nextClock(clock, now, device.id);
    const record = { type, id };
    const stamp = { id: uuid(), clock, device: device.id, n: made.length + 1, together };
    const change = draftChange(record, undefined as StoredRecord | undefined, fields, stamp);
    if (applyChange(undefined, change).type !== 'applied') throw new Error('incomplete demo data');
    made.push(change);
    return record.id;
  };
  const orders = generateNKeysBetween(null, null, DEMO_SETS.length);
  const pins = generateNKeysBetween(null, null, DEMO_BOARD.length);
  const ids = new Map(DEMO_SETS.flatMap(({ shortcuts }) => shortcuts.map(([code]) => [code, uuid()] as const)));
  const withIds = (expansion: string) =>
    expansion.replaceAll(/code=\|([^|]+)\|/gu, (_, code: string) => `id=|${ids.get(code)!}|`);
  DEMO_SETS.forEach(({ name, icon, shortcuts }, index) => {
    const setId = create('set', { name, icon, order: orders[index]! });
    for (const [code, expansion, kind, shape] of shortcuts) {
      const content = {
        expansion: shape === 'template' ? withIds(expansion) : expansion,
        template: shape === 'template',
        format: shape === 'markdown' ? 'markdown' : 'plain',
      } as const;
      create(
        'shortcut',
        {
          code,
          content,
          kind: kind ?? guessKind(expansion),
          setId,
          usesAWeek: DEMO_USES[code] ?? null,
          pinned: pins[DEMO_BOARD.indexOf(code)] ?? null,
        },
        ids.get(code),
      );
    }
  });
  create(
    'list',
    {
      languages: ['en'],
      devices: ['app'],
      keyboards: [],
      hasDevices: true,
    },
    LIST_RECORD_ID,
  );
  // The workshop's computer is the one that has joined.
  for (const fields of DEMO_DEVICES)
    if (fields.kind === 'computer') create('device', { ...fields, joined: device.id }, idOfJoined(device.id));
    else create('device', fields);
  return made;
}
