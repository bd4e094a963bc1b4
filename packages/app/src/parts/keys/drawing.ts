import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { Key, Keyboard, Press } from '@yellow-latch/core/effort';

/** A key as it is drawn in one layer. */
export interface DrawnKey {
  readonly name: string;
  readonly key: Key;
  readonly label: string;
  /** What it gives when it is held. */
  readonly behind: string;
  /** Whether it only leads to another layer. */
  readonly isSwitch: boolean;
}

/** What a key that leads to a layer is labelled with. */
const LAYERS: Readonly<Record<string, string>> = {
  letters: 'abc',
  capitals: 'Aa',
  locked: 'AA',
  figures: '12',
  signs: '{ }',
  shift: 'shift',
  alt: 'AltGr',
};

const LAYER_NAMES: Readonly<Record<string, MessageDescriptor>> = {
  letters: msg`letters`,
  capitals: msg`one capital`,
  locked: msg`capitals`,
  figures: msg`numbers`,
  signs: msg`symbols`,
  base: msg`no key held`,
  shift: msg`Shift held`,
  alt: msg`AltGr held`,
};

export function layerName(layer: string): string {
  const waiting = /^dead (.)( shift)?$/u.exec(layer);
  if (waiting) return t`“${{ accent: waiting[1]! }}” waits for its letter`;
  const known = LAYER_NAMES[layer];
  return known ? i18n._(known) : layer;
}

function labelOf({ gives, to }: Press): string {
  if (gives === ' ') return t`space`;
  if (gives === '\n') return t`return`;
  if (gives === '\t') return t`tab`;
  if (gives !== '') return gives;
  return LAYERS[to[0]!] ?? /^dead (.)/u.exec(to[0]!)?.[1] ?? to[0]!;
}

/** The keys that do something in a layer, in no order. */
export function keysIn(keyboard: Keyboard, layer: string): DrawnKey[] {
  const byKey = new Map<string, Press[]>();
  for (const press of keyboard.presses) {
    if (press.layer === layer) byKey.set(press.key, [...(byKey.get(press.key) ?? []), press]);
  }
  return [...byKey].map(([name, presses]) => {
    const press = presses.find(({ hold }) => hold === undefined) ?? presses[0]!;
    const behind = presses.flatMap(({ hold, gives }) => (hold === undefined ? [] : [gives])).join('');
    return { name, key: keyboard.keys[name]!, label: labelOf(press), behind, isSwitch: press.gives === '' };
  });
}

/** A press in a word: what it gives, or where it leads. */
export function tellPress(press: Press): string {
  return press.hold === undefined ? labelOf(press) : t`${{ key: labelOf(press) }} (held)`;
}

/** The extent of a keyboard, in mm. */
export function extentOf({ keys }: Keyboard): { left: number; top: number; width: number; height: number } {
  const all = Object.values(keys);
  const left = Math.min(...all.map(({ x, width }) => x - width / 2));
  const top = Math.min(...all.map(({ y, height }) => y - height / 2));
  return {
    left,
    top,
    width: Math.max(...all.map(({ x, width }) => x + width / 2)) - left,
    height: Math.max(...all.map(({ y, height }) => y + height / 2)) - top,
  };
}
