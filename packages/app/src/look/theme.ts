import { PALETTES, type Palette } from '@yellow-latch/field/palette';
import { configureFonts, MD3DarkTheme, MD3LightTheme, type MD3Theme } from 'react-native-paper';

import { FACES } from './fonts';

export { PALETTES, type Palette };

export interface Theme extends MD3Theme {
  palette: Palette;
}

/** Paper gives its sizes in px; in rem they follow the letters that somebody has set in their browser. */
function inRem(fonts: MD3Theme['fonts']): MD3Theme['fonts'] {
  const rem = (px: unknown) => (typeof px === 'number' ? `${px / 16}rem` : px);
  const turned = Object.entries(fonts).map(([variant, font]: [string, object]) => {
    const sizes = Object.entries(font).filter(([name]) => name === 'fontSize' || name === 'lineHeight');
    return [variant, { ...font, ...Object.fromEntries(sizes.map(([name, px]) => [name, rem(px)])) }] as const;
  });
  return Object.fromEntries(turned) as MD3Theme['fonts'];
}

/** Paper's theme in our colours, faces and shapes. */
export function themeOf(scheme: 'light' | 'dark'): Theme {
  const palette = PALETTES[scheme];
  const base = scheme === 'dark' ? MD3DarkTheme : MD3LightTheme;
  return {
    ...base,
    palette,
    roundness: 1.5,
    fonts: inRem(configureFonts({ config: { fontFamily: FACES.text, fontWeight: '400', letterSpacing: 0 } })),
    colors: {
      ...base.colors,
      primary: palette.ink,
      onPrimary: palette.surface,
      primaryContainer: palette.latch,
      onPrimaryContainer: palette.onLatch,
      secondaryContainer: palette.ground,
      onSecondaryContainer: palette.ink,
      background: palette.ground,
      onBackground: palette.ink,
      surface: palette.surface,
      onSurface: palette.ink,
      surfaceVariant: palette.surface,
      onSurfaceVariant: palette.inkSoft,
      outline: palette.inkSoft,
      outlineVariant: palette.line,
      error: palette.alarm,
      inverseSurface: palette.ink,
      inverseOnSurface: scheme === 'dark' ? PALETTES.light.ink : palette.surface,
      inversePrimary: palette.latch,
      elevation: {
        ...base.colors.elevation,
        level0: 'transparent',
        level1: palette.surface,
        level2: palette.surface,
        level3: palette.surface,
      },
    },
  };
}
