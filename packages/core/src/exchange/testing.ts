import { makeShortcut } from '../model/testing';
import type { Shortcut, ShortcutSet } from '../model';
import type { Rest } from './listFile';

/** A backup of which nothing but shortcuts and sets was chosen. */
export const NO_REST: Rest = {
  list: null,
  conventions: [],
  keyboards: [],
  leftFindings: [],
  devices: [],
  leftOut: [],
  carried: [],
  learners: [],
  learning: [],
};

let count = 0;

/** A shortcut for a test, under an id as records have them. */
export function shortcutOf(code: string, expansion: string, more: Partial<Shortcut> = {}): Shortcut {
  count += 1;
  return makeShortcut(code, expansion, { id: idOf(count), ...more });
}

/** An id as records have them, by number. */
export function idOf(number: number): string {
  return `01930000-0000-7000-8000-${String(number).padStart(12, '0')}`;
}

export function setOf(name: string, number: number): ShortcutSet {
  return { id: idOf(900_000 + number), name, icon: 'folder', order: `a${number}`, changed: 0 };
}
