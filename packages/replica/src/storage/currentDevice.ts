/** Which device this browser is: its database, and how it goes on as another one. */
import { deleteDB } from 'idb';

import { openDatabase, type DeviceState, type ReplicaDatabase } from './database';
import { keptState, stateFrom } from './device';

const OWN = 'yellow-latch.device';
/** Under this name the browser keeps which device this page is. */
let current = OWN;

/** From now on this page is another device than the browser it runs in: one with a name of its own, as a stand-in is. */
export function actAs(name: string): void {
  current = `${OWN}.${name}`;
}

/** Forgets the device that this page is, with all it holds. */
export async function forgetCurrentDevice(db: ReplicaDatabase): Promise<void> {
  localStorage.removeItem(current);
  db.close();
  await deleteDB(db.name);
}

export interface OpenedDevice {
  db: ReplicaDatabase;
  state: DeviceState;
}

/** Opens the database of the device that this browser is; null: it is none yet. */
export async function openCurrentDevice(): Promise<OpenedDevice | null> {
  const known = localStorage.getItem(current);
  if (known) {
    const db = await openDatabase(known);
    const state = await db.get('state', 'device');
    // Without its state the store was cleared: its numbers are gone, so it must not go on as it.
    if (state) {
      const whole = stateFrom(state);
      // A state of an earlier version has no secret yet: from now on it is always the same.
      if (state.secret !== whole.secret) await db.put('state', keptState(whole), 'device');
      return { db, state: whole };
    }
    db.close();
  }
  return null;
}

/** Makes a database for `state` and this browser's device of it. */
export async function makeCurrentDevice(state: DeviceState): Promise<OpenedDevice> {
  const db = await openDatabase(state.id);
  await db.put('state', keptState(state), 'device');
  localStorage.setItem(current, state.id);
  return { db, state };
}

/**
 * This browser goes on as another device: what is of this browser alone goes along. The database of the old one
 * stays as it is.
 */
export async function succeedDevice(old: ReplicaDatabase, state: DeviceState): Promise<OpenedDevice> {
  const next = await openDatabase(state.id);
  for (const store of ['drafts', 'private', 'kept'] as const) {
    const [keys, values] = await Promise.all([old.getAllKeys(store), old.getAll(store)]);
    const tx = next.transaction(store, 'readwrite');
    keys.forEach((key, index) => void tx.store.put(values[index], key));
    // What it has counted was counted under its old name.
    if (store === 'kept') void tx.store.delete('uses');
    await tx.done;
  }
  next.close();
  return makeCurrentDevice(state);
}
