/** The places where one types, named: by their devices, as one has called them. */
import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import { KIND_NAMES, type PlaceOfDevice } from '@yellow-latch/core/devices';
import type { Device } from '@yellow-latch/core/model';
import { isOurs, placeOfKey, type ProfileId } from '@yellow-latch/core/profile';

import { tellList } from '@/wording/format';

interface PlaceWords {
  /** The device of such a place, in a sentence and on a label, where it is none of the list's. */
  readonly spoken: MessageDescriptor;
  readonly label: MessageDescriptor;
  /** The place beside others of its device. */
  readonly place: MessageDescriptor;
}

const WORDS: Readonly<Record<ProfileId, PlaceWords>> = {
  app: { spoken: msg`this app`, label: msg`This app`, place: msg`this app` },
  browser: { spoken: msg`the browser`, label: msg`Browser`, place: msg`web pages` },
  'phone-list': { spoken: msg`the phone`, label: msg`Phone`, place: msg`its own list` },
  'tablet-list': { spoken: msg`the tablet`, label: msg`Tablet`, place: msg`its own list` },
  'computer-list': { spoken: msg`the computer`, label: msg`Computer`, place: msg`its own list` },
  expander: { spoken: msg`the computer`, label: msg`Computer`, place: msg`an expander` },
  'computer-again': {
    spoken: msg`the computer that expands inside texts`,
    label: msg`Computer that expands inside texts`,
    place: msg`an expander that expands inside texts`,
  },
  'keyboard-with-offers': {
    spoken: msg`the keyboard with suggestions`,
    label: msg`Keyboard with suggestions`,
    place: msg`a keyboard with suggestions`,
  },
};

let known: readonly PlaceOfDevice[] = [];

/** From now on places are named by these devices. */
export function nameByDevices(places: readonly PlaceOfDevice[]): void {
  known = places;
}

/** Places in a sentence: the phone, Mara’s tablet and the computer. */
export function deviceNames(keys: readonly string[]): string {
  return told([...new Set(keys.flatMap((key) => namesOf(key, 'spoken')))]);
}

/** The name of a place alone, as on a label. */
export function deviceLabel(key: string): string {
  return told(namesOf(key, 'label'));
}

/** Places at the head of a line: Phone and Tablet. */
export function deviceLabels(keys: readonly string[]): string {
  return told([...new Set(keys.flatMap((key) => namesOf(key, 'label')))]);
}

/** What a place is called beside others of its device. */
export function placeLabel(profile: string): string {
  const words = WORDS[profile as ProfileId] as PlaceWords | undefined;
  return words ? i18n._(words.place) : profile;
}

function told(names: readonly string[]): string {
  return names.length === 1 ? names[0]! : tellList(names);
}

function namesOf(key: string, form: 'spoken' | 'label'): string[] {
  const { profile } = placeOfKey(key);
  const words = WORDS[profile as ProfileId] as PlaceWords | undefined;
  const here = profile === 'app' ? [] : known.filter((place) => place.key === key);
  if (here.length === 0) return [words ? i18n._(words[form]) : key];
  return here.map(({ device }) => nameOf(device, form, profile));
}

/** The device by its name; with the place, where it has several beside this app. */
function nameOf(device: Device, form: 'spoken' | 'label', profile: string): string {
  const name = form === 'spoken' ? spokenName(device) : device.name;
  const isAlone = device.places.filter((place) => !isOurs(place.profile)).length < 2;
  return isAlone ? name : t`${name} (${{ place: placeLabel(profile) }})`;
}

const SPOKEN: Readonly<Record<Device['kind'], MessageDescriptor>> = {
  phone: msg`the phone`,
  tablet: msg`the tablet`,
  computer: msg`the computer`,
};

/** A device in a sentence: by the name that it was given, or by what it is. */
export function spokenName({ name, kind }: Pick<Device, 'name' | 'kind'>): string {
  return name === KIND_NAMES[kind] ? i18n._(SPOKEN[kind]) : name;
}
