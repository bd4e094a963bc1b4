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

  /** Notes an edit of `before`. What changes nothing is no step. `joins`: it may join the typing before it. */
  record(before: { text: string; caret: Range }, edit: Edit, joins: boolean): UndoHistory {
    const { range, replacement: inserted, caret: caretAfter } = edit;
    const removed = before.text.slice(range.start, range.end);
    if (removed === inserted) return this;
    const step = { range, removed, inserted, caretBefore: before.caret };
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
        caretAfter,
      };
      return new UndoHistory([...this.done.slice(0, -1), joined], []);
    }
    const added: Step = { ...step, caretAfter, open: joins };
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
