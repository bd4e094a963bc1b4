import { effortOfText } from './inUse';
import type { Keyboard } from './keyboard';

/** How long the measure takes, in s. */
export const MEASURE_SECONDS = 30;
/** Fewer characters tell nothing. */
export const LEAST_MEASURED = 20;

/** What was measured: seconds beside the model's, and words a minute (of five characters, ISO 9241-411's way of counting). */
export interface Pace {
  readonly pace: number;
  readonly wordsAMinute: number;
}

/** A person's own pace, from what they typed in so many seconds; null: too little to tell. */
export function paceFrom(typed: string, seconds: number, keyboard: Keyboard): Pace | null {
  if (typed.length < LEAST_MEASURED || seconds <= 0) return null;
  const model = effortOfText(typed, { keyboard, pace: 1 });
  const pace = Math.min(5, Math.max(0.2, seconds / model.seconds));
  return { pace: Math.round(pace * 100) / 100, wordsAMinute: (typed.length / 5 / seconds) * 60 };
}
