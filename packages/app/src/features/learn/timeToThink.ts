import { KLM } from '@yellow-latch/core/effort/timing';

/** A word is read in so many s: 238 words a minute (Brysbaert, "How many words do we read per minute?", 2019, from memory). */
const READING_A_WORD = 60 / 238;
/** Nobody reads a long text to its end before they know which one it is. Assumed: no source. */
const MOST_READING = 3;

/** How long somebody thought of a code: what passed since they saw what is asked, less reading that and typing the code and a space; s. */
export function timeToThink(passed: number, asked: string, code: string): number {
  const words = asked.split(/\s+/u).length;
  const reading = Math.min(MOST_READING, words * READING_A_WORD);
  const thought = passed - reading - ([...code].length + 1) * KLM.K;
  return Math.round(Math.max(0, Math.min(3_600, thought)) * 100) / 100;
}
