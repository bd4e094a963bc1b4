import type { Keyboard } from './keyboard';
import type { Timing } from './timing';
import { cheapestWay, type NotOnKeyboard } from './way';

/** Every press as good as any other: the quickest way is then the one of fewest presses. */
const EACH: Timing = Object.assign(() => 1, { isEven: true });

/**
 * Keystrokes per character of a text (MacKenzie 2002): presses by characters, spaces and new lines among
 * them; 0 of an empty text.
 */
export function kspcOf(text: string, keyboard: Keyboard): number | NotOnKeyboard {
  const way = cheapestWay(text, keyboard, EACH);
  if (way.type === 'not-on-keyboard') return way;
  const characters = Array.from(text.normalize('NFC')).length;
  return characters === 0 ? 0 : way.taps / characters;
}

/**
 * The same of a language, from how often one character follows another: `pairs` by both characters, with
 * their counts. Each pair is typed after its first character; presses are weighed by the counts.
 */
export function kspcOfLetters(pairs: ReadonlyMap<string, number>, keyboard: Keyboard): number {
  let presses = 0;
  let count = 0;
  const tapsOf = (text: string): number => {
    const way = cheapestWay(text, keyboard, EACH);
    return way.type === 'way' ? way.taps : NaN;
  };
  for (const [pair, times] of pairs) {
    const [first] = Array.from(pair);
    presses += (tapsOf(pair) - tapsOf(first!)) * times;
    count += times;
  }
  return presses / count;
}
