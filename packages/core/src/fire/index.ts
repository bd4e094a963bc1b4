/**
 * Firing: what becomes of a text when a person types into it with a list of shortcuts at hand.
 *
 * A `TypingSession` is a value. `type(session, input, list)` gives the next session and, where a
 * shortcut fires or a firing is taken back, the one `Edit` to apply to the field. There is no
 * hidden state, so the same functions run in a page, a worker and a test.
 */
export { isDelimiter } from './delimiter';
export { hasEdgeBefore, type Edge } from './edge';
export { difference, differenceAt, TextHistory } from './history';
export { compileList, type CompiledList, type FiringEntry, type Match } from './list';
export { applyEdit, type Edit, type Range } from './range';
export {
  startSession,
  type,
  type FiringEvent,
  type Input,
  type Outcome,
  type TypingSession,
} from './session';
