import type { Fix } from '@yellow-latch/core/clash';
import { FORMER_LASTS } from '@yellow-latch/core/convention/former';
import { isSameScope } from '@yellow-latch/core/convention/mark';
import type { Remark } from '@yellow-latch/core/convention/plan';
import type { ChosenConvention, ConventionFields, Shortcut, ShortcutFields } from '@yellow-latch/core/model';

import type { Write } from './write';

/** Writes that belong together, and those that take them back, given the ids that were written. */
export interface Doing {
  readonly writes: readonly Write[];
  undo(ids: readonly string[]): Write[];
}

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
}: Shortcut): ShortcutFields {
  return { code, content, kind, setId, rules, usesAWeek, former, pinned, note, language };
}

export function editing(before: Shortcut, fields: Partial<ShortcutFields>): Doing {
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
): Doing {
  const doings = shortcuts.flatMap((shortcut) => {
    const fields = fieldsFor(shortcut);
    const isSame = Object.entries(fields).every(
      ([name, value]) => JSON.stringify(value) === JSON.stringify(shortcut[name as keyof ShortcutFields]),
    );
    return isSame ? [] : [editing(shortcut, fields)];
  });
  return { writes: doings.flatMap(({ writes }) => writes), undo: () => doings.flatMap(({ undo }) => undo([])) };
}

export function deleting(shortcuts: readonly Shortcut[]): Doing {
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

/** From every device to this one alone: what the others and the server hold is erased. `edited`: what changes with it. */
export function makingPrivate(shortcut: Shortcut, edited: Partial<ShortcutFields> = {}): Doing {
  const { id } = shortcut;
  return {
    writes: [
      { type: 'shortcut', id, fields: { deleted: 'erased' } },
      { type: 'shortcut', isPrivate: true, fields: { ...fieldsOf(shortcut), ...edited } },
    ],
    undo: ([, own]) => [
      { type: 'shortcut', id: own, fields: { deleted: true } },
      { type: 'shortcut', id, fields: { deleted: false, ...fieldsOf(shortcut) } },
    ],
  };
}

/** From this device alone to all of them. */
export function sharing(shortcut: Shortcut, edited: Partial<ShortcutFields> = {}): Doing {
  return {
    writes: [...deleting([shortcut]).writes, { type: 'shortcut', fields: { ...fieldsOf(shortcut), ...edited } }],
    undo: ([, shared]) => [
      { type: 'shortcut', id: shared, fields: { deleted: 'erased' } },
      ...deleting([shortcut]).undo([]),
    ],
  };
}

/** What a fix does to the list; null: what it concerns is gone. */
export function fixing(fix: Fix, shortcuts: readonly Shortcut[]): Doing | null {
  if (fix.type === 'merge') {
    const dropped = shortcuts.filter(({ id }) => fix.drop.includes(id));
    return dropped.length > 0 && shortcuts.some(({ id }) => id === fix.keep) ? deleting(dropped) : null;
  }
  const shortcut = shortcuts.find(({ id }) => id === fix.id);
  if (!shortcut) return null;
  switch (fix.type) {
    case 'other code':
      return editing(shortcut, { code: fix.code });
    case 'other rules':
      return editing(shortcut, { rules: { ...shortcut.rules, ...fix.rules } });
    case 'correct text':
      return editing(shortcut, { content: { ...shortcut.content, expansion: fix.expansion } });
    case 'make private':
      return makingPrivate(shortcut);
  }
}

/**
 * A part of the list set in a convention, all codes at once, and the convention kept. `keepsUntil`: old codes
 * go on firing in Write until that moment (ms since 1970); null: they do not.
 */
export function remarking(
  remarks: readonly Remark[],
  shortcuts: readonly Shortcut[],
  convention: ConventionFields,
  chosen: readonly ChosenConvention[],
  keepsUntil: number | null,
): Doing {
  const before = new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut]));
  const moved = remarks.flatMap(({ id, to }) => {
    const shortcut = before.get(id);
    return shortcut ? [{ shortcut, to }] : [];
  });
  const known = chosen.find(({ scope }) => isSameScope(scope, convention.scope));
  return {
    writes: [
      ...moved.map(({ shortcut, to }): Write => ({
        type: 'shortcut',
        id: shortcut.id,
        fields: { code: to, ...(keepsUntil === null ? {} : { former: { code: shortcut.code, until: keepsUntil } }) },
      })),
      { type: 'convention', ...(known ? { id: known.id } : {}), fields: convention },
    ],
    undo: (ids) => [
      ...moved.map(({ shortcut: { id, code, former } }): Write => ({ type: 'shortcut', id, fields: { code, former } })),
      known
        ? {
            type: 'convention',
            id: known.id,
            fields: { scope: known.scope, mark: known.mark, capitals: known.capitals },
          }
        : { type: 'convention', id: ids.at(-1)!, fields: { deleted: true } },
    ],
  };
}

/** Until when old codes go on firing if they are kept from now on. */
export function keptUntil(now = Date.now()): number {
  return now + FORMER_LASTS;
}
