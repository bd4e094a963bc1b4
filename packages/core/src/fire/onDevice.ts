import { fitsCapitals } from './capitals';
import { changesText, deviceText, type DeviceRule } from './deviceText';
import {
  correctionOf,
  CORRECTION_ID,
  endsWord,
  withCorrected,
  withCorrectionToTakeBack,
  type Corrects,
} from './correction';
import { hasEdgeBefore } from './edge';
import type { CompiledList } from './list';
import type { Match } from './place';
import { applyEdit, isWithin, type Range } from './range';
import { composedIn } from './composition';
import {
  MOST_AT_ONCE,
  type FiredBy,
  type FiringEvent,
  type Input,
  type Outcome,
  type TypingSession,
} from './typingSession';
import { offersOf, applyInput } from './session';
import { difference } from './textDiff';

/** Why something happened at an input, or did not: the rules of docs/firing.md by name. */
export interface Explanation {
  readonly rule:
    | `fired-by-${FiredBy}`
    | 'asked'
    | 'taken-back'
    | 'waits'
    | 'kept'
    | 'no-edge'
    | 'quiet'
    | 'other-capitals'
    | 'offer-only'
    | 'corrected'
    | DeviceRule;
  /** The shortcut concerned, and its code as it was typed. */
  readonly id?: string;
  readonly typed?: string;
  /** What the keyboard made of it. */
  readonly became?: string;
}

export interface DeviceOutcome extends Outcome {
  readonly told: readonly Explanation[];
}

/** How a device is followed. */
export interface OnDevice {
  /** Whether it is told why nothing happened; without it the cost is a quarter. */
  readonly explains?: boolean;
  /** The keyboard's spelling correction; null: it has none. */
  readonly corrects?: Corrects | null;
}

/**
 * As `applyInput`, on the device that `list` was made ready for: what is typed is first changed as the device does (rules
 * 9), and what happened, or was held back, is told.
 */
export function applyInputOnDevice(
  session: TypingSession,
  input: Input,
  list: CompiledList,
  { explains = true, corrects = null }: OnDevice = {},
): DeviceOutcome {
  const changes = corrects !== null || changesText(list.profile);
  const told: Explanation[] = [];
  const composed = input.type === 'composition-end' ? composedIn(session) : null;
  if (composed && changes) {
    return { ...typeChanged(composed.before, composed.range, composed.text, list, told, { explains, corrects }), told };
  }
  if (input.type === 'edit' && input.how === 'typing' && input.text.length <= MOST_AT_ONCE && changes) {
    return { ...typeChanged(session, input.range, input.text, list, told, { explains, corrects }), told };
  }
  const keptOf = input.type === 'keep' ? offersOf(session, list, 1)[0] : undefined;
  if (keptOf) told.push({ rule: 'kept', id: keptOf.entry.id, typed: session.text.slice(keptOf.start, keptOf.end) });
  const outcome = applyInput(session, input, list);
  tell(outcome.events, told);
  const typed = composed?.text ?? (input.type === 'edit' && input.how === 'typing' ? input.text : '');
  if (explains && typed !== '' && outcome.events.length === 0) {
    explain(composed?.before ?? session, outcome.session, typed, list, (line) => told.push(line));
  }
  return { ...outcome, told };
}

/** Types a text character by character, each as the device makes it. */
function typeChanged(
  session: TypingSession,
  range: Range,
  text: string,
  list: CompiledList,
  told: Explanation[],
  { explains, corrects }: Required<OnDevice>,
): Outcome {
  const natural = applyEdit(session.text, { range, replacement: text });
  const events: FiringEvent[] = [];
  let next = session;
  let at = range;
  for (const character of text) {
    const correction =
      corrects && at.start === at.end && endsWord(character) ? correctionOf({ ...next, caret: at }, corrects) : null;
    if (correction) {
      told.push({ rule: 'corrected', typed: correction.typed, became: correction.text });
      next = withCorrected(next, correction);
      at = next.caret;
    }
    const changed = at.start === at.end ? deviceText(next.text, at.start, character, list.profile) : null;
    if (changed) told.push({ rule: changed.rule });
    const input: Input = {
      type: 'edit',
      range: { start: at.start - (changed?.replaces ?? 0), end: at.end },
      text: changed?.text ?? character,
      how: 'typing',
    };
    const outcome = applyInput(next, input, list);
    tell(outcome.events, told);
    if (explains && outcome.events.length === 0)
      explain(next, outcome.session, input.text, list, (line) => told.push(line));
    events.push(...outcome.events);
    next = correction ? withCorrectionToTakeBack(outcome.session, correction) : outcome.session;
    at = next.caret;
  }
  if (text === '') return applyInput(session, { type: 'edit', range, text, how: 'typing' }, list);
  if (next.text === natural) return { session: next, edit: null, events };
  return { session: next, edit: { ...difference(natural, next.text), caret: next.caret.start }, events };
}

function tell(events: readonly FiringEvent[], told: Explanation[]): void {
  for (const event of events) {
    const { id, typed } = event;
    if (id === CORRECTION_ID) told.push({ rule: 'taken-back', typed });
    else told.push({ rule: event.type === 'fired' ? `fired-by-${event.by}` : event.type, id, typed });
  }
}

/** Says why nothing fired where a whole code has just ended. */
function explain(
  before: TypingSession,
  after: TypingSession,
  typed: string,
  list: CompiledList,
  note: (told: Explanation) => void,
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
  const ended = isEnd ? list.at(after.text, after.caret.start - last.length, false).matches() : [];
  const held = [...list.at(after.text, after.caret.start, false).matches(), ...ended].find(
    ({ entry, end }) => (entry.fires === 'instant') === (end === after.caret.start) || entry.fires === 'offer',
  );
  if (held) note({ rule: reasonOf(held, after), id: held.entry.id, typed: after.text.slice(held.start, held.end) });
}

function reasonOf(held: Match, session: TypingSession): Explanation['rule'] {
  if (!hasEdgeBefore(session.text, held.start, held.entry.edge)) return 'no-edge';
  if (held.entry.fires === 'offer') return 'offer-only';
  if (!fitsCapitals(held.entry, session.text.slice(held.start, held.end))) return 'other-capitals';
  return isWithin(session.quiet, held) ? 'quiet' : 'waits';
}
