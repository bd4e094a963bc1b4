/** Numbers, lists, dates, clock times and lengths of time, as the person’s region writes them. */
import { i18n } from '@lingui/core';

/** So many of something. */
export function tellCount(count: number): string {
  return i18n.number(count);
}

/** A figure with two digits that count, which is all that an estimate is good for. */
export function tellNumber(value: number): string {
  return i18n.number(value, { maximumSignificantDigits: 2 });
}

/** A size in bytes, in megabytes. */
export function tellBytes(bytes: number): string {
  return i18n.number(bytes / 1_000_000, { style: 'unit', unit: 'megabyte', maximumFractionDigits: 1 });
}

/** A part of a whole, from 0 to 1, in whole percent. */
export function tellPercent(part: number): string {
  return i18n.number(part, { style: 'percent' });
}

/** A, B and C. */
export function tellList(items: readonly string[]): string {
  return listFormat('conjunction').format(items);
}

/** A, B or C. */
export function tellEither(items: readonly string[]): string {
  return listFormat('disjunction').format(items);
}

const MINUTE = 60;
const HOUR = 3_600;

/** A length of time in seconds, told with two digits that count: 4.2 sec, 19 sec, 3.4 min, 2 hr, 5 min. */
export function tellDuration(seconds: number): string {
  const length = Math.abs(seconds);
  if (length < 99.5) return inUnit(seconds, 'second');
  if (length < 99.5 * MINUTE) return inUnit(seconds / MINUTE, 'minute');
  if (length >= 9.5 * HOUR) return inUnit(seconds / HOUR, 'hour', length < 100 * HOUR ? 0 : undefined);
  const sign = Math.sign(seconds);
  const minutes = Math.round(length / MINUTE);
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  const parts = [inUnit(sign * hours, 'hour'), ...(rest === 0 ? [] : [inUnit(rest, 'minute')])];
  return listFormat('unit').format(parts);
}

function inUnit(value: number, unit: 'second' | 'minute' | 'hour', maximumFractionDigits?: number): string {
  const digits = maximumFractionDigits === undefined ? { maximumSignificantDigits: 2 } : { maximumFractionDigits };
  return i18n.number(value, { style: 'unit', unit, unitDisplay: 'short', ...digits }).replace('-', '−');
}

/** Minutes with two digits that count: 0.42 min, 12 min. */
export function tellMinutes(minutes: number): string {
  return inUnit(minutes, 'minute');
}

/** The time of day. `moment` here and below: ms since 1970. */
export function tellClock(moment: number): string {
  return i18n.date(new Date(moment), clock());
}

/** 09:05 where a day has 24 hours, 9:05 AM where it has twice twelve. */
function clock(): Intl.DateTimeFormatOptions {
  const { hourCycle } = new Intl.Locale(locales()[0]!);
  return { hour: hourCycle?.startsWith('h2') ? '2-digit' : 'numeric', minute: '2-digit' };
}

/** A day, with its year when that is not this one. */
export function tellDay(moment: number, now = Date.now()): string {
  const isThisYear = new Date(moment).getFullYear() === new Date(now).getFullYear();
  return i18n.date(new Date(moment), { day: 'numeric', month: 'short', ...(isThisYear ? {} : { year: 'numeric' }) });
}

/** A day in full, for paper. */
export function tellDate(moment: number): string {
  return i18n.date(new Date(moment), { day: 'numeric', month: 'long', year: 'numeric' });
}

/** A moment as short as can be: the time today, the day and the time before. */
export function tellMoment(moment: number, now = Date.now()): string {
  if (new Date(moment).toDateString() === new Date(now).toDateString()) return tellClock(moment);
  const isThisYear = new Date(moment).getFullYear() === new Date(now).getFullYear();
  return i18n.date(new Date(moment), {
    day: 'numeric',
    month: 'short',
    ...clock(),
    ...(isThisYear ? {} : { year: 'numeric' }),
  });
}

/** How long ago something was, roughly: now, 5 minutes ago, yesterday. */
export function tellAgo(moment: number, now = Date.now()): string {
  const minutes = Math.floor((now - moment) / 60_000);
  if (minutes < 2) return relative(0, 'second');
  if (minutes < 60) return relative(-minutes, 'minute');
  const hours = Math.round(minutes / 60);
  if (hours < 24) return relative(-hours, 'hour');
  const days = Math.round(hours / 24);
  return days < 30 ? relative(-days, 'day') : tellDay(moment, now);
}

function relative(value: number, unit: Intl.RelativeTimeFormatUnit): string {
  const make = () => new Intl.RelativeTimeFormat(locales(), { numeric: 'auto' });
  return formatter('relative', make).format(value, unit);
}

/** Texts in the order of a dictionary, with numbers by their size. */
export function compareTexts(a: string, b: string): number {
  const make = () => new Intl.Collator(locales(), { numeric: true, sensitivity: 'base' });
  return formatter('collator', make).compare(a, b);
}

/** The name of a day of the week; 0: Sunday. */
export function tellWeekday(day: number): string {
  // A Sunday, so that its days count on from it.
  return i18n.date(new Date(2026, 10, 1 + day), { weekday: 'long' });
}

/** The name of a language in the language of the screens, by its tag (BCP 47). */
export function languageName(tag: string): string {
  const make = () => new Intl.DisplayNames(locales(), { type: 'language', fallback: 'code' });
  try {
    return formatter('language', make).of(tag) ?? tag;
  } catch {
    // No tag at all, from a file of somebody else.
    return tag;
  }
}

/** The name of a country in the language of the screens, by its code (ISO 3166-1). */
export function regionName(code: string): string {
  return formatter('region', () => new Intl.DisplayNames(locales(), { type: 'region' })).of(code) ?? code;
}

function listFormat(type: 'conjunction' | 'disjunction' | 'unit'): Intl.ListFormat {
  return formatter(type, () => new Intl.ListFormat(locales(), { type, style: type === 'unit' ? 'short' : 'long' }));
}

function locales(): string[] {
  return [i18n.locales ?? i18n.locale].flat();
}

/** Each is made once for a locale: making one is slow. */
const made = new Map<string, unknown>();

function formatter<Formatter>(kind: string, make: () => Formatter): Formatter {
  const key = `${kind} ${locales().join()}`;
  let found = made.get(key) as Formatter | undefined;
  if (!found) made.set(key, (found = make()));
  return found;
}
