import { expandFor } from '../expansion';
import { isMade } from '../model';
import { THIS_APP } from '../profile';
import type { AuditedShortcut } from './item';

/** A shortcut with the text it would give at a moment (ms since 1970), gaps for its blanks: what is checked of a template. */
export function asText(
  shortcut: AuditedShortcut,
  shortcutOf: (id: string) => AuditedShortcut | undefined,
  now: number,
): AuditedShortcut {
  if (!isMade(shortcut.content)) return shortcut;
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const made = expandFor(shortcut, THIS_APP, { now, locale: 'en-GB', zone, shortcutOf });
  // What cannot be made is told when it fires; its code is checked all the same.
  return made.type === 'text'
    ? { ...shortcut, content: { ...shortcut.content, expansion: made.text || ' ' } }
    : shortcut;
}
