import { heldBy, type FiringEntry } from '../fire';
import type { DeviceProfile } from '../profile';
import { clustersOf } from '../model';
import { TABLE_OF_SIGNS, TAKING_AN_OFFER } from './assumptions';
import type { Keyboard } from './keyboard';
import { BEGINNING_STATE, Pricer, type Typed } from './price';
import { timingOf } from './timing';
import { cheapestWay, type NotOnKeyboard, type Way } from './way';

/** A keyboard that a person uses, what part of the typing is done on it, at what pace, on what device. */
export interface InUse {
  readonly keyboard: Keyboard;
  /** Its part beside the others'; any unit. */
  readonly share: number;
  /** How long its owner takes beside the model's person. */
  readonly pace: number;
  readonly device: DeviceProfile;
}

/** Taps, and seconds at the owner's pace. */
export interface Effort {
  readonly type: 'effort';
  readonly taps: number;
  readonly seconds: number;
}

/** The effort of a text; `fromTable`: the signs that no key carries, each reckoned with a trip to a table of signs. */
export interface TextEffort extends Effort {
  readonly fromTable: readonly string[];
}

/** A code that a device cannot hold. */
export interface NotOnDevice {
  readonly type: 'not-on-device';
}

/** Texts stand in the middle of others, unless a capital says that they begin one. */
const LEAD = 'so ';
/** Behind a text and behind a code stands the same: the space that was to be typed anyway. */
const BEHIND = ' ';

const pricers = new WeakMap<Keyboard, Pricer>();

/** The pricer of a keyboard; made once, since its first texts pay for its tables. */
export function pricerOf(keyboard: Keyboard): Pricer {
  let pricer = pricers.get(keyboard);
  if (!pricer) pricers.set(keyboard, (pricer = new Pricer(keyboard, timingOf(keyboard))));
  return pricer;
}

/** The state of a pricer in the middle of a text. */
export function middleOf(pricer: Pricer): number {
  const { state, missing } = pricer.typed(LEAD, BEGINNING_STATE);
  return missing === null ? state : BEGINNING_STATE;
}

/** The quickest presses for a text in the middle of another, as it is priced there. */
export function wayInside(text: string, keyboard: Keyboard): Way | NotOnKeyboard {
  const timing = timingOf(keyboard);
  const lead = cheapestWay(LEAD, keyboard, timing);
  if (lead.type !== 'way') return cheapestWay(text, keyboard, timing);
  const whole = cheapestWay(LEAD + text, keyboard, timing);
  if (whole.type !== 'way') return { ...whole, at: whole.at - LEAD.length };
  let typed = 0;
  const from = whole.presses.findIndex(({ gives }) => (typed += gives.length) >= LEAD.length) + 1;
  const presses = whole.presses.slice(from);
  return { ...whole, presses, taps: presses.length, seconds: whole.seconds - lead.seconds };
}

/**
 * What it takes to type a code and to have it accepted: where a delimiter fires it, the space that the text
 * needed anyway costs nothing; where that is dropped it is typed again; an offer takes a tap.
 */
export function effortOfCode(
  entry: FiringEntry,
  { keyboard, pace, device }: InUse,
): Effort | NotOnKeyboard | NotOnDevice {
  const held = heldBy(entry, device);
  if (held === null) return { type: 'not-on-device' };
  const pricer = pricerOf(keyboard);
  const isOffered = held.fires === 'offer';
  const isTypedAgain = held.fires === 'delimiter' && held.delimiter === 'drop';
  const text = entry.code.normalize('NFC') + BEHIND + (isTypedAgain ? BEHIND : '');
  const { taps, seconds, missing } = pricer.typed(text, middleOf(pricer));
  if (missing) return missing;
  const accepting = isOffered ? TAKING_AN_OFFER : { taps: 0, seconds: 0 };
  return { type: 'effort', taps: taps + accepting.taps, seconds: (seconds + accepting.seconds) * pace };
}

/** What it takes to type a text out. Linear in its length. */
export function effortOfText(text: string, on: Pick<InUse, 'keyboard' | 'pace'>): TextEffort {
  const pricer = pricerOf(on.keyboard);
  return effortFrom(/^\P{L}*\p{Lu}/u.test(text) ? BEGINNING_STATE : middleOf(pricer), text, on);
}

/** The same in the middle of a text, whatever it begins with. */
export function effortInside(text: string, on: Pick<InUse, 'keyboard' | 'pace'>): TextEffort {
  return effortFrom(middleOf(pricerOf(on.keyboard)), text, on);
}

function effortFrom(start: number, text: string, { keyboard, pace }: Pick<InUse, 'keyboard' | 'pace'>): TextEffort {
  const { taps, seconds, fromTable } = typeFrom(pricerOf(keyboard), text.normalize('NFC') + BEHIND, start);
  return { type: 'effort', taps, seconds: seconds * pace, fromTable };
}

/** A text in NFC typed to its end from a state on; what is on no key is fetched from a table of signs. */
export function typeFrom(
  pricer: Pricer,
  text: string,
  start: number,
): Omit<Typed, 'missing'> & { readonly fromTable: readonly string[] } {
  const first = pricer.typed(text, start);
  if (first.missing === null) return { ...first, fromTable: [] };
  const fromTable: string[] = [];
  let { state, taps, seconds } = first;
  let missing: Typed['missing'] = first.missing;
  while (missing !== null) {
    const sign = clusterAt(text, missing.at);
    fromTable.push(sign);
    const typed = pricer.typed(text, state, missing.at + sign.length);
    state = typed.state;
    taps += typed.taps + TABLE_OF_SIGNS.taps;
    seconds += typed.seconds + TABLE_OF_SIGNS.seconds;
    missing = typed.missing;
  }
  return { state, taps, seconds, fromTable };
}

/** Long enough for a family of emoji. */
const LONGEST_CLUSTER = 64;

function clusterAt(text: string, at: number): string {
  return clustersOf(text.slice(at, at + LONGEST_CLUSTER))[0]!.text;
}
