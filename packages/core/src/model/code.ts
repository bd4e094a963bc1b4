import { LIMITS } from './limits';
import type { TextProblem } from './problem';
import { countClusters, findBadCharacter, hasMoreClusters, placeOf } from './text';

/**
 * Full case folding of one string, character by character, so that no mapping depends on its
 * neighbours (final sigma does in `toLowerCase`). Lower, upper, lower reaches the full folding of
 * Unicode's CaseFolding.txt (ẞ, ß and SS all give ss); dotless ı has no folding there and keeps
 * to itself.
 */
export function foldCase(text: string): string {
  let folded = '';
  for (const character of text) {
    folded += character === 'ı' ? character : character.toLowerCase().toUpperCase().toLowerCase();
  }
  return folded.replaceAll('ς', 'σ');
}

const ASCII = /^[\x00-\x7f]*$/;

/**
 * The form under which codes are compared: canonical caseless matching (Unicode, section 3.13,
 * D145), kept composed. Two codes with one match key are the same code to whoever types them.
 */
export function matchKey(code: string): string {
  if (ASCII.test(code)) return code.toLowerCase();
  return foldCase(code.normalize('NFD')).normalize('NFC');
}

/**
 * Whether a text is the code itself, but for its capitals: the shortcut sets a word's capitals right, or keeps a device from
 * changing it. Whoever types the word means it, so that it never fires by mistake.
 */
export function isItself(code: string, expansion: string): boolean {
  return /\p{L}/u.test(code) && matchKey(code) === matchKey(expansion.trim());
}

/** A character shown as a picture (Unicode Technical Standard 51): no keyboard types it with a key of its own. */
export const EMOJI = /\p{Emoji_Presentation}|\p{Extended_Pictographic}\uFE0F/u;

/** A code as it is kept: white space around it is never meant. Inside, it stays. */
export function trimCode(code: string): string {
  return code.trim();
}

/** The first rule of the model that `code` breaks, or null. Expects a trimmed code. */
export function checkCode(code: string): TextProblem | null {
  if (code === '') return { type: 'empty' };
  const bad = findBadCharacter(code);
  if (bad) return { type: bad.type, codePoint: bad.codePoint, place: placeOf(code, bad.index) };
  if (hasMoreClusters(code, LIMITS.codeClusters)) {
    return { type: 'too-many-clusters', limit: LIMITS.codeClusters, found: countClusters(code) };
  }
  const codePoints = Array.from(code).length;
  if (codePoints > LIMITS.codeCodePoints) {
    return { type: 'too-many-code-points', limit: LIMITS.codeCodePoints, found: codePoints };
  }
  return null;
}
