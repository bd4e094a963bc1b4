import { deviceInHand } from '@yellow-latch/core/devices';
import type { DeviceKind, DevicePlace } from '@yellow-latch/core/model';
import type { NewDevice, Welcome } from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import { makeCurrentDevice, succeedDevice, type OpenedDevice } from '../storage/currentDevice';
import { newDeviceState, newSecret, welcomedState } from '../storage/device';
import { Replica, UNSENT, type Unsent } from '../storage/replica';
import { server } from './server';

/** A way into a list: a new one, an open door, a code from a device that is in, or the spare key. */
export type Entrance =
  { type: 'new' } | { type: 'open' } | { type: 'code'; code: string } | { type: 'spare key'; key: string };

export interface Introduced {
  name: string;
  kind: DeviceKind;
  /** How much is typed on it beside other devices; as is usual for its kind unless given. */
  share?: number;
  /** False: nobody types on it, as on a command line; the list is not checked for it. */
  isTypedOn?: boolean;
  /** Where one types on it; what is usual for its kind unless given. */
  places?: readonly DevicePlace[];
}

const NEW_LIST = 'My list';

/**
 * Makes this browser a device of a list. To begin one takes no server: it hears of the list later. What this browser
 * held as the device it was before goes along, and what that had not sent, if this is the same list.
 */
export async function enter(
  entrance: Entrance,
  { share, isTypedOn = true, places, ...introduced }: Introduced,
  before: OpenedDevice | null,
): Promise<void> {
  const me = { id: uuid(), secret: newSecret(), ...introduced };
  const state =
    entrance.type === 'new'
      ? newDeviceState({ ...me, listName: NEW_LIST, begins: { id: uuid(), name: NEW_LIST } })
      : welcomedState(me, await welcomeTo(entrance, me));
  const { db } = before ? await succeedDevice(before.db, state) : await makeCurrentDevice(state);
  const replica = await Replica.open(db, state);
  if (isTypedOn) {
    const { id, changed: _changed, ...fields } = deviceInHand(state);
    const told = { ...(share === undefined ? {} : { share }), ...(places ? { places: [...places] } : {}) };
    await replica.write([{ type: 'device', id, fields: { ...fields, ...told, deleted: false } }]);
  }
  const unsent = (await db.get('kept', UNSENT)) as Unsent | undefined;
  if (unsent && unsent.listId === state.listId && state.listId !== null) {
    if (unsent.writes.length > 0) await replica.write(unsent.writes);
    await db.delete('kept', UNSENT);
  }
  db.close();
}

function welcomeTo(entrance: Exclude<Entrance, { type: 'new' }>, me: NewDevice): Promise<Welcome> {
  switch (entrance.type) {
    case 'open':
      return server.enter(me);
    case 'code':
      return server.join(entrance.code, me);
    case 'spare key':
      return server.recover(entrance.key, me);
  }
}

/** How many changes this browser still holds of the list it was in. */
export async function countUnsent({ db }: OpenedDevice): Promise<number> {
  return ((await db.get('kept', UNSENT)) as Unsent | undefined)?.writes.length ?? 0;
}
