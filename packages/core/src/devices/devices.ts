import { compareUnits, derivedId, type Device, type DeviceKind, type KeyboardUse, type ListFields } from '../model';
import { KIND_NAMES, usualPlaces, usualShare } from './usual';

/** The browser that reads the list, as the server knows it. */
export interface Hand {
  readonly id: string;
  readonly name: string;
  readonly kind: DeviceKind;
}

/** What a list tells of devices. `known`: the ids of all records of devices, deleted ones among them. `list` null: nothing was chosen. */
export interface ToldOfDevices {
  readonly records: readonly Device[];
  readonly known: ReadonlySet<string>;
  readonly list: Pick<ListFields, 'devices' | 'keyboards' | 'hasDevices'> | null;
  readonly hand: Hand;
}

/** The id of the device that a joined browser is. */
export function idOfJoined(joined: string): string {
  return derivedId('joined', joined);
}

export function leftOutId(deviceId: string, of: 'shortcut' | 'set', refersTo: string | null): string {
  return derivedId('left out', deviceId, of, refersTo ?? '');
}

export function carriedId(deviceId: string, profile: string, shortcutId: string): string {
  return derivedId('carried', deviceId, profile, shortcutId);
}

/** The devices of a list, one at least: phones first, then by name. */
export function devicesOf({ records, known, list, hand }: ToldOfDevices): Device[] {
  const before = list && !list.hasDevices ? devicesBefore(list).filter(({ id }) => !known.has(id)) : [];
  const all = [...records, ...before];
  return all.length === 0 ? [deviceInHand(hand)] : all.sort(inOrder);
}

export function deviceInHand({ id, name, kind }: Hand): Device {
  return {
    id: idOfJoined(id),
    changed: 0,
    name,
    kind,
    joined: id,
    places: usualPlaces(kind, true),
    keyboards: [],
    share: usualShare(kind),
  };
}

const KIND_ORDER: readonly DeviceKind[] = ['phone', 'tablet', 'computer'];

function inOrder(a: Device, b: Device): number {
  return (
    KIND_ORDER.indexOf(a.kind) - KIND_ORDER.indexOf(b.kind) || compareUnits(a.name, b.name) || compareUnits(a.id, b.id)
  );
}

/** What stood for a device before: its kind and name, by the id of the profile. */
const BEFORE: Readonly<Record<string, readonly [kind: DeviceKind, name: string]>> = {
  'phone-list': ['phone', KIND_NAMES.phone],
  'keyboard-with-offers': ['phone', 'Phone with another keyboard'],
  'tablet-list': ['tablet', KIND_NAMES.tablet],
  'computer-list': ['computer', KIND_NAMES.computer],
  'computer-again': ['computer', 'Computer with an expander'],
};

/**
 * What was chosen before devices were records, as devices. Their ids come from the old values, so that two browsers which read
 * them apart agree. `app` was no device: it is a place on each of them.
 */
function devicesBefore({ devices, keyboards }: Pick<ListFields, 'devices' | 'keyboards'>): Device[] {
  const named = [...new Set([...devices, ...keyboards.map(({ device }) => device)])].filter((id) => id in BEFORE);
  const chosen =
    named.length > 0 ? named : [keyboards[0]?.keyboard.startsWith('hardware') ? 'computer-list' : 'phone-list'];
  const isInApp = devices.includes('app');
  return chosen.map((profile) => {
    const [kind, name] = BEFORE[profile]!;
    const ofDevice = keyboards.filter(({ device }) => device === profile || (named.length === 0 && device === 'app'));
    const own = named.length > 0 ? [{ profile, answers: {} }] : [];
    const app = isInApp || named.length === 0 ? [{ profile: 'app', answers: {} }] : [];
    return {
      id: derivedId('before', profile),
      changed: 0,
      name,
      kind,
      joined: null,
      places: [...own, ...app],
      keyboards: ofDevice.map(({ keyboard, share, pace }) => ({ keyboard, share, pace })),
      share: keyboards.length > 0 ? sumOfShares(ofDevice) : usualShare(kind),
    };
  });
}

function sumOfShares(keyboards: readonly KeyboardUse[]): number {
  return Math.min(
    100,
    keyboards.reduce((sum, { share }) => sum + share, 0),
  );
}
