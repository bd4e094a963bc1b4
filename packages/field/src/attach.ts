import { CompiledList } from '@yellow-latch/core/fire';
import type { DeviceProfile } from '@yellow-latch/core/profile';
import { THIS_APP } from '@yellow-latch/core/profile/thisApp';

import { readExportedList, type ExportedList } from './exportedList';
import { surfaceFor, PageTyping, type MakeText, type PageTypingOptions } from './guest';

export interface AttachOptions extends Partial<
  Pick<PageTypingOptions, 'makeText' | 'mayFire' | 'onFired' | 'suggests' | 'take' | 'words'>
> {
  /** An exported list: its file's JSON, parsed. */
  readonly list: unknown;
  /** How a device takes the list (docs/devices.md); as the app does unless given. */
  readonly profile?: Partial<DeviceProfile>;
}

/** What `attach` gives: the field's list may be replaced, and all of it ended. */
export interface Attached {
  /** From now on another list. Throws as `attach` does, and leaves the list as it was. */
  setList(list: unknown): void;
  detach(): void;
}

/**
 * Lets the codes of an exported list expand in a field: a `textarea`, an input that holds a line of text, an editable
 * element, or an editor built on one. The page's own handlers and its undo go on working. Throws a TypeError for an
 * element that no text is typed into, or a list that is none, with the place where.
 */
export function attach(element: HTMLElement, { list, profile, ...options }: AttachOptions): Attached {
  if (!surfaceFor(element, { evenCode: true }))
    throw new TypeError(`codes cannot expand in this <${element.localName}>`);
  const device: DeviceProfile = { ...THIS_APP, ...profile };
  let read: ExportedList;
  let compiled: CompiledList;
  const setList = (next: unknown) => {
    const wanted = readExportedList(next);
    compiled = CompiledList.compile(wanted.entries, device);
    read = wanted;
  };
  setList(list);
  const typing = new PageTyping(element, {
    list: () => compiled,
    surfaceFor: (target) => surfaceFor(target, { evenCode: true }),
    mayFire: () => true,
    suggests: () => true,
    makeText: makingOf(() => read),
    ...options,
  });
  return { setList, detach: () => typing.stop() };
}

/** Makes texts of a list; the code for it is fetched with the first. */
function makingOf(list: () => ExportedList): MakeText {
  return async (id, values, around) => {
    const shortcutOf = (wanted: string) => list().shortcuts.find((one) => one.id === wanted);
    const shortcut = shortcutOf(id);
    if (!shortcut) return { type: 'none' };
    const { textNow } = await import('./texts');
    return textNow({ shortcut, values, around, shortcutOf });
  };
}
