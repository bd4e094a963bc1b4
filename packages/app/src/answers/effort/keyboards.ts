import type { InUse, Keyboard } from '@yellow-latch/core/effort';
import { keyboardFrom, LAYOUTS } from '@yellow-latch/core/effort/layouts';
import { profileOf } from '@yellow-latch/core/profile';
import type { KeyboardUse, Layout, OwnKeyboard } from '@yellow-latch/core/model';

/** The keyboards in use, and the own ones among which they may be. */
export interface KeyboardsAsked {
  readonly keyboards: readonly KeyboardUse[];
  readonly ownKeyboards: readonly OwnKeyboard[];
  /** How long somebody hesitated over codes at work, by shortcut; s. Not given: nothing is known of it. */
  readonly hesitations?: Readonly<Record<string, readonly number[]>>;
}

const made = new WeakMap<Layout, Keyboard>();

/** A layout as a keyboard, made once, so that what was worked out for it is not worked out again. */
export function keyboardOf(id: string, layout: Layout): Keyboard {
  let keyboard = made.get(layout);
  if (!keyboard) made.set(layout, (keyboard = keyboardFrom(id, layout)));
  return keyboard;
}

/** The layout of a keyboard in use; undefined: it was deleted, or is of a later version of the app. */
export function layoutOf(id: string, own: readonly OwnKeyboard[]): Layout | undefined {
  return LAYOUTS[id] ?? own.find((one) => one.id === id)?.layout;
}

/** The last keyboards that came as data, by their content: a worker is sent a new object each time. */
const byContent = new Map<string, Layout>();
const MOST_REMEMBERED = 32;

function sameLayout(id: string, layout: Layout): Layout {
  if (LAYOUTS[id] === layout) return layout;
  const content = id + JSON.stringify(layout);
  const known = byContent.get(content);
  if (known) return known;
  if (byContent.size >= MOST_REMEMBERED) byContent.clear();
  byContent.set(content, layout);
  return layout;
}

/** The keyboards in use, ready to be priced on; one that is not known any more is left out. */
export function inUseOf({ keyboards, ownKeyboards }: KeyboardsAsked): InUse[] {
  return keyboards.flatMap(({ keyboard: id, share, pace, device }) => {
    const layout = layoutOf(id, ownKeyboards);
    if (!layout) return [];
    return [{ keyboard: keyboardOf(id, sameLayout(id, layout)), share, pace, device: profileOf(device) }];
  });
}
