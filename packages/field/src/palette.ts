/**
 * The colours by their role. Ground is a cool felt grey, ink a deep blue-green. Latch yellow is for the marker of a code
 * and the primary action; it always carries a keyline of `keyline`.
 */
export interface Palette {
  ground: string;
  surface: string;
  ink: string;
  inkSoft: string;
  line: string;
  latch: string;
  onLatch: string;
  keyline: string;
  alarm: string;
}

const LATCH = '#ffcb2b';
const DEEP = '#0a3a42';

export const PALETTES: Record<'light' | 'dark', Palette> = {
  light: {
    ground: '#dde4e4',
    surface: '#f4f7f6',
    ink: DEEP,
    inkSoft: '#3d5f65',
    line: '#aebdbf',
    latch: LATCH,
    onLatch: DEEP,
    keyline: DEEP,
    alarm: '#8f2413',
  },
  dark: {
    ground: '#0b2026',
    surface: '#14323a',
    ink: '#dcebea',
    inkSoft: '#a3bdbf',
    line: '#35565e',
    latch: LATCH,
    onLatch: DEEP,
    keyline: '#dcebea',
    alarm: '#ffb4a3',
  },
};

/** The colours as custom properties of CSS, light ones and, where the person wants them, dark ones. `on`: what carries them. */
export function paletteCss(on: string): string {
  const properties = (palette: Palette) =>
    Object.entries(palette)
      .map(([role, colour]) => `--${role}:${colour}`)
      .join(';');
  return `${on}{color-scheme:light dark;${properties(PALETTES.light)}}
@media (prefers-color-scheme:dark){${on}{${properties(PALETTES.dark)}}}`;
}
