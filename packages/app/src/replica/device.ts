import type { DeviceKind, NewDevice, Welcome } from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import { openDatabase, type DeviceState, type ReplicaDatabase } from './database';

const CURRENT = 'yellow-latch.device';

export const KIND_NAMES: Record<DeviceKind, string> = { phone: 'Phone', tablet: 'Tablet', computer: 'Computer' };

export interface OpenedDevice {
  db: ReplicaDatabase;
  state: DeviceState;
}

/** A device that nobody knows yet. What a state kept by an earlier version lacks is as it is here. */
export function newDeviceState(state: Partial<DeviceState> = {}): DeviceState {
  return {
    id: uuid(),
    ...guessDevice(),
    secret: newSecret(),
    listId: null,
    listName: 'My list',
    begins: null,
    may: 'edit',
    takes: null,
    inStepAt: null,
    out: null,
    lastN: 0,
    clock: null,
    through: 0,
    last: null,
    ...state,
  };
}

const SECRET_BYTES = 32;

/** 256 random bits, base64url. */
export function newSecret(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(SECRET_BYTES));
  return btoa(String.fromCharCode(...bytes))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replace(/=+$/u, '');
}

/** A device that was welcomed, under the id by which it had introduced itself. */
export function welcomedState({ id, name, kind, secret }: NewDevice, { list }: Welcome): DeviceState {
  return newDeviceState({
    id,
    name,
    kind,
    ...(secret === undefined ? {} : { secret }),
    listId: list.id,
    listName: list.name,
  });
}

/** Opens the database of the device that this browser is; null: it is none yet. */
export async function openCurrentDevice(): Promise<OpenedDevice | null> {
  const known = localStorage.getItem(CURRENT);
  if (known) {
    const db = await openDatabase(known);
    const state = await db.get('state', 'device');
    // Without its state the store was cleared: its numbers are gone, so it must not go on as it.
    if (state) {
      const whole = newDeviceState(state);
      // A state of an earlier version has no secret yet: from now on it is always the same.
      if (state.secret !== whole.secret) await db.put('state', whole, 'device');
      return { db, state: whole };
    }
    db.close();
  }
  return null;
}

/** Makes a database for `state` and this browser's device of it. */
export async function makeCurrentDevice(state: DeviceState): Promise<OpenedDevice> {
  const db = await openDatabase(state.id);
  await db.put('state', state, 'device');
  localStorage.setItem(CURRENT, state.id);
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

export function introduce({ id, name, kind, secret }: DeviceState): NewDevice {
  return { id, name, kind, secret };
}

/** What this device seems to be, as far as the browser lets it tell. */
export function guessDevice(): { name: string; kind: DeviceKind } {
  if (typeof matchMedia !== 'function') return { name: 'Computer', kind: 'computer' };
  const touch = matchMedia('(pointer: coarse)').matches;
  const narrow = Math.min(screen.width, screen.height) < 600;
  const kind = !touch ? 'computer' : narrow ? 'phone' : 'tablet';
  return { name: KIND_NAMES[kind], kind };
}
