/** What the worker does about proposing: codes for a text, each checked. Runs in Node for tests. */
import type { Audit, AuditedShortcut } from '@yellow-latch/core/clash';
import { HoldingMarks } from '@yellow-latch/core/convention';
import { settleRules } from '@yellow-latch/core/fire';
import type { ChosenConvention } from '@yellow-latch/core/model';
import { proposeCodes, USUAL, type Proposal } from '@yellow-latch/core/propose';

import type { AuditWorkerApi } from '@/answers/audit/workerApi';
import { inUseOf, type KeyboardsAsked } from '@/answers/effort/keyboards';
import type { EffortWorkerApi } from '@/answers/effort/workerApi';

/** So many are proposed. */
const MOST = 5;

export interface ProposeRequest extends KeyboardsAsked {
  readonly conventions: readonly ChosenConvention[];
}

export class ProposeWorkerApi {
  /** What marks the codes of the list that was asked about last. */
  private marks: { readonly audit: Audit; readonly version: number; readonly holding: HoldingMarks } | null = null;

  constructor(
    private readonly audit: Pick<AuditWorkerApi, 'checked' | 'asText'>,
    private readonly effort: Pick<EffortWorkerApi, 'usualMark'>,
  ) {}

  /**
   * Codes for a shortcut as it stands in a form, best first; the check finds nothing worse than a note about any of them on the
   * devices in use. Null: nothing has been checked yet.
   */
  propose(shortcut: AuditedShortcut, request: ProposeRequest): readonly Proposal[] | null {
    const checked = this.audit.checked();
    if (!checked) return null;
    const { audit } = checked;
    const asText = this.audit.asText(shortcut);
    const [entry] = settleRules({ ...audit.rules, shortcuts: [asText] });
    const mark = this.marksOf(audit).markFor(shortcut, request.conventions) ?? this.effort.usualMark(request) ?? USUAL;
    const proposals = proposeCodes({
      entry: entry!,
      kind: shortcut.kind,
      mark,
      inUse: inUseOf(request),
      codes: audit.codes,
    });
    const safe = audit.firstSafe(
      asText,
      proposals.map(({ code }) => code),
      MOST,
    );
    return safe.map(({ code }) => {
      const proposal = proposals.find((one) => one.code === code)!;
      const like = proposal.like === null ? null : (audit.shortcutOf(proposal.like)?.code ?? null);
      return { ...proposal, like };
    });
  }

  private marksOf(audit: Audit): HoldingMarks {
    if (this.marks?.audit !== audit || this.marks.version !== audit.version)
      this.marks = { audit, version: audit.version, holding: new HoldingMarks(audit.list.shortcuts) };
    return this.marks.holding;
  }
}
