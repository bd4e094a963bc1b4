import type { Range } from './range';
import { unchanged, withReplaced, type Outcome, type TypingSession } from './typingSession';

/** Text under composition may still turn into other characters: nothing fires inside it. */
export function compose(session: TypingSession, range: Range, text: string): Outcome {
  const begun = session.composition ?? { before: session, replaced: range };
  const shown = withReplaced(session, range, text);
  // What it replaces in the text before lies between the head and the tail it has not touched.
  const start = Math.min(begun.replaced.start, range.start);
  const tail = Math.min(begun.before.text.length - begun.replaced.end, session.text.length - range.end);
  const replaced = { start, end: begun.before.text.length - tail };
  return unchanged({ ...shown, composition: { before: begun.before, replaced } });
}

/** What the composition in progress comes to: the session before it, and what was typed into that. */
export function composedIn(session: TypingSession): { before: TypingSession; range: Range; text: string } | null {
  if (!session.composition) return null;
  const { before, replaced: range } = session.composition;
  const tail = before.text.length - range.end;
  return { before, range, text: session.text.slice(range.start, session.text.length - tail) };
}
