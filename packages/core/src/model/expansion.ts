import { LIMITS } from './limits';
import type { TextProblem } from './problem';
import { countClusters, findBadCharacter, hasMoreClusters, placeOf } from './text';

/** Bytes of `text` in UTF-8. */
export function utf8Bytes(text: string): number {
  let bytes = 0;
  for (const character of text) {
    const codePoint = character.codePointAt(0)!;
    bytes += 1 + Number(codePoint >= 0x80) + Number(codePoint >= 0x800) + Number(codePoint >= 0x10000);
  }
  return bytes;
}

/** The first rule of the model that `expansion` breaks, or null. Expects LF line breaks. */
export function checkExpansion(expansion: string): TextProblem | null {
  if (expansion === '') return { type: 'empty' };
  const bad = findBadCharacter(expansion, '\n\t');
  if (bad) {
    return { type: bad.type, codePoint: bad.codePoint, place: placeOf(expansion, bad.index) };
  }
  const bytes = utf8Bytes(expansion);
  if (bytes > LIMITS.expansionBytes) {
    return { type: 'too-many-bytes', limit: LIMITS.expansionBytes, found: bytes };
  }
  if (hasMoreClusters(expansion, LIMITS.expansionClusters)) {
    return { type: 'too-many-clusters', limit: LIMITS.expansionClusters, found: countClusters(expansion) };
  }
  return null;
}
