/**
 * What the audit worker does, without the worker: one list under audit, the languages it has fetched,
 * and answers to the page. Runs in Node for tests.
 */
import type { AuditChange, AuditedShortcut, Brief, Finding, ListFigures, Vocabulary } from '@yellow-latch/core/clash';
import { asText } from '@yellow-latch/core/clash/asText';
import { Audit } from '@yellow-latch/core/clash/audit';
import { briefOf } from '@yellow-latch/core/clash/brief';
import { CONTEXT_COUNT } from '@yellow-latch/core/clash/contexts';
import type { RuledList } from '@yellow-latch/core/fire';
import { profileOf } from '@yellow-latch/core/profile';
import type { SpellerWords } from '@yellow-latch/core/spelling';
import { confusableSkeleton, parseLookAlikes, parseVocabulary } from '@yellow-latch/language';

/** What is to be checked: the list, the places where one types (keys of profiles) and the languages written in (BCP 47). */
export interface AuditRequest {
  readonly list: RuledList;
  readonly devices: readonly string[];
  readonly languages: readonly string[];
}

/** What an audit comes to. `unchecked`: what could not be loaded, languages by their tags and `look-alikes`. */
export interface AuditReport {
  readonly findings: readonly Brief[];
  readonly figures: ListFigures;
  readonly unchecked: readonly string[];
  readonly notEstimated: readonly string[];
  /** How many links, addresses, prices and the like were tried. */
  readonly contexts: number;
}

/** What an edit came to: all that is found now about the shortcuts it touched, and the list's figures. */
export interface AuditUpdate extends Omit<AuditReport, 'contexts' | 'unchecked'> {
  readonly touched: readonly string[];
}

/** A list that is checked before there is one: of each kind of code one, with a word that is spelled wrongly. */
const FOR_PRACTICE: readonly AuditedShortcut[] = ['so', ';so', 'So', '2so', 'so.', 'sos'].map((code, i) => ({
  id: `practice-${i}`,
  code,
  content: { expansion: `what ${code} gvies`, template: false, format: 'plain' },
  kind: 'message',
  setId: null,
}));

/** Fetches a file of language data by its name; throws if it is not to be had. */
export type FetchLanguageFile = (name: string) => Promise<unknown>;

export class AuditWorkerApi {
  private audit: Audit | null = null;
  private vocabularies: readonly Vocabulary[] = [];
  /** The list as it was told, templates among it. */
  private readonly told = new Map<string, AuditedShortcut>();
  private readonly loaded = new Map<string, Promise<unknown>>();
  /** Counts runs, so that one that was overtaken or cancelled stops at its next step. */
  private latest = 0;

  constructor(
    private readonly fetchFile: FetchLanguageFile,
    /** Lets messages in between two steps. */
    private readonly pause: () => Promise<void>,
  ) {}

  /** Checks a whole list. Null: cancelled, or overtaken by a later run. */
  async run(request: AuditRequest, onProgress?: (done: number) => void): Promise<AuditReport | null> {
    this.latest += 1;
    const run = this.latest;
    this.told.clear();
    for (const shortcut of request.list.shortcuts) this.told.set(shortcut.id, shortcut);
    const { vocabularies, skeletonOf, unchecked } = await this.loadFor(request.languages);
    const steps = Audit.steps({
      list: { ...request.list, shortcuts: request.list.shortcuts.map(this.asText) },
      profiles: request.devices.map(profileOf),
      languages: vocabularies.map((vocabulary) => ({ vocabulary })),
      skeletonOf,
      unchecked,
    });
    for (;;) {
      if (run !== this.latest) return null;
      const step = steps.next();
      if (step.done) {
        this.audit = step.value;
        this.vocabularies = vocabularies;
        // Edits follow when the answer is under way.
        void this.pause().then(() => step.value.prepare());
        return this.report(step.value);
      }
      onProgress?.(step.value);
      await this.pause();
    }
  }

