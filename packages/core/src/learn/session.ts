/** A short practice: which codes, in which order, and asked for how. A value, so that a page may be left and come back to. */
import type { LearningState } from '../model';
import { recallChance } from './memory';
import { isDue, isHeld, stageOf } from './stage';

/**
 * How a code is asked for: `pick`: its text, out of several; `type`: itself, for its text; `situation`: itself, for what it
 * is used for; `message`: three of them, in a message.
 */
export type CardKind = 'pick' | 'type' | 'situation' | 'message';

export interface Card {
  readonly kind: CardKind;
  /** Of the shortcuts it asks for: three in a message, one otherwise. */
  readonly ids: readonly string[];
  /** Whether it comes again, since it was not known. */
  readonly isAgain: boolean;
}

/** A code that may be practised. */
export interface Practised {
  readonly id: string;
  readonly state: LearningState;
  /** Whether its text goes into a message as it is: it is made of nothing and asks for nothing. */
  readonly fitsMessage: boolean;
}

export interface Session {
  readonly cards: readonly Card[];
  /** Which of them is asked now; as many as there are: it is over. */
  readonly at: number;
  /** Cards that were known at the first time of asking. */
  readonly knew: number;
}

/** At most so long, in s, and so many cards. */
export const LONGEST = 120;
export const MOST_CARDS = 20;
/** How long a card takes, in s. Assumed: no source. */
const TAKES: Readonly<Record<CardKind, number>> = { pick: 5, type: 6, situation: 7, message: 25 };

const IN_A_MESSAGE = 3;
/** So many new codes have their place before what is due. */
const FRESH_FIRST = 5;
/** From so stable on, in days, a code is asked for by what it is used for, and in a message. */
const SURE_AT = 2;
/** A code that was not known comes again after so many others, and so often at most. */
const AGAIN_AFTER = 3;
const MOST_AGAIN = 2;

/**
 * A practice of what is due, what is likeliest forgotten first; then of what is not held yet; then of new codes, each picked once and
 * typed a little later.
 * Where three are known well enough, a message with them ends it. n log n.
 */
export function beginSession(practised: readonly Practised[], now: number): Session {
  const chanceOf = ({ state: { memory } }: Practised) => (memory ? recallChance(memory, now) : 0);
  const old = practised.filter(({ state }) => stageOf(state) !== 'new');
  const due = old.filter(({ state }) => isDue(state.memory, now)).sort((a, b) => chanceOf(a) - chanceOf(b));
  const unheld = old.filter((one) => !due.includes(one) && one.state.chosenAt !== null && !isHeld(one.state));
  const fresh = practised.filter(({ state }) => stageOf(state) === 'new');
  const room = new Room();
  const taken = { picks: [] as Card[], old: [] as Card[], fresh: [] as Card[] };
  const takeFresh = ({ id }: Practised) => {
    if (!room.holds('pick', 'type')) return;
    taken.picks.push(room.add('pick', [id]));
    taken.fresh.push(room.add('type', [id]));
  };
  fresh.slice(0, FRESH_FIRST).forEach(takeFresh);
  const typed = [...due, ...unheld];
  for (const { id, state } of typed) {
    const kind = isSure(state) ? 'situation' : 'type';
    if (room.holds(kind)) taken.old.push(room.add(kind, [id]));
  }
  fresh.slice(FRESH_FIRST).forEach(takeFresh);
  const cards = [...taken.picks, ...taken.old, ...taken.fresh];
  const inMessage = typed.filter(({ state, fitsMessage }) => fitsMessage && isSure(state)).slice(0, IN_A_MESSAGE);
  const ids = inMessage.map(({ id }) => id);
  if (ids.length === IN_A_MESSAGE && room.holds('message')) cards.push(room.add('message', ids));
  return { cards, at: 0, knew: 0 };
}

/** What is left of a practice. */
class Room {
  private cards = 0;
  private seconds = 0;

  holds(...kinds: readonly CardKind[]): boolean {
    const longer = kinds.reduce((sum, kind) => sum + TAKES[kind], 0);
    return this.cards + kinds.length <= MOST_CARDS && this.seconds + longer <= LONGEST;
  }

  add(kind: CardKind, ids: readonly string[]): Card {
    this.cards += 1;
    this.seconds += TAKES[kind];
    return { kind, ids, isAgain: false };
  }
}

function isSure({ memory }: LearningState): boolean {
  return memory !== null && memory.phase === 'review' && memory.stability >= SURE_AT;
}

/** The card that is asked now; null: it is over. */
export function currentCard({ cards, at }: Session): Card | null {
  return cards[at] ?? null;
}

/** The session after its card was answered. `forgotten`: the shortcuts of it that were not known; they come again a little later. */
export function answerCard(session: Session, forgotten: readonly string[]): Session {
  const card = currentCard(session);
  if (!card) return session;
  const at = session.at + 1;
  const before = session.cards.slice(0, at);
  const again = forgotten
    .filter((id) => before.filter((one) => one.isAgain && one.ids.includes(id)).length < MOST_AGAIN)
    .map((id): Card => ({ kind: 'type', ids: [id], isAgain: true }));
  const rest = session.cards.slice(at);
  const cards = [...before, ...rest.slice(0, AGAIN_AFTER), ...again, ...rest.slice(AGAIN_AFTER)];
  return { cards, at, knew: session.knew + (forgotten.length === 0 && !card.isAgain ? 1 : 0) };
}

/** The session without what is not to be practised any more: deleted, made private, or not to be typed here. What was asked stays counted. */
export function keepToList(session: Session, isThere: (id: string) => boolean): Session {
  const gone = (card: Card) => !card.ids.every(isThere);
  if (!session.cards.slice(session.at).some(gone)) return session;
  const rest = session.cards.slice(session.at).filter((card) => !gone(card));
  return { ...session, cards: [...session.cards.slice(0, session.at), ...rest] };
}
