import { expansionFor, fitsCapitals } from './capitals';
import { compose, composedIn } from './composition';
import type { CompiledList } from './list';
import type { Offer, Place } from './place';
import { addRange, applyEdit, isWithin, type Edit, type Range } from './range';
import { backspace } from './takingBack';
import {
  MOST_AT_ONCE,
  unchanged,
  withCaret,
  withReplaced,
  type Candidate,
  type FiredBy,
  type FiringEvent,
  type Input,
  type Outcome,
  type TypingSession,
} from './typingSession';

/** How often a device that rescans looks again at what it has just put in (rule 8.2). */
export const MOST_PASSES = 8;

/**
 * Follows one input. The session it returns has the edit applied already.
 * Costs O(text) for the copy of the text, and a look-up in `list` where something was typed.
 */
export function applyInput(session: TypingSession, input: Input, list: CompiledList): Outcome {
  switch (input.type) {
    case 'caret':
      return unchanged(withCaret(session, input.caret));
    case 'composition-end':
      return endComposition(session, list);
    case 'take':
      return takeOffer(session, input.offer);
    case 'fill':
      return fill(session, input);
    case 'keep':
      return unchanged({ ...session, waiting: null, quiet: addRange(session.quiet, input.range) });
    case 'edit':
      if (input.how === 'composing') return compose(session, input.range, input.text);
      if (input.how === 'typing' && input.text.length <= MOST_AT_ONCE)
        return typeText(session, input.range, input.text, list);
      if (input.how === 'backspace') return backspace(session, input.range);
      return replaceQuietly(session, input.range, input.text, input.caret);
  }
}

