/** @jest-environment node */
import { makeShortcut } from '@yellow-latch/core/model/testing';

import { choicesFor } from './choices';
import { timeToThink } from './timeToThink';
import { tellSituation, tellSpeed, tellStage } from './words';

const DAY = 24 * 60 * 60 * 1_000;

describe('what a new code may stand for', () => {
  const own = makeShortcut(';rope', 'Unit 3, The Ropewalk', { kind: 'address' });
  const all = [
    own,
    makeShortcut(';again', 'Unit 3, The Ropewalk', { kind: 'address' }),
    makeShortcut(';mill', '12 Mill Lane', { kind: 'address' }),
    ...['a', 'b', 'c', 'd'].map((code) => makeShortcut(code, `message ${code}`)),
    makeShortcut('teh', 'the', { kind: 'correction' }),
  ];

  test('its own text among three others, those of its kind first, no text twice', () => {
    const choices = choicesFor(own, all).map(({ code }) => code);
    expect(choices).toHaveLength(4);
    expect(choices).toEqual(expect.arrayContaining([';rope', ';mill']));
    expect(choices).not.toContain(';again');
    expect(choices).not.toContain('teh');
  });

  test('the same every time, and not always at the same place', () => {
    expect(choicesFor(own, all)).toEqual(choicesFor(own, [...all].reverse()));
    const places = new Set(
      Array.from({ length: 12 }, (_, n) => {
        const one = makeShortcut(`;n${n}`, `text ${n}`);
        return choicesFor(one, [one, ...all]).indexOf(one);
      }),
    );
    expect(places.size).toBeGreaterThan(1);
  });

  test('of a list of two there are two', () => {
    expect(choicesFor(own, [own, all[2]!])).toHaveLength(2);
  });
});

test('thinking is what is left of the time when reading and typing are taken off, never less than none', () => {
  // Four words at 238 a minute, five keys of 0.28 s.
  expect(timeToThink(5, 'Unit 3, The Ropewalk', ';rop')).toBeCloseTo(5 - 4 * (60 / 238) - 5 * 0.28, 2);
  expect(timeToThink(0.5, 'Unit 3, The Ropewalk', ';rop')).toBe(0);
  expect(timeToThink(20, 'word '.repeat(400), ';a')).toBeCloseTo(20 - 3 - 3 * 0.28, 2);
  expect(timeToThink(100_000, 'a', ';a')).toBe(3_600);
});

test.each([
  [makeShortcut(';x', 'a long text that goes on and on'), 'You’re about to write: a long text that …'],
  [makeShortcut(';x', 'hello there'), 'You’re about to write: hello there'],
  [makeShortcut(';x', 'hello', { note: 'When a customer is late' }), 'When a customer is late'],
  [makeShortcut(';x', 'https://a.example', { kind: 'link' }), 'You want to send a link: https://a.example'],
])('what a code is used for', (shortcut, told) => {
  expect(tellSituation(shortcut)).toBe(told);
});

test('how soon it came, beside one’s own best', () => {
  expect(tellSpeed(0, 1)).toBe('Right, at once.');
  expect(tellSpeed(2.4, null)).toBe('Right. It came to you in 2.4 secs.');
  expect(tellSpeed(1.2, 2.4)).toBe('Right, in 1.2 secs: your best so far.');
  expect(tellSpeed(3, 2.4)).toBe('Right, in 3 secs. Your best is 2.4 secs.');
});

test('how well a code is known, and when it comes back', () => {
  const now = Date.UTC(2026, 10, 30, 12);
  const memory = {
    stability: 9,
    difficulty: 5,
    due: now + 9 * DAY,
    last: now,
    reps: 3,
    lapses: 0,
    phase: 'review',
    step: 0,
  } as const;
  const state = { digest: '', chosenAt: now, before: null, reviews: [], memory, knownAt: now, isDropped: false };
  expect(tellStage(state, now)).toBe('Known. Back on 9 Dec');
  expect(tellStage({ ...state, knownAt: null }, now)).toBe('Back on 9 Dec');
  expect(tellStage({ ...state, before: memory, knownAt: null }, now)).toBe('You’re holding it. Back on 9 Dec');
  expect(tellStage(state, now + 10 * DAY)).toBe('Ready to practice');
  expect(tellStage({ ...state, memory: null }, now)).toBe('New');
});
