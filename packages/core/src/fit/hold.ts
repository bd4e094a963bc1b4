import { countClusters } from '../model';
import type { DeviceProfile } from './profile';

/** Why a device cannot take an entry. */
export type Refusal = 'too long' | 'space in code';

/** A text as a device holds it: where it knows no lines they are joined by a space. */
export function textHeld(text: string, { lines }: DeviceProfile): string {
  return lines || !text.includes('\n') ? text : text.replaceAll(/\s*\n\s*/gu, ' ').trim();
}

/** Why a device cannot take a code with its text, as `textHeld` gives it; null: it can. */
export function refusalOf(
  { code, text }: { code: string; text: string },
  { longestExpansion, spacesInCodes }: DeviceProfile,
): Refusal | null {
  if (!spacesInCodes && /\s/u.test(code)) return 'space in code';
  // No cluster is shorter than a unit, so most texts need not be counted.
  return longestExpansion !== null && text.length > longestExpansion && countClusters(text) > longestExpansion
    ? 'too long'
    : null;
}
