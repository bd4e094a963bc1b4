/**
 * Fit: what becomes of each shortcut in each place where one types. It works there as here, works with a change (lines joined,
 * formatting gone), or does not, and why.
 *
 * `compileFor` gives what a place would hold; `ListFit` types every code of it as there (`core/fire`) and follows edits. No rule
 * about devices stands here: a shortcut works if typing its code gives its text. Carrying a list over is in `carry.ts`.
 */
export {
  compileFor,
  type Change,
  type FitContext,
  type FitList,
  type FitShortcut,
  type ForPlace,
  type Obstacle,
  type Placed,
} from './place';
export { ListFit, type Fit, type FitSums, type NamedPlace } from './listFit';
export { BY_FILE, carrySteps, effortOfCarry, isNews, savedThere, type CarryEffort, type CarryStep } from './carry';
export { digestOf, UNKNOWN_DIGEST } from './digest';
