import type { Shortcut } from '../model';
import type { Card, CardPart } from './card';

/** A shortcut that was made from a card, beside what a card of now says. */
export interface CardUpdate {
  readonly shortcutId: string;
  readonly card: Card;
  /** What its text would become; null: the card has nothing of this any more. */
  readonly part: CardPart | null;
  readonly was: string;
}

export interface CardMatch {
  /** Shortcuts whose text has changed on the card. */
  readonly changed: readonly CardUpdate[];
  /** Shortcuts of which the card says nothing any more: they stay as they are. */
  readonly gone: readonly CardUpdate[];
  /** How many say what the card says. */
  readonly same: number;
  /** Parts that some shortcut gives already: ids of shortcuts by `uid part`. */
  readonly known: ReadonlyMap<string, string>;
}

/**
 * What a file of cards changes in a list: shortcuts are found by the card and part they were made from, or by their text, so
 * that nothing is made twice. Linear.
 */
export function matchCards(cards: readonly Card[], shortcuts: readonly Shortcut[]): CardMatch {
  const byUid = new Map(cards.map((card) => [card.uid, card]));
  const byText = new Map<string, string>();
  for (const { id, content } of shortcuts) if (!content.template) byText.set(content.expansion, id);
  const changed: CardUpdate[] = [];
  const gone: CardUpdate[] = [];
  const known = new Map<string, string>();
  let same = 0;
  for (const { id, card: link, content } of shortcuts) {
    const card = link && byUid.get(link.uid);
    if (!card) continue;
    // Numbers may stand in another order than before.
    const equal = card.parts.find((part) => part.text === content.expansion);
    const part = equal ?? card.parts.find((one) => one.id === link.part) ?? null;
    if (part) known.set(partKey(card, part), id);
    const update = { shortcutId: id, card, part, was: content.expansion };
    if (equal) same += 1;
    else (part ? changed : gone).push(update);
  }
  for (const card of cards) {
    for (const part of card.parts) {
      const id = byText.get(part.text);
      if (id !== undefined && !known.has(partKey(card, part))) known.set(partKey(card, part), id);
    }
  }
  return { changed, gone, same, known };
}

export function partKey(card: Pick<Card, 'uid'>, part: Pick<CardPart, 'id'>): string {
  return `${card.uid} ${part.id}`;
}
