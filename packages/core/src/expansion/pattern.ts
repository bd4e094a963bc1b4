import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns/format';
import type { Locale } from 'date-fns/locale';
import { de } from 'date-fns/locale/de';
import { enGB } from 'date-fns/locale/en-GB';
import { enUS } from 'date-fns/locale/en-US';
import { es } from 'date-fns/locale/es';
import { fr } from 'date-fns/locale/fr';

const LOCALES: Readonly<Record<string, Locale>> = { de, en: enGB, 'en-GB': enGB, 'en-US': enUS, es, fr };

/** The letters of UTS #35 that are known here, with the most of each. */
const KNOWN: Readonly<Record<string, number>> = {
  G: 5,
  y: 9,
  Q: 5,
  q: 5,
  M: 5,
  L: 5,
  w: 2,
  d: 2,
  E: 6,
  e: 6,
  c: 6,
  a: 5,
  b: 5,
  B: 5,
  h: 2,
  H: 2,
  K: 2,
  k: 2,
  m: 2,
  s: 2,
  S: 9,
  X: 5,
  x: 5,
  O: 4,
};

/** Letters in quotes are text; two quotes are one. */
const QUOTED = /'(?:''|[^'])*'/gu;

/** The letters of a pattern that are none of ours, '' where all are; text stands in quotes (UTS #35, Date Format Patterns). */
export function unknownLettersOf(pattern: string): string {
  const open = pattern.replaceAll(QUOTED, '');
  if (open.includes("'")) return "'";
  const runs = open.match(/([A-Za-z])\1*/gu) ?? [];
  return runs.find((run) => (KNOWN[run[0]!] ?? 0) < run.length) ?? '';
}

/** A moment in a pattern of UTS #35, as a locale and a time zone (IANA) have it. */
export function formatMoment(moment: number, pattern: string, locale: string, zone: string): string {
  return format(new TZDate(moment, zone), pattern, {
    locale: LOCALES[locale] ?? LOCALES[locale.split('-')[0]!] ?? enGB,
  });
}
