/** For tests: keyboards made of rows of signs. */
import type { Key, Keyboard, Press } from './keyboard';

const SIDE = 6;
const OF_TESTS = { name: 'For tests', language: 'en', kind: 'glass' } as const;

/** A key for each sign of the rows, side by side. */
function keysOf(rows: readonly string[]): Record<string, Key> {
  return Object.fromEntries(
    rows.flatMap((row, y) =>
      Array.from(row, (sign, x): [string, Key] => [sign, { x: x * SIDE, y: y * SIDE, width: SIDE, height: SIDE }]),
    ),
  );
}

/** One layer in which every key gives its sign. */
export function plainKeyboard(rows: readonly string[]): Keyboard {
  const keys = keysOf(rows);
  const presses = Object.keys(keys).map((key): Press => ({ key, layer: 'letters', gives: key, to: ['letters'] }));
  return { id: 'plain', ...OF_TESTS, keys, presses, start: 'letters', automaticCapital: null };
}

/**
 * Twelve keys with several letters each: a key is struck once for its first letter, twice for the second
 * and so on; N comes between two letters of one key.
 */
export function multiTapPad(): Keyboard {
  const groups = {
    '2': 'abc',
    '3': 'def',
    '4': 'ghi',
    '5': 'jkl',
    '6': 'mno',
    '7': 'pqrs',
    '8': 'tuv',
    '9': 'wxyz',
    '0': ' ',
  };
  const presses: Press[] = [];
  const states = ['free', ...Object.keys(groups).map((key) => `after ${key}`)];
  for (const layer of states) {
    for (const [key, letters] of Object.entries(groups)) {
      if (layer === `after ${key}` && key !== '0') continue;
      presses.push({ key, layer, gives: letters[0]!, to: [`after ${key}`] });
      if (letters.length > 1) presses.push({ key, layer, gives: '', to: [`${key} 1`] });
    }
    presses.push({ key: 'N', layer, gives: '', to: ['free'] });
  }
  for (const [key, letters] of Object.entries(groups)) {
    for (let struck = 1; struck < letters.length; struck += 1) {
      presses.push({ key, layer: `${key} ${struck}`, gives: letters[struck]!, to: [`after ${key}`] });
      if (struck + 1 < letters.length)
        presses.push({ key, layer: `${key} ${struck}`, gives: '', to: [`${key} ${struck + 1}`] });
    }
  }
  return {
    id: 'multi-tap',
    ...OF_TESTS,
    keys: keysOf(['123', '456', '789', 'N0']),
    presses,
    start: 'free',
    automaticCapital: null,
  };
}

/**
 * A phone of our own: letters, capitals for one letter or until taken back, figures; figures stay until
 * a space.
 */
export function smallPhone(): Keyboard {
  const letters = 'abcdefghijklmnopqrstuvwxyz';
  const figures = '1234567890-&@:()';
  const keys = keysOf(['abcdefghij', 'klmnopqrst', '⇧uvwxyz.', '①, ']);
  const presses: Press[] = [];
  Array.from(letters).forEach((letter, index) => {
    presses.push({ key: letter, layer: 'letters', gives: letter, to: ['letters'] });
    presses.push({ key: letter, layer: 'capitals', gives: letter.toUpperCase(), to: ['letters'] });
    presses.push({ key: letter, layer: 'locked', gives: letter.toUpperCase(), to: ['locked'] });
    const figure = figures[index];
    if (figure !== undefined) presses.push({ key: letter, layer: 'figures', gives: figure, to: ['figures'] });
  });
  for (const layer of ['letters', 'capitals', 'locked', 'figures']) {
    for (const sign of ['.', ',']) presses.push({ key: sign, layer, gives: sign, to: [layer] });
    presses.push({ key: ' ', layer, gives: ' ', to: [layer === 'figures' ? 'letters' : layer] });
  }
  presses.push(
    { key: '⇧', layer: 'letters', gives: '', to: ['capitals'] },
    { key: '⇧', layer: 'capitals', gives: '', to: ['locked'] },
    { key: '⇧', layer: 'locked', gives: '', to: ['letters'] },
    { key: '①', layer: 'letters', gives: '', to: ['figures'] },
    { key: '①', layer: 'capitals', gives: '', to: ['figures'] },
    { key: '①', layer: 'figures', gives: '', to: ['letters'] },
    { key: 'e', layer: 'letters', gives: 'é', to: ['letters'], hold: 0.5 },
  );
  return {
    id: 'small-phone',
    ...OF_TESTS,
    keys,
    presses,
    start: 'letters',
    automaticCapital: { from: 'letters', to: 'capitals' },
  };
}
