import { createEmptyCard, fsrs, State, type Grade } from 'ts-fsrs';

import type { Memory } from '../model';
import { recallChance, recalled, SCHEDULER } from './memory';
import { DAY } from './stage';
import { randomNumbers } from './testing';

const START = Date.UTC(2026, 10, 30, 9);

test('1,000 random histories end in the state that ts-fsrs itself gives them', () => {
  const random = randomNumbers(30);
  // ts-fsrs 5.4.2, told of every review in a row with its own cards, is the reference.
  const own = fsrs(SCHEDULER);
  for (let history = 0; history < 1_000; history += 1) {
    let at = START;
    let card = createEmptyCard(at);
    let memory: Memory | null = null;
    const reviews = 1 + Math.floor(random() * 30);
    for (let n = 0; n < reviews; n += 1) {
      const grade = (1 + Math.floor(random() * 4)) as Grade;
      ({ card } = own.next(card, at, grade));
      memory = recalled(memory, grade, at);
      // From seconds to months, as it happens.
      at += Math.round(1_000 * 10 ** (random() * 7));
    }
    expect(memory).toEqual({
      stability: card.stability,
      difficulty: card.difficulty,
      due: card.due.getTime(),
      last: card.last_review!.getTime(),
      reps: card.reps,
      lapses: card.lapses,
      phase: { [State.Learning]: 'learning', [State.Review]: 'review', [State.Relearning]: 'relearning' }[
        card.state as State.Learning
      ],
      step: card.learning_steps,
    });
  }
});

test('nine in ten would still know it after as many days as its stability says', () => {
  const memory = recalled(null, 3, START);
  expect(recallChance(memory, START)).toBe(1);
  expect(recallChance(memory, START + memory.stability * DAY)).toBeCloseTo(0.9, 6);
  expect(recallChance(memory, START - DAY)).toBe(1);
});

test('a recall that is told of late counts as now', () => {
  const memory = recalled(recalled(null, 3, START), 3, START + 3 * DAY);
  const late = recalled(memory, 3, START);
  expect(late.last).toBe(memory.last);
  expect(late.stability).toBeGreaterThanOrEqual(memory.stability);
});
