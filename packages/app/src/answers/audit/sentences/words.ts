import { plural, t } from '@lingui/core/macro';
import type { Misfires } from '@yellow-latch/core/clash/finding';
import { WEEKS_A_YEAR } from '@yellow-latch/core/effort/assumptions';
import { weeksUntil } from '@yellow-latch/core/clash/vocabulary';

/** How often something happens by mistake: in 10,000 words, or how often at a usual pace where that is seldom. */
export function tellMisfires({ perTenThousand }: Pick<Misfires, 'perTenThousand'>): string {
  if (perTenThousand < 1) return tellHowOften(1 / weeksUntil(perTenThousand));
  const times = twoDigits(perTenThousand);
  return plural(times, { one: 'about once in 10,000 words', other: 'about # times in 10,000 words' });
}

/** How often something happens that comes so many times a week, in words one would use. */
export function tellHowOften(timesAWeek: number): string {
  const weeks = 1 / timesAWeek;
  if (timesAWeek >= 0.75) {
    const times = twoDigits(timesAWeek < 10 ? Math.round(timesAWeek) : timesAWeek);
    return plural(times, { one: 'about once a week', other: 'about # times a week' });
  }
  if (weeks < 3.5) return plural(Math.round(weeks), { one: 'about every week', other: 'about every # weeks' });
  const months = Math.round((weeks * 12) / WEEKS_A_YEAR);
  if (months < 12) return plural(months, { one: 'about once a month', other: 'about every # months' });
  return weeks <= WEEKS_A_YEAR * 1.05 ? t`about once a year` : t`practically never`;
}

/** Rounded to two digits that count. */
function twoDigits(value: number): number {
  return Number(value.toPrecision(2));
}

/** A text on one line, cut where it gets long. */
export function shortened(text: string, longest = 60): string {
  const line = text.trim().replace(/\s+/g, ' ');
  return line.length > longest ? `${line.slice(0, longest)}…` : line;
}
