import type { Misfires } from '@yellow-latch/core/clash/finding';
import { weeksUntil, type Band } from '@yellow-latch/core/clash/vocabulary';
import type { ProfileId } from '@yellow-latch/core/fit';

/** In 10,000 words, and once in how many weeks. */
export function tellMisfires({ perTenThousand, band }: Pick<Misfires, 'perTenThousand' | 'band'>): string {
  const often = `about ${tellNumber(perTenThousand)} ${perTenThousand >= 0.95 && perTenThousand < 1.05 ? 'misfire' : 'misfires'} in 10,000 words`;
  return perTenThousand >= 1 ? often : `${often}, ${tellWeeks(perTenThousand, band)}`;
}

/** How often that is at a usual pace, from and to: once in so many weeks, or so many times a week. */
export function tellPace(perTenThousand: number, band: Band): string {
  const from = weeksUntil(perTenThousand * band.low);
  const to = weeksUntil(perTenThousand * band.high);
  if (to >= 1) return tellWeeks(perTenThousand, band);
  if (from >= 1) return `between once in ${tellNumber(Math.max(2, from))} weeks and ${tellNumber(1 / to)} times a week`;
  return `${tellNumber(1 / from)} to ${tellNumber(1 / to)} times a week`;
}

function tellWeeks(perTenThousand: number, band: Band): string {
  const from = weeksUntil(perTenThousand * band.high);
  const to = weeksUntil(perTenThousand * band.low);
  return `once in ${tellNumber(Math.max(1, from))} to ${tellNumber(Math.max(2, to))} weeks`;
}

/** Two digits that count. */
export function tellNumber(value: number): string {
  return Number(value.toPrecision(2)).toLocaleString('en');
}

export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count.toLocaleString('en')} ${count === 1 ? one : many}`;
}

export function capitalise(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** A text on one line, cut where it gets long. */
export function shortened(text: string, longest = 60): string {
  const line = text.trim().replace(/\s+/g, ' ');
  return line.length > longest ? `${line.slice(0, longest)}…` : line;
}

const DEVICES: Record<ProfileId, string> = {
  app: 'this app',
  'phone-list': 'the phone',
  'tablet-list': 'the tablet',
  'computer-list': 'the computer',
  'computer-again': 'the computer that expands again',
  'keyboard-with-offers': 'the keyboard with offers',
};

export function deviceName(id: string): string {
  return DEVICES[id as ProfileId] ?? id;
}

export function deviceNames(ids: readonly string[]): string {
  const names = ids.map(deviceName);
  return names.length < 3 ? names.join(' and ') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

/** The name of a device alone, as on a label. */
export function deviceLabel(id: string): string {
  return capitalise(deviceName(id).replace(/^the /, ''));
}
