/** What the audit worker does about what it has found: codes that are free, and fixes, each tried on the list. Runs in Node for tests. */
import {
  asksForAnotherCode,
  fixesFor,
  safeFix,
  type Audit,
  type AuditedShortcut,
  type Finding,
  type FindingType,
  type Fix,
  type TriedFix,
} from '@yellow-latch/core/clash';
import type { Mark } from '@yellow-latch/core/model';
import { nearCodes } from '@yellow-latch/core/propose';

import type { AuditWorkerApi } from '@/answers/audit/workerApi';
import { inUseOf, type KeyboardsAsked } from '@/answers/effort/keyboards';

const MOST_PROPOSALS = 3;

export class FixesWorkerApi {
  constructor(private readonly audit: AuditWorkerApi) {}

  /** Up to three free codes near that of a shortcut, each checked to be without a risk; the nearest first. `mark`: that of the convention chosen for it. */
  codesNear(shortcut: AuditedShortcut, mark?: Mark): string[] {
    const checked = this.audit.checked();
    if (!checked) return [];
    const { id, content, kind } = shortcut;
    const others = checked.audit.entries.filter((entry) => entry.id !== id).map(({ code }) => code);
    const free: string[] = [];
    for (const { code } of nearCodes(shortcut.code, content.expansion, others, kind, mark)) {
      if (!this.audit.verdict({ ...shortcut, code })!.some(asksForAnotherCode)) free.push(code);
      if (free.length === MOST_PROPOSALS) break;
    }
    return free;
  }

  /** What may be done about what is found about a shortcut, of these types, best first. */
  all(id: string, types: readonly FindingType[], keyboards: KeyboardsAsked, mark?: Mark): readonly TriedFix[] {
    const found = this.found(id, types);
    return found ? fixesFor(found.audit, found.findings, { mark, inUse: inUseOf(keyboards) }) : [];
  }

  /** The fix to offer without a closer look. Null: there is none. */
  safe(id: string, types: readonly FindingType[], keyboards: KeyboardsAsked, mark?: Mark): Fix | null {
    const found = this.found(id, types);
    return found ? safeFix(found.audit, found.findings, { mark, inUse: inUseOf(keyboards) }) : null;
  }

  private found(id: string, types: readonly FindingType[]): { audit: Audit; findings: Finding[] } | null {
    const checked = this.audit.checked();
    return (
      checked && { audit: checked.audit, findings: this.audit.open(id).filter(({ type }) => types.includes(type)) }
    );
  }
}
