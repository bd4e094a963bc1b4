import type { Range } from '../fire';

/** A gap to be filled by hand: three underscores or more, as a person draws one. */
const GAPS = /_{3,}/gu;

/**
 * The next gap from a place on, or the last before it; null: none is left that way. A gap that holds the place, or
 * is selected, is not the next one.
 */
export function nextGap(text: string, from: Range, way: 'forward' | 'back' = 'forward'): Range | null {
  let found: Range | null = null;
  for (const { 0: gap, index: start } of text.matchAll(GAPS)) {
    const range = { start, end: start + gap.length };
    if (way === 'forward' && start >= from.end && !(start === from.start && range.end === from.end)) return range;
    if (way === 'back') {
      if (range.end > from.start) break;
      found = range;
    }
  }
  return found;
}
