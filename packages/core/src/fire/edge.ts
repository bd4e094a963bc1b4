/** Where a code may begin: not in the middle of a word, unless it may stand anywhere. */
import type { FiringRules } from '../model';
import { classAt, classBefore, isJoinedAt, JOINS, OPENING, SIDE, UNSPACED_LETTER, WORD } from './character';

/** `word`: only where a word could begin; `anywhere`: no test. */
export type Edge = FiringRules['edge'];

/**
 * Whether a code that begins at `start` of `text` has an edge before it. A code that begins with a
 * letter or digit needs a place where a word may begin (UAX #29, Word_Break); one that begins with
 * a mark needs the start of the text, white space or opening punctuation. Where letters of a script
 * without spaces stand, there is nothing to test.
 */
export function hasEdgeBefore(text: string, start: number, edge: Edge): boolean {
  return edge === 'anywhere' || isEdge(classBefore(text, start), classAt(text, start), text, start);
}

/** The same for the word's edge, where the classes on both sides of `start` are known. */
export function isEdge(before: number, first: number, text: string, start: number): boolean {
  const side = first & SIDE;
  if (side === WORD) {
    return (before & SIDE) !== WORD && ((before & JOINS) === 0 || !isJoinedAt(text, start));
  }
  return side === UNSPACED_LETTER || (before & SIDE) === OPENING;
}
