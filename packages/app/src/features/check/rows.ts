import type { Brief } from '@yellow-latch/core/clash';
import { byWorst, type FindingType, type Severity } from '@yellow-latch/core/clash/finding';
import type { Shortcut } from '@yellow-latch/core/model';

import type { Findings, Left } from '@yellow-latch/core/clash/sorted';

/** What is shown of the problems; null: all. */
export interface Filter {
  readonly severity: Severity | null;
  readonly device: string | null;
  readonly setId: string | null;
  readonly type: FindingType | null;
}

export const NO_FILTER: Filter = { severity: null, device: null, setId: null, type: null };

/** A shortcut with what was found about it that passes the filter, worst first. */
export interface CheckedShortcut {
  readonly id: string;
  readonly severity: Severity;
  readonly findings: readonly Brief[];
}

/** One line as it is drawn. */
export type CheckItem =
  | { type: 'heading'; key: Severity | typeof IGNORED; count: number; isOpen: boolean }
  | { type: 'shortcut'; key: string; row: CheckedShortcut }
  | { type: 'ignored'; key: string; left: Left };

export const IGNORED = 'ignored';

/** What is closed until it is asked for, itself or by a type: notes are good to know, and what is ignored is done with. */
const BEGINS_CLOSED: ReadonlySet<string> = new Set(['note', IGNORED]);

export interface CheckRows {
  readonly items: readonly CheckItem[];
  /** How many shortcuts there are of each verdict, whichever verdict is chosen. */
  readonly counts: Readonly<Record<Severity, number>>;
  /** The types that were found, worst first, whichever type is chosen. */
  readonly types: readonly FindingType[];
}

/**
 * What was found, a row for each shortcut, under its verdict, worst first. Of a heading that is closed only
 * itself is drawn; `toggled`: those that are not as they begin. Linear, but for sorting what one shortcut has.
 */
export function checkRows(
  { open, left }: Findings,
  shortcuts: readonly Shortcut[],
  filter: Filter,
  toggled: ReadonlySet<string>,
): CheckRows {
  const setOf = new Map(shortcuts.map(({ id, setId }) => [id, setId]));
  const isHere = ({ devices, shortcuts: [id] }: Brief) =>
    (filter.device === null || devices.length === 0 || devices.includes(filter.device)) &&
    (filter.setId === null || setOf.get(id!) === filter.setId);
  const isOfType = ({ type }: Brief) => filter.type === null || type === filter.type;

  const types = new Set<FindingType>();
  const about = new Map<string, Brief[]>();
  for (const finding of open) {
    if (!isHere(finding)) continue;
    types.add(finding.type);
    if (!isOfType(finding)) continue;
    const [id] = finding.shortcuts as [string];
    const others = about.get(id);
    if (others) others.push(finding);
    else about.set(id, [finding]);
  }

  const rows = [...about].map(([id, found]): CheckedShortcut => {
    const findings = found.sort(byWorst);
    return { id, severity: findings[0]!.severity, findings };
  });
  const counts = { breaks: 0, risky: 0, note: 0 };
  for (const { severity } of rows) counts[severity] += 1;

  const items: CheckItem[] = [];
  const isOpen = (key: Severity | typeof IGNORED) =>
    (BEGINS_CLOSED.has(key) && filter.severity !== key && filter.type === null) === toggled.has(key);
  for (const severity of ['breaks', 'risky', 'note'] as const) {
    if (counts[severity] === 0 || (filter.severity !== null && filter.severity !== severity)) continue;
    items.push({ type: 'heading', key: severity, count: counts[severity], isOpen: isOpen(severity) });
    if (!isOpen(severity)) continue;
    for (const row of rows) if (row.severity === severity) items.push({ type: 'shortcut', key: row.id, row });
  }

  const ignored = left.filter(
    ({ finding }) =>
      isHere(finding) && isOfType(finding) && (filter.severity === null || finding.severity === filter.severity),
  );
  if (ignored.length > 0) {
    items.push({ type: 'heading', key: IGNORED, count: ignored.length, isOpen: isOpen(IGNORED) });
    if (isOpen(IGNORED))
      for (const one of ignored) items.push({ type: 'ignored', key: `ignored ${one.left.id}`, left: one });
  }
  return { items, counts, types: [...types] };
}

/** Of the misfires of a list on one device the code that has most, and what part of them, from 0 to 1; null: none. */
export function mostMisfiring(open: readonly Brief[], device: string): { id: string; share: number } | null {
  const of = new Map<string, number>();
  let all = 0;
  for (const finding of open) {
    if (finding.type !== 'word' && finding.type !== 'beginning of words' && finding.type !== 'inside words') continue;
    const here = finding.evidence.byDevice[device] ?? 0;
    const [id] = finding.shortcuts as [string];
    of.set(id, (of.get(id) ?? 0) + here);
    all += here;
  }
  let most: { id: string; share: number } | null = null;
  for (const [id, here] of of) if (here > 0 && here / all > (most?.share ?? 0)) most = { id, share: here / all };
  return most;
}

/** How many shortcuts are shown, those under closed headings among them. */
export function countShown({ counts }: CheckRows, { severity }: Filter): number {
  return severity === null ? counts.breaks + counts.risky + counts.note : counts[severity];
}

/** What is to be fixed of what was found, by type: notes only where there is nothing else. */
export function typesToFix(findings: readonly Pick<Brief, 'type' | 'severity'>[]): FindingType[] {
  const worse = findings.filter(({ severity }) => severity !== 'note');
  return (worse.length > 0 ? worse : findings).map(({ type }) => type);
}
