import type { NewDevice } from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import { openDatabase, type DeviceState, type ReplicaDatabase } from './database';

const CURRENT = 'yellow-latch.device';

export function newDeviceState(): DeviceState {
  return { id: uuid(), listId: null, lastN: 0, clock: null, through: 0 };
}

/** Opens the database of the device that this browser is, or makes it one. */
export async function openCurrentDevice(): Promise<{ db: ReplicaDatabase; state: DeviceState }> {
  const known = localStorage.getItem(CURRENT);
  if (known) {
    const db = await openDatabase(known);
    const state = await db.get('state', 'device');
    // Without its state the store was cleared: its numbers are gone, so it must not go on as it.
    if (state) return { db, state };
    db.close();
  }
  return makeCurrentDevice(newDeviceState());
}

/** Makes a database for `state` and this browser's device of it. */
export async function makeCurrentDevice(
  state: DeviceState,
): Promise<{ db: ReplicaDatabase; state: DeviceState }> {
  const db = await openDatabase(state.id);
  await db.put('state', state, 'device');
  localStorage.setItem(CURRENT, state.id);
  return { db, state };
}

/** How a device introduces itself: by its kind, as far as the browser lets it tell. */
export function introduceDevice(id: string): NewDevice {
  const touch = matchMedia('(pointer: coarse)').matches;
  const narrow = Math.min(screen.width, screen.height) < 600;
  const kind = !touch ? 'computer' : narrow ? 'phone' : 'tablet';
  const name = { computer: 'Computer', phone: 'Phone', tablet: 'Tablet' }[kind];
  return { id, name, kind };
}
