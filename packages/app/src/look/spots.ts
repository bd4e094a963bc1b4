/** A stretch of a text, in UTF-16 units. */
export interface Spot {
  readonly start: number;
  readonly end: number;
}

/** A piece of a text between two ends of spots; `spot`: the one it is, if it is one. */
export interface Piece<S extends Spot> {
  readonly start: number;
  readonly text: string;
  readonly spot: S | null;
}

/** A part of a text cut at its spots; of spots that overlap, and of those that reach out of it, the first stay. */
export function cutAtSpots<S extends Spot>(
  text: string,
  spots: readonly S[],
  from = 0,
  past = text.length,
): Piece<S>[] {
  const pieces: Piece<S>[] = [];
  let at = from;
  const take = (end: number, spot: S | null) => {
    if (end > at) pieces.push({ start: at, text: text.slice(at, end), spot });
    at = Math.max(at, end);
  };
  for (const spot of spots) {
    if (spot.start < at || spot.end > past) continue;
    take(spot.start, null);
    take(spot.end, spot);
  }
  take(past, null);
  return pieces;
}
