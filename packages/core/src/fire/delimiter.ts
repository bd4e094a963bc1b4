import { classAt, ENDS } from './character';

/** Whether `character` (one code point) ends a code by our standard (rule 1.6). */
export function isDelimiter(character: string): boolean {
  return (classAt(character, 0) & ENDS) !== 0;
}

/** Tells delimiters, of our standard or of a device's own choice. An empty choice has none. */
export function delimiterTest(chosen: 'standard' | readonly string[]): (character: string) => boolean {
  if (chosen === 'standard') return isDelimiter;
  const set = new Set(chosen);
  return (character) => set.has(character);
}
