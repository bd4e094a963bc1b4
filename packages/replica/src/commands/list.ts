/** What holds for the whole list, and the keyboards of its owner's own. */
import { LIST_RECORD_ID, type KeyboardUse, type ListFields, type OwnKeyboard } from '@yellow-latch/core/model';

import type { ListView } from '../storage/view';
import { inOrder, type Command } from './command';

/** What is said for the whole list. What is not named stays, and is written too, since the record may be new. */
export function choosing(
  fields: Partial<ListFields>,
  { languages, devices, keyboards }: Pick<ListView, 'languages' | 'devices' | 'keyboards'>,
): Command {
  const was = { languages: [...languages], devices: [...devices], keyboards: [...keyboards] };
  return {
    writes: [{ type: 'list', id: LIST_RECORD_ID, fields: { ...was, ...fields } }],
    undo: () => [{ type: 'list', id: LIST_RECORD_ID, fields: was }],
  };
}

/** A keyboard as it was changed; from now on it is among those in use, as `use` says. */
export function savingKeyboard({ id, layout }: Pick<OwnKeyboard, 'id' | 'layout'>, use: KeyboardUse, list: ListView) {
  const before = list.ownKeyboards.find((keyboard) => keyboard.id === id);
  const save: Command = {
    writes: [{ type: 'keyboard', id, fields: { layout } }],
    undo: () => [{ type: 'keyboard', id, fields: before ? { layout: before.layout } : { deleted: true } }],
  };
  const isInUse = list.keyboards.some(({ keyboard }) => keyboard === id);
  return isInUse ? save : inOrder(save, choosing({ keyboards: [...list.keyboards, use] }, list));
}

/** A keyboard is deleted, and no longer in use. */
export function deletingKeyboard(id: string, list: ListView): Command {
  const remove: Command = {
    writes: [{ type: 'keyboard', id, fields: { deleted: true } }],
    undo: () => [{ type: 'keyboard', id, fields: { deleted: false } }],
  };
  const rest = list.keyboards.filter(({ keyboard }) => keyboard !== id);
  return rest.length === list.keyboards.length ? remove : inOrder(remove, choosing({ keyboards: rest }, list));
}
