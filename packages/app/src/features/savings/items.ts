import type { Saving, Savings, SavingVerdict } from '@yellow-latch/core/effort';

/** Groups of the page, in its order. */
export const GROUPS = [
  ['best', 'Save most'],
  ['costs', 'Cost more than they save'],
  ['never pays', 'Too seldom used to pay'],
  ['use not known', 'How often they are used is not known'],
  ['cannot be typed', 'Cannot be typed on your keyboards'],
] as const;

export type SavingGroup = (typeof GROUPS)[number][0];

export type SavingItem =
  | {
      readonly type: 'group';
      readonly key: string;
      readonly group: SavingGroup;
      readonly title: string;
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
