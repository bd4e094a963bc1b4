import type { GlassLayout } from '../../model';
import type { Key, Keyboard, Press } from '../keyboard';
import { freeName } from './name';

/** How long a key is held for what lies behind it, in s. */
const HOLD = 0.5;

const SHIFT = 'shift';
const SWITCH = 'figures';
const SIGNS = 'signs';

/** A layout as a keyboard. Shift lasts for one letter; struck twice it stays until it is struck again. */
export function glassKeyboard(id: string, layout: GlassLayout): Keyboard {
  const { name, language, letters, figures, signs, held, fallsBack, hasFigureRow, width, rowHeight } = layout;
  const keys: Record<string, Key> = {};
  const presses: Press[] = [];
  const top = hasFigureRow ? 1 : 0;
  const bottom = top + 3;
  /** Places the keys of a row and gives their names. */
  const row = (layer: string, y: number, text: string, sides: number): string[] => {
    const room = width - sides * 2;
    const step = Math.min(room / Array.from(text).length, width / 10);
    const from = (width - step * Array.from(text).length) / 2;
    return Array.from(text, (sign, x) => {
      const key = freeName(`${layer} ${sign}`, keys);
      keys[key] = { x: from + (x + 0.5) * step, y: y * rowHeight, width: step, height: rowHeight };
      return key;
    });
  };
  const side = width * 0.14;
  letters.forEach((text, index) => {
    const places = row('letters', top + index, text, index === 2 ? side : 0);
    Array.from(text).forEach((letter, x) => {
      const key = places[x]!;
      const capital = letter.toLocaleUpperCase(language);
      presses.push({ key, layer: 'letters', gives: letter, to: ['letters'] });
      presses.push(
        { key, layer: 'capitals', gives: capital, to: ['letters'] },
        { key, layer: 'locked', gives: capital, to: ['locked'] },
      );
      for (const behind of held[letter] ?? '') {
        presses.push({ key, layer: 'letters', gives: behind, to: ['letters'], hold: HOLD });
        presses.push({
          key,
          layer: 'capitals',
          gives: behind.toLocaleUpperCase(language),
          to: ['letters'],
          hold: HOLD,
        });
      }
    });
  });
  for (const [layer, rows] of [
    ['figures', figures],
    ['signs', signs],
  ] as const) {
    rows.forEach((text, index) => {
      const places = row(layer, top + index, text, index === 2 ? side : 0);
      Array.from(text).forEach((sign, x) => presses.push({ key: places[x]!, layer, gives: sign, to: [layer] }));
    });
  }
  const everywhere = ['letters', 'capitals', 'locked', 'figures', 'signs'];
  if (hasFigureRow) {
    const places = row('above', 0, '1234567890', 0);
    Array.from('1234567890').forEach((sign, x) => {
      for (const layer of everywhere) presses.push({ key: places[x]!, layer, gives: sign, to: [layer] });
    });
  }
  const put = (key: string, x: number, share: number, y: number) => {
    keys[key] = { x: x * width, y: y * rowHeight, width: share * width, height: rowHeight };
  };
  put(SHIFT, 0.07, 0.14, top + 2);
  put(SIGNS, 0.07, 0.14, top + 2);
  put(SWITCH, 0.09, 0.18, bottom);
  put(',', 0.23, 0.1, bottom);
  put('space', 0.51, 0.46, bottom);
  put('.', 0.79, 0.1, bottom);
  put('return', 0.92, 0.16, bottom);
  for (const layer of everywhere) {
    const back = fallsBack && (layer === 'figures' || layer === 'signs') ? 'letters' : layer;
    presses.push({ key: 'space', layer, gives: ' ', to: [layer === 'capitals' ? 'letters' : back] });
    presses.push({ key: 'return', layer, gives: '\n', to: [layer === 'capitals' ? 'letters' : back] });
    for (const sign of [',', '.']) presses.push({ key: sign, layer, gives: sign, to: [layer] });
  }
  const turn = (key: string, layer: string, to: string) => presses.push({ key, layer, gives: '', to: [to] });
  turn(SHIFT, 'letters', 'capitals');
  turn(SHIFT, 'capitals', 'locked');
  turn(SHIFT, 'locked', 'letters');
  for (const layer of ['letters', 'capitals', 'locked']) turn(SWITCH, layer, 'figures');
  turn(SWITCH, 'figures', 'letters');
  turn(SWITCH, 'signs', 'letters');
  turn(SIGNS, 'figures', 'signs');
  turn(SIGNS, 'signs', 'figures');
  return {
    id,
    name,
    language,
    kind: 'glass',
    keys,
    presses,
    start: 'letters',
    automaticCapital: { from: 'letters', to: 'capitals' },
  };
}

// Figures in their order, then signs by what they do: pairs beside each other. An order of our own.
const FIGURES = ['1234567890', '()-/:;"\'&', '!?@#%*+='] as const;
const SIGNS_ROWS = ['[]{}<>«»„“', '_|\\~^`´°§', '€£$¥×÷…'] as const;

const PHONE = { type: 'glass', figures: FIGURES, signs: SIGNS_ROWS, fallsBack: true, width: 64, rowHeight: 9 } as const;
const TABLET = {
  type: 'glass',
  figures: FIGURES,
  signs: SIGNS_ROWS,
  fallsBack: false,
  width: 180,
  rowHeight: 16,
} as const;

const LETTERS = {
  en: {
    name: 'English',
    letters: ['qwertyuiop', 'asdfghjkl', 'zxcvbnm'],
    held: { e: 'éè', a: 'à', c: 'ç', i: 'ï', o: 'ô', u: 'û', n: 'ñ' },
  },
  de: { name: 'German', letters: ['qwertzuiopü', 'asdfghjklöä', 'yxcvbnm'], held: { s: 'ß', e: 'é', a: 'à' } },
  fr: {
    name: 'French',
    letters: ['azertyuiop', 'qsdfghjklm', 'wxcvbn'],
    held: { e: 'éèêë', a: 'àâ', c: 'ç', i: 'îï', o: 'ô', u: 'ùûü' },
  },
  es: {
    name: 'Spanish',
    letters: ['qwertyuiop', 'asdfghjklñ', 'zxcvbnm'],
    held: { e: 'é', a: 'á', i: 'í', o: 'ó', u: 'úü' },
  },
} as const;

/** Our own generic layouts on glass, by their names: a phone, and a tablet with and without a row of figures, in each language. */
export const GLASS_LAYOUTS: Readonly<Record<string, GlassLayout>> = Object.fromEntries(
  Object.entries(LETTERS).flatMap(([language, { name, letters, held }]): [string, GlassLayout][] => {
    const own = { language, letters, held };
    return [
      [`phone-${language}`, { ...PHONE, ...own, name: `Phone, ${name}`, hasFigureRow: false }],
      [`tablet-${language}`, { ...TABLET, ...own, name: `Tablet, ${name}`, hasFigureRow: false }],
      [`tablet-figures-${language}`, { ...TABLET, ...own, name: `Tablet with figures, ${name}`, hasFigureRow: true }],
    ];
  }),
);
