/** What a person types on: devices added, changed, removed; what they are to do without. */
import { deviceInHand, idOfJoined, leftOutId, usualPlaces, usualShare, type Hand } from '@yellow-latch/core/devices';
import { type Device, type DeviceFields, type DeviceKind } from '@yellow-latch/core/model';
import { v7 as uuid } from 'uuid';

import type { ListView } from '../storage/view';
import type { Write } from '../storage/write';
import { inOrder, type Command } from './command';

function fieldsOf({ name, kind, joined, places, keyboards, share }: Device): DeviceFields {
  return { name, kind, joined, places, keyboards, share };
}

/** Whether there is no record of a device yet: it is read off what was chosen before, or is the one in hand. */
function isUnwritten({ changed }: Device): boolean {
  return changed === 0;
}

/** The device in hand gets its record, so that it stays when there are others. */
function keepingHand(list: Pick<ListView, 'devices'>, but: string): Write[] {
  return list.devices
    .filter((device) => isUnwritten(device) && device.joined !== null && device.id !== but)
    .map((device) => ({ type: 'device', id: device.id, fields: fieldsOf(device) }));
}

/** A device is changed; one that has no record yet gets it. */
export function settingDevice(device: Device, fields: Partial<DeviceFields>, list: Pick<ListView, 'devices'>): Command {
  const was = fieldsOf(device);
  const written = isUnwritten(device) ? { ...was, ...fields } : fields;
  const before = Object.fromEntries(Object.keys(fields).map((field) => [field, was[field as keyof DeviceFields]]));
  return {
    writes: [{ type: 'device', id: device.id, fields: written }, ...keepingHand(list, device.id)],
    undo: () => [{ type: 'device', id: device.id, fields: before }],
  };
}

/** A device that need not run this app. */
export function addingDevice(
  { name, kind }: Pick<DeviceFields, 'name' | 'kind'>,
  list: Pick<ListView, 'devices'>,
): Command & { id: string } {
  const id = uuid();
  const fields: DeviceFields = {
    name,
    kind,
    joined: null,
    places: usualPlaces(kind, false),
    keyboards: [],
    share: usualShare(kind),
  };
  return {
    id,
    writes: [{ type: 'device', id, fields }, ...keepingHand(list, id)],
    undo: () => [{ type: 'device', id, fields: { deleted: true } }],
  };
}

/** A browser that has joined becomes a device that is typed on. */
export function addingJoined(hand: Hand, list: Pick<ListView, 'devices'>): Command & { id: string } {
  const device = deviceInHand(hand);
  return {
    id: device.id,
    writes: [
      { type: 'device', id: device.id, fields: { ...fieldsOf(device), deleted: false } },
      ...keepingHand(list, device.id),
    ],
    undo: () => [{ type: 'device', id: device.id, fields: { deleted: true } }],
  };
}

/** A device that was added by hand now runs the app: it is the joined one from now on. */
export function linkingDevice(device: Device, joined: string, list: Pick<ListView, 'devices'>): Command {
  const places = device.places.some(({ profile }) => profile === 'app')
    ? device.places
    : [...device.places, { profile: 'app', answers: {} }];
  const own = list.devices.find(({ id }) => id === idOfJoined(joined) && id !== device.id);
  const link = settingDevice(device, { joined, places }, list);
  return own && !isUnwritten(own) ? inOrder(link, removingDevice(own, list)) : link;
}

/** A device is typed on no more. What was carried to it is forgotten with it. */
export function removingDevice(device: Device, list: Pick<ListView, 'devices'>): Command {
  const fields = isUnwritten(device) ? fieldsOf(device) : {};
  return {
    writes: [{ type: 'device', id: device.id, fields: { ...fields, deleted: true } }, ...keepingHand(list, device.id)],
    undo: () => [{ type: 'device', id: device.id, fields: { deleted: false } }],
  };
}

/** A shortcut or a set is left out of a device, or is in it again. `refersTo` null: the shortcuts in no set. */
export function leavingOut(
  device: Device,
  of: 'shortcut' | 'set',
  refersTo: string | null,
  isOut: boolean,
  list: Pick<ListView, 'devices'>,
): Command {
  const id = leftOutId(device.id, of, refersTo);
  const set = (out: boolean): Write => ({
    type: 'leftOut',
    id,
    fields: { deviceId: device.id, of, refersTo, deleted: !out },
  });
  const keep: Write[] = isUnwritten(device) ? [{ type: 'device', id: device.id, fields: fieldsOf(device) }] : [];
  return {
    writes: [set(isOut), ...keep, ...keepingHand(list, device.id)],
    undo: () => [set(!isOut)],
  };
}

/** The kinds of devices that a list has none of, in the order in which one would be asked for them. */
export function kindsMissing({ devices }: Pick<ListView, 'devices'>): DeviceKind[] {
  return (['phone', 'computer', 'tablet'] as const).filter((kind) => !devices.some((device) => device.kind === kind));
}
