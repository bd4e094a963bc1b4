/**
 * Proposing codes. Today: codes near one that a person typed and that would clash. Whether a proposal is
 * free of clashes is for `core/clash` to say.
 */
export { mainMark, nearCodes, USUAL, type NearCode } from './near';
export { FreeCodes, type Codeless } from './free';
export type { CodesInUse } from './inUse';
export { costOfCode, proposeCodes, type Proposal, type ProposeInput } from './proposals';
export { GivenCodes } from './given';
