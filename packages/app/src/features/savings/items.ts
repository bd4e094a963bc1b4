import { type MessageDescriptor } from '@lingui/core';
import { msg } from '@lingui/core/macro';
import type { Saving, Savings, SavingVerdict } from '@yellow-latch/core/effort';

/** Groups of the page, in its order. */
export const GROUPS: readonly (readonly [SavingGroup, MessageDescriptor])[] = [
  ['best', msg`Save most`],
  ['costs', msg`Cost more than they save`],
  ['never pays', msg`Used too rarely to pay off`],
  ['use not known', msg`How often do you use these?`],
  ['cannot be typed', msg`Can’t be typed on your keyboards`],
];

export type SavingGroup = 'best' | Exclude<SavingVerdict, 'pays'>;

export type SavingItem =
  | {
      readonly type: 'group';
      readonly key: string;
      readonly group: SavingGroup;
      readonly title: MessageDescriptor;
      readonly count: number;
    }
  | { readonly type: 'saving'; readonly key: string; readonly saving: Saving };

const MOST_BEST = 10;
/** Groups show so many, and all when asked. */
export const MOST_SHOWN = 5;

/** What the page shows below its sums: the best ten, and what does not pay, by reason. */
export function itemsOf({ each }: Savings, opened: ReadonlySet<SavingGroup>): SavingItem[] {
  const of = (verdict: SavingVerdict) => each.filter((saving) => saving.verdict === verdict);
  return GROUPS.flatMap(([group, title]): SavingItem[] => {
    const all = group === 'best' ? of('pays').slice(0, MOST_BEST) : of(group);
    if (all.length === 0) return [];
    const shown = group === 'best' || opened.has(group) ? all : all.slice(0, MOST_SHOWN);
    return [
      { type: 'group', key: group, group, title, count: all.length },
      ...shown.map((saving): SavingItem => ({ type: 'saving', key: saving.id, saving })),
    ];
  });
}
