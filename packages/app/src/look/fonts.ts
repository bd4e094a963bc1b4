import type { FontSource } from 'expo-font';

/** The faces by what they are for. Atkinson Hyperlegible keeps 0 O o and 1 l I apart. */
export const FACES = {
  text: 'Atkinson Next, Noto Sans, sans-serif',
  strong: 'Atkinson Next Strong, Noto Sans, sans-serif',
  code: 'Atkinson Mono, Noto Sans Mono, monospace',
  /** Faces that are fetched for what has to be drawn of them (`useSymbolFaces`). */
  symbol: 'Atkinson Next, Latch Symbols, Device Emoji, Latch Emoji, sans-serif',
  emoji: 'Device Emoji, Latch Emoji, Latch Symbols, sans-serif',
} as const;

/** What is shipped; Latin only, other scripts come from the device's own faces. */
export const FONT_FILES: Record<string, FontSource> = {
  'Atkinson Next':
    require('@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff2') as FontSource,
  'Atkinson Next Strong':
    require('@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff2') as FontSource,
  'Atkinson Mono':
    require('@fontsource/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-600-normal.woff2') as FontSource,
};

/** Bold text: the strong face itself, never a face thickened by the browser. */
export const STRONG = { fontFamily: FACES.strong, fontWeight: '400' } as const;
