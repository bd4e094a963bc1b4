/** What a device is before and after a list has welcomed it. */
import { KIND_NAMES } from '@yellow-latch/core/devices';
import { MODEL_VERSION, type DeviceKind } from '@yellow-latch/core/model';
import type { NewDevice, Welcome } from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import type { DeviceState, KeptState } from './database';

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
    subscribedSets: null,
    inStepAt: null,
    out: null,
    lastN: 0,
    clock: null,
    through: 0,
    last: null,
    model: MODEL_VERSION,
    ...state,
  };
}

/** A state as it is kept, and back. */
export function keptState({ subscribedSets, ...state }: DeviceState): KeptState {
  return { ...state, takes: subscribedSets };
}

export function stateFrom({ takes, ...kept }: Partial<KeptState>): DeviceState {
  // Before it was noted there was one version of the model.
  const state = { model: 1, ...kept };
  return newDeviceState(takes === undefined ? state : { ...state, subscribedSets: takes });
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

export function introduce({ id, name, kind, secret }: DeviceState): NewDevice {
  return { id, name, kind, secret };
}

/** What this device seems to be, as far as the browser lets it tell. */
export function guessDevice(): { name: string; kind: DeviceKind } {
  if (typeof matchMedia !== 'function') return { name: 'Computer', kind: 'computer' };
  const touch = matchMedia('(pointer: coarse)').matches;
  const narrow = Math.min(screen.width, screen.height) < 600;
  const held = narrow ? 'phone' : 'tablet';
  const kind = touch ? held : 'computer';
  return { name: KIND_NAMES[kind], kind };
}
