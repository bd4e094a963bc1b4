import { splitMarker } from '@yellow-latch/core/model';

import { FACES } from '@/look/fonts';
import { PALETTES } from '@/look/theme';

/** A code and its text, on one line. */
export interface Pair {
  readonly code: string;
  readonly text: string;
}

export interface PictureSize {
  /** Pixels. */
  readonly width: number;
  readonly height: number;
}

/** At most so many: more would be too small to read at a glance. */
export const MOST_PAIRS = 8;
/** Where a lock screen leaves room: clock and date stand above, buttons below. Parts of its height. */
const FROM = 0.38;
const TO = 0.84;
/** Parts of the width. */
const MARGIN = 0.09;
const LARGEST = 0.062;

/** The size of this device's screen, upright, in its own pixels. */
export function screenSize(): PictureSize {
  const { width, height } = screen;
  const ratio = devicePixelRatio || 1;
  const [short, long] = width < height ? [width, height] : [height, width];
  return { width: Math.round(short * ratio), height: Math.round(long * ratio) };
}

/** Draws codes and texts as a picture for a lock screen. Nothing of it leaves the device. */
export async function drawPicture(canvas: HTMLCanvasElement, pairs: readonly Pair[], size: PictureSize): Promise<void> {
  await document.fonts.ready;
  canvas.width = size.width;
  canvas.height = size.height;
  // eslint-disable-next-line lingui/no-unlocalized-strings -- the name of a way to draw
  const context = canvas.getContext('2d')!;
  const palette = PALETTES.dark;
  context.fillStyle = palette.ground;
  context.fillRect(0, 0, size.width, size.height);
  const shown = pairs.slice(0, MOST_PAIRS);
  const room = (TO - FROM) * size.height;
  const line = Math.min(room / Math.max(1, shown.length), size.width * LARGEST * 4.8);
  const letter = Math.min(size.width * LARGEST, line / 4.8);
  const left = size.width * MARGIN;
  const wide = size.width - 2 * left;
  const start = FROM * size.height + (room - line * shown.length) / 2;
  context.textBaseline = 'middle';
  shown.forEach(({ code, text }, index) => {
    const top = start + index * line;
    drawPlate(context, code, left, top, letter);
    context.font = `${letter}px ${FACES.text}`;
    context.fillStyle = palette.ink;
    linesOf(context, text, wide).forEach((one, at) => {
      context.fillText(one, left, top + letter * (2.45 + 1.25 * at));
    });
  });
}

function drawPlate(context: CanvasRenderingContext2D, code: string, left: number, top: number, letter: number): void {
  const palette = PALETTES.dark;
  const { before, mnemonic, after } = splitMarker(code);
  const size = letter * 1.15;
  context.font = `${size}px ${FACES.code}`;
  let at = left;
  for (const [part, isLatch] of [
    [before, true],
    [mnemonic.replaceAll(' ', '␣'), false],
    [after, true],
  ] as const) {
    if (part === '') continue;
    const width = context.measureText(part).width + size * 0.6;
    context.fillStyle = isLatch ? palette.latch : palette.surface;
    context.strokeStyle = palette.keyline;
    context.lineWidth = Math.max(1, size / 12);
    context.beginPath();
    context.roundRect(at, top, width, size * 1.5, size * 0.22);
    context.fill();
    context.stroke();
    context.fillStyle = isLatch ? palette.onLatch : palette.ink;
    context.fillText(part, at + size * 0.3, top + size * 0.78);
    at += width;
  }
}

/** A text on two lines at most, the second cut to the width. */
function linesOf(context: CanvasRenderingContext2D, text: string, wide: number): string[] {
  if (context.measureText(text).width <= wide) return [text];
  const words = text.split(' ');
  let first = words.shift() ?? '';
  while (words.length > 0 && context.measureText(`${first} ${words[0]}`).width <= wide) first += ` ${words.shift()}`;
  return [shortenedTo(context, first, wide), shortenedTo(context, words.join(' '), wide)].filter((one) => one !== '');
}

/** A text cut to a width, with an ellipsis where it was. */
function shortenedTo(context: CanvasRenderingContext2D, text: string, wide: number): string {
  if (context.measureText(text).width <= wide) return text;
  const clusters = [...text];
  let [fits, most] = [0, clusters.length];
  while (fits < most) {
    const middle = Math.ceil((fits + most) / 2);
    if (context.measureText(`${clusters.slice(0, middle).join('')}…`).width <= wide) fits = middle;
    else most = middle - 1;
  }
  return `${clusters.slice(0, fits).join('').trimEnd()}…`;
}
