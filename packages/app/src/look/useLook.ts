import { useWindowDimensions } from 'react-native';
import { useTheme } from 'react-native-paper';

import type { Palette, Theme } from './theme';

/** From this width, in CSS px, list and detail stand side by side. */
export const WIDE = 840;

export function usePalette(): Palette {
  return useTheme<Theme>().palette;
}

export function useIsWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}
