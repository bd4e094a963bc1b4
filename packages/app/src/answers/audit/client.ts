import type {
  AuditChange,
  AuditedShortcut,
  Brief,
  Finding,
  FindingType,
  Fix,
  TriedFix,
} from '@yellow-latch/core/clash';
import { asksForAnotherCode, byWorst } from '@yellow-latch/core/clash/finding';
import type { RuledList } from '@yellow-latch/core/fire';
import type { Mark, Shortcut } from '@yellow-latch/core/model';
import type { OwnTextFormat, OwnTextProblem } from '@yellow-latch/core/sent/ownText';
import { Subscribable } from '@yellow-latch/core/subscribable';
import { proxy, wrap, type ProxyMarked, type Remote } from 'comlink';

import type { CodePlanWorkerApi } from '@/answers/codePlan/workerApi';
import type { EffortWorkerApi } from '@/answers/effort/workerApi';
import type { KeyboardsAsked } from '@/answers/effort/keyboards';
import type { FitWorkerApi } from '@/answers/fit/workerApi';
import type { FixesWorkerApi } from '@/answers/fixes/workerApi';
import type { OwnTextWorkerApi, ReadOwnText } from '@/answers/ownText/workerApi';
import type { ProposeWorkerApi } from '@/answers/propose/workerApi';
import { changeBetween } from '@yellow-latch/replica/storage/listDiff';

import type { AuditWorkerApi, AuditReport, AuditUpdate } from './workerApi';
import { versionOf, type AuditedList } from './version';

/** What is to be said about a code, and free codes near it. */
export interface Verdict {
  /** Worst first. */
  readonly findings: readonly Finding[];
  readonly proposals: readonly string[];
}

/** What an audit came to, of which version of the list, and when (ms since 1970). */
export interface AuditResult extends AuditReport {
  readonly version: string;
  readonly at: number;
  readonly languages: readonly string[];
  readonly devices: readonly string[];
}

export interface AuditState {
  /** `idle`: not asked for yet; `failed`: the worker stopped twice running. */
  readonly phase: 'idle' | 'working' | 'ready' | 'failed';
  /** How much of a run is done, from 0 to 1. */
  readonly progress: number;
  /** The last result, which may be of an earlier list while a new one is worked out. */
  readonly result: AuditResult | null;
  /** Whether the worker stopped by itself and was started again. */
  readonly wasRestarted: boolean;
}

/** What the worker does, by API. */
export interface WorkerApis {
  readonly audit: AuditWorkerApi;
  readonly fixes: FixesWorkerApi;
  readonly ownText: OwnTextWorkerApi;
  readonly effort: EffortWorkerApi;
  readonly propose: ProposeWorkerApi;
  readonly codePlan: CodePlanWorkerApi;
  readonly fit: FitWorkerApi;
}

/** The APIs as messages carry their questions. */
type ReachedApis = { readonly [Name in keyof WorkerApis]: WorkerApis[Name] & ProxyMarked };

/** The APIs as the page reaches them. */
export type RemoteApis = Remote<ReachedApis>;

const EMPTY: AuditedList = { shortcuts: [], sets: [], languages: [], profiles: [] };

// Comlink's types give a promise for each member of a union, where one promise of any is meant: hence
// the assertions below.

/**
 * The page's side of the audit: one worker a tab, made when first needed; it is told of the list once
 * and of every edit after. A worker that fails is ended and made anew, once; then a person is asked.
 */
export class AuditClient {
  private current: AuditState = { phase: 'idle', progress: 0, result: null, wasRestarted: false };
  private readonly changes = new Subscribable();
  private worker: Worker | null = null;
  private api: RemoteApis | null = null;
  /** Whether the worker follows the list: one that was only got ready doesn't. */
  private follows = false;
  /** Rejects when the worker ends, so that no question waits for ever. */
  private ended: Promise<never> = new Promise(() => {});
  private reject: (reason: Error) => void = () => {};
  /** The list as it is, and as the worker knows it. */
  private list = EMPTY;
  private known = EMPTY;
  /** Questions wait for what was told before them. */
  private told: Promise<unknown> = Promise.resolve();

