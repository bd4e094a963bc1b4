/** Words that a keyboard corrects as they end, before anything looks for codes (rule 9.5). Common practice, no source. */
import { atSentenceStart, FAR } from './deviceText';
import { addRange, isWithin, type Range } from './range';
import { withReplaced, type TypingSession } from './typingSession';

/** What a word is taken to have been meant as; null: it stays. */
export type Corrects = (word: string) => string | null;

/** A word before the caret, and what would stand there instead when it ends. */
export interface Correction extends Range {
  readonly typed: string;
  readonly text: string;
}

/** As id of what a Backspace takes back: no shortcut did it. */
export const CORRECTION_ID = '~correction';

/** A word that stands by itself: behind a marker, in a link or beside a figure none is corrected. */
const WORD = /(?:^|[\s("“‘—–[])([\p{L}\p{M}'’]+)$/u;
const ENDS_WORD = /^[\s.,;:!?)\]"”]$/u;

export function endsWord(character: string): boolean {
  return ENDS_WORD.test(character);
}

/** The correction of the word before the caret; none of what was not typed, was given back, or was kept as typed. */
export function correctionOf(session: TypingSession, corrects: Corrects): Correction | null {
  const { text, caret, isSecret, composition } = session;
  if (isSecret || composition || caret.start !== caret.end) return null;
  const end = caret.start;
  const typed = WORD.exec(text.slice(Math.max(0, end - FAR), end))?.[1];
  if (typed === undefined) return null;
  const start = end - typed.length;
  if (isWithin(session.quiet, { start, end })) return null;
  // In the middle of a sentence a capital is somebody’s own.
  if (/^\p{Lu}/u.test(typed) && !atSentenceStart(text, start)) return null;
  const meant = corrects(typed);
  return meant === null ? null : { start, end, typed, text: meant };
}

/** The word is replaced. One Backspace after the key that ended it gives it back. */
export function withCorrected(session: TypingSession, { start, end, text }: Correction): TypingSession {
  const next = withReplaced(session, { start, end }, text);
  return { ...next, quiet: addRange(next.quiet, { start, end: start + text.length }) };
}

/** The session after the key that ended a corrected word, which one Backspace gives back. */
export function withCorrectionToTakeBack(session: TypingSession, { start, typed, text }: Correction): TypingSession {
  const insertedEnd = start + text.length;
  const end = session.caret.end;
  if (session.lastFiring) return session;
  return {
    ...session,
    lastFiring: {
      id: CORRECTION_ID,
      typed: typed + session.text.slice(insertedEnd, end),
      codeLength: typed.length,
      start,
      end,
      insertedEnd,
    },
  };
}
