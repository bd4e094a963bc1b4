import { KLM } from '../effort/timing';

/** So many keys are remembered. */
const MOST_KEYS = 64;
/** From so many on, how fast somebody usually types is read off them. */
const LEAST_KEYS = 8;
/** Slower than this, in ms, was no typing on. */
const PAUSE = 1_000;
/** Longer than this, in s, somebody was away, or thought of something else. */
const AWAY = 20;
/** More at once, in UTF-16 units, was not typed key by key. */
const MOST_AT_ONCE = 4;

interface Key {
  /** ms on any steady clock. */
  readonly at: number;
  readonly from: number;
  readonly to: number;
}

/**
 * The keys pressed last in a field, and how long somebody hesitated over a code: the time from the edge before it to its end,
 * less what that many keys take them anyway. Told of each key as it is typed, with the stretch of the text that it made.
 */
export class KeyTimes {
  private keys: Key[] = [];
  /** ms from one key to the next, where somebody typed on. */
  private readonly intervals: number[] = [];

  /** A key put `from`…`to` into the text, at the caret. */
  typed(at: number, from: number, to: number): void {
    const last = this.keys.at(-1);
    if (last && at - last.at < PAUSE) remember(this.intervals, at - last.at);
    // The caret was somewhere else, or part of the text was deleted: what stood where is not known any more.
    if (last && last.to !== from) this.keys = this.keys.filter((key) => key.to <= from);
    remember(this.keys, { at, from, to });
  }

  /** A code became its text, behind which the caret stands: what comes next begins there. */
  expanded(at: number, caret: number): void {
    this.keys = [{ at, from: caret - 1, to: caret }];
  }

  /** The text was changed by other means. */
  forget(): void {
    this.keys = [];
  }

  /** How long somebody hesitated over the code that stands at `start`…`end`, in s; null: not known. */
  hesitationOver(start: number, end: number): number | null {
    const first = this.keys.findIndex(({ from }) => from === start);
    const edge = this.keys[first - 1];
    if (first < 1 || edge?.to !== start) return null;
    const keys = this.keys.slice(first).filter(({ to }) => to <= end);
    if (keys.at(-1)?.to !== end || keys.some(({ from, to }) => to - from > MOST_AT_ONCE)) return null;
    const usual = this.usualInterval();
    let over = 0;
    let before = edge.at;
    for (const { at } of keys) {
      over += Math.max(0, at - before - usual);
      before = at;
    }
    const seconds = Math.round(over / 10) / 100;
    return seconds > AWAY ? null : seconds;
  }

  /** How long one key after another takes, in ms: the median here, or the model's while too little was typed. */
  private usualInterval(): number {
    const intervals = [...this.intervals].sort((a, b) => a - b);
    return intervals.length < LEAST_KEYS ? KLM.K * 1_000 : intervals[Math.floor(intervals.length / 2)]!;
  }
}

/** In place: it is done between a key and the frame that shows it. */
function remember<T>(last: T[], one: T): void {
  last.push(one);
  if (last.length > MOST_KEYS) last.shift();
}
