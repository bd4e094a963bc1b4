/** Records and their fields, as history and versions tell of them. */
import type { Content, ConventionFields, Layout, RecordType } from '@yellow-latch/core/model';

import { shortened } from '@/answers/audit/sentences/words';
import type { ListView } from '@yellow-latch/replica/storage/view';

const FIELD_NAMES: Readonly<Record<string, string>> = {
  code: 'the code',
  content: 'what it gives',
  kind: 'its kind',
  setId: 'its set',
  rules: 'how it fires',
  usesAWeek: 'how often it is used',
  former: 'the code it had before',
  pinned: 'its place on the tap board',
  note: 'its note',
  language: 'its language',
  name: 'the name',
  order: 'its place',
  icon: 'its picture',
  reason: 'the reason',
  mark: 'the marker',
  capitals: 'the capitals',
  layout: 'its keys',
  languages: 'the languages',
  devices: 'the kinds of device',
  keyboards: 'the keyboards',
};

export function nameOfField(field: string): string {
  return FIELD_NAMES[field] ?? field;
}

const THINGS: Record<RecordType, string> = {
  shortcut: 'a shortcut',
  set: 'a set',
  leftFinding: 'a finding left as it is',
  list: 'the languages, devices and keyboards',
  convention: 'a convention',
  keyboard: 'a keyboard',
};

export function nameOfThing(type: RecordType): string {
  return THINGS[type];
}

/** What stands for no value, where that is not “none”. */
const NOTHING_IN: Readonly<Record<string, string>> = { setId: 'no set', language: 'any' };

/** A value of a field for the eye, on one line; '' where words add nothing. */
export function tellValue(field: string, value: unknown, { sets }: Pick<ListView, 'sets'>): string {
  if (value === null || value === undefined) return NOTHING_IN[field] ?? 'none';
  switch (field) {
    case 'content':
      return shortened((value as Content).expansion, 160);
    case 'setId':
      return sets.find(({ id }) => id === value)?.name ?? 'a set that is gone';
    case 'rules': {
      const asked = Object.values(value as Record<string, string>);
      return asked.length === 0 ? 'as usual' : asked.join(', ');
    }
    case 'mark': {
      const { place, marker } = value as ConventionFields['mark'];
      return marker === '' ? place : `${marker} ${place}`;
    }
    case 'layout':
      return (value as Layout).name;
    case 'usesAWeek':
      return `${value as number} a week`;
    case 'languages':
    case 'devices':
      return (value as readonly string[]).join(', ');
    case 'order':
    case 'pinned':
    case 'icon':
    case 'keyboards':
    case 'former':
      return '';
    default:
      return value as string;
  }
}
