import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { CardPart, CardProblem, PartType } from '@yellow-latch/core/people';

const PART_NAMES: Record<PartType, MessageDescriptor> = {
  mobile: msg`Mobile`,
  phone: msg`Phone`,
  'phone-work': msg`Work phone`,
  'phone-home': msg`Home phone`,
  fax: msg`Fax`,
  mail: msg`Email`,
  'mail-work': msg`Work email`,
  address: msg`Address`,
  'address-work': msg`Work address`,
  link: msg`Link`,
  'name-number': msg`Name and number`,
};

export function partName({ type, id }: Pick<CardPart, 'type' | 'id'>): string {
  const name = i18n._(PART_NAMES[type]);
  const number = /\d+$/u.exec(id)?.[0];
  return number === undefined ? name : `${name} ${number}`;
}

export function tellCardProblem({ type, line, name }: CardProblem): string {
  const who = name === '' ? t`someone without a name` : name;
  switch (type) {
    case 'bad-line':
      return t`Line ${line} (${who}) can’t be read. The rest of this person is here.`;
    case 'no-end':
      return t`The entry that begins in line ${line} (${who}) has no end. What there is of it is here.`;
    case 'empty':
      return t`The entry in line ${line} has no name and no number. It’s left out.`;
    case 'outside':
      return t`From line ${line} on there’s text that belongs to nobody. It’s left out.`;
    case 'same-uid':
      return t`The entry in line ${line} (${who}) has the same ID as another. Both are here.`;
    case 'too-many':
      return t`From line ${line} on there are more people than can be read at once. Split the file.`;
  }
}
