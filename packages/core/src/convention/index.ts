/**
 * Conventions: the mark a person gives a code so that it never appears in their own text; a marker before
 * or after, the first letter doubled. `recogniseConventions` reads them off a list, `compareMarks` weighs
 * every mark that the keyboards in use can type, `planRecodes` sets a part of the list in another.
 */
export { HoldingMarks } from './holding';
export { charactersOf, compareMarks } from './compare';
export {
  isOftenMistaken,
  type CannotCompare,
  type CompareInput,
  type Comparison,
  type Cost,
  type FirstStep,
  type MarkCost,
  type Misfires,
  type PresentCost,
  type Recommendation,
} from './comparison';
export { formerCodes, FORMER_LASTS, idOfFormer } from './former';
export {
  isInScope,
  isSameMark,
  isSameScope,
  markCode,
  markKey,
  mayBeMarked,
  partsOf,
  standsApart,
  type Marked,
  type Parts,
} from './mark';
export { planRecodes, type CannotRecode, type Recode, type RecodePlan } from './plan';
export { LEAST_GAIN } from './recommend';
export { conventionFor, recogniseConventions, type Recognised, type RecognisedMark } from './recognise';
export { usualMark } from './usual';
