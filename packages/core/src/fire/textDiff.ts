/** What was changed between two texts. */
import type { Edit } from './range';

/** The smallest edit that turns `before` into `after`, never inside a surrogate pair. Linear. */
export function difference(before: string, after: string): Edit {
  const most = Math.min(before.length, after.length);
  let head = 0;
  while (head < most && before.charCodeAt(head) === after.charCodeAt(head)) head += 1;
  if (head > 0 && isHighSurrogate(before.charCodeAt(head - 1))) head -= 1;
  let tail = 0;
  while (
    tail < most - head &&
    before.charCodeAt(before.length - 1 - tail) === after.charCodeAt(after.length - 1 - tail)
  ) {
    tail += 1;
  }
  if (tail > 0 && isLowSurrogate(before.charCodeAt(before.length - tail))) tail -= 1;
  return {
    range: { start: head, end: before.length - tail },
    replacement: after.slice(head, after.length - tail),
    caret: after.length - tail,
  };
}

/**
 * As `difference`, for a change after which the caret stands at `caret`: of several ways to read
 * a change (one more l in hello) the one that ends there.
 */
export function differenceAt(before: string, after: string, caret: number): Edit {
  const tail = after.length - caret;
  const isAtCaret = tail <= before.length && before.endsWith(after.slice(caret));
  if (!isAtCaret) return { ...difference(before, after), caret };
  const end = before.length - tail;
  const most = Math.min(end, caret);
  let start = 0;
  while (start < most && before.charCodeAt(start) === after.charCodeAt(start)) start += 1;
  if (start > 0 && isHighSurrogate(before.charCodeAt(start - 1))) start -= 1;
  return { range: { start, end }, replacement: after.slice(start, caret), caret };
}

function isHighSurrogate(unit: number): boolean {
  return unit >= 0xd800 && unit <= 0xdbff;
}

function isLowSurrogate(unit: number): boolean {
  return unit >= 0xdc00 && unit <= 0xdfff;
}
