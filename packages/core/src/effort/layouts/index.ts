/** Keyboards that are there from the start: national ones for ten fingers, generic ones of our own on glass. */
import type { Keyboard } from '../keyboard';
import { GLASS_LAYOUTS, glassKeyboard } from './glass';
import { HARDWARE_LAYOUTS, hardwareKeyboard } from './hardware';

export { glassKeyboard, type GlassLayout } from './glass';
export { hardwareKeyboard, type HardwareLayout } from './hardware';

export const KEYBOARDS: readonly Keyboard[] = [...GLASS_LAYOUTS.map(glassKeyboard), ...HARDWARE_LAYOUTS.map(hardwareKeyboard)];
