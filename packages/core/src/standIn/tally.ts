import { TAKING_AN_OFFER } from '../effort/assumptions';
import { pricerOf, typeFrom } from '../effort/inUse';
import type { Keyboard } from '../effort/keyboard';
import { BEGINNING_STATE } from '../effort/price';

/** What was done on a stand-in so far. */
export interface Tally {
  /** Every tap and every key. */
  readonly taps: number;
  /** What the keys gave, one after the other, whatever became of it. */
  readonly keys: string;
  /** How many suggestions were taken. */
  readonly offers: number;
}

export const NO_TAPS: Tally = { taps: 0, keys: '', offers: 0 };

/** Taps, and seconds by the effort model. */
export interface Spent {
  readonly taps: number;
  readonly seconds: number;
}

/** More than this is not priced along: it would hold up the keys. */
const LONGEST_PRICED = 20_000;

/** What a text takes written out, the quickest way; null: it is too long to be priced along. */
export function writtenOut(text: string, keyboard: Keyboard): Spent | null {
  if (text.length > LONGEST_PRICED) return null;
  const { taps, seconds } = typeFrom(pricerOf(keyboard), text.normalize('NFC'), BEGINNING_STATE);
  return { taps, seconds };
}

/**
 * What was spent: the taps as they were counted; the seconds of the same keys by the model, since a person who tries something out
 * types at no pace of theirs. Taps beyond those keys, as on Backspace, take as long as the others.
 */
export function spentOn({ taps, keys, offers }: Tally, keyboard: Keyboard): Spent | null {
  const typed = writtenOut(keys, keyboard);
  if (typed === null) return null;
  const beyond = Math.max(0, taps - typed.taps - offers);
  const each = typed.taps > 0 ? typed.seconds / typed.taps : 0;
  return { taps, seconds: typed.seconds + beyond * each + offers * TAKING_AN_OFFER.seconds };
}
