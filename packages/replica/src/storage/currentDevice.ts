/** Which device this browser is: its database, and how it goes on as another one. */
import { deleteDB } from 'idb';

import { openDatabase, type DeviceState, type ReplicaDatabase } from './database';
import { keptState, stateFrom } from './device';

const OWN = 'yellow-latch.device';
/** Under this name the browser keeps which device this page is. */
let current = OWN;

/** Where it is noted which device this is: by name, the id. */
export type Notes = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

let notes: Notes | null = null;

/** From now on it is noted there, rather than in the page's local storage, which not every program has. */
export function noteIn(place: Notes): void {
  notes = place;
}

function noted(): Notes {
  return notes ?? localStorage;
}

/** From now on this page is another device than the browser it runs in: one with a name of its own, as a stand-in is. */
export function actAs(name: string): void {
  current = `${OWN}.${name}`;
}

/** Forgets the device that this page is, with all it holds. */
export async function forgetCurrentDevice(db: ReplicaDatabase): Promise<void> {
  noted().removeItem(current);
  db.close();
  await deleteDB(db.name);
}

export interface OpenedDevice {
  db: ReplicaDatabase;
  state: DeviceState;
}

/** Opens the database of the device that this browser is; null: it is none yet. */
export async function openCurrentDevice(): Promise<OpenedDevice | null> {
  const known = noted().getItem(current);
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
  noted().setItem(current, state.id);
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
