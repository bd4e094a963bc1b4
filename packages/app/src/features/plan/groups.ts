import type { CodePlan, PlannedMove } from '@yellow-latch/core/codePlan';
import type { Shortcut, ShortcutSet } from '@yellow-latch/core/model';

/** Savings are worked out for a week, and told for a month. */
export const WEEKS_A_MONTH = 52 / 12;

/** A line of the plan: a set, or a shortcut of it. */
export type PlanItem =
  | {
      readonly type: 'set';
      readonly key: string;
      /** Null: those in no set. */
      readonly name: string | null;
      /** The shortcuts of it that change, or would. */
      readonly ids: readonly string[];
      /** How many of them do. */
      readonly changing: number;
    }
  | {
      readonly type: 'code';
      readonly key: string;
      readonly ids: readonly [string];
      readonly from: string;
      readonly text: Shortcut;
      /** Null: it was told to stay. */
      readonly move: PlannedMove | null;
    };

/** What changes and what was told to stay, set by set in the order of the list; within a set the most saved first. */
export function groupsOf(
  { moves }: CodePlan,
  locked: ReadonlySet<string>,
  byId: ReadonlyMap<string, Shortcut>,
  sets: readonly ShortcutSet[],
): PlanItem[] {
  const bySet = new Map<string | null, { id: string; move: PlannedMove | null }[]>();
  const add = (id: string, move: PlannedMove | null) => {
    const shortcut = byId.get(id);
    if (!shortcut) return;
    const setId = sets.some((set) => set.id === shortcut.setId) ? shortcut.setId : null;
    bySet.set(setId, [...(bySet.get(setId) ?? []), { id, move }]);
  };
  for (const move of moves) if (!locked.has(move.id)) add(move.id, move);
  for (const id of locked) add(id, null);
  const order: (ShortcutSet | null)[] = [...sets, null];
  return order.flatMap((set): PlanItem[] => {
    const inSet = bySet.get(set?.id ?? null);
    if (!inSet) return [];
    const head: PlanItem = {
      type: 'set',
      key: `set ${set?.id ?? ''}`,
      name: set?.name ?? null,
      ids: inSet.map(({ id }) => id),
      changing: inSet.filter(({ move }) => move !== null).length,
    };
    const rows = inSet.map(({ id, move }): PlanItem => {
      const text = byId.get(id)!;
      return { type: 'code', key: id, ids: [id], from: text.code, text, move };
    });
    return [head, ...rows];
  });
}
