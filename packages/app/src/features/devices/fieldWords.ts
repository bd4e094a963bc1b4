/** Records and their fields, as history and versions tell of them. */
import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import {
  DEVICE_KINDS,
  type Content,
  type ConventionFields,
  type DeviceKind,
  type Kind,
  type Layout,
  type RecordType,
} from '@yellow-latch/core/model';

import { shortened } from '@/answers/audit/sentences/words';
import { languageName, tellList } from '@/wording/format';
import { tellMark } from '@/answers/effort/words';
import { deviceLabels, tellHowOften } from '@/answers/audit/sentences';
import { nameOfDeviceKind } from '@/parts/KindChoice';
import { kindName } from '@/parts/kinds';
import type { ListView } from '@yellow-latch/replica/storage/view';

const THINGS: Record<RecordType, MessageDescriptor> = {
  shortcut: msg`a shortcut`,
  set: msg`a set`,
  leftFinding: msg`an ignored finding`,
  list: msg`your languages`,
  convention: msg`a marker`,
  keyboard: msg`a keyboard`,
  device: msg`a device`,
  leftOut: msg`what a device does without`,
  carried: msg`what was copied to a device`,
  learner: msg`a person who learns`,
  learning: msg`what you have learned`,
};

export function nameOfThing(type: RecordType): string {
  return i18n._(THINGS[type]);
}

/** What stands for no value, where that is not “none”. */
const NOTHING_IN: Readonly<Record<string, MessageDescriptor>> = { setId: msg`no set`, language: msg`any` };

const RULES: Readonly<Record<string, MessageDescriptor>> = {
  delimiter: msg`after a space or punctuation`,
  instant: msg`right away`,
  offer: msg`only as a suggestion`,
  word: msg`at the start of a word`,
  anywhere: msg`anywhere`,
  ignore: msg`with any capitals`,
  match: msg`with the same capitals`,
  follow: msg`with capitals as you type them`,
  keep: msg`keeps the space`,
  drop: msg`drops the space`,
};

/** What a shortcut asks for itself, in words. */
function tellRule(rule: string): string {
  const known = RULES[rule];
  return known ? i18n._(known) : rule;
}

/** A value of a field for the eye, on one line; '' where words add nothing. */
export function tellValue(field: string, value: unknown, { sets }: Pick<ListView, 'sets'>): string {
  if (value === null || value === undefined) return i18n._(NOTHING_IN[field] ?? msg`none`);
  switch (field) {
    case 'content':
      return shortened((value as Content).expansion, 160);
    case 'setId':
      return sets.find(({ id }) => id === value)?.name ?? t`a deleted set`;
    case 'rules': {
      const asked = Object.values(value as Record<string, string>);
      return asked.length === 0 ? t`as usual` : tellList(asked.map(tellRule));
    }
    case 'mark': {
      const { place, marker } = value as ConventionFields['mark'];
      return tellMark({ place, marker });
    }
    case 'layout':
      return (value as Layout).name;
    case 'usesAWeek':
      return tellHowOften(value as number);
    case 'languages':
      return tellList((value as readonly string[]).map(languageName));
    case 'devices':
      return deviceLabels(value as readonly string[]);
    case 'kind':
      return DEVICE_KINDS.includes(value as DeviceKind)
        ? nameOfDeviceKind(value as DeviceKind)
        : kindName(value as Kind);
    case 'language':
      return languageName(value as string);
    case 'capitals':
      return value === 'small' ? t`lower case` : t`unchanged`;
    case 'order':
    case 'pinned':
    case 'icon':
    case 'keyboards':
    case 'former':
    case 'places':
    case 'share':
    case 'joined':
    case 'hasDevices':
    case 'deviceId':
    case 'of':
    case 'refersTo':
      return '';
    default:
      return value as string;
  }
}
