import { progressOf } from './progress';
import { DAY, WEEK } from './stage';
import { stateAfter, unknownCode } from './testing';

const NOW = Date.UTC(2026, 10, 30, 9);

test('codes known at the end of each week, and how long they took', () => {
  const known = stateAfter([
    { at: NOW - 2 * WEEK, how: 'drill', seconds: 2.5 },
    { at: NOW - 2 * WEEK + 2 * DAY, how: 'typed', seconds: 2 },
    { at: NOW - DAY, how: 'typed', seconds: 1 },
  ]);
  const learning = stateAfter([{ at: NOW - DAY, how: 'shown', seconds: null }]);
  const progress = progressOf([known, learning, unknownCode()], NOW, 3);
  expect(progress).toEqual({
    weeks: [
      { end: NOW - 2 * WEEK, known: 0, seconds: 2.5 },
      { end: NOW - WEEK, known: 1, seconds: 2 },
      { end: NOW, known: 1, seconds: 1 },
    ],
    known: 1,
    learning: 1,
    times: [
      { nth: 1, seconds: 2.5 },
      { nth: 2, seconds: 2 },
      { nth: 3, seconds: 1 },
    ],
  });
});

test('nothing learnt: nothing known, nothing measured', () => {
  expect(progressOf([], NOW, 2).weeks).toEqual([
    { end: NOW - WEEK, known: 0, seconds: null },
    { end: NOW, known: 0, seconds: null },
  ]);
});
