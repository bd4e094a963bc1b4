import { cardOf, type Card } from './card';
import { splitCards, type CardText } from './lines';
import { mainCountry } from './phone';
import { readProperty, type CardProperty } from './property';

/** What was wrong in a file of cards. `line`: from 1. */
export interface CardProblem {
  readonly line: number;
  readonly type:
    /** A line that is no property: the rest of its card was read. */
    | 'bad-line'
    /** A card without an end, or with another inside: what there was of it was read. */
    | 'no-end'
    /** A card with neither a name nor a number, address or link. */
    | 'empty'
    /** Text outside of any card. */
    | 'outside'
    /** A second card with the same UID, which was taken for another person. */
    | 'same-uid'
    /** More than can be read of one file. */
    | 'too-many';
  /** Whose card it is, where that is known. */
  readonly name: string;
}

export interface ReadCards {
  readonly cards: readonly Card[];
  readonly problems: readonly CardProblem[];
  /** How many cards stood in the file. */
  readonly count: number;
}

/** The country in which most of a file's numbers are, as far as they say so; null: they do not. ISO 3166-1. */
export function homeOf(text: string): string | null {
  const numbers = text.match(/^(?:[\w-]+\.)?tel[^:\n]*:(?:tel:)?\+[^\r\n]{4,30}/gimu) ?? [];
  return mainCountry(numbers.slice(0, 500).map((line) => line.slice(line.indexOf('+'))));
}

/** More cards than these are not read, in one file. */
export const MOST_CARDS = 20_000;
/** Longer lines are no name or number, in UTF-16 units. */
const LONGEST_LINE = 20_000;

/** Properties that say something of a person that goes into a shortcut. */
const READ = /^(?:[\w-]+\.)?(?:version|fn|n|nickname|org|uid|tel|email|adr|url)[;:]/iu;

/**
 * Reads a file of cards (vCard 2.1, 3.0 and 4.0; RFC 2426, RFC 6350). Each card becomes a person or a line in the report; a bad line
 * costs itself and no more. `home`: the country (ISO 3166-1) as in which numbers and addresses are written. Linear.
 */
export function readCards(text: string, home: string): ReadCards {
  const { cards: texts, outside } = splitCards(text.replace(/^\ufeff/u, ''));
  const problems: CardProblem[] = [];
  const [first] = outside;
  if (first) problems.push({ line: first.line, type: 'outside', name: '' });
  const cards: Card[] = [];
  const uids = new Map<string, number>();
  for (const one of texts) {
    if (cards.length >= MOST_CARDS) {
      problems.push({ line: one.line, type: 'too-many', name: '' });
      break;
    }
    const bad: number[] = [];
    const card = cardOf(propertiesOf(one, bad), one.line, home);
    const name = card?.name ?? '';
    if (!one.isWhole) problems.push({ line: one.line, type: 'no-end', name });
    for (const line of bad) problems.push({ line, type: 'bad-line', name });
    if (!card) {
      problems.push({ line: one.line, type: 'empty', name });
      continue;
    }
    const count = (uids.get(card.uid) ?? 0) + 1;
    uids.set(card.uid, count);
    if (count === 1) cards.push(card);
    else {
      if (card.hasUid) problems.push({ line: one.line, type: 'same-uid', name });
      cards.push({ ...card, uid: `${card.uid}#${count}` });
    }
  }
  return { cards, problems, count: texts.length };
}

function propertiesOf({ lines }: CardText, bad: number[]): CardProperty[] {
  const version = lines.some(({ text }) => /^version:4/iu.test(text)) ? '4' : '3';
  const properties: CardProperty[] = [];
  for (const { line, text } of lines) {
    if (!READ.test(text)) {
      // Every property has a name and a value; of those that are not read nothing more is asked.
      if (!/^[\w.-]+[^:]*:/u.test(text)) bad.push(line);
      continue;
    }
    if (text.length > LONGEST_LINE) {
      bad.push(line);
      continue;
    }
    try {
      properties.push(readProperty(text, version));
    } catch {
      bad.push(line);
    }
  }
  return properties;
}
