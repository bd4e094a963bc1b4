import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg } from '@lingui/core/macro';
import { tellHowOften } from '@/answers/audit/sentences/words';
import type { ChoiceOption } from '@/look/ChoiceSheet';

const STEPS: readonly (readonly [aWeek: number | null, label: MessageDescriptor])[] = [
  [null, msg`Not set`],
  [0.25, msg`About once a month`],
  [1, msg`About once a week`],
  [3, msg`A few times a week`],
  [7, msg`About once a day`],
  [21, msg`A few times a day`],
  [50, msg`Many times a day`],
];

/** How often a shortcut may be said to be used, as values of a choice; one that is said otherwise is among them. */
export function usesChoices(said: number | null): ChoiceOption<string | null>[] {
  const choices = STEPS.map(([aWeek, label]) => ({
    value: aWeek === null ? null : String(aWeek),
    label: i18n._(label),
  }));
  const isAmong = STEPS.some(([aWeek]) => aWeek === said);
  return isAmong || said === null ? choices : [...choices, { value: String(said), label: tellHowOften(said) }];
}

/** The value of a choice as what was said. */
export function saidBy(value: string | null): number | null {
  return value === null ? null : Number(value);
}
