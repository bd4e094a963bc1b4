/**
 * What the audit worker does, without the worker: one list under audit, the languages it has fetched,
 * and answers to the page. Runs in Node for tests.
 */
import {
  asksForAnotherCode,
  Audit,
  readOwnText,
  scanOwnText,
  type AuditChange,
  type AuditedShortcut,
  type Finding,
  type ListFigure,
  type OwnTextFormat,
  type OwnTextProblem,
  type OwnTextReport,
  type Vocabulary,
} from '@yellow-latch/core/clash';
import { CompiledList, type RuledList } from '@yellow-latch/core/fire';
import { DEVICE_PROFILES, type ProfileId } from '@yellow-latch/core/fit';
import { nearCodes } from '@yellow-latch/core/propose';
import { confusableSkeleton, LANGUAGES, parseLookAlikes, parseVocabulary, type LanguageCode } from '@yellow-latch/language';

/** What is to be proved: the list, the devices in use and the languages written in. */
export interface AuditRequest {
  readonly list: RuledList;
  readonly devices: readonly ProfileId[];
  readonly languages: readonly LanguageCode[];
}

/** What an audit comes to. `unchecked`: what could not be loaded, in a word each. */
export interface AuditReport {
  readonly findings: readonly Finding[];
  readonly figures: Readonly<Record<string, ListFigure>>;
  readonly unchecked: readonly string[];
  readonly notEstimated: readonly string[];
}

const MOST_PROPOSALS = 3;

/** Fetches a file of language data by its name; throws if it is not to be had. */
export type FetchLanguageFile = (name: string) => Promise<unknown>;

export class AuditDesk {
  private audit: Audit | null = null;
  private readonly loaded = new Map<string, Promise<unknown>>();
  /** Counts runs, so that one that was overtaken or cancelled stops at its next step. */
  private latest = 0;

  constructor(
    private readonly fetchFile: FetchLanguageFile,
    /** Lets messages in between two steps. */
    private readonly pause: () => Promise<void>,
  ) {}

  /** Proves a whole list. Null: cancelled, or overtaken by a later run. */
  async run(request: AuditRequest, onProgress?: (done: number) => void): Promise<AuditReport | null> {
    this.latest += 1;
    const run = this.latest;
    const unchecked: string[] = [];
    const vocabularies: Vocabulary[] = [];
    for (const code of request.languages) {
      try {
        vocabularies.push(await this.vocabulary(code));
      } catch {
        unchecked.push(LANGUAGES[code]);
      }
    }
    let skeletonOf: ((key: string) => string) | null = null;
    try {
      const lookAlikes = await this.load('look-alikes', parseLookAlikes);
      skeletonOf = (key) => confusableSkeleton(key, lookAlikes);
    } catch {
      unchecked.push('look-alikes');
    }
    const steps = Audit.steps({
      list: request.list,
      profiles: request.devices.map((id) => DEVICE_PROFILES[id]),
      languages: vocabularies.map((vocabulary) => ({ vocabulary })),
      skeletonOf,
      unchecked,
    });
    for (;;) {
      if (run !== this.latest) return null;
      const step = steps.next();
      if (step.done) {
        this.audit = step.value;
        // Edits follow when the answer is under way.
        void this.pause().then(() => step.value.prepare());
        return this.report();
      }
      onProgress?.(step.value);
      await this.pause();
    }
  }

  /** Stops the run in progress; what was proved before stays. */
  cancel(): void {
    this.latest += 1;
  }

  /** Follows an edit. Null: nothing has been proved yet. */
  change(change: AuditChange): AuditReport | null {
    this.audit?.change(change);
    return this.report();
  }

  /** What would be found about a shortcut if it were saved so. Null: nothing has been proved yet. */
  verdict(shortcut: AuditedShortcut): readonly Finding[] | null {
    return this.audit?.previewFindings({ put: [shortcut] }, shortcut.id) ?? null;
  }

  /** Up to three free codes near that of a shortcut, each proved to be without a risk; the nearest first. */
  proposals(shortcut: AuditedShortcut): string[] {
    if (!this.audit) return [];
    const others = this.audit.entries.filter(({ id }) => id !== shortcut.id).map(({ code }) => code);
    const free: string[] = [];
    for (const { code } of nearCodes(shortcut.code, shortcut.content.expansion, others)) {
      if (!this.verdict({ ...shortcut, code })!.some(asksForAnotherCode)) free.push(code);
      if (free.length === MOST_PROPOSALS) break;
    }
    return free;
  }

  /** Where the codes of the list would have fired in a file of the person's own; it is not kept. */
  ownText(bytes: Uint8Array, format: OwnTextFormat, device: ProfileId): OwnTextReport | OwnTextProblem | null {
    if (!this.audit) return null;
    const own = readOwnText(bytes, format);
    if ('type' in own) return own;
    return scanOwnText(own.text, CompiledList.compile(this.audit.entries, DEVICE_PROFILES[device]));
  }

  private report(): AuditReport | null {
    if (!this.audit) return null;
    const { findings, figures, unchecked, notEstimated } = this.audit;
    return { findings, figures, unchecked, notEstimated };
  }

  private vocabulary(code: LanguageCode): Promise<Vocabulary> {
    return this.load(code, parseVocabulary);
  }

  /** Loads a file once; one that failed is asked for again the next time. */
  private load<Content>(name: string, parse: (content: unknown) => Content): Promise<Content> {
    let content = this.loaded.get(name) as Promise<Content> | undefined;
    if (!content) {
      content = this.fetchFile(name).then(parse);
      this.loaded.set(name, content);
      content.catch(() => this.loaded.delete(name));
    }
    return content;
  }
}
