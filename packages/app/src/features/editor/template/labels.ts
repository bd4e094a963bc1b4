import { t } from '@lingui/core/macro';
import type { DateSegment } from '@yellow-latch/core/expansion/segment';

import { loadedExpansion } from '@/answers/expansion/context';

import type { ChipSegment } from './chipNode';

const zone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;
const locale = () => (typeof navigator === 'undefined' ? 'en-GB' : navigator.language);

/** What a date comes to now. */
export function exampleOf(
  { pattern, plus, next }: Pick<DateSegment, 'pattern' | 'plus' | 'next'>,
  now = Date.now(),
): string {
  const { formatMoment, nextWeekday, parseDuration, shift } = loadedExpansion();
  const duration = parseDuration(plus);
  const shifted = duration ? shift(now, duration, zone()) : now;
  const moment = next === null ? shifted : nextWeekday(shifted, next, zone());
  return formatMoment(moment, pattern, locale(), zone());
}

/** What stands on a chip. */
export function labelOf(segment: ChipSegment, codeOf: (id: string) => string | undefined): string {
  switch (segment.type) {
    case 'blank':
      return segment.label || segment.name;
    case 'date':
      return exampleOf(segment);
    case 'clipboard':
      return t`clipboard`;
    case 'selection':
      return t`selected text`;
    case 'shortcut':
      return codeOf(segment.id) ?? t`deleted`;
    case 'caret':
      return t`cursor`;
  }
}

/** What a chip is called for who cannot see it. */
export function kindOf(segment: ChipSegment): string {
  switch (segment.type) {
    case 'blank':
      return t`Blank`;
    case 'date':
      return t`Date`;
    case 'clipboard':
      return t`Clipboard`;
    case 'selection':
      return t`Selected text`;
    case 'shortcut':
      return t`Shortcut`;
    case 'caret':
      return t`Cursor`;
  }
}

/** Patterns to choose from, by their examples. */
export const PATTERNS = [
  'd MMMM y',
  'd MMM y',
  'EEEE d MMMM',
  'dd/MM/y',
  'dd.MM.y',
  'y-MM-dd',
  'MMMM y',
  'EEEE',
  'HH:mm',
  'h:mm a',
  'EEEE d MMMM, HH:mm',
] as const;

/** How far on a date may be moved, in words. */
export function moves(): readonly (readonly [duration: string, label: string])[] {
  return [
    ['', t`today`],
    ['P1D', t`tomorrow`],
    ['P7D', t`in a week`],
    ['P14D', t`in two weeks`],
    ['P1M', t`in a month`],
    ['P3M', t`in three months`],
    ['P6M', t`in six months`],
    ['P1Y', t`in a year`],
    ['-P1D', t`yesterday`],
  ];
}

/** An identifier for a blank from its label: letters and digits, another where it is taken by another blank. */
export function nameFor(label: string, taken: ReadonlySet<string>): string {
  const plain = label
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/gu, '-')
    .replaceAll(/^-+|-+$/gu, '');
  const base = /^[a-z]/u.test(plain) ? plain : `blank${plain === '' ? '' : `-${plain}`}`;
  let name = base;
  for (let count = 2; taken.has(name); count += 1) name = `${base}-${count}`;
  return name;
}
