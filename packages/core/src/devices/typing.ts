import type { Device, DeviceKeyboard, KeyboardUse, OwnKeyboard } from '../model';
import { keyOfPlace } from '../profile';
import { usualKeyboards } from './usual';

/** A place of a device, under the key of its profile (see core/profile). */
export interface PlaceOfDevice {
  readonly device: Device;
  readonly profile: string;
  readonly key: string;
}

/** The keyboards of a device: what was said, or what is usual. */
function keyboardsOf({ kind, keyboards }: Device, languages: readonly string[]): readonly DeviceKeyboard[] {
  return keyboards.length > 0 ? keyboards : usualKeyboards(kind, languages);
}

/** The languages of a device's keyboards (BCP 47, base alone); none: one of them is of no language that is known. */
export function languagesTypedOn(
  device: Device,
  languages: readonly string[],
  own: readonly OwnKeyboard[] = [],
): string[] {
  const found = keyboardsOf(device, languages).map(({ keyboard }) => {
    const layout = own.find(({ id }) => id === keyboard)?.layout;
    const ofOwn = layout?.type === 'hardware' ? layout.language.split('-')[0] : undefined;
    return ofOwn ?? /^(?:phone|tablet|hardware)(?:-figures)?-([a-z]{2})/u.exec(keyboard)?.[1];
  });
  return found.includes(undefined) ? [] : [...new Set(found as string[])];
}

/** Every place of every device. */
export function placesOf(
  devices: readonly Device[],
  languages: readonly string[],
  own: readonly OwnKeyboard[] = [],
): PlaceOfDevice[] {
  return devices.flatMap((device) => {
    const spoken = languagesTypedOn(device, languages, own);
    return device.places.map((place) => ({
      device,
      profile: place.profile,
      key: keyOfPlace({ ...place, languages: spoken }),
    }));
  });
}

/** The places in which a list is checked, each once, as keys of profiles. */
export function profilesOf(places: readonly PlaceOfDevice[]): string[] {
  return [...new Set(places.map(({ key }) => key))];
}

/**
 * The keyboards on which the list is priced, each with its part of all typing and the place where it types: the first of its
 * device that is not this app. Where nothing is typed anywhere, all devices count alike.
 */
export function keyboardsInUse(
  devices: readonly Device[],
  languages: readonly string[],
  places: readonly PlaceOfDevice[],
): KeyboardUse[] {
  const isTypedOn = devices.some(({ share }) => share > 0);
  const uses: KeyboardUse[] = [];
  for (const device of devices) {
    const part = isTypedOn ? device.share : 1;
    if (part === 0) continue;
    const keyboards = keyboardsOf(device, languages);
    const all = keyboards.reduce((sum, { share }) => sum + share, 0);
    const own = places.filter((place) => place.device.id === device.id);
    const { key } = own.find(({ profile }) => profile !== 'app') ?? own[0]!;
    for (const { keyboard, share, pace } of keyboards) {
      const same = uses.findIndex((use) => use.keyboard === keyboard && use.device === key && use.pace === pace);
      const typed = (part * share) / all;
      if (same < 0) uses.push({ keyboard, pace, device: key, share: typed });
      else uses[same] = { ...uses[same]!, share: uses[same]!.share + typed };
    }
  }
  return uses;
}
