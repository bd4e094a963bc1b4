import english from 'simple-keyboard-layouts/build/layouts/english';
import french from 'simple-keyboard-layouts/build/layouts/french';
import german from 'simple-keyboard-layouts/build/layouts/german';
import spanish from 'simple-keyboard-layouts/build/layouts/spanish';

import { cheapestWay, fittsTiming, klmTiming } from '..';
import { KEYBOARDS } from '.';

const keyboard = (id: string) => KEYBOARDS.find((one) => one.id === id)!;
const tapsOf = (text: string, id: string) => {
  const way = cheapestWay(text, keyboard(id), id.startsWith('hardware') ? klmTiming : fittsTiming);
  return way.type === 'way' ? way.taps : `not there: ${way.character}`;
};
const keysOf = (text: string, id: string) => {
  const way = cheapestWay(text, keyboard(id), fittsTiming);
  return way.type === 'way' ? way.presses.map(({ key }) => key) : [];
};

const rows = (of: typeof english, layer: string, from: number, to: number) => of.layout[layer]?.slice(from, to) ?? [];

/** The single signs of some rows of a layout of `simple-keyboard-layouts` 3.4.265. */
const signs = (some: readonly string[]) =>
  some.flatMap((row) => row.split(' ').filter((sign) => Array.from(sign).length === 1));

/** The taps that signs take, which is 1 where nothing is held, 2 with shift; signs that wait for a letter left out. */
const taps = (all: readonly string[], id: string, dead = '') =>
  new Set(all.filter((sign) => !dead.includes(sign)).map((sign) => tapsOf(sign, id)));

describe('hardware layouts against simple-keyboard-layouts', () => {
  test('US English: every sign, with shift and without', () => {
    expect(taps(signs(rows(english, 'default', 0, 4)), 'hardware-en-us')).toEqual(new Set([1]));
    expect(taps(signs(rows(english, 'shift', 0, 4)), 'hardware-en-us')).toEqual(new Set([2]));
  });

  test('German: every sign', () => {
    expect(taps(signs(rows(german, 'default', 0, 4)), 'hardware-de', '^´')).toEqual(new Set([1]));
    expect(taps(signs(rows(german, 'shift', 0, 4)), 'hardware-de', '`')).toEqual(new Set([2]));
  });

  test('French: the three rows of letters (its top row has figures and signs the other way round there)', () => {
    expect(taps(signs(rows(french, 'default', 1, 4)), 'hardware-fr', '^')).toEqual(new Set([1]));
    expect(taps(signs(rows(french, 'shift', 1, 4)), 'hardware-fr', '¨')).toEqual(new Set([2]));
    expect(taps(signs(rows(french, 'shift', 0, 1)), 'hardware-fr')).toEqual(new Set([1]));
    expect(taps(Array.from('1234567890°+'), 'hardware-fr')).toEqual(new Set([2]));
  });

  test('Spanish: the letters (its signs there are those of Latin America)', () => {
    const letters = (some: readonly string[]) =>
      signs(some).filter((sign) => /\p{L}/u.test(sign) && sign.normalize('NFD').length <= 2);
    expect(taps(letters(rows(spanish, 'default', 1, 4)), 'hardware-es')).toEqual(new Set([1]));
    expect(taps(letters(rows(spanish, 'shift', 1, 4)), 'hardware-es')).toEqual(new Set([2]));
  });
});

// From memory: DIN 2137, AFNOR, BS 4822.
describe('AltGr and signs that wait', () => {
  test.each([
    ['@', 'hardware-de', 2],
    ['€', 'hardware-de', 2],
    ['{}', 'hardware-de', 3],
    ['é', 'hardware-de', 2],
    ['È', 'hardware-de', 3],
    ['^', 'hardware-de', 2],
    ['ê', 'hardware-fr', 2],
    ['ï', 'hardware-fr', 3],
    ['@', 'hardware-fr', 2],
    ['é', 'hardware-en-gb', 2],
    ['á', 'hardware-es', 2],
    ['ñ', 'hardware-es', 1],
    ['AB', 'hardware-en-us', 3],
    ['é', 'hardware-en-us', 'not there: é'],
  ])('%s on %s takes %s', (text, id, count) => expect(tapsOf(text, id)).toBe(count));
});

// Common practice, no source.
describe('keyboards on glass', () => {
  test.each([
    ['A ten', 'phone-en', 5],
    ['A ;w x', 'phone-en', 8],
    // Figures fall back with the space.
    ['A 5 x', 'phone-en', 6],
    ['A 5 x', 'tablet-en', 7],
    ['A tt', 'phone-en', 4],
    ['A straße', 'phone-de', 8],
    ['A 5', 'tablet-en', 4],
    ['A 5', 'tablet-figures-en', 3],
  ])('%s on %s takes %s taps', (text, id, count) => expect(tapsOf(text, id)).toBe(count));

  test('an “X and Y” with an ampersand costs two layer changes, with a full stop none', () => {
    expect(keysOf('A r&d', 'phone-en').filter((key) => key === 'figures')).toHaveLength(2);
    expect(keysOf('A r.d', 'phone-en').filter((key) => key === 'figures')).toHaveLength(0);
  });

  test('six characters beat a character table: the way to a code is shorter than the search of a hundred signs', () => {
    expect(tapsOf('A ;times', 'phone-en')).toBeLessThanOrEqual(10);
  });
});

test('no key of a keyboard lies on another of its layer, and every press has its key', () => {
  for (const { id, keys, presses } of KEYBOARDS) {
    const layers = new Set(presses.map(({ layer }) => layer));
    for (const layer of layers) {
      const here = [...new Set(presses.filter((press) => press.layer === layer).map(({ key }) => key))];
      here.forEach((name, index) => {
        const key = keys[name]!;
        expect({ id, name, key: key !== undefined }).toEqual({ id, name, key: true });
        for (const other of here.slice(index + 1).map((one) => keys[one]!)) {
          const apart =
            Math.abs(key.x - other.x) * 2 >= key.width + other.width - 0.01 ||
            Math.abs(key.y - other.y) * 2 >= key.height + other.height - 0.01;
          if (!apart) throw new Error(`${id}: ${name} lies on another in ${layer}`);
        }
      });
    }
  }
});

test('each sign stands once in a layer, but where a row of figures stands above', () => {
  for (const { id, presses } of KEYBOARDS) {
    if (id.startsWith('tablet-figures')) continue;
    const given = presses
      .filter(({ gives, hold }) => gives !== '' && !hold)
      .map(({ layer, gives }) => `${id} ${layer} ${gives}`);
    expect(given.filter((name, index) => given.indexOf(name) !== index)).toEqual([]);
  }
});
