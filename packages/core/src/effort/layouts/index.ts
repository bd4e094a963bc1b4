/** Keyboards that are there from the start: national ones for ten fingers, generic ones of our own on glass. */
import type { Layout } from '../../model';
import type { Keyboard } from '../keyboard';
import { GLASS_LAYOUTS, glassKeyboard } from './phonesAndTablets';
import { HARDWARE_LAYOUTS, hardwareKeyboard } from './computers';

export const LAYOUTS: Readonly<Record<string, Layout>> = { ...GLASS_LAYOUTS, ...HARDWARE_LAYOUTS };

/** A layout as a keyboard: its keys with their places, and what each press does. */
export function keyboardFrom(id: string, layout: Layout): Keyboard {
  return layout.type === 'glass' ? glassKeyboard(id, layout) : hardwareKeyboard(id, layout);
}

export const KEYBOARDS: readonly Keyboard[] = Object.entries(LAYOUTS).map(([id, layout]) => keyboardFrom(id, layout));

export { glassKeyboard } from './phonesAndTablets';
