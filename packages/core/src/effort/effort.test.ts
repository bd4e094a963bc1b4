import { parseVocabulary } from '@yellow-latch/language';
import { buildVocabulary } from '@yellow-latch/language/build';

import { pick, randomFrom } from '../fire/testing';
import {
  cheapestWay,
  FITTS,
  fittsTiming,
  KLM,
  klmTiming,
  kspcOf,
  kspcOfLetters,
  type Keyboard,
  type Press,
  type Way,
} from '.';
import { multiTapPad, plainKeyboard, smallPhone } from './testing';

const ROWS = ['qwertyuiop', 'asdfghjkl', 'zxcvbnm', ' '];

const way = (text: string, keyboard: Keyboard, timing = fittsTiming): Way => {
  const found = cheapestWay(text, keyboard, timing);
  if (found.type !== 'way') throw new Error(`${found.character} is missing`);
  return found;
};
const taps = (text: string) => way(text, smallPhone()).taps;
const keys = (text: string) =>
  way(text, smallPhone())
    .presses.map(({ key }) => key)
    .join('');

describe('the way to a text', () => {
  test('goes through the layers it needs, and no others', () => {
    expect(keys('Ab')).toBe('ab');
    expect(keys('A1')).toBe('a①a');
    expect(keys('A b')).toBe('a b');
    // Figures fall back after a space.
    expect(keys('A 1 b')).toBe('a ①a b');
    expect(keys('A1b')).toBe('a①a①b');
  });

  test('takes the lock where several capitals follow', () => {
    expect(keys('Ab CDEF').replaceAll(/[^⇧]/gu, '')).toBe('⇧⇧');
    expect(taps('Ab CDEF')).toBe(9);
    // The capital that is up by itself is nearer to the lock.
    expect(keys('A BCDE')).toBe('⇧a bcde');
    expect(keys('A Bc').replaceAll(/[^⇧]/gu, '')).toBe('⇧');
  });

  test('counts what is held as one tap and half a second', () => {
    const held = way('xé', smallPhone());
    const plain = way('xe', smallPhone());
    expect(held.taps).toBe(plain.taps);
    expect(held.seconds).toBeCloseTo(plain.seconds + 0.5, 9);
  });

  test('of a character that is not there names it, and where', () => {
    expect(cheapestWay('so 🎹', smallPhone(), fittsTiming)).toEqual({
      type: 'not-on-keyboard',
      character: '🎹',
      at: 3,
    });
    expect(kspcOf('ß', plainKeyboard(ROWS))).toMatchObject({ type: 'not-on-keyboard', character: 'ß' });
  });

  test('to nothing is nothing; a composed letter is one', () => {
    expect(way('', smallPhone())).toMatchObject({ taps: 0, seconds: 0, presses: [] });
    expect(taps('Ae\u0301')).toBe(2);
  });
});

// Common practice, no source.
describe('what people know of typing on a phone', () => {
  test('a bracketed opener with initials costs a layer change at each bracket and the colon', () => {
    const presses = way('A (MV: b)', smallPhone()).presses.map(({ key }) => key);
    expect(presses.filter((key) => key === '①').length).toBeGreaterThanOrEqual(4);
  });

  test('X.Y stays on one layer where X&Y does not', () => {
    const changes = (text: string) => way(text, smallPhone()).presses.filter(({ key }) => key === '①').length;
    expect(changes('A r.d')).toBe(0);
    expect(changes('A r&d')).toBe(2);
    expect(taps('A r&d')).toBe(taps('A r.d') + 2);
  });

  test('a doubled letter needs no layer change', () => {
    expect(way('A ttune', smallPhone()).presses.some(({ key }) => key === '①' || key === '⇧')).toBe(false);
  });
});

