/**
 * What somebody types again and again, found in what they sent: phrases, sentences that agree but for a few places, signs;
 * weighed by what a shortcut for each would save. Meaning: docs/phrases.md.
 */
export type { BlankKind } from './blankKind';
export {
  findingSteps,
  findTypedAgain,
  keyOf,
  type Excerpt,
  type Findings,
  type FindRequest,
  type Found,
  type TypedOut,
} from './find';
export { chooseCovering, type Candidate, type Chosen, type Stretch } from './cover';
export { phrasesOf, repeatedPhrases, type Again, type Phrase, type Spot } from './phrases';
export { maximalRepeats, type Repeat } from './repeats';
export { edgesOf, sentencesOf, type Sentence } from './sentences';
export { isOneSlip, joinSlips } from './slips';
export { findTemplates, type FoundTemplate, type Gap } from './templates';
export type { Concern } from './whose';
export { joinMessages, wordRowOf, type WordRow } from './wordRow';
export { Worths, type Worth } from './worth';
