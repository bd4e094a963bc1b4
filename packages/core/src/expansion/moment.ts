import { TZDate } from '@date-fns/tz';

import type { Duration } from './duration';
import { WEEKDAYS, type Weekday } from './segment';

const SECOND = 1_000;
const MINUTE = 60 * SECOND;
const HOUR = 60 * MINUTE;

/**
 * A moment later by a duration, in a time zone (IANA). Years and months first, the day no later than the month's
 * last; then weeks and days, all on the calendar, at the same time of day; hours and less are elapsed time.
 * A time that a change of clocks leaves out is taken as late again, one that comes twice as the first (the rules of
 * RFC 5545, as Temporal's `compatible`). ms since 1970.
 */
export function shift(
  moment: number,
  { sign, years, months, weeks, days, hours, minutes, seconds }: Duration,
  zone: string,
): number {
  let later = moment;
  if (years + months + weeks + days > 0) {
    const at = new TZDate(moment, zone);
    const month = at.getFullYear() * 12 + at.getMonth() + sign * (years * 12 + months);
    const [y, m] = [Math.floor(month / 12), ((month % 12) + 12) % 12];
    const day = Math.min(at.getDate(), daysIn(y, m)) + sign * (weeks * 7 + days);
    later = momentOf(y, m, day, timeOfDay(at), zone);
  }
  return later + sign * (hours * HOUR + minutes * MINUTE + seconds * SECOND);
}

/** The next such day of the week, a week later if it is that day, at the same time. */
export function nextWeekday(moment: number, weekday: Weekday, zone: string): number {
  const at = new TZDate(moment, zone);
  const days = (WEEKDAYS.indexOf(weekday) - at.getDay() + 7) % 7 || 7;
  return momentOf(at.getFullYear(), at.getMonth(), at.getDate() + days, timeOfDay(at), zone);
}

/** The year of a moment on the calendar. */
export function yearOf(moment: number, zone: string): number {
  return new TZDate(moment, zone).getFullYear();
}

/** ms since midnight by the clock on the wall. */
function timeOfDay(at: TZDate): number {
  return at.getHours() * HOUR + at.getMinutes() * MINUTE + at.getSeconds() * SECOND + at.getMilliseconds();
}

function daysIn(year: number, month: number): number {
  return new Date(utc(year, month + 1, 0)).getUTCDate();
}

/** As Date.UTC, which takes years below 100 for those of the last century. */
function utc(year: number, month: number, day: number): number {
  const date = new Date(0);
  date.setUTCFullYear(year, month, day);
  return date.getTime();
}

/** The moment at which the wall of a zone shows a date and a time. */
function momentOf(year: number, month: number, day: number, time: number, zone: string): number {
  const wall = utc(year, month, day) + time;
  const offsetAt = (moment: number) => {
    const at = new TZDate(moment, zone);
    return utc(at.getFullYear(), at.getMonth(), at.getDate()) + timeOfDay(at) - moment;
  };
  // A zone changes its clocks far less than once a day: the offsets a day before and after are those in question.
  const [before, after] = [offsetAt(wall - 24 * HOUR), offsetAt(wall + 24 * HOUR)];
  const first = wall - before;
  if (offsetAt(first) === before) return first;
  const second = wall - after;
  // In a gap neither shows it: by the offset before it, it is as much later.
  return offsetAt(second) === after ? second : first;
}
