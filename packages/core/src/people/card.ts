import { wordsIn } from '../model';
import { addressParts, writeAddress } from './address';
import { readPhone } from './phone';
import type { CardProperty } from './property';

/** The kinds of things that are taken of a card, as they are named in what links a shortcut to it. */
export const PARTS = [
  'mobile',
  'phone',
  'phone-work',
  'phone-home',
  'fax',
  'mail',
  'mail-work',
  'address',
  'address-work',
  'link',
  'name-number',
] as const;
export type PartType = (typeof PARTS)[number];

/** A thing of a card that a shortcut could give. */
export interface CardPart {
  /** Its type, with a number behind it where it is not the first: `mobile`, `mobile 2`. */
  readonly id: string;
  readonly type: PartType;
  readonly text: string;
  /** Of a number: whether there can be one like it in its country. */
  readonly isPossible: boolean;
}

/** A person, as a card tells of them. */
export interface Card {
  /** The card's UID (RFC 6350, section 6.7.6), or a key made of the name. */
  readonly uid: string;
  readonly hasUid: boolean;
  readonly name: string;
  /** What they are called, best first: what a code is made of. */
  readonly called: readonly string[];
  readonly parts: readonly CardPart[];
  readonly line: number;
}

const UID_MOST = 240;

/** The card of some properties. Null: it has neither a name nor anything to take. `home`: ISO 3166-1. */
export function cardOf(properties: readonly CardProperty[], line: number, home: string): Card | null {
  const of = (name: string) => properties.filter((property) => property.name === name);
  const [family = '', given = ''] = (of('n')[0]?.value ?? []).map((part) => part.trim());
  const nickname = textOf(of('nickname')[0]).split(',')[0]!.trim();
  const spelt = [textOf(of('fn')[0]), `${given} ${family}`, nickname, textOf(of('org')[0])].map((one) => one.trim());
  const parts = partsOf(of, home);
  const name = spelt.find((one) => one !== '') ?? parts[0]?.text ?? '';
  if (parts.length === 0 && name === '') return null;
  const uid = textOf(of('uid')[0]).trim();
  const named = withName(parts, name);
  return {
    uid: uid === '' ? `name:${keyOf(name)}`.slice(0, UID_MOST) : uid.slice(0, UID_MOST),
    hasUid: uid !== '',
    name,
    called: calledBy(given, family, nickname, name),
    parts: named,
    line,
  };
}

function partsOf(of: (name: string) => readonly CardProperty[], home: string): CardPart[] {
  const counts = new Map<PartType, number>();
  const parts: CardPart[] = [];
  const add = (type: PartType, text: string, isPossible: boolean) => {
    // The same number often stands there twice.
    if (text === '' || parts.some((part) => part.text === text)) return;
    const count = (counts.get(type) ?? 0) + 1;
    counts.set(type, count);
    parts.push({ id: count === 1 ? type : `${type} ${count}`, type, text, isPossible });
  };
  for (const property of of('tel')) {
    const phone = readPhone(textOf(property), home);
    add(phoneType(property.types, phone.isMobile), phone.text, phone.isPossible);
  }
  for (const property of of('email')) {
    add(
      isWork(property) ? 'mail-work' : 'mail',
      textOf(property)
        .replace(/^mailto:/iu, '')
        .trim(),
      true,
    );
  }
  for (const property of of('adr')) {
    add(isWork(property) ? 'address-work' : 'address', writeAddress(addressParts(property.value), home), true);
  }
  for (const property of of('url')) add('link', textOf(property).trim(), true);
  return parts.sort((a, b) => PARTS.indexOf(a.type) - PARTS.indexOf(b.type));
}

/** With "name and number", of the first number there is. */
function withName(parts: readonly CardPart[], name: string): CardPart[] {
  const number = parts.find(({ type }) => type === 'mobile' || type.startsWith('phone'));
  if (!number || name === '' || name === number.text) return [...parts];
  return [
    ...parts,
    { id: 'name-number', type: 'name-number', text: `${name} ${number.text}`, isPossible: number.isPossible },
  ];
}

function phoneType(types: readonly string[], isMobile: boolean | null): PartType {
  if (types.includes('fax')) return 'fax';
  if (types.some((type) => type === 'cell' || type === 'mobile' || type === 'iphone') || isMobile === true)
    return 'mobile';
  if (types.includes('work')) return 'phone-work';
  return types.includes('home') ? 'phone-home' : 'phone';
}

function isWork({ types }: CardProperty): boolean {
  return types.includes('work');
}

function textOf(property: CardProperty | undefined): string {
  return property?.value.join(', ') ?? '';
}

/** First names, a first name with the letter of the family's, initials. Of a firm: its words. */
function calledBy(given: string, family: string, nickname: string, name: string): string[] {
  const words = wordsIn(name);
  const [first = words[0] ?? ''] = wordsIn(given);
  const [last = words.length > 1 ? words.at(-1)! : ''] = wordsIn(family);
  const short = wordsIn(nickname)[0] ?? '';
  const called = [
    short,
    first,
    last === '' ? '' : first + [...last][0]!,
    last,
    [...first].slice(0, 1).join('') + [...last].slice(0, 1).join(''),
  ];
  return [...new Set(called.filter((one) => [...one].length > 1))];
}

function keyOf(name: string): string {
  return name.normalize('NFKC').trim().replaceAll(/\s+/gu, ' ').toLowerCase();
}
