/**
 * Clashes: a list checked before it is trusted. `Audit.run` finds what is wrong with codes and
 * expansions on every device in use, with evidence; `change` follows an edit. What the findings and
 * their figures mean is told in docs/clashes.md.
 */
export { Audit, type AuditChange, type AuditInput, type Comparison, type ListFigure, type ListFigures } from './audit';
export { ContextCorpus, hitsIn, type Hit } from './contextCorpus';
export { briefOf, fingerprint, type Brief } from './brief';
export { CLAIMS, claimsOn, type Claim } from './claims';
export { CONTEXT_COUNT, CONTEXTS, WORDS_A_CONTEXT, type ContextClass } from './contexts';
export * from './finding';
export { changeOf, fixesFor, safeFix, type Fix, type TriedFix } from './fixes';
export type { AuditedShortcut } from './item';
export { bandOf, weeksUntil, WORDS_A_WEEK, type Band, type Vocabulary } from './vocabulary';
export { LARGEST_TEXT } from '../exchange/encodings';
export { markedWordsUnder, type MarkedWord } from './markedWords';
export { CONTEXT_BANK } from './onDevice';
export { countWords, scanOwnText, type OwnTextFinding, type OwnTextReport } from './ownText';
export { MARKS_AFTER, MARKS_BEFORE, Punctuation, type PunctuationCounts } from './punctuation';
export { trapsOf, type TrapFound } from './traps';
export { bankOf } from './wordHits';
