import type { Card, CardPart, PartType } from './card';

/** What is added to a name for a second thing of the same person: ann has her number, anna her address. */
const ENDINGS: Readonly<Record<PartType, string>> = {
  mobile: 'm',
  phone: 't',
  'phone-work': 'w',
  'phone-home': 'h',
  fax: 'f',
  mail: 'e',
  'mail-work': 'ew',
  address: 'a',
  'address-work': 'aw',
  link: 'l',
  'name-number': 'n',
};

/** What a part of a card is called, best first: the first that is taken of a person by the name alone, others by the name and a letter. */
export function calledFor(card: Card, part: CardPart, isFirst: boolean): string[] {
  if (isFirst) return [...card.called];
  const number = /\d+$/u.exec(part.id)?.[0] ?? '';
  const ending = ENDINGS[part.type] + number;
  // Where a code that goes on from another would never come, the letter stands before the name.
  return card.called.flatMap((name) => [name + ending, ending + name]);
}
