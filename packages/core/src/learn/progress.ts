import { median } from '../effort/median';
import type { LearningState } from '../model';
import type { PracticeTime } from './practiceLaw';
import { isSuccess, stageOf, WEEK } from './stage';

/** One week: how many codes were known at its end, and how long the median hesitation in it was, in s; null: none was measured. */
export interface WeekOfProgress {
  /** When it ended; ms since 1970. */
  readonly end: number;
  readonly known: number;
  readonly seconds: number | null;
}

export interface Progress {
  /** The latest last. */
  readonly weeks: readonly WeekOfProgress[];
  readonly known: number;
  readonly learning: number;
  /** Every time that was measured, each the nth that its code came to mind. */
  readonly times: readonly PracticeTime[];
}

/** How learning went over the last `count` weeks. Cost: what was kept of every code. */
export function progressOf(states: readonly LearningState[], now: number, count: number): Progress {
  const measured = states.flatMap(({ before, reviews }) =>
    reviews
      .map(({ at, how, seconds }, index) => ({ at, how, seconds, nth: (before?.reps ?? 0) + index + 1 }))
      .filter(({ how, seconds }) => isSuccess(how) && seconds !== null),
  );
  const weeks = Array.from({ length: count }, (_, index): WeekOfProgress => {
    const end = now - (count - 1 - index) * WEEK;
    const within = measured.filter(({ at }) => at > end - WEEK && at <= end);
    return {
      end,
      known: states.filter(({ knownAt }) => knownAt !== null && knownAt <= end).length,
      seconds: within.length === 0 ? null : median(within.map(({ seconds }) => seconds!)),
    };
  });
  const stages = states.map(stageOf);
  return {
    weeks,
    known: stages.filter((stage) => stage === 'known').length,
    learning: states.filter((state, at) => stages[at] !== 'known' && state.chosenAt !== null).length,
    times: measured.map(({ nth, seconds }) => ({ nth, seconds: seconds! })),
  };
}