  constructor(private readonly makeWorker: () => Worker = () => new Worker('/audit-worker.js', { type: 'module' })) {}

  get state(): AuditState {
    return this.current;
  }

  readonly subscribe = this.changes.subscribe;

  /** Takes in what an earlier visit found, if it is of this list as it stands. True: it is. */
  take(kept: AuditResult | undefined): boolean {
    if (!kept || this.current.result || kept.version !== versionOf(this.list)) return false;
    this.turn({ phase: 'ready', result: kept });
    return true;
  }

  /** Whether a worker follows the list, or the result is of the list as it stands, with nothing left unchecked. */
  get isCurrent(): boolean {
    const { result } = this.current;
    if (this.follows) return true;
    return result !== null && result.unchecked.length === 0 && result.version === versionOf(this.list);
  }

  /** The list is now this; a worker that is at work follows. */
  observe(list: AuditedList): void {
    this.list = list;
    if (this.follows) this.tell();
  }

  /** Has the worker load and make what every check takes, while the list is still on its way. */
  prepare(): void {
    if (this.worker || this.current.phase === 'failed') return;
    const { languages, profiles } = this.list;
    // What can't be loaded now is said when the list is checked.
    if (this.makeReady()) void this.api?.audit.prepare(languages, profiles).catch(() => {});
  }

  /** Checks the list, and goes on following it. */
  start(): void {
    if (!this.follows && this.current.phase !== 'failed') this.begin();
  }

  /** Begins anew after a failure, because a person asks for it. */
  restart(): void {
    this.end();
    this.begin();
  }

  /**
   * What would be found about a shortcut of the list if it were saved so, and, where that is more than a
   * note, codes to take instead, under the mark of the convention chosen for it. Null: no answer is to be had.
   */
  verdict(shortcut: AuditedShortcut, keyboards: KeyboardsAsked, mark?: Mark): Promise<Verdict | null> {
    return this.ask(async ({ audit, fixes, effort }) => {
      const findings = await audit.verdict(shortcut);
      if (!findings) return null;
      if (!findings.some(asksForAnotherCode)) return { findings, proposals: [] };
      return {
        findings,
        proposals: await fixes.codesNear(shortcut, mark ?? (await effort.usualMark(keyboards)) ?? undefined),
      };
    });
  }

  /** All that is found about a shortcut with its evidence, in the order in which it is told; null: no answer is to be had. */
  open(id: string): Promise<readonly Finding[] | null> {
    return this.ask(({ audit }) => audit.open(id));
  }

  /** The fixes of what is found about a shortcut, of these types, best first; null as for `open`. */
  fixes(id: string, types: readonly FindingType[], keyboards: KeyboardsAsked): Promise<readonly TriedFix[] | null> {
    return this.ask(async ({ fixes, effort }) =>
      fixes.all(id, types, keyboards, (await effort.usualMark(keyboards)) ?? undefined),
    );
  }

  /** Of these fixes the one to offer without a closer look; null: there is none, or no answer is to be had. */
  safeFix(id: string, types: readonly FindingType[], keyboards: KeyboardsAsked): Promise<Fix | null> {
    return this.ask(
      async ({ fixes, effort }) =>
        fixes.safe(id, types, keyboards, (await effort.usualMark(keyboards)) ?? undefined) as Promise<Fix | null>,
    );
  }

  columns(bytes: Uint8Array, type: 'csv' | 'json-lines'): Promise<string[] | OwnTextProblem | null> {
    return this.ask(({ ownText }) => ownText.columns(bytes, type) as Promise<string[] | OwnTextProblem>);
  }

  ownText(bytes: Uint8Array, format: OwnTextFormat, device: string): Promise<ReadOwnText | OwnTextProblem | null> {
    return this.ask(
      ({ ownText }) => ownText.read(bytes, format, device) as Promise<ReadOwnText | OwnTextProblem | null>,
    );
  }

