/** Corrections: lists of words read as shortcuts that set capitals right, leave words alone, or undo slips; found in a text. */
export { readCorrections, type CorrectionLine, type CorrectionUse, type LineProblem } from './read';
export { oddCapitals, type OddWord } from './oddCapitals';
