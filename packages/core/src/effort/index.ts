/**
 * Effort: what it costs to type a text on a keyboard, in taps and in seconds, without word prediction; and
 * what a shortcut saves.
 *
 * A keyboard is data: keys with places, and what each press does in each layer. `cheapestWay` finds the
 * quickest presses that type a text; a `Pricer` says what they take; `savingsOf` weighs codes against their
 * expansions on the keyboards in use. What is assumed about people stands in `assumptions.ts`.
 */
export {
  BLANK,
  LEARNING,
  MAKING,
  MISFIRE,
  RECALL,
  RECALL_OF_TEXT,
  TABLE_OF_SIGNS,
  UNLEARNING,
  WEEKS_A_YEAR,
} from './assumptions';
export {
  effortInside,
  effortOfCode,
  effortOfText,
  middleOf,
  pricerOf,
  typeFrom,
  wayInside,
  type Effort,
  type InUse,
  type NotOnDevice,
  type TextEffort,
} from './inUse';
export { type Key, type Keyboard, type Press } from './keyboard';
export { kspcOf, kspcOfLetters } from './kspc';
export { countTypedOut } from './ownUses';
export { LEAST_MEASURED, MEASURE_SECONDS, paceFrom, type Pace } from './pace';
export { BEGINNING_STATE, Pricer, type Price, type Typed } from './price';
export { LEAST_TIMES, measureRecall, measureRecallOf, type MeasuredRecall, type Timed } from './measuredRecall';
export { recallOf, type Recall } from './recall';
export {
  compareEffort,
  meanSaved,
  savingOf,
  savingsOf,
  type OnKeyboard,
  type Saved,
  type Saving,
  type Savings,
  type SavingVerdict,
  type Uses,
} from './saving';
export { layerAfter, layerBefore } from './glassLayer';
export { FITTS, fittsTiming, KLM, klmTiming, timingOf, type Timing } from './timing';
export { cheapestWay, type NotOnKeyboard, type Way } from './way';
