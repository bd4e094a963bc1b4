/** Keys by which one answers what is suggested. */
export interface Chord {
  readonly key: string;
  readonly alt?: boolean;
  readonly ctrl?: boolean;
}

/** Takes the first suggestion: a key that types nothing and leaves no field. */
export const TAKE: Chord = { key: 'ArrowDown', alt: true };

/** Whether two chords are the same keys; null: none. */
export function isSameChord(a: Chord | null, b: Chord | null): boolean {
  if (!a || !b) return a === b;
  return a.key === b.key && (a.alt ?? false) === (b.alt ?? false) && (a.ctrl ?? false) === (b.ctrl ?? false);
}

export function isChord(event: KeyboardEvent, { key, alt = false, ctrl = false }: Chord): boolean {
  return event.key === key && event.altKey === alt && event.ctrlKey === ctrl && !event.metaKey && !event.shiftKey;
}

/** What a key types; null: it types nothing. */
export function typedBy(event: KeyboardEvent): string | null {
  const { key, ctrlKey, metaKey, altKey } = event;
  if (key === 'Enter') return ctrlKey || metaKey || altKey ? null : '\n';
  // On some keyboards a third level is reached by Ctrl and Alt.
  if ((ctrlKey || metaKey) && !event.getModifierState('AltGraph')) return null;
  return Array.from(key).length === 1 ? key : null;
}
