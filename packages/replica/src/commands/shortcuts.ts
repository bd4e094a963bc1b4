/** Shortcuts edited, deleted, kept on one device alone, and shared again. */
import { carriedId } from '@yellow-latch/core/devices';
import { UNKNOWN_DIGEST } from '@yellow-latch/core/fit/digest';
import type { Carried, Learning, Shortcut, ShortcutFields } from '@yellow-latch/core/model';
import { v7 as uuid } from 'uuid';

import type { Write } from '../storage/write';

import { inOrder, type Command } from './command';

/** All that a shortcut holds, as a new record takes it. */
export function fieldsOf({
  code,
  content,
  kind,
  setId,
  rules,
  usesAWeek,
  former,
  pinned,
  note,
  language,
  card,
  tagLimit,
}: Shortcut): ShortcutFields {
  return { code, content, kind, setId, rules, usesAWeek, former, pinned, note, language, card, tagLimit };
}

export function editing(before: Shortcut, fields: Partial<ShortcutFields>): Command {
  const { id } = before;
  const was = Object.fromEntries(Object.keys(fields).map((name) => [name, before[name as keyof ShortcutFields]]));
  return {
    writes: [{ type: 'shortcut', id, fields }],
    undo: () => [{ type: 'shortcut', id, fields: was }],
  };
}

/** One change to each of several, as `fieldsFor` says; what is so already is left as it is. */
export function editingAll(
  shortcuts: readonly Shortcut[],
  fieldsFor: (shortcut: Shortcut) => Partial<ShortcutFields>,
): Command {
  const commands = shortcuts.flatMap((shortcut) => {
    const fields = fieldsFor(shortcut);
    const isSame = Object.entries(fields).every(
      ([name, value]) => JSON.stringify(value) === JSON.stringify(shortcut[name as keyof ShortcutFields]),
    );
    return isSame ? [] : [editing(shortcut, fields)];
  });
  return inOrder(...commands);
}

export function deleting(shortcuts: readonly Shortcut[]): Command {
  return {
    writes: shortcuts.map(({ id }) => ({ type: 'shortcut', id, fields: { deleted: true } })),
    undo: () =>
      shortcuts.map((shortcut) =>
        shortcut.private
          ? { type: 'shortcut', id: shortcut.id, isPrivate: true, fields: fieldsOf(shortcut) }
          : { type: 'shortcut', id: shortcut.id, fields: { deleted: false } },
      ),
  };
}

/** Records about shortcuts. `carried`: what places that the app cannot write to hold; `learning`: what people know of codes. */
export interface AboutShortcuts {
  readonly carried: readonly Carried[];
  readonly learning: readonly Learning[];
}

const NOTHING_KNOWN: AboutShortcuts = { carried: [], learning: [] };

/**
 * From every device to this one alone: what the others and the server hold is erased. `edited`: what changes with it. `about`:
 * of a place that holds it, that it is still there is all that is said from now on; what people know of its code is forgotten.
 */
export function makingPrivate(
  shortcut: Shortcut,
  edited: Partial<ShortcutFields> = {},
  { carried, learning }: AboutShortcuts = NOTHING_KNOWN,
): Command {
  const { id } = shortcut;
  const own = uuid();
  const known = learning.filter((one) => one.shortcutId === id);
  const there = carried.filter((one) => one.shortcutId === id);
  const noteOf = ({ deviceId, profile, at }: Carried): Write => ({
    type: 'carried',
    id: carriedId(deviceId, profile, own),
    fields: { deviceId, profile, shortcutId: own, code: '', digest: UNKNOWN_DIGEST, at, deleted: false },
  });
  return {
    writes: [
      { type: 'shortcut', id, fields: { deleted: 'erased' } },
      // With the shortcut goes its code, wherever it stands.
      ...there.map((one): Write => ({ type: 'carried', id: one.id, fields: { deleted: 'erased' } })),
      ...there.map(noteOf),
      ...known.map((one): Write => ({ type: 'learning', id: one.id, fields: { deleted: 'erased' } })),
      { type: 'shortcut', id: own, isPrivate: true, fields: { ...fieldsOf(shortcut), ...edited } },
    ],
    undo: () => [
      { type: 'shortcut', id: own, fields: { deleted: true } },
      { type: 'shortcut', id, fields: { deleted: false, ...fieldsOf(shortcut) } },
      ...there.flatMap((one): Write[] => {
        const { id: note, changed: _changed, ...fields } = one;
        return [
          { type: 'carried', id: carriedId(one.deviceId, one.profile, own), fields: { deleted: true } },
          { type: 'carried', id: note, fields: { ...fields, deleted: false } },
        ];
      }),
      ...known.map(({ id: record, learnerId, shortcutId, state }): Write => ({
        type: 'learning',
        id: record,
        fields: { learnerId, shortcutId, state, deleted: false },
      })),
    ],
  };
}

/** From this device alone to all of them. */
export function sharing(shortcut: Shortcut, edited: Partial<ShortcutFields> = {}): Command {
  return {
    writes: [...deleting([shortcut]).writes, { type: 'shortcut', fields: { ...fieldsOf(shortcut), ...edited } }],
    undo: ([, shared]) => [
      { type: 'shortcut', id: shared, fields: { deleted: 'erased' } },
      ...deleting([shortcut]).undo([]),
    ],
  };
}
