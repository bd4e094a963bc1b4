import type { Key, Keyboard } from './keyboard';

/** Seconds that a press takes: from the key pressed before, null at the beginning, to this one. */
export interface Timing {
  (from: Key | null, to: Key): number;
  /** Whether every press takes the same, wherever the keys lie. */
  readonly isEven?: boolean;
}

/**
 * Fitts's law for a target on glass, in Shannon's form (MacKenzie 1992): a + b log2(D / W + 1) seconds.
 * a and b for a stylus on soft keys by Zhai, Hunter & Smith 2002, from memory; fingers are near them.
 * `repeat`: the same key again (Soukoreff & MacKenzie 1995, from memory).
 */
export const FITTS = { a: 0.083, b: 0.127, repeat: 0.153 } as const;

/** On glass: W is the smaller side of the key (MacKenzie & Buxton 1992). The first press costs a repeat. */
export const fittsTiming: Timing = (from, to) => {
  const distance = from === null ? 0 : Math.hypot(to.x - from.x, to.y - from.y);
  if (distance === 0) return FITTS.repeat;
  return FITTS.a + FITTS.b * Math.log2(distance / Math.min(to.width, to.height) + 1);
};

/**
 * The keystroke-level model (Card, Moran & Newell 1980): K for a typist of 40 words a minute, M to call
 * something to mind, H to move a hand between keyboard and mouse, P to point. Seconds, from memory.
 */
export const KLM = { K: 0.28, M: 1.35, H: 0.4, P: 1.1 } as const;

/** On a hardware keyboard every stroke takes the same: ten fingers lie over the keys. */
export const klmTiming: Timing = Object.assign(() => KLM.K, { isEven: true });

/** The law by which a keyboard is timed. */
export function timingOf({ kind }: Pick<Keyboard, 'kind'>): Timing {
  return kind === 'glass' ? fittsTiming : klmTiming;
}
