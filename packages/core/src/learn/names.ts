/** What learners, and what they know, are called in the records. No scheduler is needed for it. */
import { digestOf } from '../fit/digest';
import { derivedId, matchKey, type Learning } from '../model';

/** The one who began the list: whoever may edit all of it learns as them until somebody says otherwise. */
export const FIRST_LEARNER = '00000000-0000-7000-8000-000000000002';

/** How many new codes somebody takes on at a time until they say otherwise. Common practice, no source: start with one or two. */
export const USUAL_AT_ONCE = 2;

/** The learner of a device that may not edit all of the list: somebody else's, until they say otherwise. */
export function learnerOfDevice(deviceId: string): string {
  return derivedId('learner', deviceId);
}

/** The record of what somebody knows of a code. */
export function learningId(learnerId: string, shortcutId: string): string {
  return derivedId('learning', learnerId, shortcutId);
}

/** Tells whether a shortcut still has the code that was learnt. It is no secret: a code is short enough to be guessed from it. */
export function codeDigest(code: string): string {
  return digestOf({ code: matchKey(code), text: '' });
}

/** What somebody knows of the codes of a list, by shortcut. */
export function learntBy(learnerId: string, learning: readonly Learning[]): ReadonlyMap<string, Learning> {
  return new Map(learning.filter((one) => one.learnerId === learnerId).map((one) => [one.shortcutId, one]));
}
