/**
 * Effort: what it costs to type a text on a keyboard, in taps and in seconds, without word prediction.
 *
 * A keyboard is data: keys with places, and what each press does in each layer. `cheapestWay` finds the
 * quickest presses that type a text; `kspcOf` says how many keystrokes a character takes.
 */
export { type Key, type Keyboard, type Press } from './keyboard';
export { kspcOf, kspcOfLetters } from './kspc';
export { Pricer, type Price } from './price';
export { FITTS, fittsTiming, KLM, klmTiming, type Timing } from './timing';
export { cheapestWay, type NotOnKeyboard, type Way } from './way';
