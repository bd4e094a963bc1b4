import type { DeviceKeyboard, DeviceKind, DevicePlace } from '../model';
import type { ProfileId } from '../profile';

export const KIND_NAMES: Readonly<Record<DeviceKind, string>> = {
  phone: 'Phone',
  tablet: 'Tablet',
  computer: 'Computer',
};

const OWN_LISTS = { phone: 'phone-list', tablet: 'tablet-list', computer: 'computer-list' } as const;

/** Where one can type on a kind of device: its own list first. */
export function placesFor(kind: DeviceKind): readonly ProfileId[] {
  const glass = ['keyboard-with-offers'] as const;
  const hardware = ['expander', 'computer-again', 'browser'] as const;
  return [OWN_LISTS[kind], ...(kind === 'computer' ? hardware : glass), 'app'];
}

/** Where one is taken to type until one says: in the device's own list, and in this app if it is there. */
export function usualPlaces(kind: DeviceKind, isJoined: boolean): DevicePlace[] {
  const profiles: ProfileId[] = isJoined ? [OWN_LISTS[kind], 'app'] : [OWN_LISTS[kind]];
  return profiles.map((profile) => ({ profile, answers: {} }));
}

/** How much is typed on a kind of device beside the others, until one says. An assumption; no source. */
export function usualShare(kind: DeviceKind): number {
  return { phone: 6, tablet: 2, computer: 4 }[kind];
}

/** The keyboard that a device is taken to have until its owner says: the first language's, as far as there is one. */
export function usualKeyboards(kind: DeviceKind, [language = 'en']: readonly string[]): DeviceKeyboard[] {
  const base = language.split('-')[0]!;
  const known = ['de', 'fr', 'es'].includes(base) ? base : 'en';
  const hardware = known === 'en' ? 'hardware-en-gb' : `hardware-${known}`;
  return [{ keyboard: kind === 'computer' ? hardware : `${kind}-${known}`, share: 1, pace: 1 }];
}
