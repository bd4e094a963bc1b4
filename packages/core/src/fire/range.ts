/** Stretches of text and what happens to them when the text changes. Offsets are UTF-16 units. */

/** From `start` up to, not including, `end`. */
export interface Range {
  readonly start: number;
  readonly end: number;
}

/** Replace `range` by `replacement`, then put the caret at `caret` (an offset in the new text). */
export interface Edit {
  readonly range: Range;
  readonly replacement: string;
  readonly caret: number;
}

export function applyEdit(text: string, edit: Pick<Edit, 'range' | 'replacement'>): string {
  return text.slice(0, edit.range.start) + edit.replacement + text.slice(edit.range.end);
}

/** Two edits of a text, one after the other, as one. `before` and `after`: the text before both and after both. */
export function joinEdits(first: Edit, second: Edit, before: string, after: string): Edit {
  const shift = first.replacement.length - (first.range.end - first.range.start);
  const start = Math.min(first.range.start, second.range.start);
  const end = Math.max(first.range.end, second.range.end - shift);
  return {
    range: { start, end },
    replacement: after.slice(start, after.length - (before.length - end)),
    caret: second.caret,
  };
}

/**
 * The ranges as they stand after `replaced` became `length` units long. What lies before stays,
 * what lies after moves; a range that is cut into keeps only its untouched parts.
 */
export function shiftRanges(ranges: readonly Range[], replaced: Range, length: number): Range[] {
  const shift = length - (replaced.end - replaced.start);
  const shifted: Range[] = [];
  for (const range of ranges) {
    if (range.end <= replaced.start) {
      shifted.push(range);
    } else if (range.start >= replaced.end) {
      shifted.push({ start: range.start + shift, end: range.end + shift });
    } else {
      if (range.start < replaced.start) shifted.push({ start: range.start, end: replaced.start });
      if (range.end > replaced.end) {
        shifted.push({ start: replaced.end + shift, end: range.end + shift });
      }
    }
  }
  return shifted;
}

/** `ranges` (in order, apart from each other) with `added` among them, joined where they touch. */
export function addRange(ranges: readonly Range[], added: Range): Range[] {
  if (added.start === added.end) return [...ranges];
  const joined: Range[] = [];
  let { start, end } = added;
  let placed = false;
  for (const range of ranges) {
    if (range.end < start) {
      joined.push(range);
    } else if (range.start > end) {
      if (!placed) joined.push({ start, end });
      placed = true;
      joined.push(range);
    } else {
      start = Math.min(start, range.start);
      end = Math.max(end, range.end);
    }
  }
  if (!placed) joined.push({ start, end });
  return joined;
}

/** Whether `range` lies wholly inside one of `ranges`. */
export function isWithin(ranges: readonly Range[], range: Range): boolean {
  return ranges.some(({ start, end }) => start <= range.start && range.end <= end);
}
