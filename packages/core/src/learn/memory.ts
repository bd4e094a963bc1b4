/** A code in memory, by FSRS: how long it lasts, and when to come back to it. */
import { createEmptyCard, default_w, forgetting_curve, fsrs, State, type Card, type Grade } from 'ts-fsrs';

import type { Memory } from '../model';
import { DAY } from './stage';

/**
 * The scheduler: FSRS-6 with the parameters that its authors found over many people's reviews (`default_w` of ts-fsrs; Ye, Su and
 * Cao, "A stochastic shortest path algorithm for optimizing spaced repetition scheduling", KDD 2022, and what followed). Codes come
 * back when nine in ten would still be known. A new or forgotten one comes back after ten minutes, within the same practice. Nothing
 * is left to chance, so that devices that replay the same evidence end in equal states. Longest interval: a year.
 */
export const SCHEDULER = {
  request_retention: 0.9,
  maximum_interval: 365,
  w: default_w,
  enable_fuzz: false,
  enable_short_term: true,
  learning_steps: ['10m'],
  relearning_steps: ['10m'],
} as const;

const scheduler = fsrs(SCHEDULER);

const PHASES = { learning: State.Learning, review: State.Review, relearning: State.Relearning } as const;

/** The memory after a recall. `grade`: 1 forgotten, 2 with effort, 3 good, 4 at once. Two recalls cannot be in the wrong order: an earlier one counts as now. */
export function recalled(memory: Memory | null, grade: Grade, at: number): Memory {
  const when = memory === null ? at : Math.max(at, memory.last);
  return memoryOf(scheduler.next(cardOf(memory, when), when, grade).card);
}

/** How likely it is that the code comes to mind at a moment; 0 to 1. */
export function recallChance({ stability, last }: Memory, now: number): number {
  return forgetting_curve(default_w, Math.max(0, now - last) / DAY, stability);
}

function cardOf(memory: Memory | null, now: number): Card {
  if (memory === null) return createEmptyCard(now);
  const { stability, difficulty, due, last, reps, lapses, phase, step } = memory;
  return {
    due: new Date(due),
    last_review: new Date(last),
    stability,
    difficulty,
    reps,
    lapses,
    state: PHASES[phase],
    learning_steps: step,
    scheduled_days: phase === 'review' ? Math.round((due - last) / DAY) : 0,
    elapsed_days: 0,
  };
}

function memoryOf(card: Card): Memory {
  const phase = (Object.keys(PHASES) as Memory['phase'][]).find((name) => PHASES[name] === card.state)!;
  return {
    stability: card.stability,
    difficulty: card.difficulty,
    due: card.due.getTime(),
    last: card.last_review!.getTime(),
    reps: card.reps,
    lapses: card.lapses,
    phase,
    step: card.learning_steps,
  };
}
