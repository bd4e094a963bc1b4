import { useWindowDimensions } from 'react-native';
import { useTheme } from 'react-native-paper';

import type { Palette, Theme } from './theme';

/** From this width, in CSS px, list and detail stand side by side: on a tablet held upright too. */
export const WIDE = 760;
/** From this one the places stand at the side. */
const RAIL = 840;

export function usePalette(): Palette {
  return useTheme<Theme>().palette;
}

export function useHasRail(): boolean {
  return useWindowDimensions().width >= RAIL;
}

export function useIsWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}
