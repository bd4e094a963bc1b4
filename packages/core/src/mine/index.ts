/** Texts that somebody types again and again, found in what they sent. So far: what repeats in a text, word by word. */
export { findPhrases, type Phrase } from './phrases';
export { findTemplates, type FoundTemplate, type Gap } from './templates';
export type { BlankKind } from './blankKind';
export { maximalRepeats, type Repeat } from './repeats';
export { wordRowOf, type WordRow } from './wordRow';
