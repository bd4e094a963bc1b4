import type { ChoiceOption } from '@/look/ChoiceSheet';

import { tellAWeek } from './words';

const STEPS: readonly (readonly [aWeek: number | null, label: string])[] = [
  [null, 'Not said'],
  [0.25, 'About once a month'],
  [1, 'About once a week'],
  [3, 'A few times a week'],
  [7, 'About once a day'],
  [21, 'A few times a day'],
  [50, 'Many times a day'],
];

/** How often a shortcut may be said to be used, as values of a choice; one that is said otherwise is among them. */
export function usesChoices(said: number | null): ChoiceOption<string | null>[] {
  const choices = STEPS.map(([aWeek, label]) => ({ value: aWeek === null ? null : String(aWeek), label }));
  const isAmong = STEPS.some(([aWeek]) => aWeek === said);
  return isAmong || said === null ? choices : [...choices, { value: String(said), label: tellAWeek(said) }];
}

/** The value of a choice as what was said. */
export function saidBy(value: string | null): number | null {
  return value === null ? null : Number(value);
}
