import type { Brief } from '@yellow-latch/core/clash';
import type { FindingType, Severity } from '@yellow-latch/core/clash/finding';
import type { Shortcut } from '@yellow-latch/core/model';

import type { Findings, Left } from './findings';

/** What is shown of the findings; null: all. */
export interface Filter {
  readonly severity: Severity | null;
  readonly device: string | null;
  readonly setId: string | null;
}

export const NO_FILTER: Filter = { severity: null, device: null, setId: null };

/** One line as it is drawn. */
export type CheckItem =
  | { type: 'group'; key: string; of: FindingType; count: number; isOpen: boolean }
  | { type: 'finding'; key: string; finding: Brief }
  | { type: 'left-group'; key: string; count: number; isOpen: boolean }
  | { type: 'left'; key: string; left: Left };

export const LEFT_GROUP = 'left';

/**
 * The findings that pass a filter, by type, the type with the worst first and in each the worst first;
 * of groups in `closed` only the heading. What was left comes last, and only if its group is asked for.
 */
export function groupFindings(
  { open, left }: Findings,
  shortcuts: readonly Shortcut[],
  filter: Filter,
  closed: ReadonlySet<string>,
): CheckItem[] {
  const setOf = new Map(shortcuts.map(({ id, setId }) => [id, setId]));
  const passes = ({ severity, devices, shortcuts: [id] }: Brief) =>
    (filter.severity === null || severity === filter.severity) &&
    (filter.device === null || devices.length === 0 || devices.includes(filter.device)) &&
    (filter.setId === null || setOf.get(id!) === filter.setId);
  const groups = new Map<FindingType, Brief[]>();
  for (const finding of open) {
    if (!passes(finding)) continue;
    const group = groups.get(finding.type);
    if (group) group.push(finding);
    else groups.set(finding.type, [finding]);
  }
  const items: CheckItem[] = [];
  for (const [of, findings] of groups) {
    const isOpen = !closed.has(of);
    items.push({ type: 'group', key: of, of, count: findings.length, isOpen });
    if (!isOpen) continue;
    for (const finding of findings) items.push({ type: 'finding', key: `${of} ${finding.shortcuts[0]}`, finding });
  }
  const leftHere = left.filter(({ finding }) => passes(finding));
  if (leftHere.length > 0) {
    // Closed until it is asked for: what is left is done with.
    const isOpen = closed.has(LEFT_GROUP);
    items.push({ type: 'left-group', key: LEFT_GROUP, count: leftHere.length, isOpen });
    if (isOpen) for (const one of leftHere) items.push({ type: 'left', key: `left ${one.left.id}`, left: one });
  }
  return items;
}
