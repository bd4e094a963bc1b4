/**
 * Stand-ins: simulated devices, on which a list is tried as it would be there. Here is what they hold and how they judge; they type
 * by `core/fire` under the profiles of `core/profile`, and nothing of that is done twice.
 */
export { ownListProfile, profileOfStandIn, usualSwitches, type Source, type Switches } from './device';
export { isValidMailAddress, mailFault } from './mailAddress';
export { entered, entriesForTyping, withEntries, type Entered, type OwnEntry, type TakenFile } from './ownList';
export { correctsFor } from './spelling';
export { countTags, hasWanted, type Judging } from './wanted';
export { NO_TAPS, spentOn, writtenOut, type Spent, type Tally } from './tally';
