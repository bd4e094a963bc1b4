import type { Match, Offer } from './place';
import { applyEdit, shiftRanges, type Edit, type Range } from './range';

/**
 * A text being typed, as a value. Every function here returns a new one. The rules are told in
 * docs/firing.md, by the numbers that stand beside them here.
 *
 * `quiet` are the stretches that were not typed (pasted, put in by a firing), were given back by
 * Backspace, or were kept as typed: a code inside one does not fire until one of its characters
 * changes.
 */
export interface TypingSession {
  readonly text: string;
  readonly caret: Range;
  readonly quiet: readonly Range[];
  /** From here on everything was typed by hand, or put in by a firing: a code that begins before does not fire (rule 8.5). */
  readonly handFrom: number;
  /** A match that may still turn out to be the beginning of a longer code. */
  readonly waiting: Candidate | null;
  /** What one Backspace straight after takes back. */
  readonly lastFiring: Firing | null;
  /** The session as it was before the composition in progress, and the range that it replaces. */
  readonly composition: { before: TypingSession; replaced: Range } | null;
  /** In a password field nothing fires and nothing is offered. */
  readonly isSecret: boolean;
}

/** A match that would fire, and how many characters after it are its delimiter. */
export interface Candidate extends Match {
  readonly delimiter: number;
}

export interface Firing {
  readonly id: string;
  /** From the start of the code to the caret: what was typed, and its code's length. */
  readonly typed: string;
  readonly codeLength: number;
  /** The same stretch after the firing. */
  readonly start: number;
  readonly end: number;
  /** Where what was put in ends: at `end`, or before the delimiter and what came after. */
  readonly insertedEnd: number;
}

/** Something a person did, told after the field has shown it. */
export type Input =
  | {
      type: 'edit';
      /** What was replaced, in the text before. */
      range: Range;
      text: string;
      how: 'typing' | 'composing' | 'backspace' | 'paste' | 'other';
      /** Where the caret is now; after `text` unless given. */
      caret?: number;
    }
  | { type: 'composition-end' }
  | { type: 'caret'; caret: Range }
  /** An offer was tapped. */
  | { type: 'take'; offer: Offer }
  /** Offers were rejected: what stands before the caret stays as typed. */
  | { type: 'keep'; range: Range }
  /** What was asked for is there: it takes the place of its code; `caret` in the text, null: behind what was typed. */
  | { type: 'fill'; id: string; range: Range; text: string; caret: number | null };

/** What made a shortcut fire. */
export type FiredBy = 'delimiter' | 'instant' | 'waiting' | 'rescan' | 'offer' | 'filled';

/** What came of an input, for a line under the page and for use counts. */
export type FiringEvent =
  | { type: 'fired'; by: FiredBy; id: string; typed: string; expansion: string }
  | { type: 'taken-back'; id: string; typed: string }
  /** A code is complete whose expansion is to be made: `range` is what a fill is to replace. */
  | { type: 'asked'; id: string; typed: string; range: Range };

export interface Outcome {
  session: TypingSession;
  /** To apply to the field as it stands after the input; null: nothing to do. */
  edit: Edit | null;
  events: FiringEvent[];
}

/** More than this, in UTF-16 units, nobody types or dictates at once: it counts as pasted (rule 8.4). */
export const MOST_AT_ONCE = 2_000;

/**
 * A session over `text` with the caret at its end. Text that was there before is not quiet, but what stands before
 * `handFrom` was written by somebody else.
 */
export function startSession(text = '', isSecret = false, handFrom = 0): TypingSession {
  return {
    text,
    caret: { start: text.length, end: text.length },
    quiet: [],
    handFrom,
    waiting: null,
    lastFiring: null,
    composition: null,
    isSecret,
  };
}

export function unchanged(session: TypingSession): Outcome {
  return { session, edit: null, events: [] };
}

/** The session with the field's own change in it and nothing fired. */
export function withReplaced(session: TypingSession, range: Range, text: string): TypingSession {
  const caret = range.start + text.length;
  return {
    text: applyEdit(session.text, { range, replacement: text }),
    caret: { start: caret, end: caret },
    quiet: shiftRanges(session.quiet, range, text.length),
    handFrom: shiftedStart(session.handFrom, range, text.length),
    waiting: null,
    lastFiring: null,
    composition: null,
    isSecret: session.isSecret,
  };
}

/** Where what begins at `place` begins after `replaced` became `length` units long. */
function shiftedStart(place: number, replaced: Range, length: number): number {
  if (place <= replaced.start) return place;
  return place >= replaced.end ? place + length - (replaced.end - replaced.start) : replaced.start + length;
}

export function withCaret(session: TypingSession, caret: Range): TypingSession {
  const same = caret.start === session.caret.start && caret.end === session.caret.end;
  return same ? session : { ...session, caret, waiting: null, lastFiring: null };
}