/** The best offers for what stands before the caret, but for what is to stay as typed (rules 6). */
export function offersOf(session: TypingSession, list: CompiledList, limit = 8): Offer[] {
  if (session.isSecret || session.composition || !list.profile.ways.includes('offer')) return [];
  if (session.caret.start !== session.caret.end) return [];
  const place = list.at(session.text, session.caret.start);
  const isByHand = ({ start }: Offer) => start >= session.handFrom;
  return place.offers(limit).filter((offer) => isByHand(offer) && !isWithin(session.quiet, offer));
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
  if (events.every(({ type: what }) => what === 'asked')) return { session: next, edit: null, events };
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

function typeCharacter(session: TypingSession, range: Range, character: string, list: CompiledList): TypedCharacter {
  const typed = withReplaced(session, range, character);
  if (session.isSecret) return { session: typed, firedFrom: null, events: [] };
  const waited = range.start === range.end ? session.waiting : null;
  const place = list.at(typed.text, typed.caret.start);
  const match = longer(candidate(typed, place, range.start, character, list), waited);
  if (!match) return { session: typed, firedFrom: null, events: [] };

  // Rule 4: what may go on to a longer code waits for it, if the device does.
  if (list.profile.prefix === 'wait') {
    const live = place.liveStart();
    if (live !== -1 && live <= match.start) {
      return { session: { ...typed, waiting: match }, firedFrom: null, events: [] };
    }
  }
  const events: FiringEvent[] = [];
  const ended = match.delimiter > 0 ? 'delimiter' : 'instant';
  const by = match === waited ? 'waiting' : ended;
  let fired = fire(typed, match, by, events);
  for (let pass = 1; list.profile.rescans && fired.lastFiring && pass < MOST_PASSES; pass += 1) {
    const again = rescan(fired, match.start, list);
    if (!again) break;
    const next = fire(fired, again, 'rescan', events);
    // One Backspace still takes back everything since the typing.
    const { start, typed: keys, codeLength } = fired.lastFiring;
    fired = { ...next, lastFiring: { ...next.lastFiring!, start, typed: keys, codeLength } };
  }
  return { session: fired, firedFrom: match.start, events };
}

/** What the character just typed, which begins at `at`, would fire: by rules 1 to 3. */
function candidate(
  session: TypingSession,
  place: Place,
  at: number,
  character: string,
  list: CompiledList,
): Candidate | null {
  const instant = firing(session, place, 'instant', 0);
  const isEnd = list.isDelimiter(character);
  const ended = isEnd ? firing(session, list.at(session.text, at), 'delimiter', character.length) : null;
  return longer(instant, ended);
}

/**
 * The longest code of this way that ends at `place`, is typed as its capitals ask, and is not quiet
 * (from `loudFrom` on nothing is).
 */
function firing(
  session: TypingSession,
  place: Place,
  way: 'instant' | 'delimiter',
  delimiter: number,
  loudFrom = Infinity,
): Candidate | null {
  const match = place
    .matches()
    .find(
      (found) =>
        found.entry.fires === way &&
        found.start >= session.handFrom &&
        fitsCapitals(found.entry, session.text.slice(found.start, found.end)) &&
        (found.start >= loudFrom || !isWithin(session.quiet, found)),
    );
  return match ? { ...match, delimiter } : null;
}

/** Of two matches the one that took in more; of equal beginnings the one that ended later. */
function longer(a: Candidate | null, b: Candidate | null): Candidate | null {
  if (!a || !b) return a ?? b;
  if (a.start !== b.start) return a.start < b.start ? a : b;
  return a.end >= b.end ? a : b;
}

/** Puts the expansion of `match` in its place and keeps what was typed after it (rules 5, 7). */
function fire(session: TypingSession, match: Candidate, by: FiredBy, events: FiringEvent[]): TypingSession {
  const { entry, start } = match;
  const caret = session.caret.start;
  const code = session.text.slice(start, match.end);
  const expansion = expansionFor(entry, code);
  const dropped = entry.delimiter === 'drop' ? match.delimiter : 0;
  const replaced = { start, end: match.end + dropped };
  if (entry.asks) {
    events.push({ type: 'asked', id: entry.id, typed: code, range: replaced });
    return { ...session, waiting: null, quiet: addRange(session.quiet, { start, end: match.end }) };
  }
  const next = withReplaced(session, replaced, expansion);
  const after = caret + expansion.length - (replaced.end - start);
  events.push({ type: 'fired', by, id: entry.id, typed: code, expansion });
  return {
    ...next,
    caret: { start: after, end: after },
    quiet: addRange(next.quiet, { start, end: start + expansion.length }),
    lastFiring: {
      id: entry.id,
      typed: session.text.slice(start, caret),
      codeLength: match.end - start,
      start,
      end: after,
      insertedEnd: start + expansion.length,
    },
  };
}

/**
 * Puts in what was asked for in the place of its code. The caret goes where the text says, else it stays behind what
 * was typed; then one Backspace takes the text back, as after any firing.
 */
function fill(session: TypingSession, { id, range, text, caret }: Extract<Input, { type: 'fill' }>): Outcome {
  const before = Math.max(session.caret.start, range.end);
  const typed = session.text.slice(range.start, before);
  const code = session.text.slice(range.start, range.end);
  const next = withReplaced(session, range, text);
  const after = caret === null ? before + text.length - (range.end - range.start) : range.start + caret;
  const lastFiring: TypingSession['lastFiring'] = {
    id,
    typed,
    codeLength: range.end - range.start,
    start: range.start,
    end: after,
    insertedEnd: range.start + text.length,
  };
  return {
    session: {
      ...next,
      caret: { start: after, end: after },
      quiet: addRange(next.quiet, { start: range.start, end: range.start + text.length }),
      lastFiring: caret === null ? lastFiring : null,
    },
    edit: { range, replacement: text, caret: after },
    events: [{ type: 'fired', by: 'filled', id, typed: code, expansion: text }],
  };
}

/** A code at the end of what was just put in, on a device that looks there again (rule 8.2). */
function rescan(session: TypingSession, start: number, list: CompiledList): Candidate | null {
  const end = session.lastFiring!.insertedEnd;
  const next = Array.from(session.text.slice(end, session.caret.start))[0] ?? '';
  const isEnd = next !== '' && list.isDelimiter(next);
  const place = list.at(session.text, end);
  const ended = isEnd ? firing(session, place, 'delimiter', next.length, start) : null;
  const match = longer(firing(session, place, 'instant', 0, start), ended);
  return match && match.start >= start ? match : null;
}

// ── offers ──────────────────────────────────────────────────────────────────────────────────

/** The offer takes the place of what it was offered for; one Backspace gives that back. */
function takeOffer(session: TypingSession, offer: Offer): Outcome {
  const events: FiringEvent[] = [];
  const next = fire(session, { ...offer, delimiter: 0 }, 'offer', events);
  if (events[0]?.type === 'asked') return { session: next, edit: null, events };
  const edit: Edit = {
    range: { start: offer.start, end: offer.end },
    replacement: next.text.slice(offer.start, next.caret.start),
    caret: next.caret.start,
  };
  return { session: next, edit, events };
}

/** What was composed counts as typed when the composition ends. */
function endComposition(session: TypingSession, list: CompiledList): Outcome {
  const composed = composedIn(session);
  return composed ? typeText(composed.before, composed.range, composed.text, list) : unchanged(session);
}
