import type { EffortOfOne } from '@/answers/effort/workerApi';

import { untypableOf } from './untypable';

const effort = (...codes: (string | null)[]) =>
  ({
    on: codes.map((character, index) => ({
      keyboard: `keyboard ${index}`,
      code: character === null ? { type: 'effort' } : { type: 'not-on-keyboard', character },
    })),
  }) as unknown as EffortOfOne;

test('a code is told to be untypable where keyboards in use lack a character of it, and where all do', () => {
  expect(untypableOf(null)).toBeNull();
  expect(untypableOf(effort(null, null))).toBeNull();
  expect(untypableOf(effort(null, 'é'))).toEqual({ character: 'é', keyboards: ['keyboard 1'] });
  expect(untypableOf(effort('😀', '😀'))).toEqual({ character: '😀', keyboards: [] });
});
