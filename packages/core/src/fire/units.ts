const encoder = new TextEncoder();
const bytes = new Uint8Array(0x8000);

/** The UTF-16 units of a text, and a 0 behind them; whether all are ASCII. */
export interface Units {
  readonly units: Uint16Array;
  readonly isAscii: boolean;
}

/** Linear. ASCII is read piece by piece, many times faster than unit by unit. */
export function unitsOf(text: string): Units {
  const { length } = text;
  const units = new Uint16Array(length + 1);
  let isAscii = true;
  for (let from = 0; from < length; from += bytes.length) {
    const piece = text.slice(from, from + bytes.length);
    const { read, written } = encoder.encodeInto(piece, bytes);
    // Beyond ASCII a unit takes more than a byte.
    if (read === piece.length && written === piece.length) {
      units.set(bytes.subarray(0, written), from);
      continue;
    }
    isAscii = false;
    for (let i = 0; i < piece.length; i += 1) units[from + i] = piece.charCodeAt(i);
  }
  return { units, isAscii };
}
