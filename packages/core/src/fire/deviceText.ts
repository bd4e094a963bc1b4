/** What a device changes in what is typed, before it looks for codes. Common practice, no source. */
import type { DeviceProfile } from '../profile';

export type DeviceRule = 'device-capital' | 'device-quote' | 'device-dash' | 'device-dots' | 'device-stop';

/** Instead of the character typed: so many characters before the caret go, and this is typed. */
export interface DeviceText {
  readonly rule: DeviceRule;
  readonly replaces: number;
  readonly text: string;
}

const SENTENCE_START = /(^|\n|[.!?]["')\]\u201d\u2019]*\s+)$/u;
const OPENS_QUOTE = /(^|[\s([{\u201c\u2018])$/u;
const AFTER_WORD = /[\p{L}\p{N}\p{M})\]"'\u201d\u2019]$/u;

/** So far back the rules look, in UTF-16 units; beyond it no sentence, quote or dash begins. */
export const FAR = 200;

/** Whether a quote typed behind this unit opens. */
export function opensQuote(unit: number): boolean {
  return OPENS_QUOTE.test(String.fromCharCode(unit));
}

/** Whether a unit may stand between a full stop and the space behind it. */
export function isClosing(unit: number): boolean {
  return unit === 0x22 || unit === 0x27 || unit === 0x29 || unit === 0x5d || unit === 0x201d || unit === 0x2019;
}

/** Whether a text ends in what a second space makes a full stop behind. */
export function isAfterWord(text: string): boolean {
  return AFTER_WORD.test(text);
}

/** Whether the device changes anything in what is typed. */
export function changesText({
  sentenceCapitals,
  smartQuotes,
  smartDashes,
  smartDots,
  doubleSpaceStop,
}: DeviceProfile): boolean {
  return sentenceCapitals || smartQuotes || smartDashes || smartDots || doubleSpaceStop;
}

/** Whether a sentence begins at `at`. Its cost does not depend on the text. */
export function atSentenceStart(text: string, at: number): boolean {
  return SENTENCE_START.test(before(text, at));
}

/** What stands before `at`, as far as it matters: a letter stands for what is too far back. */
function before(text: string, at: number): string {
  return at > FAR ? `x${text.slice(at - FAR, at)}` : text.slice(0, at);
}

/** What the device makes of `character` typed at `at` in `text`; null: it leaves it as it is. Its cost does not depend on the text. */
export function deviceText(text: string, at: number, character: string, profile: DeviceProfile): DeviceText | null {
  const typed = before(text, at);
  if (profile.sentenceCapitals && /^\p{Ll}$/u.test(character) && SENTENCE_START.test(typed)) {
    return { rule: 'device-capital', replaces: 0, text: character.toLocaleUpperCase('en') };
  }
  if (profile.smartQuotes && (character === '"' || character === "'")) {
    const [opening, closing] = character === '"' ? ['\u201c', '\u201d'] : ['\u2018', '\u2019'];
    const text = OPENS_QUOTE.test(typed) ? opening : closing;
    return { rule: 'device-quote', replaces: 0, text };
  }
  if (profile.smartDashes && character === '-' && /(^|[^-])-$/u.test(typed)) {
    return { rule: 'device-dash', replaces: 1, text: '\u2014' };
  }
  if (profile.smartDots && character === '.' && /(^|[^.])\.\.$/u.test(typed)) {
    return { rule: 'device-dots', replaces: 2, text: '\u2026' };
  }
  if (profile.doubleSpaceStop && character === ' ' && typed.endsWith(' ')) {
    if (isAfterWord(typed.slice(0, -1))) return { rule: 'device-stop', replaces: 1, text: '. ' };
  }
  return null;
}
