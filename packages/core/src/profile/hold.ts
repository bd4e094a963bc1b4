import { countClusters } from '../model';
import type { DeviceProfile } from './profile';

/** Why a place cannot take an entry. */
export type Refusal = 'too long' | 'space in code' | 'several lines';

/** A text as a place holds it: where lines are joined, with a space between them. */
export function textHeld(text: string, { lines }: DeviceProfile): string {
  return lines === 'joined' && text.includes('\n') ? text.replaceAll(/\s*\n\s*/gu, ' ').trim() : text;
}

/** Why a place cannot take a code with its text, as `textHeld` gives it; null: it can. */
export function refusalOf(
  { code, text }: { code: string; text: string },
  { longestExpansion, spacesInCodes, lines }: DeviceProfile,
): Refusal | null {
  if (!spacesInCodes && /\s/u.test(code)) return 'space in code';
  if (lines === 'refused' && text.includes('\n')) return 'several lines';
  // No cluster is shorter than a unit, so most texts need not be counted.
  return longestExpansion !== null && text.length > longestExpansion && countClusters(text) > longestExpansion
    ? 'too long'
    : null;
}
