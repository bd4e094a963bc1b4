import { addRange, type Edit, type Range } from './range';
import { unchanged, withReplaced, type Outcome, type TypingSession } from './typingSession';

/**
 * Backspace has deleted `range`. Straight after a firing it means "not that": the stretch from
 * the code to the caret comes back as it was typed, and the code in it stays quiet (rule 7).
 */
export function backspace(session: TypingSession, range: Range): Outcome {
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
    events: [{ type: 'taken-back', id: firing.id, typed: firing.typed.slice(0, firing.codeLength) }],
  };
}
