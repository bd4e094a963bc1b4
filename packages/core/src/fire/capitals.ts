/** What the capitals a person typed mean for what fires and for what appears. */
import type { FiringEntry } from './rules';

const CASED = /[\p{Lu}\p{Ll}\p{Lt}]/gu;
const DIGRAPHS: Record<string, string> = { ǆ: 'ǅ', ǉ: 'ǈ', ǌ: 'ǋ', ǳ: 'ǲ' };

/** Whether a code typed as `typed` may fire `entry`, as far as capitals go. */
export function fitsCapitals(entry: FiringEntry, typed: string): boolean {
  return entry.capitals !== 'match' || typed.normalize('NFC') === entry.code.normalize('NFC');
}

/**
 * The expansion of `entry` for a code typed as `typed`. Where capitals follow: as written if typed as
 * written; all raised if every letter (two at least) was; its first letter raised if the first was.
 * Letters are raised as the entry's language does (Turkish i).
 */
export function expansionFor(entry: FiringEntry, typed: string): string {
  const { expansion, code, language } = entry;
  if (entry.capitals !== 'follow' || typed.normalize('NFC') === code.normalize('NFC')) {
    return expansion;
  }
  const letters = typed.match(CASED) ?? [];
  const raised = letters.filter((letter) => isRaised(letter, language));
  if (letters.length >= 2 && raised.length === letters.length) {
    return expansion.toLocaleUpperCase(locale(language));
  }
  return letters.length > 0 && isRaised(letters[0]!, language) ? raiseFirst(expansion, language) : expansion;
}

function isRaised(letter: string, language: string): boolean {
  return letter !== letter.toLocaleLowerCase(locale(language));
}

/** `text` with its first letter as a title has it: ǆ becomes ǅ, ß becomes Ss, ﬁ becomes Fi. */
export function raiseFirst(text: string, language: string): string {
  const first = /\p{Ll}/u.exec(text);
  const letterBefore = first && /[\p{Lu}\p{Lt}\p{Lo}]/u.test(text.slice(0, first.index));
  if (!first || letterBefore) return text;
  const upper = DIGRAPHS[first[0]] ?? first[0].toLocaleUpperCase(locale(language));
  const [head, ...tail] = Array.from(upper);
  const title = head + tail.join('').toLocaleLowerCase(locale(language));
  return text.slice(0, first.index) + title + text.slice(first.index + first[0].length);
}

function locale(language: string): string | undefined {
  return language === 'und' ? 'en' : language;
}
