import type { DeviceProfile } from '../fit';
import { fitsCapitals } from './capitals';
import { deviceText, type DeviceRule } from './deviceText';
import { hasEdgeBefore } from './edge';
import { compile, type CompiledList, type Match } from './list';
import { isWithin, type Range } from './range';
import type { RuledList } from './rules';
import { offersOf, startSession, type, type FiredBy, type Input, type TypingSession } from './session';

/** One thing a person does on a keyboard. */
export type Keystroke =
  | { type: 'key'; text: string }
  | { type: 'backspace' }
  | { type: 'paste'; text: string }
  | { type: 'caret'; to: number }
  /** Takes the nth of the offers shown, from 0; nothing if there are fewer. */
  | { type: 'take'; nth: number }
  /** Rejects what is offered. */
  | { type: 'keep' };

/** Why something happened at a keystroke, or did not: the rules of docs/firing.md by name. */
export interface TraceLine {
  /** The index of the keystroke. */
  readonly at: number;
  readonly rule:
    | `fired-by-${FiredBy}`
    | 'taken-back'
    | 'waits'
    | 'kept'
    | 'no-edge'
    | 'quiet'
    | 'other-capitals'
    | 'offer-only'
    | DeviceRule;
  /** The shortcut concerned, and its code as it was typed. */
  readonly id?: string;
  readonly typed?: string;
}

export interface Simulation {
  readonly text: string;
  readonly caret: Range;
  readonly trace: readonly TraceLine[];
}

/** The keys that type `text`, a character each. */
export function keysOf(text: string): Keystroke[] {
  return Array.from(text, (character) => ({ type: 'key', text: character }));
}

/**
 * Types `keystrokes` into a field of a device: the text a person ends up with, and for each
 * keystroke what fired, what was held back, and by which rule. Pure. Without `explains` it tells only
 * what happened, at a quarter of the cost. `after`: what stands in the field already.
 */
export function simulate(
  keystrokes: readonly Keystroke[],
  list: RuledList | CompiledList,
  profile: DeviceProfile,
  { explains = true, after = '' }: { explains?: boolean; after?: string } = {},
): Simulation {
  const compiled = 'matchesEndingAt' in list ? list : compile(list, profile);
  const trace: TraceLine[] = [];
  let session = startSession(after);
  keystrokes.forEach((keystroke, at) => {
    const note = (line: Omit<TraceLine, 'at'>) => trace.push({ at, ...line });
    session = press(session, keystroke, compiled, note, explains);
  });
  return { text: session.text, caret: session.caret, trace };
}

type Note = (line: Omit<TraceLine, 'at'>) => void;

function press(
  session: TypingSession,
  keystroke: Keystroke,
  list: CompiledList,
  note: Note,
  explains: boolean,
): TypingSession {
  const input = inputOf(session, keystroke, list, note);
  if (!input) return session;
  const { session: next, events } = type(session, input, list);
  for (const event of events) {
    const { id, typed } = event;
    note({ rule: event.type === 'fired' ? `fired-by-${event.by}` : 'taken-back', id, typed });
  }
  if (explains && input.type === 'edit' && input.how === 'typing' && events.length === 0) {
    explain(session, next, input.text, list, note);
  }
  return next;
}

function inputOf(
  session: TypingSession,
  keystroke: Keystroke,
  list: CompiledList,
  note: Note,
): Input | null {
  const { text, caret } = session;
  switch (keystroke.type) {
    case 'key': {
      const changed =
        caret.start === caret.end
          ? deviceText(text.slice(0, caret.start), keystroke.text, list.profile)
          : null;
      if (changed) note({ rule: changed.rule });
      const range = { start: caret.start - (changed?.replaces ?? 0), end: caret.end };
      return { type: 'edit', range, text: changed?.text ?? keystroke.text, how: 'typing' };
    }
    case 'backspace': {
      if (caret.start !== caret.end) return { type: 'edit', range: caret, text: '', how: 'other' };
      if (caret.start === 0) return null;
      const length = /[\u{10000}-\u{10ffff}]$/u.test(text.slice(0, caret.start)) ? 2 : 1;
      const range = { start: caret.start - length, end: caret.start };
      return { type: 'edit', range, text: '', how: 'backspace' };
    }
    case 'paste':
      return { type: 'edit', range: caret, text: keystroke.text, how: 'paste' };
    case 'caret': {
      const asked = Math.max(0, Math.min(text.length, keystroke.to));
      // No field lets a caret stand inside a surrogate pair.
      const to = /^[\u{10000}-\u{10ffff}]/u.test(text.slice(asked - 1, asked + 1)) ? asked - 1 : asked;
      return { type: 'caret', caret: { start: to, end: to } };
    }
    case 'take': {
      const offer = offersOf(session, list, keystroke.nth + 1)[keystroke.nth];
      return offer ? { type: 'take', offer } : null;
    }
    case 'keep': {
      const [offer] = offersOf(session, list, 1);
      if (!offer) return null;
      note({ rule: 'kept', id: offer.entry.id, typed: text.slice(offer.start, offer.end) });
      return { type: 'keep', range: { start: offer.start, end: offer.end } };
    }
  }
}

/** Says why nothing fired where a whole code has just ended. */
function explain(
  before: TypingSession,
  after: TypingSession,
  typed: string,
  list: CompiledList,
  note: Note,
): void {
  if (after.waiting) {
    if (after.waiting !== before.waiting) {
      const { start, end, entry } = after.waiting;
      note({ rule: 'waits', id: entry.id, typed: after.text.slice(start, end) });
    }
    return;
  }
  const last = Array.from(typed).at(-1) ?? '';
  const isEnd = list.isDelimiter(last);
  const ended = isEnd ? list.codesEndingAt(after.text, after.caret.start - last.length, true) : [];
  const held = [...list.codesEndingAt(after.text, after.caret.start, true), ...ended].find(
    ({ entry, end }) => (entry.fires === 'instant') === (end === after.caret.start) || entry.fires === 'offer',
  );
  if (held) note({ rule: reasonOf(held, after), id: held.entry.id, typed: after.text.slice(held.start, held.end) });
}

function reasonOf(held: Match, session: TypingSession): TraceLine['rule'] {
  if (!hasEdgeBefore(session.text, held.start, held.entry.edge)) return 'no-edge';
  if (held.entry.fires === 'offer') return 'offer-only';
  if (!fitsCapitals(held.entry, session.text.slice(held.start, held.end))) return 'other-capitals';
  return isWithin(session.quiet, held) ? 'quiet' : 'waits';
}
