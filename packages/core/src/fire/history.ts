import type { Edit, Range } from './range';

/** One change of a text, with all that is needed to take it back and to make it again. */
export interface Step {
  range: Range;
  removed: string;
  inserted: string;
  caretBefore: Range;
  caretAfter: number;
  /** Whether a following step of typing may join this one. */
  open: boolean;
}

/**
 * The undo and redo steps of one text, as a value. Fields that a program edits lose the
 * browser's own history, so a page that fires keeps its own.
 *
 * Letters typed in a row are one step up to the next white space; a firing, a paste or a
 * deletion is a step of its own.
 */
export class UndoHistory {
  private constructor(
    private readonly done: readonly Step[],
    private readonly undone: readonly Step[],
  ) {}

  static readonly empty = new UndoHistory([], []);
  private static readonly limit = 1_000;

  /** Its newest steps as data, at most so many units of text in all, to be kept with the text and read by `from`. */
  data(mostUnits: number): { done: readonly Step[]; undone: readonly Step[] } {
    let units = 0;
    const keep = (steps: readonly Step[]) => {
      const first = steps.findLastIndex(
        ({ removed, inserted }) => (units += removed.length + inserted.length) > mostUnits,
      );
      return steps.slice(first + 1);
    };
    return { undone: keep(this.undone), done: keep(this.done) };
  }

  static from({ done, undone }: { done: readonly Step[]; undone: readonly Step[] }): UndoHistory {
    return new UndoHistory(done, undone);
  }

  get canUndo(): boolean {
    return this.done.length > 0;
  }

  get canRedo(): boolean {
    return this.undone.length > 0;
  }

  /** Notes that `before` became `after` with the caret moving as told. Equal texts are no step. */
  record(before: { text: string; caret: Range }, after: { text: string; caret: number }, joins: boolean): UndoHistory {
    if (before.text === after.text) return this;
    const step = { ...difference(before.text, after.text), caretBefore: before.caret };
    const last = this.done.at(-1);
    const follows =
      joins &&
      last?.open &&
      step.removed === '' &&
      step.range.start === last.range.start + last.inserted.length &&
      !(/\s$/u.test(last.inserted) && !/^\s/u.test(step.inserted));
    if (last && follows) {
      const joined = {
        ...last,
        inserted: last.inserted + step.inserted,
        caretAfter: after.caret,
      };
      return new UndoHistory([...this.done.slice(0, -1), joined], []);
    }
    const added: Step = { ...step, caretAfter: after.caret, open: joins };
    return new UndoHistory([...this.done, added].slice(-UndoHistory.limit), []);
  }

  /** The edit that takes back the last step, and the history after it; null: nothing to undo. */
  undo(): { edit: Edit; history: UndoHistory } | null {
    const step = this.done.at(-1);
    if (!step) return null;
    const { start } = step.range;
    return {
      edit: {
        range: { start, end: start + step.inserted.length },
        replacement: step.removed,
        caret: step.caretBefore.end,
      },
      history: new UndoHistory(this.done.slice(0, -1), [...this.undone, { ...step, open: false }]),
    };
  }

  /** The edit that makes the last undone step again, and the history after it. */
  redo(): { edit: Edit; history: UndoHistory } | null {
    const step = this.undone.at(-1);
    if (!step) return null;
    return {
      edit: { range: step.range, replacement: step.inserted, caret: step.caretAfter },
      history: new UndoHistory([...this.done, step], this.undone.slice(0, -1)),
    };
  }
}

/** The smallest replacement that turns `before` into `after`, never inside a surrogate pair. */
export function difference(before: string, after: string): { range: Range; removed: string; inserted: string } {
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
  const range = { start: head, end: before.length - tail };
  return {
    range,
    removed: before.slice(range.start, range.end),
    inserted: after.slice(head, after.length - tail),
  };
}

/**
 * As `difference`, for a change after which the caret stands at `caret`: of several ways to read
 * a change (one more l in hello) the one that ends there.
 */
export function differenceAt(
  before: string,
  after: string,
  caret: number,
): { range: Range; removed: string; inserted: string } {
  const tail = after.length - caret;
  const isAtCaret = tail <= before.length && before.endsWith(after.slice(caret));
  if (!isAtCaret) return difference(before, after);
  const end = before.length - tail;
  const most = Math.min(end, caret);
  let start = 0;
  while (start < most && before.charCodeAt(start) === after.charCodeAt(start)) start += 1;
  if (start > 0 && isHighSurrogate(before.charCodeAt(start - 1))) start -= 1;
  return {
    range: { start, end },
    removed: before.slice(start, end),
    inserted: after.slice(start, caret),
  };
}

function isHighSurrogate(unit: number): boolean {
  return unit >= 0xd800 && unit <= 0xdbff;
}

function isLowSurrogate(unit: number): boolean {
  return unit >= 0xdc00 && unit <= 0xdfff;
}
