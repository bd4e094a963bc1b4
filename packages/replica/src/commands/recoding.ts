/** Part of the list moved to another marker. */
import { FORMER_LASTS } from '@yellow-latch/core/convention/former';
import { isSameScope } from '@yellow-latch/core/convention/mark';
import type { Recode } from '@yellow-latch/core/convention/plan';
import type { ChosenConvention, ConventionFields, Shortcut } from '@yellow-latch/core/model';

import type { Write } from '../storage/write';
import type { Command } from './command';

/** Codes that become others. `keepsUntil`: old codes go on firing in Write until that moment (ms since 1970); null: they do not. */
export function changingCodes(
  moves: readonly { readonly id: string; readonly to: string }[],
  shortcuts: readonly Shortcut[],
  keepsUntil: number | null,
): Command {
  const before = new Map(shortcuts.map((shortcut) => [shortcut.id, shortcut]));
  const moved = moves.flatMap(({ id, to }) => {
    const shortcut = before.get(id);
    return shortcut ? [{ shortcut, to }] : [];
  });
  return {
    writes: moved.map(({ shortcut, to }): Write => ({
      type: 'shortcut',
      id: shortcut.id,
      fields: { code: to, ...(keepsUntil === null ? {} : { former: { code: shortcut.code, until: keepsUntil } }) },
    })),
    undo: () =>
      moved.map(({ shortcut: { id, code, former } }): Write => ({ type: 'shortcut', id, fields: { code, former } })),
  };
}

/** A part of the list set in a convention, all codes at once, and the convention kept. `keepsUntil` as for `changingCodes`. */
export function recoding(
  recodes: readonly Recode[],
  shortcuts: readonly Shortcut[],
  convention: ConventionFields,
  chosen: readonly ChosenConvention[],
  keepsUntil: number | null,
): Command {
  const codes = changingCodes(recodes, shortcuts, keepsUntil);
  const known = chosen.find(({ scope }) => isSameScope(scope, convention.scope));
  return {
    writes: [...codes.writes, { type: 'convention', ...(known ? { id: known.id } : {}), fields: convention }],
    undo: (ids) => [
      ...codes.undo(ids),
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
