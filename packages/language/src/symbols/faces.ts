/**
 * The faces that are shipped for symbols: each draws what those before it do not, and a browser fetches a file when it has to
 * draw something of it. Runs in Node, for the build and for tests.
 */
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

import { openSync } from 'fontkit';

const require = createRequire(import.meta.url);

interface Shipped {
  readonly package: string;
  /** Files of the package, by the part of their name that tells them apart. */
  readonly parts: readonly string[];
}

/** Those of the app itself, which are fetched anyway. */
const OWN: readonly Shipped[] = [{ package: 'atkinson-hyperlegible-next', parts: ['latin'] }];

const SIGNS: readonly Shipped[] = [
  { package: 'dejavu-sans', parts: ['latin'] },
  { package: 'noto-sans', parts: ['latin-ext'] },
  { package: 'noto-sans-math', parts: ['latin'] },
  { package: 'noto-sans-symbols', parts: ['symbols'] },
  { package: 'noto-sans-symbols-2', parts: ['symbols', 'math', 'braille', 'mayan-numerals'] },
  { package: 'noto-music', parts: ['music'] },
];

const EMOJI: Shipped = {
  package: 'noto-color-emoji',
  parts: Array.from({ length: 11 }, (_, index) => String(index)),
};

/** A file of a face, what it is called in styles, and the code points that are drawn with it. */
export interface Face {
  readonly family: 'Latch Symbols' | 'Latch Emoji';
  readonly package: string;
  readonly file: string;
  readonly path: string;
  readonly codePoints: readonly number[];
}

function pathOf(name: string, part: string): string {
  const folder = dirname(require.resolve(`@fontsource/${name}/package.json`));
  return join(folder, 'files', `${name}-${part}-400-normal.woff2`);
}

function drawnBy(path: string): number[] {
  const font = openSync(path);
  if (!('characterSet' in font)) throw new Error(`${path} is a collection of faces`);
  return font.characterSet.filter((codePoint) => font.glyphForCodePoint(codePoint).id !== 0);
}

/** The files that are shipped, each with what it alone draws, and all that can be drawn. */
export function shippedFaces(): { readonly faces: readonly Face[]; readonly drawn: readonly number[] } {
  const drawn = new Set(
    OWN.flatMap(({ package: name, parts }) => parts.flatMap((part) => drawnBy(pathOf(name, part)))),
  );
  const faces: Face[] = [];
  for (const { package: name, parts } of SIGNS) {
    for (const part of parts) {
      const path = pathOf(name, part);
      const codePoints = drawnBy(path).filter((codePoint) => !drawn.has(codePoint));
      for (const codePoint of codePoints) drawn.add(codePoint);
      if (codePoints.length > 0)
        faces.push({ family: 'Latch Symbols', package: name, file: `${name}-${part}.woff2`, path, codePoints });
    }
  }
  for (const part of EMOJI.parts) {
    const path = pathOf(EMOJI.package, part);
    const codePoints = drawnBy(path);
    for (const codePoint of codePoints) drawn.add(codePoint);
    faces.push({
      family: 'Latch Emoji',
      package: EMOJI.package,
      file: `${EMOJI.package}-${part}.woff2`,
      path,
      codePoints,
    });
  }
  return { faces, drawn: [...drawn].sort((a, b) => a - b) };
}

/** Pictures of the device itself come first, which people know; where it has none, ours do. */
const DEVICE_EMOJI = ['Apple Color Emoji', 'Segoe UI Emoji', 'Noto Color Emoji', 'NotoColorEmoji'];

/** The style sheet that tells a browser of them; the files stand beside it. */
export function facesSheet(faces: readonly Face[]): string {
  const rules = faces.map(({ family, file, codePoints }) => {
    const range = rangeOf(codePoints);
    return `@font-face{font-family:"${family}";src:url("${file}") format("woff2");font-display:swap;unicode-range:${range}}`;
  });
  const locals = DEVICE_EMOJI.map((name) => `local("${name}")`).join(',');
  return [`@font-face{font-family:"Device Emoji";src:${locals}}`, ...rules].join('\n');
}

function rangeOf(codePoints: readonly number[]): string {
  const ranges: string[] = [];
  for (let index = 0; index < codePoints.length;) {
    const first = codePoints[index]!;
    let last = first;
    while (codePoints[index + 1] === last + 1) {
      index += 1;
      last += 1;
    }
    index += 1;
    ranges.push(first === last ? `U+${first.toString(16)}` : `U+${first.toString(16)}-${last.toString(16)}`);
  }
  return ranges.join(',');
}