  /**
   * Loads and makes what every check takes, whatever the list, and has the engine see the code that it runs, so that a check
   * which comes after is quicker. Stops when a list is to be checked.
   */
  async prepare(languages: readonly string[], devices: readonly string[]): Promise<void> {
    const { latest } = this;
    const { vocabularies, skeletonOf } = await this.loadFor(languages);
    for (const _ of Audit.steps({
      list: { sets: [], shortcuts: FOR_PRACTICE },
      profiles: devices.map(profileOf),
      languages: vocabularies.map((vocabulary) => ({ vocabulary })),
      skeletonOf,
    })) {
      await this.pause();
      if (latest !== this.latest) return;
    }
  }

  /** The list as it stands under audit, and the languages it was checked in, for the other APIs. Null: nothing has been checked yet. */
  checked(): { readonly audit: Audit; readonly vocabularies: readonly Vocabulary[] } | null {
    const { audit, vocabularies } = this;
    return audit && { audit, vocabularies };
  }

  /** The list as it was told, templates among it, by id. */
  asTold(): ReadonlyMap<string, AuditedShortcut> {
    return this.told;
  }

  /** Stops the run in progress; what was checked before stays. */
  cancel(): void {
    this.latest += 1;
  }

  /** Follows an edit. Null: nothing has been checked yet. */
  change(change: AuditChange): AuditUpdate | null {
    const { audit } = this;
    if (!audit) return null;
    for (const id of change.remove ?? []) this.told.delete(id);
    for (const shortcut of change.put ?? []) this.told.set(shortcut.id, shortcut);
    const touched = [...audit.change({ ...change, put: change.put?.map(this.asText) })];
    const findings = touched.flatMap((id) => audit.findingsOf(id)).map((finding) => briefOf(finding, audit));
    const { figures, notEstimated } = audit;
    return { touched, findings, figures, notEstimated };
  }

  /** What would be found about a shortcut if it were saved so. Null: nothing has been checked yet. */
  verdict(shortcut: AuditedShortcut): readonly Finding[] | null {
    return this.audit?.previewFindings({ put: [this.asText(shortcut)] }, shortcut.id) ?? null;
  }

  /** All that is found about a shortcut with its evidence, in the order in which it is told. */
  open(id: string): readonly Finding[] {
    return this.audit?.findingsOf(id) ?? [];
  }

  /** The words of a language (BCP 47, base alone), for a keyboard that corrects spelling. Throws where they cannot be fetched. */
  async words(language: string): Promise<SpellerWords> {
    const { words, perTenThousand } = await this.load(language, parseVocabulary);
    return { words, perTenThousand };
  }

  /** A shortcut with the text it would give now, gaps for its blanks: what is checked of a template. */
  readonly asText = (shortcut: AuditedShortcut): AuditedShortcut =>
    asText(shortcut, (id) => this.told.get(id), Date.now());

  private report(audit: Audit): AuditReport {
    const { figures, unchecked, notEstimated } = audit;
    const findings = audit.findings.map((finding) => briefOf(finding, audit));
    return { findings, figures, unchecked, notEstimated, contexts: CONTEXT_COUNT };
  }

  /** What a check takes beside the list; what can't be loaded is named. */
  private async loadFor(languages: readonly string[]) {
    const unchecked: string[] = [];
    const orNull = async <Content>(name: string, parse: (content: unknown) => Content): Promise<Content | null> => {
      try {
        return await this.load(name, parse);
      } catch {
        unchecked.push(name);
        return null;
      }
    };
    const [lookAlikes, ...words] = await Promise.all([
      orNull('look-alikes', parseLookAlikes),
      ...languages.map((code) => orNull(code, parseVocabulary)),
    ]);
    return {
      vocabularies: words.filter((vocabulary) => vocabulary !== null),
      skeletonOf: lookAlikes && ((key: string) => confusableSkeleton(key, lookAlikes)),
      unchecked: [...languages, 'look-alikes'].filter((name) => unchecked.includes(name)),
    };
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