  /** Asks the worker when it knows the list as it is. Null: no answer is to be had. */
  async ask<Answer>(question: (apis: RemoteApis) => Promise<Answer>): Promise<Answer | null> {
    try {
      this.start();
      await Promise.race([this.told, this.ended]);
      const { api } = this;
      return api && (await Promise.race([question(api), this.ended]));
    } catch {
      return null;
    }
  }

  private begin(): void {
    if (!this.makeReady()) return;
    this.follows = true;
    this.known = EMPTY;
    this.told = Promise.resolve();
    this.tell();
  }

  /** Makes the worker unless there is one. False: none is to be had. */
  private makeReady(): boolean {
    if (this.worker) return true;
    try {
      this.worker = this.makeWorker();
    } catch {
      this.turn({ phase: 'failed' });
      return false;
    }
    const worker = this.worker;
    worker.addEventListener('error', () => this.fail(worker));
    this.api = wrap<ReachedApis>(worker);
    this.ended = new Promise((_, reject) => (this.reject = reject));
    this.ended.catch(() => {});
    return true;
  }

  /** Tells the worker what it does not know of the list. */
  private tell(): void {
    const { api, known, list } = this;
    if (!api) return;
    this.known = list;
    const isNew = known === EMPTY || !isCheckedAlike(known, list);
    if (isNew) {
      const ruled: RuledList = { sets: list.sets.map(({ id }) => ({ id })), shortcuts: list.shortcuts.map(audited) };
      const request = { list: ruled, devices: list.profiles, languages: list.languages };
      this.turn({ phase: 'working', progress: 0 });
      this.answer(list, () =>
        api.audit.run(
          request,
          proxy((progress: number) => this.turn({ progress })),
        ),
      );
      return;
    }
    const change = changeBetween(known.shortcuts, list.shortcuts);
    if (!change) return;
    const told: AuditChange = { put: change.put.map(audited), remove: change.remove };
    this.answer(list, async () => {
      const update = await api.audit.change(told);
      const { result } = this.current;
      if (!update || !result) return null;
      const { figures, notEstimated } = update;
      return { ...result, figures, notEstimated, findings: reaudited(result.findings, update) };
    });
  }

  /** Keeps the worker's answer about a list, when all it was told before is done. */
  private answer(list: AuditedList, ask: () => Promise<AuditReport | null>): void {
    const { ended, worker } = this;
    this.told = this.told.then(ask).then((report) => {
      if (!report || worker !== this.worker) return;
      const result = {
        ...report,
        version: versionOf(list),
        at: Date.now(),
        languages: list.languages,
        devices: list.profiles,
      };
      this.turn({ phase: 'ready', progress: 1, result });
    });
    // What the worker throws is as bad as its end.
    Promise.race([this.told, ended]).catch(() => worker && this.fail(worker));
  }

  private fail(worker: Worker): void {
    if (worker !== this.worker) return;
    // One that was only got ready is made anew when it is needed.
    if (!this.follows) {
      this.end();
      return;
    }
    const isFirst = this.current.phase === 'ready' || !this.current.wasRestarted;
    this.end();
    this.turn({ phase: isFirst ? 'working' : 'failed', wasRestarted: true });
    if (isFirst) this.begin();
  }

  private end(): void {
    this.worker?.terminate();
    this.worker = null;
    this.api = null;
    this.follows = false;
    this.reject(new Error('the worker has ended'));
  }

  private turn(change: Partial<AuditState>): void {
    this.current = { ...this.current, ...change };
    this.changes.emit();
  }
}

function audited(shortcut: Shortcut): AuditedShortcut {
  const { id, code, content, kind, setId, rules, language, private: isPrivate } = shortcut;
  return { id, code, content, kind, setId, rules, language, private: isPrivate };
}

/** All findings after an edit: those about what it touched are replaced. */
function reaudited(before: readonly Brief[], { touched, findings }: AuditUpdate): Brief[] {
  const isTouched = new Set(touched);
  return [...before.filter(({ shortcuts }) => !isTouched.has(shortcuts[0]!)), ...findings].sort(byWorst);
}

function isCheckedAlike(a: AuditedList, b: AuditedList): boolean {
  return a.languages.join() === b.languages.join() && a.profiles.join() === b.profiles.join();
}
