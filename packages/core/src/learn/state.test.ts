import fc from 'fast-check';

import { LearningStateSchema, LIMITS, type EvidenceKind, type LearningState, type Review } from '../model';
import { afterEvidence, chosen, dropped, learningOf, mergedStates } from './state';
import { DAY, isHeld, keepsLapsing, stageOf } from './stage';
import { DIGEST, stateAfter, unknownCode } from './testing';

const START = Date.UTC(2026, 10, 30, 9);
const HOUR = DAY / 24;
const seen = (how: EvidenceKind, at: number, seconds: number | null = 2): Review => ({ how, at, seconds });
const told = (state: LearningState, how: EvidenceKind, at: number, now = at) =>
  afterEvidence(state, { shortcutId: 'a', how, at, seconds: 2 }, now);

describe('a code', () => {
  test('is new, then learnt, then held, then known after it came to mind on two days', () => {
    const first = stateAfter([seen('drill', START)]);
    expect([stageOf(unknownCode()), stageOf(first), isHeld(first)]).toEqual(['new', 'learning', false]);
    const second = stateAfter([seen('typed', START + 2 * DAY)], first);
    expect([stageOf(second), isHeld(second), second.knownAt]).toEqual(['known', true, START + 2 * DAY]);
  });

  test('that came at once on one day is neither held nor known before a night has passed', () => {
    const state = stateAfter([seen('typed', START, 0.5), seen('typed', START + HOUR, 0.5)]);
    expect(state.memory!.stability).toBeGreaterThan(7);
    expect([isHeld(state), stageOf(state)]).toEqual([false, 'learning']);
    const slept = stateAfter([seen('typed', START + DAY, 0.5)], state);
    expect([isHeld(slept), stageOf(slept)]).toEqual([true, 'known']);
  });

  test('that was just shown for the first time counts as known well, not as known at once', () => {
    const shown = stateAfter([seen('drill', START, 0.1)]);
    expect(shown.memory).toEqual(stateAfter([seen('drill', START, 2)]).memory);
  });

  test('that is typed out though it was known comes back', () => {
    const known = stateAfter([seen('drill', START), seen('typed', START + 2 * DAY)]);
    const missed = told(known, 'missed', START + 3 * DAY);
    expect([stageOf(missed), missed.memory!.phase, missed.knownAt]).toEqual(['learning', 'relearning', null]);
    expect(missed.memory!.due).toBeLessThan(START + 3 * DAY + HOUR);
  });

  test('of which the old one was typed has lapsed', () => {
    const known = stateAfter([seen('drill', START), seen('typed', START + 2 * DAY)]);
    expect(told(known, 'former', START + 3 * DAY).memory!.lapses).toBe(1);
  });

  test('that lapses three times does not stick, until it is known after all', () => {
    const days = [0, 1, 2].map((day) => START + day * DAY);
    const lapsed = stateAfter(days.flatMap((at) => [seen('drill', at), seen('missed', at + HOUR)]));
    expect(keepsLapsing(lapsed)).toBe(true);
    const inOneSitting = [0, 1, 2].map((minutes) => seen('shown', START + minutes * 60_000));
    expect(keepsLapsing(stateAfter(inOneSitting))).toBe(false);
    const known = stateAfter(
      [4, 5, 7, 11, 20].map((day) => seen('drill', START + day * DAY)),
      lapsed,
    );
    expect([stageOf(known), keepsLapsing(known)]).toEqual(['known', false]);
  });
});

describe('evidence', () => {
  const learnt = stateAfter([seen('typed', START)]);

  test.each<[string, EvidenceKind, number, boolean]>([
    ['a code typed again straight away says nothing', 'typed', 60_000, false],
    ['typed again an hour later it does', 'typed', HOUR, true],
    ['a text typed out after the code was typed is a lapse', 'missed', 60_000, true],
    ['an offer taken soon after says nothing', 'offer', HOUR, false],
    ['an offer taken a day later is weak evidence', 'offer', DAY, true],
    ['practice always counts', 'drill', 1_000, true],
  ])('%s', (_what, how, later, counts) => {
    expect(told(learnt, how, START + later) !== learnt).toBe(counts);
  });

  test('taken in twice it counts once, practice too', () => {
    const drilled = stateAfter([seen('drill', START), seen('shown', START + DAY)]);
    expect(told(drilled, 'drill', START)).toBe(drilled);
    expect(afterEvidence(drilled, { shortcutId: 'a', ...seen('shown', START + DAY) }, START + 2 * DAY)).toBe(drilled);
  });

  test('an offer makes it last less than typing it does', () => {
    const later = START + 2 * DAY;
    expect(told(learnt, 'offer', later).memory!.stability).toBeLessThan(told(learnt, 'typed', later).memory!.stability);
  });

  test('of a code that nobody learns, what was typed out is no lapse', () => {
    const nobodys = unknownCode();
    for (const how of ['missed', 'former', 'offer'] as const) expect(told(nobodys, how, START)).toBe(nobodys);
    expect(told(unknownCode(START), 'missed', START).memory!.phase).toBe('learning');
  });

  test('the sooner it came, the longer it lasts', () => {
    const lasts = [0.5, 2, 5].map((seconds) => stateAfter([seen('typed', START, seconds)]).memory!.stability);
    expect(lasts).toEqual([...lasts].sort((a, b) => b - a));
    expect(new Set(lasts).size).toBe(3);
  });

  test('so much of it is kept and no more, and what went before it stays known', () => {
    const reviews = Array.from({ length: 60 }, (_, day) => seen(day % 7 === 6 ? 'missed' : 'typed', START + day * DAY));
    const state = stateAfter(reviews);
    expect(state.reviews).toHaveLength(LIMITS.reviewsKept);
    expect(state.before!.reps).toBe(60 - LIMITS.reviewsKept);
    expect(stateAfter(state.reviews, { ...state, memory: state.before, reviews: [] }).memory).toEqual(state.memory);
    expect(LearningStateSchema.safeParse(state).error).toBeUndefined();
  });
});

