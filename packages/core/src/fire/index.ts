/**
 * Firing: what becomes of a text when a person types into it with a list of shortcuts at hand.
 * The rules are told in docs/firing.md.
 *
 * `compile(list, profile)` makes a list ready for one kind of device. A `TypingSession` is a value:
 * `type(session, input, list)` gives the next session and, where a shortcut fires or a firing is
 * taken back, the one `Edit` to apply to the field. There is no hidden state, so the same functions
 * run in a page, a worker and a test. `simulate` types a whole sequence of keys as on a device.
 */
export { expansionFor, fitsCapitals } from './capitals';
export { byAge } from './codeTree';
export { correctionOf, CORRECTION_ID, type Correction, type Corrects } from './correction';
export { delimiterTest, isDelimiter } from './delimiter';
export { changesText } from './deviceText';
export { hasEdgeBefore, type Edge } from './edge';
export { entriesOf, type Rated } from './entries';
export { foldAll, foldMade, foldTyped, type FoldedText } from './fold';
export { isEndedInPassing, madeForScan, madeForScanOfEach, madeOf, passingState, type MadeText } from './madeText';
export { heldBy, isForeign } from './layers';
export { compile, CompiledList, LARGEST_OVERLAY, type ListChange } from './list';
export { applyInputOnDevice, type DeviceOutcome, type Explanation, type OnDevice } from './onDevice';
export type { Match, Offer, Place } from './place';
export { FoldedPlaces } from './places';
export { applyEdit, joinEdits, type Edit, type Range } from './range';
export {
  settleRules,
  type AskedRules,
  type Capitals,
  type FiringEntry,
  type FiringRules,
  type RuledList,
  type Way,
} from './rules';
export { keysOf, simulate, type Keystroke, type Simulation, type TraceLine } from './simulate';
export { composedIn } from './composition';
export { applyInput, MOST_PASSES, offersOf } from './session';
export { difference, differenceAt } from './textDiff';
export { UndoHistory, type Step } from './undoHistory';
export {
  startSession,
  type FiredBy,
  type FiringEvent,
  type Input,
  type Outcome,
  type TypingSession,
} from './typingSession';