describe('the quickest way is what trying everything finds', () => {
  const CHARACTERS = ['a', 'b', 'c'];
  const LAYERS = ['one', 'two', 'three'];

  function randomKeyboard(random: () => number): Keyboard {
    const key = () => ({ x: random() * 50, y: random() * 50, width: 4 + random() * 6, height: 4 + random() * 6 });
    const presses: Press[] = Array.from({ length: 9 }, () => ({
      key: pick(random, ['k', 'l', 'm', 'n']),
      layer: pick(random, LAYERS),
      gives: random() < 0.4 ? '' : pick(random, CHARACTERS),
      to: random() < 0.2 ? [pick(random, LAYERS), pick(random, LAYERS)] : [pick(random, LAYERS)],
      ...(random() < 0.1 ? { hold: 0.5 } : {}),
    }));
    return {
      id: 'random',
      name: 'Random',
      language: 'und',
      kind: 'glass',
      keys: { k: key(), l: key(), m: key(), n: key() },
      presses,
      start: 'one',
      automaticCapital: null,
    };
  }

  /** Every sequence of presses that types the text and is no longer than `most`, the quickest. */
  function quickest(text: string, { keys: places, presses, start }: Keyboard, most: number): number {
    let best = Infinity;
    const go = (layer: string, last: string | null, typed: number, seconds: number, left: number) => {
      if (seconds >= best) return;
      if (typed === text.length) {
        best = seconds;
        return;
      }
      if (left === 0) return;
      for (const press of presses) {
        if (press.layer !== layer || (press.gives !== '' && press.gives !== text[typed])) continue;
        const next =
          seconds + fittsTiming(last === null ? null : places[last]!, places[press.key]!) + (press.hold ?? 0);
        for (const to of press.to) go(to, press.key, typed + (press.gives === '' ? 0 : 1), next, left - 1);
      }
    };
    go(start, null, 0, 0, most);
    return best;
  }

  // `npm run soak` takes ten times as many.
  const KEYBOARDS = process.env.YELLOW_LATCH_SOAK ? 300 : 30;

  test('on made-up keyboards, for texts of up to six characters', () => {
    const random = randomFrom(7);
    let typed = 0;
    for (let i = 0; i < KEYBOARDS; i += 1) {
      const keyboard = randomKeyboard(random);
      const text = Array.from({ length: 1 + Math.floor(random() * 6) }, () => pick(random, CHARACTERS)).join('');
      const found = cheapestWay(text, keyboard, fittsTiming);
      const seconds = found.type === 'way' ? found.seconds : Infinity;
      const most = found.type === 'way' ? found.taps + 2 : text.length + 2;
      if (found.type === 'way') typed += 1;
      expect({ text, seconds: seconds.toFixed(9) }).toEqual({
        text,
        seconds: quickest(text, keyboard, most).toFixed(9),
      });
    }
    expect(typed).toBeGreaterThan(KEYBOARDS / 5);
  });
});

describe('keystrokes per character', () => {
  /** How often one sign follows another in words with a space between, by how often each word is used. */
  function pairsOfEnglish(): Map<string, number> {
    const { words, perTenThousand } = parseVocabulary(buildVocabulary('en'));
    const pairs = new Map<string, number>();
    words.forEach((word, index) => {
      if (!/^[a-z]+$/.test(word)) return;
      const spaced = ` ${word} `;
      for (let at = 0; at + 1 < spaced.length; at += 1) {
        const pair = spaced.slice(at, at + 2);
        pairs.set(pair, (pairs.get(pair) ?? 0) + perTenThousand[index]!);
      }
    });
    return pairs;
  }

  test('1 on a keyboard with a key for each; 2.03 on a multi-tap pad within 2 % (MacKenzie 2002, from memory)', () => {
    const pairs = pairsOfEnglish();
    expect(kspcOfLetters(pairs, plainKeyboard(ROWS))).toBeCloseTo(1, 9);
    const multiTap = kspcOfLetters(pairs, multiTapPad());
    expect(Math.abs(multiTap / 2.03 - 1)).toBeLessThan(0.02);
  });

  test('of a text, by hand', () => {
    // d 1, a 1, b N and 2: on one key a and b need the N between them.
    expect(kspcOf('dab', multiTapPad())).toBeCloseTo(5 / 3, 9);
    expect(kspcOf('feel', multiTapPad())).toBeCloseTo((3 + 3 + 3 + 3) / 4, 9);
    expect(kspcOf('', multiTapPad())).toBe(0);
  });
});

describe('time', () => {
  test('by Fitts’s law, worked by hand: two keys apart is log2(3) bits', () => {
    const key = (x: number) => ({ x, y: 0, width: 6, height: 9 });
    expect(fittsTiming(key(0), key(12))).toBeCloseTo(FITTS.a + FITTS.b * Math.log2(3), 12);
    expect(fittsTiming(key(0), key(0))).toBe(FITTS.repeat);
    expect(fittsTiming(null, key(12))).toBe(FITTS.repeat);
  });

  // Card, Moran & Newell 1980, from memory.
  test('by the keystroke-level model every stroke takes K', () => {
    expect(KLM).toEqual({ K: 0.28, M: 1.35, H: 0.4, P: 1.1 });
    expect(way('so', plainKeyboard(ROWS), klmTiming).seconds).toBeCloseTo(0.56, 9);
  });
});
