/** How much of what stands before the caret was typed by hand. Pure; the fields of a page are read and edited elsewhere. */
import { applyInput, startSession, type CompiledList, type Outcome, type TypingSession } from '@yellow-latch/core/fire';

import type { Before } from './surface';

/** So far before the caret a field is read, in UTF-16 units: more than the longest code, 160 code points. */
export const REACH = 400;
/** A session that grew longer than this, in units, goes on with its end. */
const LONGEST = 8_000;

/** What is known of the text before the caret: a session, of which the page may have written the part before `handFrom`. */
export interface ByHand {
  readonly session: TypingSession;
  /** Whether the line begins where the session's text does. */
  readonly isWhole: boolean;
  /** What was typed by hand behind the caret, before it was moved back. */
  readonly rest: string;
}

/** Nothing that stands there was typed by hand, as far as anybody knows. */
export function beginByHand({ text, isWhole }: Before): ByHand {
  return { session: startSession(text, false, text.length), isWhole, rest: '' };
}

/** Whether the field holds what the session says it does. */
export function fits({ session, isWhole }: ByHand, before: Before): boolean {
  const line = lineOf(session);
  const end = line.slice(-REACH);
  return isWhole || line.length < session.text.length ? before.text === end : before.text.endsWith(end);
}

/**
 * The session as the field stands now: the same, or with the caret moved along what was typed by hand, if its owner may
 * have moved it; else begun anew, since somebody else wrote there.
 */
export function reconciled(known: ByHand, before: Before, list: CompiledList, mayHaveMoved: boolean): ByHand {
  if (fits(known, before)) return known;
  return (mayHaveMoved ? movedTo(known, before, list) : null) ?? beginByHand(before);
}

function movedTo({ session, isWhole, rest }: ByHand, before: Before, list: CompiledList): ByHand | null {
  const line = lineOf(session);
  const hasStart = isWhole || line.length < session.text.length;
  if (!hasStart || !before.isWhole) return null;
  const end = session.text.length;
  if (line.startsWith(before.text)) {
    const start = end - line.length + before.text.length;
    // What the page wrote would count as typed on the way back.
    if (start < session.handFrom) return null;
    const moved = session.text.slice(start);
    return { session: replaced(session, { start, end }, '', list), isWhole, rest: moved + rest };
  }
  const moved = before.text.slice(line.length);
  if (!before.text.startsWith(line) || !rest.startsWith(moved)) return null;
  const next = replaced(session, { start: end, end }, moved, list);
  return { session: next, isWhole, rest: rest.slice(moved.length) };
}

/** What comes of a text typed by hand at the caret. */
export function typedByHand({ session }: ByHand, text: string, list: CompiledList): Outcome {
  return applyInput(session, { type: 'edit', range: session.caret, text, how: 'typing' }, list);
}

/** What comes of a Backspace. */
export function backspacedByHand({ session }: ByHand, list: CompiledList): Outcome {
  const { start: end } = session.caret;
  const last = Array.from(session.text.slice(-2)).at(-1) ?? '';
  return applyInput(
    session,
    { type: 'edit', range: { start: end - last.length, end }, text: '', how: 'backspace' },
    list,
  );
}

/** The same under another session. One that grew long keeps its end alone, unless a Backspace would need more. */
export function withSession(known: ByHand, session: TypingSession, list: CompiledList): ByHand {
  const cut = session.text.length - REACH;
  if (session.text.length <= LONGEST || session.lastFiring || session.waiting) return { ...known, session };
  const { session: shorter } = applyInput(
    session,
    { type: 'edit', range: { start: 0, end: cut }, text: '', how: 'other', caret: REACH },
    list,
  );
  return { ...known, session: shorter, isWhole: false };
}

/**
 * A session as a field holds it that took what came in from `start` on in its own way: in one line, or without the space at its
 * end.
 */
export function heldAs(session: TypingSession, start: number, held: string): TypingSession {
  const text = session.text.slice(0, start) + held;
  if (text === session.text) return session;
  const within = (place: number) => Math.min(place, text.length);
  const { lastFiring, quiet } = session;
  return {
    ...session,
    text,
    caret: { start: text.length, end: text.length },
    quiet: quiet.map((range) => ({ start: within(range.start), end: within(range.end) })),
    lastFiring: lastFiring && { ...lastFiring, end: text.length, insertedEnd: within(lastFiring.insertedEnd) },
  };
}

function replaced(
  session: TypingSession,
  range: { start: number; end: number },
  text: string,
  list: CompiledList,
): TypingSession {
  return applyInput(session, { type: 'edit', range, text, how: 'other' }, list).session;
}

function lineOf({ text }: TypingSession): string {
  return text.slice(text.lastIndexOf('\n') + 1);
}
