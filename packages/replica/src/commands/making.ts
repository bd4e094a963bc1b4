import { RECORD_TYPES, type AskedRules, type CardLink, type Kind, type ShortcutSet } from '@yellow-latch/core/model';
import { v7 as uuid } from 'uuid';

import { inOrder, type Command } from './command';
import { makingSet } from './makingSet';

/** A shortcut that is to be made: a plain text, or the source of a template. */
export interface NewShortcut {
  readonly code: string;
  readonly text: string;
  readonly kind: Kind;
  readonly note?: string;
  readonly card?: CardLink;
  readonly rules?: AskedRules;
  readonly isTemplate?: boolean;
}

/** Where new shortcuts go: into no set, one of the list, or a new one by this name. */
export type Into = { readonly setId: string | null } | { readonly newSet: string };

/** Several shortcuts made in one go, with the set they go into if it is new. */
export function making(shortcuts: readonly NewShortcut[], into: Into, sets: readonly ShortcutSet[]): Command {
  const setId = 'setId' in into ? into.setId : uuid();
  const set = 'newSet' in into ? [makingSet(into.newSet, sets, setId!)] : [];
  return inOrder(
    ...set,
    ...shortcuts.map(({ code, text, kind, note = '', card = null, rules = {}, isTemplate = false }): Command => {
      const id = uuid();
      const content = { expansion: text, template: isTemplate, format: 'plain' } as const;
      const fields = { ...RECORD_TYPES.shortcut.defaults, code, content, kind, setId, note, card, rules };
      return {
        writes: [{ type: 'shortcut', id, fields }],
        undo: () => [{ type: 'shortcut', id, fields: { deleted: true } }],
      };
    }),
  );
}
