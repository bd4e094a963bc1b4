/** A made-up learner, for tests and for the table in docs/learning.md. */
import type { LearningState, Review } from '../model';
import { beginSession } from './session';
import { DAY, isHeld } from './stage';
import { afterEvidence, chosen, learningOf } from './state';

export const DIGEST = '0123456789abcdef';

/** Nothing is known of the code yet. */
export function unknownCode(chosenAt: number | null = null): LearningState {
  return { ...learningOf([], DIGEST), chosenAt };
}

/** The state after evidence at moments (ms). */
export function stateAfter(reviews: readonly Review[], from = unknownCode(0)): LearningState {
  return reviews.reduce((state, review) => afterEvidence(state, { ...review, shortcutId: 'a' }, review.at), from);
}

/** Numbers in 0…1, the same for the same seed (mulberry32, from memory). */
export function randomNumbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/**
 * How the made-up learner forgets. `first`: how long a code lasts after it first came to mind, in days until nine in ten still would
 * (w[2] of FSRS-6, from many people's reviews); it lasts `grows` times as long after each recall a day later or more, and `falls`
 * times as long after a lapse (made up, no source). `mixes`: what each other code that is not held yet takes off `first`, since they
 * are mixed up (made up, no source; that it happens: Underwood, "Interference and forgetting", 1957, from memory).
 */
export const MADE_UP = { first: 2.3, grows: 2.2, falls: 0.4, mixes: 0.15, usesADay: 1.5, secondsAUse: 6 } as const;

export interface Month {
  /** Codes that would come to mind at the end, on average. */
  readonly remembered: number;
  /** Minutes saved in all. */
  readonly minutes: number;
}

/**
 * `practises`: two minutes a day, and new codes when those before are held. Otherwise: each code is looked at once, nobody says
 * when it would have done, and new ones come every other day, as nothing tells whether those before are held.
 */
type Way = 'practises' | 'looks once';

/** So many days of a learner who takes on `atOnce` of `count` codes at a time, and uses the nth code 4 / (n + 4) times as often as the first. */
export function learnFor(days: number, count: number, atOnce: number, way: Way, random: () => number): Month {
  const codes = Array.from({ length: count }, (_, n) => ({
    id: String(n),
    usesADay: (MADE_UP.usesADay * 4) / (n + 4),
    state: unknownCode(),
    lasts: 0,
    last: 0,
  }));
  type Code = (typeof codes)[number];
  const chanceOf = ({ lasts, last }: Code, now: number) => (lasts === 0 ? 0 : 0.9 ** ((now - last) / DAY / lasts));
  const firstLook = (code: Code, now: number) => {
    const mixed = codes.filter(({ state }) => state.chosenAt !== null && !isHeld(state)).length - 1;
    code.lasts = MADE_UP.first / (1 + MADE_UP.mixes * Math.max(0, mixed));
    code.last = now;
  };
  const recall = (code: Code, now: number, how: 'drill' | 'typed') => {
    const knew = random() < chanceOf(code, now);
    if (!knew) code.lasts = Math.max(0.2, code.lasts * MADE_UP.falls);
    else if (now - code.last >= DAY / 2) code.lasts *= MADE_UP.grows;
    // Practice shows what was not known; at work nobody does.
    if (knew || how === 'drill') code.last = now;
    const missed = how === 'drill' ? 'shown' : 'missed';
    const evidence = { shortcutId: code.id, at: now, how: knew ? how : missed, seconds: knew ? 2 : null } as const;
    code.state = afterEvidence(code.state, evidence, now);
    return knew;
  };
  let seconds = 0;
  for (let day = 1; day <= days; day += 1) {
    const morning = day * DAY;
    const isRoom =
      way === 'practises' ? codes.every(({ state }) => state.chosenAt === null || isHeld(state)) : day % 2 === 1;
    if (isRoom) {
      const next = codes.filter(({ state }) => state.chosenAt === null).slice(0, atOnce);
      for (const code of next) code.state = chosen(code.state, morning);
      for (const code of next) firstLook(code, morning);
    }
    const taken = codes.filter(({ state }) => state.chosenAt !== null);
    if (way === 'practises') {
      const { cards } = beginSession(
        taken.map(({ id, state }) => ({ id, state, fitsMessage: false })),
        morning,
      );
      cards.forEach(({ kind, ids: [id] }, at) => {
        if (kind !== 'pick') recall(codes[Number(id)]!, morning + at * 6_000, 'drill');
      });
    }
    for (const code of taken) {
      for (let use = 0; use < 4; use += 1) {
        if (random() >= code.usesADay / 4) continue;
        if (recall(code, morning + (2 + 2 * use) * 60 * 60_000, 'typed')) seconds += MADE_UP.secondsAUse;
      }
    }
  }
  const end = (days + 1) * DAY;
  return { remembered: codes.reduce((sum, code) => sum + chanceOf(code, end), 0), minutes: seconds / 60 };
}
