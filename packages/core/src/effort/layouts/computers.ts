import type { HardwareLayout } from '../../model';
import type { Key, Keyboard, Press } from '../keyboard';
import { freeName } from './name';

/** The pitch of keys (ISO 9995-1 allows 18 to 20 mm). */
const PITCH = 19.05;
/** Where the first sign of each row stands, in keys from the left edge. */
const OFFSETS = { ANSI: [0, 1.5, 1.75, 2.25], ISO: [0, 1.5, 1.75, 1.25] } as const;

/** The mark that a waiting sign puts on a letter. */
const MARKS: Readonly<Record<string, string>> = {
  '´': '\u0301',
  '`': '\u0300',
  '^': '\u0302',
  '¨': '\u0308',
  '~': '\u0303',
};

const SHIFTS = ['left shift', 'right shift'] as const;

/** A layout as a keyboard: shift and AltGr are layers that last as long as they are held. */
export function hardwareKeyboard(
  id: string,
  { name, language, form, base, shift, altGr, dead }: HardwareLayout,
): Keyboard {
  const keys: Record<string, Key> = {
    'left shift': place(OFFSETS[form][3] / 2, 3, OFFSETS[form][3]),
    'right shift': place(13.625, 3, 2.75),
    'right alt': place(10.625, 4, 1.25),
    space: place(6.875, 4, 6.25),
    return: form === 'ANSI' ? place(13.875, 2, 2.25) : place(14.375, 2, 1.25),
    tab: place(0.75, 1, 1.5),
  };
  const presses: Press[] = [];
  const deadSigns = new Set(Array.from(dead));
  const give = (key: string, layer: string, sign: string) => {
    if (layer !== 'alt' && deadSigns.has(sign))
      presses.push({ key, layer, gives: '', to: [`dead ${sign}`, ...held(layer, `dead ${sign} shift`)] });
    else presses.push({ key, layer, gives: sign, to: layer === 'base' ? ['base'] : ['base', layer] });
  };
  base.forEach((row, y) => {
    const plain = row.split(' ');
    const shifted = shift[y]!.split(' ');
    plain.forEach((sign, x) => {
      const key = freeName(sign, keys);
      keys[key] = place(OFFSETS[form][y]! + x + 0.5, y, 1);
      give(key, 'base', sign);
      if (shifted[x] !== undefined) give(key, 'shift', shifted[x]);
      if (altGr[sign] !== undefined) give(key, 'alt', altGr[sign]);
      for (const mark of deadSigns) compose(presses, mark, key, sign, shifted[x] ?? sign);
    });
  });
  for (const layer of ['base', 'shift']) {
    presses.push({ key: 'space', layer, gives: ' ', to: layer === 'base' ? ['base'] : ['base', layer] });
    presses.push({ key: 'return', layer, gives: '\n', to: ['base'] });
  }
  presses.push({ key: 'tab', layer: 'base', gives: '\t', to: ['base'] });
  presses.push(...SHIFTS.map((key): Press => ({ key, layer: 'base', gives: '', to: ['shift'] })));
  if (Object.keys(altGr).length > 0) presses.push({ key: 'right alt', layer: 'base', gives: '', to: ['alt'] });
  for (const mark of deadSigns) {
    presses.push({ key: 'space', layer: `dead ${mark}`, gives: mark, to: ['base'] });
    presses.push(
      ...SHIFTS.map((key): Press => ({ key, layer: `dead ${mark}`, gives: '', to: [`dead ${mark} shift`] })),
    );
  }
  return { id, name, language, kind: 'hardware', keys, presses, start: 'base', automaticCapital: null };
}

/** Shift that was held for a waiting sign may go on being held for the letter. */
function held(layer: string, next: string): string[] {
  return layer === 'shift' ? [next] : [];
}

/** What a letter becomes after a waiting sign, if there is such a letter. */
function compose(presses: Press[], mark: string, key: string, plain: string, shifted: string): void {
  const of = (letter: string) => (letter + MARKS[mark]!).normalize('NFC');
  if (/^\p{L}$/u.test(plain) && of(plain).length === 1)
    presses.push({ key, layer: `dead ${mark}`, gives: of(plain), to: ['base'] });
  if (/^\p{L}$/u.test(shifted) && of(shifted).length === 1) {
    presses.push({ key, layer: `dead ${mark} shift`, gives: of(shifted), to: ['base', 'shift'] });
  }
}

