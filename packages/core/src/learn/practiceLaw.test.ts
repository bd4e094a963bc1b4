import { fitPracticeLaw, secondsAfter, type PracticeTime } from './practiceLaw';
import { randomNumbers } from './testing';

const inOrder = (times: readonly number[]): PracticeTime[] => times.map((seconds, at) => ({ nth: at + 1, seconds }));

test('the law of a hundred learners whose own is known is found again within a tenth', () => {
  const random = randomNumbers(7);
  for (let learner = 0; learner < 100; learner += 1) {
    const law = { first: 1.5 + 4 * random(), rate: 0.2 + 0.5 * random() };
    // Times scatter by a tenth or so, as a factor (Box and Muller).
    const scatter = () => Math.exp(0.12 * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random()));
    const times = Array.from({ length: 400 }, (_, at) => secondsAfter(law, at + 1) * scatter());
    const fitted = fitPracticeLaw(inOrder(times))!;
    expect(Math.abs(fitted.first / law.first - 1)).toBeLessThan(0.1);
    expect(Math.abs(fitted.rate / law.rate - 1)).toBeLessThan(0.1);
  }
});

test('a learner without scatter is fitted exactly', () => {
  const law = { first: 3, rate: 0.4 };
  const fitted = fitPracticeLaw(inOrder(Array.from({ length: 6 }, (_, at) => secondsAfter(law, at + 1))))!;
  expect([fitted.first, fitted.rate]).toEqual([expect.closeTo(3, 9), expect.closeTo(0.4, 9)]);
});

test('a few times tell nothing; and no hesitation at all is as fast as it gets', () => {
  expect(fitPracticeLaw(inOrder([3, 2, 2, 1]))).toBeNull();
  expect(fitPracticeLaw(Array<PracticeTime>(9).fill({ nth: 1, seconds: 2 }))).toBeNull();
  const atOnce = fitPracticeLaw(inOrder([0, 0, 0, 0, 0]))!;
  expect(atOnce.first).toBeCloseTo(0.01, 9);
  expect(atOnce.rate).toBeCloseTo(0, 9);
});
