/**
 * Learning codes: what a person knows of each, from what they do at work and in practice; which to take on next; a short
 * practice; and how soon codes come to mind. Meaning of all of it: docs/learning.md. What the first screen needs, and what does
 * not need the scheduler, is in `./stage`.
 */
export { afterEvidence, chosen, dropped, learningOf, mergedStates, type Evidence } from './state';
export { recallChance } from './memory';
export { KeyTimes } from './keyTimes';
export { chooseNext, type Candidate } from './next';
export {
  answerCard,
  beginSession,
  currentCard,
  keepToList,
  type Card,
  type CardKind,
  type Practised,
  type Session,
} from './session';
export { fitPracticeLaw, type PracticeLaw, type PracticeTime } from './practiceLaw';
export { progressOf, type Progress, type WeekOfProgress } from './progress';
export { DAY, isBeingLearnt, isDue, isHeld, keepsLapsing, stageOf, WEEK, type Stage } from './stage';