describe('clocks', () => {
  test('one that was a month ahead and was set back: the code is learnt, and comes back in good time', () => {
    const ahead = stateAfter([seen('drill', START + 30 * DAY), seen('drill', START + 33 * DAY)]);
    const righted = told(ahead, 'drill', START);
    expect(righted.memory!.last).toBe(START);
    expect(righted.memory!.due - START).toBeGreaterThan(DAY);
    expect(righted.memory!.due).toBeLessThan(START + 30 * DAY);
    expect(righted.reviews.every(({ at }) => at <= START)).toBe(true);
    expect(righted.memory!.reps).toBe(3);
  });

  test('what is said to be later than now is now', () => {
    expect(told(unknownCode(START), 'drill', START + 9 * DAY, START).memory!.last).toBe(START);
  });
});

describe('another code', () => {
  const other = 'f'.repeat(16);

  test('for the same text begins anew, and is still one of those to learn', () => {
    const learnt = stateAfter([seen('drill', START)]);
    expect(learningOf([learnt], other)).toEqual({ ...unknownCode(0), digest: other });
    expect(learningOf([learnt], DIGEST)).toBe(learnt);
  });

  test('that one device knows of already goes before what another wrote of the old one', () => {
    const old = stateAfter([seen('drill', START)]);
    const fresh = { ...stateAfter([seen('drill', START + DAY)]), digest: other };
    expect(learningOf([old, fresh], other).memory).toEqual(fresh.memory);
  });

  test('a code that was dropped stays so until it is chosen', () => {
    const state = dropped(stateAfter([seen('drill', START)]));
    expect([state.chosenAt, learningOf([state], other).isDropped]).toEqual([null, true]);
    expect(chosen(state, START + DAY)).toMatchObject({ isDropped: false, chosenAt: START + DAY });
  });
});

describe('two devices at once', () => {
  const common = stateAfter([seen('drill', START), seen('typed', START + DAY)]);
  const here = stateAfter([seen('typed', START + 2 * DAY)], common);
  const there = stateAfter([seen('missed', START + 2 * DAY + HOUR), seen('drill', START + 3 * DAY)], common);

  test('the evidence of both counts, in its order', () => {
    const both = stateAfter([...here.reviews, ...there.reviews.slice(2)]);
    expect(mergedStates([here, there])).toEqual(both);
    expect(mergedStates([there, here])).toEqual(both);
  });

  test('of one review that both know nothing counts twice', () => {
    expect(mergedStates([here, common]).memory).toEqual(here.memory);
  });

  test('whatever two devices did since they met, in any order, the state is the same', () => {
    const evidence = fc.record({
      how: fc.constantFrom<EvidenceKind>('typed', 'drill', 'missed', 'offer', 'shown'),
      after: fc.integer({ min: 1, max: 20 }),
      seconds: fc.constantFrom(null, 0.5, 2, 6),
    });
    const run = fc.array(evidence, { maxLength: 40 });
    const apply = (
      from: LearningState,
      steps: readonly { how: EvidenceKind; after: number; seconds: number | null }[],
    ) => {
      let at = START + DAY;
      return steps.reduce((state, { how, after, seconds }) => {
        at += after * HOUR;
        return afterEvidence(state, { shortcutId: 'a', how, at, seconds }, at);
      }, from);
    };
    fc.assert(
      fc.property(run, run, (a, b) => {
        const [one, other] = [apply(common, a), apply(common, b)];
        const merged = mergedStates([one, other]);
        expect(mergedStates([other, one])).toEqual(merged);
        expect(LearningStateSchema.safeParse(merged).error).toBeUndefined();
        const last = Math.max(one.memory!.last, other.memory!.last);
        expect(merged.memory!.last).toBe(last);
      }),
      { seed: 30, numRuns: 300 },
    );
  });
});
