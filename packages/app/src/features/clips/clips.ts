import { v7 as uuid } from 'uuid';

/** Something copied, kept on this device. `at`: ms since 1970. */
export interface Clip {
  readonly id: string;
  readonly text: string;
  readonly at: number;
  readonly isPinned: boolean;
}

const DAY = 24 * 60 * 60 * 1_000;
/** More than these are not kept; the oldest that is not pinned goes first. */
const MOST = 200;
const LONGEST = 100_000;

/** Those that are still kept: for a day, or for good where they are pinned; the newest first. */
export function stillKept(clips: readonly Clip[], now: number): readonly Clip[] {
  const alive = clips.filter(({ at, isPinned }) => isPinned || now - at < DAY);
  const spare = alive.length - MOST;
  if (spare <= 0) return alive;
  const tooMany = new Set(
    alive
      .filter(({ isPinned }) => !isPinned)
      .slice(-spare)
      .map(({ id }) => id),
  );
  return alive.filter(({ id }) => !tooMany.has(id));
}

/** With one more, on top; one with the same text moves there and stays pinned. Blank texts are none. */
export function withClip(clips: readonly Clip[], text: string, now: number): readonly Clip[] {
  const cut = text.slice(0, LONGEST);
  if (cut.trim() === '') return clips;
  const same = clips.find((clip) => clip.text === cut);
  const clip = { id: same?.id ?? uuid(), text: cut, at: now, isPinned: same?.isPinned ?? false };
  return stillKept([clip, ...clips.filter((one) => one !== same)], now);
}
