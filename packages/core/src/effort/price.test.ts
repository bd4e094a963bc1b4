import { pick, randomFrom } from '../fire/testing';
import { cheapestWay, fittsTiming, klmTiming, Pricer } from '.';
import { KEYBOARDS } from './layouts';
import { nextSentence, type SentenceState } from './sentence';

test('a price is what the quickest way takes, on every keyboard, for any text', () => {
  const random = randomFrom(11);
  const signs = [...'abcxyzABCé. ,;1&(\n', '🎹'];
  let priced = 0;
  for (const keyboard of KEYBOARDS) {
    const timing = keyboard.kind === 'glass' ? fittsTiming : klmTiming;
    const pricer = new Pricer(keyboard, timing);
    for (let i = 0; i < 25; i += 1) {
      const text = Array.from({ length: 1 + Math.floor(random() * 24) }, () => pick(random, signs)).join('');
      const way = cheapestWay(text, keyboard, timing);
      const price = pricer.price(text);
      if (way.type === 'not-on-keyboard') {
        expect(price).toEqual(way);
        continue;
      }
      priced += 1;
      if (price.type !== 'price') throw new Error(`${keyboard.id} cannot price ${JSON.stringify(text)}`);
      expect(price.seconds).toBeCloseTo(way.seconds, 9);
      // Where every stroke takes the same, the quickest way is that of fewest taps.
      if (keyboard.kind === 'hardware') expect(price.taps).toBe(way.taps);
    }
  }
  expect(priced).toBeGreaterThan(50);
});

test('long texts and texts of nothing but signs are priced or said to be missing', () => {
  const pricer = new Pricer(KEYBOARDS[0]!, fittsTiming);
  expect(pricer.price('')).toEqual({ type: 'price', taps: 0, seconds: 0 });
  expect(pricer.price('so it is. '.repeat(2_000))).toMatchObject({ type: 'price' });
  expect(pricer.price('👩‍👩‍👧')).toMatchObject({ type: 'not-on-keyboard', at: 0 });
});

test.each<[string, SentenceState]>([
  ['', 'start'],
  ['So', 'inside'],
  ['So.', 'ended'],
  ['So. ', 'start'],
  ['So.”', 'ended'],
  ['So.”  ', 'start'],
  ['e.g', 'inside'],
  ['so ', 'inside'],
  ['so\n', 'start'],
  ['so) ', 'inside'],
])('after %j a text stands at: %s', (text, state) => {
  expect(Array.from(text).reduce<SentenceState>(nextSentence, 'start')).toBe(state);
});
