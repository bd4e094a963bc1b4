import fc from 'fast-check';

import { wholePercents } from './percents';

test('three equal parts are 34, 33 and 33', () => {
  expect(wholePercents([1, 1, 1])).toEqual([34, 33, 33]);
  expect(wholePercents([5, 3, 1])).toEqual([56, 33, 11]);
  expect(wholePercents([])).toEqual([]);
});

test('whatever the parts, they add up to 100, and none is a percent away from what it is', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 8 }), (parts) => {
      const percents = wholePercents(parts);
      const all = parts.reduce((sum, part) => sum + part, 0);
      expect(percents.reduce((sum, percent) => sum + percent, 0)).toBe(100);
      percents.forEach((percent, index) => expect(Math.abs(percent - (parts[index]! / all) * 100)).toBeLessThan(1));
    }),
  );
});
