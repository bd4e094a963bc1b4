import { KeyTimes } from './keyTimes';

/** Types a text from the start, each key so many ms after the one before. */
function type(text: string, intervalOf: (at: number) => number): KeyTimes {
  const times = new KeyTimes();
  let at = 0;
  for (let place = 0; place < text.length; place += 1) {
    at += intervalOf(place);
    times.typed(at, place, place + 1);
  }
  return times;
}

test('who types on without a pause does not hesitate', () => {
  expect(type('meet you at ;shop', () => 150).hesitationOver(12, 17)).toBeCloseTo(0, 6);
});

test('a pause before the code and one within it count, less what a key takes anyway', () => {
  const times = type('meet you at ;shop', (at) => ({ 12: 1_350, 14: 650 })[at] ?? 150);
  expect(times.hesitationOver(12, 17)).toBeCloseTo(1.2 + 0.5, 6);
});

test('too little typed: keys are taken to be as slow as the model’s', () => {
  expect(type('a ;b', (at) => (at === 2 ? 1_280 : 280)).hesitationOver(2, 4)).toBeCloseTo(1, 6);
});

test.each([
  ['at the very beginning there is no edge to count from', type(';shop', () => 150), 0, 5],
  ['who was away did not think of a code', type('a ;shop', (at) => (at === 2 ? 60_000 : 150)), 2, 7],
  ['a stretch that was not typed', type('a', () => 150), 4, 9],
])('not known: %s', (_why, times, start, end) => {
  expect(times.hesitationOver(start, end)).toBeNull();
});

test('after the caret went elsewhere, or the text was changed otherwise, nothing is known of before', () => {
  const times = type('meet you at ', () => 150);
  times.typed(5_000, 4, 5);
  times.typed(5_150, 5, 6);
  times.typed(5_300, 6, 7);
  expect(times.hesitationOver(12, 13)).toBeNull();
  times.forget();
  times.typed(6_000, 7, 8);
  expect(times.hesitationOver(7, 8)).toBeNull();
});

test('what came in one piece was not typed', () => {
  const times = type('a ', () => 150);
  times.typed(400, 2, 12);
  expect(times.hesitationOver(2, 12)).toBeNull();
});

test('a code right behind what another became is counted from there', () => {
  const times = type('so many keys that are known ;a ', () => 150);
  times.expanded(10_000, 60);
  times.typed(11_150, 60, 61);
  times.typed(11_300, 61, 62);
  expect(times.hesitationOver(60, 62)).toBeCloseTo(1, 6);
});
