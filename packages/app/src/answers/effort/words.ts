import type { Uses } from '@yellow-latch/core/effort';
import type { Mark } from '@yellow-latch/core/model';

import { tellNumber } from '@/answers/audit/sentences/words';

const MINUTE = 60;
const HOUR = 3_600;

/** A length of time with two digits that count: 4.2 s, 19 s, 3.4 min, 2 h 5 min. */
export function tellDuration(seconds: number): string {
  const length = Math.abs(seconds);
  const sign = seconds < 0 ? '−' : '';
  if (length < 99.5) return `${sign}${tellNumber(length)} s`;
  if (length < 99.5 * MINUTE) return `${sign}${tellNumber(length / MINUTE)} min`;
  const minutes = Math.round((length % HOUR) / MINUTE);
  const hours = Math.floor(length / HOUR) + (minutes === 60 ? 1 : 0);
  if (hours >= 10) return `${sign}${hours >= 100 ? tellNumber(hours) : Math.round(length / HOUR)} h`;
  return `${sign}${hours} h${minutes % 60 === 0 ? '' : ` ${minutes % 60} min`}`;
}

/** Taps, with one place where they are few. */
export function tellTaps(taps: number): string {
  const shown = Math.abs(taps) < 20 ? Math.round(taps * 10) / 10 : Math.round(taps);
  return `${shown.toLocaleString('en').replace('-', '−')} ${shown === 1 ? 'tap' : 'taps'}`;
}

const PLACES = { before: 'before', after: 'after', both: 'on both sides' } as const;

/** A mark in words: “;” before, the first letter doubled. */
export function tellMark({ place, marker }: Mark): string {
  if (place === 'doubled') return 'the first letter doubled';
  if (place === 'bare') return 'no marker';
  return `“${marker}” ${PLACES[place]}`;
}

/** How often something happens that comes so many times a week. */
export function tellAWeek(times: number): string {
  if (times < 0.001) return 'practically never';
  if (times >= 0.95) return `${tellNumber(times)} times a week`;
  const weeks = 1 / times;
  return weeks < 99 ? `once in ${tellNumber(weeks)} weeks` : `once in ${tellNumber(weeks / 52)} years`;
}

const FROM = { said: 'as you said', counted: 'counted in Write', 'own text': 'from your own text' } as const;

/** How often a shortcut is used, and from where that is known. */
export function tellUses({ aWeek, from }: Uses): string {
  return `${tellAWeek(aWeek)}, ${FROM[from]}`;
}
