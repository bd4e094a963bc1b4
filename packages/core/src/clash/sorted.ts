import type { IgnoredFinding, Shortcut } from '../model';
import type { Brief } from './brief';
import { compareSeverity, type Severity } from './finding';

/** A finding that a person left as it is, with the record of it. */
export interface Left {
  readonly finding: Brief;
  readonly left: IgnoredFinding;
}

/** What an audit found, apart from what was left as it is. */
export interface Findings {
  /** Worst first. */
  readonly open: readonly Brief[];
  readonly left: readonly Left[];
  /** The worst that is open about each shortcut that has something. */
  readonly worst: ReadonlyMap<string, Severity>;
}

/** Sorts what was found of a list; a finding of a shortcut that is gone is none. Linear. */
export function sortFindings(
  found: readonly Brief[],
  {
    shortcuts,
    ignored: left,
  }: { readonly shortcuts: readonly Shortcut[]; readonly ignored: readonly IgnoredFinding[] },
): Findings {
  const ids = new Set(shortcuts.map(({ id }) => id));
  const leftBy = new Map(left.map((one) => [`${one.shortcutId} ${one.finding} ${one.about}`, one]));
  const open: Brief[] = [];
  const leftOnes: Left[] = [];
  const worst = new Map<string, Severity>();
  for (const finding of found) {
    const [id] = finding.shortcuts as [string];
    if (!ids.has(id)) continue;
    const record = leftBy.get(`${id} ${finding.type} ${finding.about}`);
    if (record) {
      leftOnes.push({ finding, left: record });
      continue;
    }
    open.push(finding);
    const before = worst.get(id);
    if (!before || compareSeverity(finding.severity, before) > 0) worst.set(id, finding.severity);
  }
  return { open, left: leftOnes, worst };
}

/** How many shortcuts need fixing. */
export function countToFix({ worst }: Pick<Findings, 'worst'>): number {
  return [...worst.values()].filter((severity) => severity === 'breaks').length;
}
