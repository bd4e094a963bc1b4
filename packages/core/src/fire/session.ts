import { isDelimiter } from './delimiter';
import type { CompiledList, Match } from './list';
import { addRange, applyEdit, isWithin, shiftRanges, type Edit, type Range } from './range';

/**
 * A text being typed, as a value. Every function here returns a new one.
 *
 * `quiet` are the stretches that were not typed (pasted, put in by a firing) or were given back by
 * Backspace: a code inside one does not fire until one of its characters changes.
 */
export interface TypingSession {
  readonly text: string;
  readonly caret: Range;
  readonly quiet: readonly Range[];
  /** A match whose delimiter may still turn out to be part of a longer code. */
  readonly waiting: Match | null;
  /** What one Backspace straight after takes back. */
  readonly lastFiring: Firing | null;
  /** The session as it was before the composition in progress, and the range that it replaces. */
  readonly composition: { before: TypingSession; replaced: Range } | null;
}

interface Firing {
  readonly id: string;
  /** From the start of the code to the caret: what was typed, and its code's length. */
  readonly typed: string;
  readonly codeLength: number;
  /** The same stretch after the firing. */
  readonly start: number;
  readonly end: number;
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
  | { type: 'caret'; caret: Range };

/** What came of an input, for a line under the page and for use counts. */
export type FiringEvent =
  | { type: 'fired'; id: string; typed: string; expansion: string }
  | { type: 'taken-back'; id: string; typed: string };

export interface Outcome {
  session: TypingSession;
  /** To apply to the field as it stands after the input; null: nothing to do. */
  edit: Edit | null;
  events: FiringEvent[];
}

/** A session over `text` with the caret at its end. Text that was there before is not quiet. */
export function startSession(text = ''): TypingSession {
  return {
    text,
    caret: { start: text.length, end: text.length },
    quiet: [],
    waiting: null,
    lastFiring: null,
    composition: null,
  };
}

/**
 * Follows one input. The session it returns has the edit applied already.
 * Costs O(text) for the copy of the text, and a look-up in `list` where something was typed.
 */
export function type(session: TypingSession, input: Input, list: CompiledList): Outcome {
  switch (input.type) {
    case 'caret':
      return unchanged(withCaret(session, input.caret));
    case 'composition-end':
      return endComposition(session, list);
    case 'edit':
      if (input.how === 'composing') return compose(session, input.range, input.text);
      if (input.how === 'typing') return typeText(session, input.range, input.text, list);
      if (input.how === 'backspace') return backspace(session, input.range);
      return replaceQuietly(session, input.range, input.text, input.caret);
  }
}

function unchanged(session: TypingSession): Outcome {
  return { session, edit: null, events: [] };
}

/** The session with the field's own change in it and nothing fired. */
function withReplaced(session: TypingSession, range: Range, text: string): TypingSession {
  const caret = range.start + text.length;
  return {
    text: applyEdit(session.text, { range, replacement: text }),
    caret: { start: caret, end: caret },
    quiet: shiftRanges(session.quiet, range, text.length),
    waiting: null,
    lastFiring: null,
    composition: null,
  };
}

function withCaret(session: TypingSession, caret: Range): TypingSession {
  const same = caret.start === session.caret.start && caret.end === session.caret.end;
  return same ? session : { ...session, caret, waiting: null, lastFiring: null };
}

function replaceQuietly(
  session: TypingSession,
  range: Range,
  text: string,
  caretAfter = range.start + text.length,
): Outcome {
  const next = withReplaced(session, range, text);
  return unchanged({
    ...next,
    caret: { start: caretAfter, end: caretAfter },
    quiet: addRange(next.quiet, { start: range.start, end: range.start + text.length }),
  });
}

// ── typing ──────────────────────────────────────────────────────────────────────────────────

/** A text that arrives at once (dictation, a composition's end) is typed character by character. */
function typeText(session: TypingSession, range: Range, text: string, list: CompiledList): Outcome {
  const tail = session.text.length - range.end;
  const natural = applyEdit(session.text, { range, replacement: text });
  const events: FiringEvent[] = [];
  let next = session;
  let at = range;
  let firstTouched = natural.length;
  for (const character of text) {
    const typed = typeCharacter(next, at, character, list);
    if (typed.firedFrom !== null) firstTouched = Math.min(firstTouched, typed.firedFrom);
    events.push(...typed.events);
    next = typed.session;
    at = next.caret;
  }
  if (text === '') next = withReplaced(session, range, '');
  if (events.length === 0) return unchanged(next);
  const end = natural.length - tail;
  const edit: Edit = {
    range: { start: firstTouched, end },
    replacement: next.text.slice(firstTouched, next.text.length - tail),
    caret: next.caret.start,
  };
  return { session: next, edit, events };
}

interface TypedCharacter {
  session: TypingSession;
  firedFrom: number | null;
  events: FiringEvent[];
}

function typeCharacter(
  session: TypingSession,
  range: Range,
  character: string,
  list: CompiledList,
): TypedCharacter {
  const typed = withReplaced(session, range, character);
  const waited = range.start === range.end ? session.waiting : null;
  const ended = isDelimiter(character) ? longestTyped(typed, range.start, list) : null;
  const match = longer(ended, waited);
  if (!match) return { session: typed, firedFrom: null, events: [] };

  const live = list.liveStart(typed.text, typed.caret.start);
  if (live !== -1 && live <= match.start) {
    return { session: { ...typed, waiting: match }, firedFrom: null, events: [] };
  }
  return {
    session: fire(typed, match),
    firedFrom: match.start,
    events: [
      {
        type: 'fired',
        id: match.entry.id,
        typed: typed.text.slice(match.start, match.end),
        expansion: match.entry.expansion,
      },
    ],
  };
}

/** The longest code that ends at `end` and is not quiet. */
function longestTyped(session: TypingSession, end: number, list: CompiledList): Match | null {
  const matches = list.matchesEndingAt(session.text, end);
  return matches.find((match) => !isWithin(session.quiet, match)) ?? null;
}

/** Of a match that just ended and one that has waited, the one that took in more. */
function longer(ended: Match | null, waited: Match | null): Match | null {
  if (!ended || !waited) return ended ?? waited;
  return ended.start <= waited.start ? ended : waited;
}

/** Puts the expansion of `match` in its place and keeps what was typed after it. */
function fire(session: TypingSession, match: Match): TypingSession {
  const { expansion, id } = match.entry;
  const caret = session.caret.start;
  const next = withReplaced(session, match, expansion);
  const after = caret + expansion.length - (match.end - match.start);
  return {
    ...next,
    caret: { start: after, end: after },
    quiet: addRange(next.quiet, { start: match.start, end: match.start + expansion.length }),
    lastFiring: {
      id,
      typed: session.text.slice(match.start, caret),
      codeLength: match.end - match.start,
      start: match.start,
      end: after,
    },
  };
}

// ── taking back ─────────────────────────────────────────────────────────────────────────────

/**
 * Backspace has deleted `range`. Straight after a firing it means "not that": the stretch from
 * the code to the caret comes back as it was typed, and the code in it stays quiet.
 */
function backspace(session: TypingSession, range: Range): Outcome {
  const firing = session.lastFiring;
  const next = withReplaced(session, range, '');
  if (!firing || range.end !== firing.end || range.start < firing.start) return unchanged(next);
  const edit: Edit = {
    range: { start: firing.start, end: range.start },
    replacement: firing.typed,
    caret: firing.start + firing.typed.length,
  };
  const restored = withReplaced(next, edit.range, edit.replacement);
  const code: Range = { start: firing.start, end: firing.start + firing.codeLength };
  return {
    session: { ...restored, quiet: addRange(restored.quiet, code) },
    edit,
    events: [
      { type: 'taken-back', id: firing.id, typed: firing.typed.slice(0, firing.codeLength) },
    ],
  };
}

// ── composition ─────────────────────────────────────────────────────────────────────────────

/** Text under composition may still turn into other characters: nothing fires inside it. */
function compose(session: TypingSession, range: Range, text: string): Outcome {
  const begun = session.composition ?? { before: session, replaced: range };
  const shown = withReplaced(session, range, text);
  // What it replaces in the text before lies between the head and the tail it has not touched.
  const start = Math.min(begun.replaced.start, range.start);
  const tail = Math.min(
    begun.before.text.length - begun.replaced.end,
    session.text.length - range.end,
  );
  const replaced = { start, end: begun.before.text.length - tail };
  return unchanged({ ...shown, composition: { before: begun.before, replaced } });
}

/** What was composed counts as typed when the composition ends. */
function endComposition(session: TypingSession, list: CompiledList): Outcome {
  if (!session.composition) return unchanged(session);
  const { before, replaced } = session.composition;
  const tail = before.text.length - replaced.end;
  const composed = session.text.slice(replaced.start, session.text.length - tail);
  return typeText(before, replaced, composed, list);
}
