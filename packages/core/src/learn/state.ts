/** What a person knows of one code, kept up as evidence comes in, and put together where two devices kept it apart. */
import type { Grade } from 'ts-fsrs';

import { LIMITS, type EvidenceKind, type LearningState, type Memory, type Review } from '../model';
import { recalled } from './memory';
import { isKnown, isSuccess } from './stage';

/** One thing that was seen. `seconds`: how long they hesitated; null: not known. */
export interface Evidence extends Review {
  readonly shortcutId: string;
}

/** Hesitation in s up to which a code came at once, and from which it took an effort. Assumed: no source. */
const AT_ONCE = 1;
const WITH_EFFORT = 3;

/** In ms: a code that was just typed and is typed again says nothing new; nor does a text that is typed out twice. */
const TYPED_AGAIN = 30 * 60_000;
const MISSED_AGAIN = 10 * 60_000;
/** To take what is offered for a beginning is weak evidence: it counts twice a day. */
const OFFERED_AGAIN = 12 * 60 * 60_000;
/** A moment further ahead than this, in ms, was told by a clock that was wrong. */
const CLOCK_LEAD = 5 * 60_000;

const FRESH: Omit<LearningState, 'digest'> = {
  chosenAt: null,
  before: null,
  reviews: [],
  memory: null,
  knownAt: null,
  isDropped: false,
};

/** What is known of the code of `digest`: what was kept, if it is of that code; of another nothing but that it was chosen. */
export function learningOf(versions: readonly LearningState[], digest: string): LearningState {
  const ofIt = versions.filter((one) => one.digest === digest);
  if (ofIt.length > 0) return mergedStates(ofIt);
  const [latest] = versions;
  return { ...FRESH, digest, chosenAt: latest?.chosenAt ?? null, isDropped: latest?.isDropped ?? false };
}

/** It is one of those to learn from now on. */
export function chosen(state: LearningState, now: number): LearningState {
  return { ...state, chosenAt: state.chosenAt ?? now, isDropped: false };
}

/** It is not to be learnt. What is known of it stays. */
export function dropped(state: LearningState): LearningState {
  return { ...state, chosenAt: null, isDropped: true };
}

/**
 * The state after some evidence, or the same object where that says nothing: a code that was just typed, a text that is typed
 * out though its code was never learnt. `now`: this device's clock; what is said to be later is taken to be now.
 */
export function afterEvidence(state: LearningState, evidence: Evidence, now: number): LearningState {
  const righted = inTime(state, now);
  const review: Review = { at: Math.min(evidence.at, now), how: evidence.how, seconds: evidence.seconds };
  // Taken in twice, as by two pages at once or after a crash, it counts once.
  const isKnownOf = state.reviews.some((one) => keyOf(one) === keyOf(review));
  if (isKnownOf || !counts(righted, review)) return state;
  return withReview(righted, review);
}

/**
 * One state of several that devices kept without knowing of each other: the evidence of all of them, in its order, on what
 * was known before it. What the latest says of being chosen or dropped holds. `states`: of one code, the latest first.
 */
export function mergedStates(states: readonly LearningState[]): LearningState {
  const [latest] = states;
  if (!latest || states.length === 1) return latest!;
  // What one of them has forgotten of the evidence is in what it knew before; the one that goes back furthest tells most.
  const start = states.reduce((a, b) => (repsOf(b.before) < repsOf(a.before) ? b : a));
  const known = new Map<string, Review>();
  for (const { reviews } of states) for (const review of reviews) known.set(keyOf(review), review);
  const after = start.before?.last ?? -Infinity;
  const reviews = [...known.values()]
    .filter(({ at }) => at > after)
    .sort((a, b) => a.at - b.at || (keyOf(a) < keyOf(b) ? -1 : 1));
  const began: LearningState = {
    ...latest,
    before: start.before,
    memory: start.before,
    reviews: [],
    // What was known before all of this evidence goes on being so until some of it says otherwise.
    knownAt: earliest(states.map(({ knownAt }) => knownAt).filter((at) => at !== null && at <= after)),
    chosenAt: latest.isDropped ? null : earliest(states.map(({ chosenAt }) => chosenAt)),
  };
  return reviews.reduce(withReview, began);
}

function withReview(state: LearningState, review: Review): LearningState {
  const memory = withRecall(state.memory, review);
  const all = [...state.reviews, review];
  const kept = all.slice(-LIMITS.reviewsKept);
  const before = all.slice(0, all.length - kept.length).reduce(withRecall, state.before);
  const isKnownNow = isKnown(memory, kept);
  return {
    ...state,
    before,
    reviews: kept,
    memory,
    knownAt: isKnownNow ? (state.knownAt ?? review.at) : null,
  };
}

function withRecall(memory: Memory | null, review: Review): Memory {
  const grade = gradeOf(review);
  // A new code that was just shown comes to mind at once: that says little.
  const isJustShown = memory === null && review.how === 'drill';
  return recalled(memory, isJustShown ? Math.min(grade, 3) : grade, review.at);
}

/** How well a code was known, as the scheduler asks for it. */
export function gradeOf({ how, seconds }: Pick<Review, 'how' | 'seconds'>): Grade {
  if (how === 'offer') return 2;
  if (!isSuccess(how)) return 1;
  if (seconds === null) return 3;
  if (seconds <= AT_ONCE) return 4;
  return seconds < WITH_EFFORT ? 3 : 2;
}

function counts({ memory, reviews, chosenAt }: LearningState, { how, at }: Review): boolean {
  const since = memory === null ? Infinity : at - memory.last;
  const last: EvidenceKind | undefined = reviews.at(-1)?.how;
  switch (how) {
    case 'drill':
    case 'shown':
      return true;
    case 'typed':
      return since >= TYPED_AGAIN || last === undefined || !isSuccess(last);
    case 'missed':
    case 'former':
      // Nobody forgets what they never knew.
      return (
        (memory !== null || chosenAt !== null) && (since >= MISSED_AGAIN || (last !== undefined && isSuccess(last)))
      );
    case 'offer':
      return memory !== null && since >= OFFERED_AGAIN;
  }
}

/** A clock that was ahead and was set back: what was learnt then was learnt now, and comes back as soon as it would have. */
function inTime(state: LearningState, now: number): LearningState {
  const { memory } = state;
  if (memory === null || memory.last <= now + CLOCK_LEAD) return state;
  const late = memory.last - now;
  const earlier = (moment: number) => Math.max(0, Math.min(moment, moment - late));
  const backOf = (one: Memory | null) =>
    one && one.last > now ? { ...one, last: earlier(one.last), due: earlier(one.due) } : one;
  return {
    ...state,
    before: backOf(state.before),
    memory: backOf(memory),
    reviews: state.reviews.map((review) => (review.at > now ? { ...review, at: earlier(review.at) } : review)),
  };
}

function repsOf(memory: Memory | null): number {
  return memory?.reps ?? 0;
}

function keyOf({ at, how, seconds }: Review): string {
  return `${at} ${how} ${seconds}`;
}

function earliest(moments: readonly (number | null)[]): number | null {
  const known = moments.filter((moment) => moment !== null);
  return known.length === 0 ? null : Math.min(...known);
}
