import type { DeviceProfile } from '../profile';
import { correctionOf } from './correction';
import { compile, CompiledList } from './list';
import { applyInputOnDevice, type Explanation, type OnDevice } from './onDevice';
import type { Range } from './range';
import type { RuledList } from './rules';
import { offersOf } from './session';
import { startSession, type Input, type TypingSession } from './typingSession';

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

/** What was told of a keystroke, with its index. */
export interface TraceLine extends Explanation {
  readonly at: number;
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
 * what happened, at a quarter of the cost. `corrects`: the keyboard's spelling correction. `after`: what stands in the field already.
 */
export function simulate(
  keystrokes: readonly Keystroke[],
  list: RuledList | CompiledList,
  profile: DeviceProfile,
  { after = '', ...how }: OnDevice & { after?: string } = {},
): Simulation {
  const compiled = list instanceof CompiledList ? list : compile(list, profile);
  const trace: TraceLine[] = [];
  let session = startSession(after);
  keystrokes.forEach((keystroke, at) => {
    session = press(session, keystroke, compiled, (told) => trace.push({ at, ...told }), how);
  });
  return { text: session.text, caret: session.caret, trace };
}

function press(
  session: TypingSession,
  keystroke: Keystroke,
  list: CompiledList,
  note: (told: Explanation) => void,
  how: OnDevice,
): TypingSession {
  const input = inputOf(session, keystroke, list, how.corrects);
  if (!input) return session;
  const followed = applyInputOnDevice(session, input, list, how);
  followed.told.forEach(note);
  return followed.session;
}

function inputOf(
  session: TypingSession,
  keystroke: Keystroke,
  list: CompiledList,
  corrects: OnDevice['corrects'],
): Input | null {
  const { text, caret } = session;
  switch (keystroke.type) {
    case 'key':
      return { type: 'edit', range: caret, text: keystroke.text, how: 'typing' };
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
      const kept = offer ?? (corrects ? correctionOf(session, corrects) : null);
      return kept ? { type: 'keep', range: { start: kept.start, end: kept.end } } : null;
    }
  }
}
