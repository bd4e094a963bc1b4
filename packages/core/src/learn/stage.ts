/** How well a code is known, read off what was kept: no scheduler is needed for it. */
import type { LearningState, Memory } from '../model';

/** In ms. */
export const DAY = 24 * 60 * 60 * 1_000;
export const WEEK = 7 * DAY;

/** `new`: nobody has typed it yet; `learning`; `known`: nine times in ten it would still come to mind in a week. */
export type Stage = 'new' | 'learning' | 'known';

/** So stable, in days, a code is known, if it was typed on two days. */
export const KNOWN_AT = 7;
/** So stable, in days, it is held: there is room for new ones. */
const HELD_AT = 3;
/** In ms: so long after it was first typed, it was slept over. */
const A_NIGHT = 8 * 60 * 60 * 1_000;
/** Of the last so many pieces of evidence, so many lapses, hours apart: it does not stick. */
const LOOKED_AT = 12;
const MANY_LAPSES = 3;

export function stageOf({ memory, knownAt }: Pick<LearningState, 'memory' | 'knownAt'>): Stage {
  if (memory === null) return 'new';
  return knownAt === null ? 'learning' : 'known';
}

/** Whether a memory is one of a code that is known. `reviews`: the evidence so far. */
export function isKnown(memory: Memory, reviews: LearningState['reviews']): boolean {
  if (memory.phase !== 'review' || memory.stability < KNOWN_AT) return false;
  const days = new Set(reviews.filter(({ how }) => isSuccess(how)).map(({ at }) => Math.floor(at / DAY)));
  return days.size >= 2;
}

/** Whether it is one of those that its learner is learning. */
export function isBeingLearnt({ chosenAt, knownAt, isDropped }: LearningState): boolean {
  return chosenAt !== null && knownAt === null && !isDropped;
}

/** Whether it is held well enough for new ones to be taken on: it came to mind again after a night. */
export function isHeld({ memory, reviews, before }: Pick<LearningState, 'memory' | 'reviews' | 'before'>): boolean {
  if (memory === null || memory.phase !== 'review' || memory.stability < HELD_AT) return false;
  const first = reviews[0]?.at ?? memory.last;
  return before !== null || reviews.some(({ how, at }) => isSuccess(how) && at - first >= A_NIGHT);
}

/** Whether it is time to come back to it: always, while it was forgotten last. */
export function isDue(memory: Memory | null, now: number): boolean {
  return memory === null || memory.phase !== 'review' || memory.due <= now || memory.last > now;
}

/** Whether it lapses again and again: another code may do better. */
export function keepsLapsing({ reviews, knownAt }: Pick<LearningState, 'reviews' | 'knownAt'>): boolean {
  const lapses = reviews.slice(-LOOKED_AT).filter(({ how }) => !isSuccess(how) && how !== 'offer');
  // Forgotten twice within one practice, it was forgotten once.
  const apart = lapses.filter(({ at }, index) => index === 0 || at - lapses[index - 1]!.at >= A_NIGHT);
  return knownAt === null && apart.length >= MANY_LAPSES;
}

/** Whether a piece of evidence is of a code that came to mind. */
export function isSuccess(how: LearningState['reviews'][number]['how']): boolean {
  return how === 'typed' || how === 'drill';
}
