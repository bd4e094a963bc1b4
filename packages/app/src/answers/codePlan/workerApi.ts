/** What the worker does about a plan for all codes. Runs in Node for tests. */
import { asksForAnotherCode, isOfPair, WORDS_A_WEEK, type Audit, type Finding } from '@yellow-latch/core/clash';
import { planCodes, type CodePlan, type Planned } from '@yellow-latch/core/codePlan';
import { HoldingMarks } from '@yellow-latch/core/convention';
import type { ChosenConvention } from '@yellow-latch/core/model';
import { USUAL } from '@yellow-latch/core/propose';

import type { AuditWorkerApi } from '@/answers/audit/workerApi';
import { inUseOf } from '@/answers/effort/keyboards';
import type { EffortRequest, EffortWorkerApi } from '@/answers/effort/workerApi';

export interface PlanRequest extends EffortRequest {
  readonly conventions: readonly ChosenConvention[];
  /** The shortcuts that keep their codes. */
  readonly locked: readonly string[];
  /** What a change of one code has to save, in seconds a week. */
  readonly price: number;
}

/** Uses that are not known, in a week: only that such codes be weighed too. */
const USES_UNKNOWN = 1;
/** Between two messages it works so long at most, in ms. */
const AT_ONCE = 40;

export class CodePlanWorkerApi {
  /** Counts runs, so that one that was overtaken or cancelled stops at its next step. */
  private latest = 0;

  constructor(
    private readonly audit: Pick<AuditWorkerApi, 'checked'>,
    private readonly effort: Pick<EffortWorkerApi, 'usesOf' | 'usualMark'>,
    /** Lets messages in between two steps. */
    private readonly pause: () => Promise<void>,
  ) {}

  /** Plans all codes of the list. Null: nothing has been checked yet, or the run was cancelled or overtaken. */
  async run(request: PlanRequest, onProgress?: (done: number) => void): Promise<CodePlan | null> {
    this.latest += 1;
    const run = this.latest;
    const checked = this.audit.checked();
    if (!checked) return null;
    const { audit } = checked;
    const steps = planCodes({
      shortcuts: this.plannedOf(audit, request),
      inUse: inUseOf(request),
      price: request.price,
      skeletonOf: audit.skeletonOf,
      unsafeWith: (codes) => {
        const after = audit.withCodes(codes);
        return after.entries.map(({ id }) => id).filter((id) => after.findingsOf(id).some(asksForAnotherCode));
      },
    });
    let since = performance.now();
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      if (performance.now() - since < AT_ONCE) continue;
      onProgress?.(step.value);
      await this.pause();
      if (run !== this.latest) return null;
      since = performance.now();
    }
  }

  /** Stops the run in progress. */
  cancel(): void {
    this.latest += 1;
  }

  private plannedOf(audit: Audit, request: PlanRequest): Planned[] {
    const { entries, list } = audit;
    const holding = new HoldingMarks(list.shortcuts);
    const otherwise = this.effort.usualMark(request) ?? USUAL;
    const usesOf = this.effort.usesOf(request, entries);
    const locked = new Set(request.locked);
    return entries.map((entry): Planned => {
      const { id } = entry;
      const shortcut = audit.shortcutOf(id)!;
      const findings = audit.findingsOf(id);
      return {
        entry,
        kind: shortcut.kind,
        mark: holding.markFor(shortcut, request.conventions) ?? otherwise,
        uses: usesOf(id)?.aWeek ?? USES_UNKNOWN,
        misfires: (Math.max(0, ...findings.map(perTenThousandOf)) / 10_000) * WORDS_A_WEEK,
        isUnsafe: findings.some((finding) => asksForAnotherCode(finding) && !isOfPair(finding)),
        isLocked: locked.has(id),
      };
    });
  }
}

function perTenThousandOf({ evidence }: Finding): number {
  return evidence && 'perTenThousand' in evidence ? evidence.perTenThousand : 0;
}
