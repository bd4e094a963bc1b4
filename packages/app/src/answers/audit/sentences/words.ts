import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import type { Misfires } from '@yellow-latch/core/clash/finding';
import { WEEKS_A_YEAR } from '@yellow-latch/core/effort/assumptions';
import { weeksUntil } from '@yellow-latch/core/clash/vocabulary';
import type { ProfileId } from '@yellow-latch/core/fit';

import { tellList } from '@/wording/format';

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

/** As they stand in a sentence. */
const DEVICES: Record<ProfileId, MessageDescriptor> = {
  app: msg`this app`,
  'phone-list': msg`the phone`,
  'tablet-list': msg`the tablet`,
  'computer-list': msg`the computer`,
  'computer-again': msg`the computer that expands inside texts`,
  'keyboard-with-offers': msg`the keyboard with suggestions`,
};

/** As they stand on a label. */
const LABELS: Record<ProfileId, MessageDescriptor> = {
  app: msg`This app`,
  'phone-list': msg`Phone`,
  'tablet-list': msg`Tablet`,
  'computer-list': msg`Computer`,
  'computer-again': msg`Computer that expands inside texts`,
  'keyboard-with-offers': msg`Keyboard with suggestions`,
};

/** Devices in a sentence: the phone, the tablet and the computer. */
export function deviceNames(ids: readonly string[]): string {
  return tellList(ids.map((id) => worded(DEVICES, id)));
}

/** The name of a device alone, as on a label. */
export function deviceLabel(id: string): string {
  return worded(LABELS, id);
}

/** Devices at the head of a line: Phone and Tablet. */
export function deviceLabels(ids: readonly string[]): string {
  return tellList(ids.map(deviceLabel));
}

function worded(words: Record<ProfileId, MessageDescriptor>, id: string): string {
  const word = words[id as ProfileId] as MessageDescriptor | undefined;
  return word ? i18n._(word) : id;
}
