import type { Severity } from '@yellow-latch/core/clash/finding';
import type { Shortcut, ShortcutSet } from '@yellow-latch/core/model';

import type { ListView } from '@yellow-latch/replica/storage/view';

/**
 * One line of the list as it is drawn. `set` null: what is in no set, or in one that is gone; `corrections`: those, whatever set
 * they are in, since nobody looks for them among what they type codes for.
 */
export type ListItem =
  | { type: 'set'; key: string; set: ShortcutSet | 'corrections' | null; count: number }
  | { type: 'shortcut'; key: string; shortcut: Shortcut };

/** The list by set, each with its count, first what has no set yet, last the corrections; no empty sets. */
export function groupBySet({ shortcuts, sets }: Pick<ListView, 'shortcuts' | 'sets'>): ListItem[] {
  const bySet = new Map<string | null, Shortcut[]>(sets.map(({ id }) => [id, []]));
  bySet.set(null, []);
  const corrections: Shortcut[] = [];
  for (const shortcut of shortcuts) {
    if (shortcut.kind === 'correction') corrections.push(shortcut);
    else (bySet.get(shortcut.setId) ?? bySet.get(null)!).push(shortcut);
  }
  const items: ListItem[] = [];
  for (const set of [null, ...sets]) {
    const members = bySet.get(set?.id ?? null)!;
    if (members.length === 0) continue;
    items.push({ type: 'set', key: set?.id ?? 'none', set, count: members.length });
    for (const shortcut of members) items.push({ type: 'shortcut', key: shortcut.id, shortcut });
  }
  if (corrections.length > 0) {
    items.push({ type: 'set', key: 'corrections', set: 'corrections', count: corrections.length });
    for (const shortcut of corrections) items.push({ type: 'shortcut', key: shortcut.id, shortcut });
  }
  return items;
}

/** How many shortcuts have each verdict as their worst. */
export function countShortcuts(worst: ReadonlyMap<string, Severity>): Record<Severity, number> {
  const counts = { breaks: 0, risky: 0, note: 0 };
  for (const severity of worst.values()) counts[severity] += 1;
  return counts;
}
