import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg } from '@lingui/core/macro';

const FIELD_NAMES: Readonly<Record<string, MessageDescriptor>> = {
  code: msg`code`,
  content: msg`text`,
  kind: msg`kind`,
  setId: msg`set`,
  rules: msg`how it expands`,
  usesAWeek: msg`how often you use it`,
  former: msg`old code`,
  pinned: msg`place on the tap board`,
  note: msg`note`,
  language: msg`language`,
  name: msg`name`,
  order: msg`order`,
  icon: msg`picture`,
  reason: msg`reason`,
  mark: msg`marker`,
  capitals: msg`capitals`,
  layout: msg`keys`,
  languages: msg`languages`,
  devices: msg`kinds of device`,
  keyboards: msg`keyboards`,
  places: msg`where you type`,
  share: msg`how much you type there`,
};

/** A field of a record as a person knows it; one that is not known here by its own name. */
export function nameOfField(field: string): string {
  const known = FIELD_NAMES[field];
  return known ? i18n._(known) : field;
}