function place(x: number, y: number, width: number): Key {
  return { x: x * PITCH, y: y * PITCH, width: width * PITCH, height: PITCH };
}

/** National layouts as their standards have them (ANSI INCITS 154, BS 4822, DIN 2137, NF Z71-300's forerunner, Spain's), from memory. */
export const HARDWARE_LAYOUTS: Readonly<Record<string, HardwareLayout>> = {
  'hardware-en-us': {
    type: 'hardware',
    name: 'Keyboard, US English',
    language: 'en-US',
    form: 'ANSI',
    base: ['` 1 2 3 4 5 6 7 8 9 0 - =', 'q w e r t y u i o p [ ] \\', "a s d f g h j k l ; '", 'z x c v b n m , . /'],
    shift: ['~ ! @ # $ % ^ & * ( ) _ +', 'Q W E R T Y U I O P { } |', 'A S D F G H J K L : "', 'Z X C V B N M < > ?'],
    altGr: {},
    dead: '',
  },
  'hardware-en-gb': {
    type: 'hardware',
    name: 'Keyboard, UK English',
    language: 'en-GB',
    form: 'ISO',
    base: ['` 1 2 3 4 5 6 7 8 9 0 - =', 'q w e r t y u i o p [ ]', "a s d f g h j k l ; ' #", '\\ z x c v b n m , . /'],
    shift: ['¬ ! " £ $ % ^ & * ( ) _ +', 'Q W E R T Y U I O P { }', 'A S D F G H J K L : @ ~', '| Z X C V B N M < > ?'],
    altGr: { '`': '¦', '4': '€', e: 'é', u: 'ú', i: 'í', o: 'ó', a: 'á' },
    dead: '',
  },
  'hardware-de': {
    type: 'hardware',
    name: 'Keyboard, German',
    language: 'de',
    form: 'ISO',
    base: ['^ 1 2 3 4 5 6 7 8 9 0 ß ´', 'q w e r t z u i o p ü +', 'a s d f g h j k l ö ä #', '< y x c v b n m , . -'],
    shift: ['° ! " § $ % & / ( ) = ? `', 'Q W E R T Z U I O P Ü *', "A S D F G H J K L Ö Ä '", '> Y X C V B N M ; : _'],
    altGr: {
      '2': '²',
      '3': '³',
      '7': '{',
      '8': '[',
      '9': ']',
      '0': '}',
      ß: '\\',
      q: '@',
      e: '€',
      '+': '~',
      '<': '|',
      m: 'µ',
    },
    dead: '^´`',
  },
  'hardware-fr': {
    type: 'hardware',
    name: 'Keyboard, French',
    language: 'fr',
    form: 'ISO',
    base: ['² & é " \' ( - è _ ç à ) =', 'a z e r t y u i o p ^ $', 'q s d f g h j k l m ù *', '< w x c v b n , ; : !'],
    shift: ['² 1 2 3 4 5 6 7 8 9 0 ° +', 'A Z E R T Y U I O P ¨ £', 'Q S D F G H J K L M % µ', '> W X C V B N ? . / §'],
    altGr: {
      é: '~',
      '"': '#',
      "'": '{',
      '(': '[',
      '-': '|',
      è: '`',
      _: '\\',
      ç: '^',
      à: '@',
      ')': ']',
      '=': '}',
      e: '€',
    },
    dead: '^¨',
  },
  'hardware-es': {
    type: 'hardware',
    name: 'Keyboard, Spanish',
    language: 'es',
    form: 'ISO',
    base: ["º 1 2 3 4 5 6 7 8 9 0 ' ¡", 'q w e r t y u i o p ` +', 'a s d f g h j k l ñ ´ ç', '< z x c v b n m , . -'],
    shift: ['ª ! " · $ % & / ( ) = ? ¿', 'Q W E R T Y U I O P ^ *', 'A S D F G H J K L Ñ ¨ Ç', '> Z X C V B N M ; : _'],
    altGr: { º: '\\', '1': '|', '2': '@', '3': '#', '4': '~', '6': '¬', e: '€', '`': '[', '+': ']', '´': '{', ç: '}' },
    dead: '`^´¨',
  },
};
