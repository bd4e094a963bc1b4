/** What the worker does about proposing: codes for a text, each checked. Runs in Node for tests. */
import type { Audit, AuditedShortcut } from '@yellow-latch/core/clash';
import { asksForAnotherCode, type Severity } from '@yellow-latch/core/clash/finding';
import { HoldingMarks } from '@yellow-latch/core/convention';
import { measureRecallOf } from '@yellow-latch/core/effort';
import { settleRules } from '@yellow-latch/core/fire';
import type { ChosenConvention } from '@yellow-latch/core/model';
import { GivenCodes, proposeCodes, USUAL, type CodesInUse, type Proposal } from '@yellow-latch/core/propose';

import type { AuditWorkerApi } from '@/answers/audit/workerApi';
import { inUseOf, type KeyboardsAsked } from '@/answers/effort/keyboards';
import type { EffortWorkerApi } from '@/answers/effort/workerApi';

/** So many are proposed. */
const MOST = 5;

export interface ProposeRequest extends KeyboardsAsked {
  readonly conventions: readonly ChosenConvention[];
}

/** A shortcut that is to be made, and what it is called, best first, where that is known. */
export interface Wanted {
  readonly shortcut: AuditedShortcut;
  readonly called: readonly string[];
  /** Whether codes made of the first of them go before others, however cheap: it is what one thinks of. */
  readonly isNamed: boolean;
}

/** So many are looked at between two messages. */
const A_STEP = 20;

export class ProposeWorkerApi {
  /** What marks the codes of the list that was asked about last. */
  private marks: { readonly audit: Audit; readonly version: number; readonly holding: HoldingMarks } | null = null;

  /** Counts runs, so that one that was overtaken stops at its next step. */
  private latest = 0;

  constructor(
    private readonly audit: Pick<AuditWorkerApi, 'checked' | 'asText'>,
    private readonly effort: Pick<EffortWorkerApi, 'usualMark'>,
    /** Lets messages in between two steps. */
    private readonly pause: () => Promise<void>,
  ) {}

  /**
   * Codes for a shortcut as it stands in a form, best first; the check finds nothing worse than a note about any of them on the
   * devices in use. Null: nothing has been checked yet.
   */
  propose(shortcut: AuditedShortcut, request: ProposeRequest): readonly Proposal[] | null {
    const checked = this.audit.checked();
    if (!checked) return null;
    const { audit } = checked;
    const { proposals, safe } = this.safeFor(
      { shortcut, called: [], isNamed: false },
      request,
      audit,
      audit.codes,
      MOST,
    );
    return safe.map((code) => {
      const proposal = proposals.find((one) => one.code === code)!;
      const like = proposal.like === null ? null : (audit.shortcutOf(proposal.like)?.code ?? null);
      return { ...proposal, like };
    });
  }

  /**
   * A code for each of several, none of which gets in the way of another; '' where none was found. Null: nothing has been checked
   * yet, or it was overtaken by a later run.
   */
  async proposeAll(
    wanted: readonly Wanted[],
    request: ProposeRequest,
    onProgress?: (done: number) => void,
  ): Promise<readonly string[] | null> {
    this.latest += 1;
    const run = this.latest;
    const checked = this.audit.checked();
    if (!checked) return null;
    const { audit } = checked;
    const given = new GivenCodes(audit.codes);
    const codes: string[] = [];
    for (const one of wanted) {
      const [code = ''] = this.safeFor(one, request, audit, given, 1).safe;
      if (code !== '') given.give(one.shortcut.id, code);
      codes.push(code);
      if (codes.length % A_STEP !== 0) continue;
      onProgress?.(codes.length / wanted.length);
      await this.pause();
      if (run !== this.latest) return null;
    }
    return codes;
  }

  /** Stops what is being proposed for several. */
  cancel(): void {
    this.latest += 1;
  }

  /** The worst that would be found about each of several if all were made so; null for one about which nothing is. Null: nothing has been checked yet. */
  judge(shortcuts: readonly AuditedShortcut[]): readonly (Severity | null)[] | null {
    const checked = this.audit.checked();
    if (!checked) return null;
    const put = shortcuts.map(this.audit.asText);
    return shortcuts.map(({ id }) => {
      const [worst] = checked.audit.previewFindings({ put }, id).filter(asksForAnotherCode);
      return worst?.severity ?? null;
    });
  }

  /** Codes for one, cheapest first, and those of them that the check passes. */
  private safeFor(
    { shortcut, called, isNamed }: Wanted,
    request: ProposeRequest,
    audit: Audit,
    codes: CodesInUse,
    most: number,
  ) {
    const asText = this.audit.asText(shortcut);
    const [entry] = settleRules({ ...audit.rules, shortcuts: [asText] });
    const mark = this.marksOf(audit).markFor(shortcut, request.conventions) ?? this.effort.usualMark(request) ?? USUAL;
    const inUse = inUseOf(request);
    const proposals = proposeCodes({
      entry: entry!,
      kind: shortcut.kind,
      mark,
      inUse,
      codes,
      called,
      isNamed,
      measured: measureRecallOf(request.hesitations ?? {}, audit.entries),
    });
    const tried = proposals.map(({ code }) => code);
    return { proposals, safe: audit.firstSafe(asText, tried, most).map(({ code }) => code) };
  }

  private marksOf(audit: Audit): HoldingMarks {
    if (this.marks?.audit !== audit || this.marks.version !== audit.version)
      this.marks = { audit, version: audit.version, holding: new HoldingMarks(audit.list.shortcuts) };
    return this.marks.holding;
  }
}
