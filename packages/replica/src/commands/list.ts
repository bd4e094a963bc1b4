/** What holds for the whole list, and the keyboards of its owner's own. */
import {
  LIST_RECORD_ID,
  type Device,
  type DeviceKeyboard,
  type ListFields,
  type OwnKeyboard,
} from '@yellow-latch/core/model';

import type { ListView } from '../storage/view';
import { inOrder, type Command } from './command';
import { settingDevice } from './devices';

/** What is said for the whole list. What is not named stays, and is written too, since the record may be new. */
export function choosing(fields: Partial<ListFields>, { chosen }: Pick<ListView, 'chosen'>): Command {
  return {
    writes: [{ type: 'list', id: LIST_RECORD_ID, fields: { ...chosen, ...fields } }],
    undo: () => [{ type: 'list', id: LIST_RECORD_ID, fields: chosen }],
  };
}

/** A keyboard as it was changed; from now on `on` is typed on with it, as `use` says. */
export function savingKeyboard(
  { id, layout }: Pick<OwnKeyboard, 'id' | 'layout'>,
  use: DeviceKeyboard,
  on: Device,
  list: ListView,
): Command {
  const before = list.ownKeyboards.find((keyboard) => keyboard.id === id);
  const save: Command = {
    writes: [{ type: 'keyboard', id, fields: { layout } }],
    undo: () => [{ type: 'keyboard', id, fields: before ? { layout: before.layout } : { deleted: true } }],
  };
  const isInUse = list.devices.some(({ keyboards }) => keyboards.some(({ keyboard }) => keyboard === id));
  return isInUse ? save : inOrder(save, settingDevice(on, { keyboards: [...on.keyboards, use] }, list));
}

/** A keyboard is deleted, and no device has it any more. */
export function deletingKeyboard(id: string, list: ListView): Command {
  const remove: Command = {
    writes: [{ type: 'keyboard', id, fields: { deleted: true } }],
    undo: () => [{ type: 'keyboard', id, fields: { deleted: false } }],
  };
  const without = list.devices.flatMap((device) => {
    const rest = device.keyboards.filter(({ keyboard }) => keyboard !== id);
    return rest.length === device.keyboards.length ? [] : [settingDevice(device, { keyboards: rest }, list)];
  });
  return inOrder(remove, ...without);
}
