/**
 * Hybrid logical clocks (Kulkarni et al., "Logical Physical Clocks", OPODIS 2014): close to wall
 * time, never running backwards, and ordering every change after all that its device had seen.
 *
 * A clock is one string that sorts as time does: milliseconds since 1970 in 12 hexadecimal
 * digits, a counter in 4, and the id of the device, which breaks ties.
 */
import { z } from 'zod';

export const ClockSchema = z.string().regex(/^[0-9a-f]{12}\.[0-9a-f]{4}\.[0-9a-f-]{36}$/, 'is not a clock');
export type Clock = string;

/** A clock further ahead than this, in ms, was set wrong; the server stamps its change anew. */
export const LARGEST_CLOCK_LEAD = 5 * 60_000;

const LARGEST_COUNTER = 0xffff;

export function makeClock(time: number, counter: number, device: string): Clock {
  const hexTime = time.toString(16).padStart(12, '0');
  return `${hexTime}.${counter.toString(16).padStart(4, '0')}.${device}`;
}

export interface ClockParts {
  /** ms since 1970 */
  time: number;
  counter: number;
  device: string;
}

export function readClock(clock: Clock): ClockParts {
  return {
    time: timeOf(clock),
    counter: Number.parseInt(clock.slice(13, 17), 16),
    device: clock.slice(18),
  };
}

/** When an event was, as its clock says; ms since 1970. */
export function timeOf(clock: Clock): number {
  return Number.parseInt(clock.slice(0, 12), 16);
}

/** The clock of a new event on `device` at wall time `now` (ms), later than `last`. */
export function nextClock(last: Clock | null, now: number, device: string): Clock {
  if (last === null) return makeClock(now, 0, device);
  const { time, counter } = readClock(last);
  if (now > time) return makeClock(now, 0, device);
  if (counter < LARGEST_COUNTER) return makeClock(time, counter + 1, device);
  return makeClock(time + 1, 0, device);
}

/** The later of two clocks, of which either may be missing. */
export function laterClock(a: Clock | null, b: Clock | null): Clock | null {
  if (a === null || b === null) return a ?? b;
  return a > b ? a : b;
}
