import type { FiringEntry, RuledList } from '../fire';
import type { DeviceProfile } from '../profile';
import * as make from './assemble';
import { misfires } from './misfires';
import { CONTEXT_COUNT, CONTEXTS } from './contexts';
import type { CodesInUse } from '../propose';
import { asksForAnotherCode, byTelling, byWorst, compareSeverity, type Finding, type PlaceExample } from './finding';
import type { TextPlace } from './hits';
import type { AuditedShortcut, Item } from './item';
import { Items } from './items';
import { MarkedTexts } from './markedHits';
import { CONTEXT_BANK, OnDevice, prepareToReaudit, textsWith } from './onDevice';
import { bandOf, type Band, type Vocabulary } from './vocabulary';

export interface AuditInput {
  readonly list: RuledList;
  /** The devices in use. */
  readonly profiles: readonly DeviceProfile[];
  /** The languages a person writes in, and what part of it each is; equal parts unless told. */
  readonly languages: readonly { readonly vocabulary: Vocabulary; readonly share?: number }[];
  /** What a match key is drawn like; without it look-alikes are not looked for. */
  readonly skeletonOf?: ((key: string) => string) | null;
  /** What could not be loaded, in a word each: it is told with the findings, never passed over. */
  readonly unchecked?: readonly string[];
}

/** How often a whole list fires by mistake on one device. */
export interface ListFigure {
  readonly perTenThousand: number;
  readonly band: Band;
  /** How often at most, if the band holds; more than 0 where nothing of the list is among the words that were counted. */
  readonly upTo: number;
  /** In how many of 100 links, addresses, prices and the like something fires. */
  readonly per100Contexts: number;
}

/** What becomes of a list: shortcuts put in or changed, and ids taken out. */
export interface AuditChange {
  readonly put?: readonly AuditedShortcut[];
  readonly remove?: readonly string[];
}

export type ListFigures = Readonly<Record<string, ListFigure>>;

/** What a change comes to: the figures by profile id, and the findings that go and that come. */
export interface Comparison {
  readonly before: ListFigures;
  readonly after: ListFigures;
  /** As they were before: those that are no longer found, or are milder after. */
  readonly gone: readonly Finding[];
  /** As they are after: those that were not found before, or were milder. */
  readonly came: readonly Finding[];
}

/** So many shortcuts are followed as edits; of more the whole list is looked at anew. */
const MANY = 100;

const CLASS_OF = CONTEXTS.flatMap(({ name, texts }) => texts.map(() => name));

/**
 * A list checked on every device in use, by the engine's own rules. `Audit.run` looks at everything;
 * `change` follows an edit and looks again only at what it touches. What is found is data; the
 * meaning of its figures is told in docs/clashes.md.
 */
export class Audit {
  private readonly items: Items;
  private readonly devices: OnDevice[] = [];
  private readonly vocabularies: readonly Vocabulary[];
  /** In each language the words with marks in which codes may fire. */
  private readonly marked: readonly MarkedTexts[];
  private readonly languages: readonly string[];
  private readonly found = new Map<string, readonly Finding[]>();
  private sorted: readonly Finding[] | null = null;
  private edits = 0;

  private constructor(private readonly input: AuditInput) {
    this.items = new Items(input.list, input.skeletonOf);
    this.vocabularies = input.languages.map(({ vocabulary }) => vocabulary);
    this.marked = this.vocabularies.map((vocabulary) => new MarkedTexts(vocabulary));
    for (const texts of this.marked) texts.take(this.items.all());
    this.languages = this.vocabularies.map(({ language }) => language);
  }

  /** Cost: the list's codes, and once for each device the words of the languages; see `bench/audit.ts`. */
  static run(input: AuditInput): Audit {
    const steps = Audit.steps(input);
    for (;;) {
      const { done, value } = steps.next();
      if (done) return value;
    }
  }

  /** As `run` in steps of a few milliseconds to some tens, each giving how much is done, from 0 to 1. */
  static *steps(input: AuditInput): Generator<number, Audit> {
    const steps = input.profiles.length * 3 + 2;
    let done = 0;
    const audit = new Audit(input);
    yield ++done / steps;
    for (const profile of input.profiles) {
      const device = new OnDevice(
        profile,
        audit.items,
        input.languages.map(({ share }, i) => ({ share, texts: audit.marked[i]! })),
      );
      audit.devices.push(device);
      yield ++done / steps;
      device.scanWords();
      yield ++done / steps;
      device.scanTexts();
      yield ++done / steps;
    }
    for (const item of audit.items.all()) audit.assemble(item);
    yield 1;
    return audit;
  }

  /** All findings, worst first. */
  get findings(): readonly Finding[] {
    return (this.sorted ??= [...this.found.values()].flat().sort(byWorst));
  }

  /** The findings about one shortcut, in the order in which they are told. */
  findingsOf(id: string): readonly Finding[] {
    return this.found.get(id) ?? [];
  }

  /** The list as it stands, its rules settled. */
  get entries(): readonly FiringEntry[] {
    return Array.from(this.items.all(), ({ entry }) => entry);
  }

  /** The list as it stands, as it was given. */
  get list(): RuledList {
    return { ...this.input.list, shortcuts: Array.from(this.items.all(), ({ shortcut }) => shortcut) };
  }

  /** What a match key is drawn like; null: look-alikes are not looked for. */
  get skeletonOf(): ((key: string) => string) | null {
    return this.input.skeletonOf ?? null;
  }

  /** What the rules of shortcuts are settled from. */
  get rules(): Omit<RuledList, 'shortcuts'> {
    const { shortcuts: _, ...rules } = this.input.list;
    return rules;
  }

  /** Another number after each edit; a trial, which is undone, leaves it. */
  get version(): number {
    return this.edits;
  }

  /** What could not be checked. */
  get unchecked(): readonly string[] {
    return this.input.unchecked ?? [];
  }

  /** The shortcuts whose codes are of several words: no list of words tells how often those come. */
  get notEstimated(): readonly string[] {
    return [...this.items.all()].filter(({ key }) => /\s/u.test(key)).map(({ id }) => id);
  }

  /** The list's figure on each device, by profile id. */
  get figures(): ListFigures {
    const isEstimate = this.vocabularies.some((vocabulary) => vocabulary.isEstimate);
    const unseen = Math.max(
      0,
      ...this.vocabularies.map((vocabulary) => (vocabulary.unseen ?? 0) * bandOf(0, vocabulary.isEstimate).high),
    );
    return Object.fromEntries(
      this.devices.map(({ profile, perTenThousand, contexts }) => {
        const figure: ListFigure = {
          perTenThousand,
          band: bandOf(perTenThousand, isEstimate),
          upTo: Math.max(perTenThousand * bandOf(perTenThousand, isEstimate).high, unseen),
          per100Contexts: (contexts.size * 100) / CONTEXT_COUNT,
        };
        return [profile.id, figure];
      }),
    );
  }

  /** What the figures would be after a change; the audit stays as it is. */
  preview(change: AuditChange): ListFigures {
    return this.trying(change, () => this.figures);
  }

  /**
   * What would be found about one shortcut after a change, and what it would do to others: `hides`, which is told of
   * those others once it is saved. The audit stays as it is.
   */
  previewFindings(change: AuditChange, id: string): readonly Finding[] {
    return this.trying(change, () => {
      const item = this.items.of(id);
      const hides = item ? make.hides(item, this.items.longerThan(item), this.devices) : null;
      const findings = this.findingsOf(id);
      return hides ? [...findings, hides].sort(byTelling) : findings;
    });
  }

  /**
   * Of some codes for a shortcut the first that give no reason to take another, in their order, with what is found of each. The
   * audit stays as it is. Cost: an edit for each code that is tried, and one to undo them.
   */
  firstSafe(
    shortcut: AuditedShortcut,
    codes: readonly string[],
    most: number,
  ): { readonly code: string; readonly findings: readonly Finding[] }[] {
    const safe: { code: string; findings: readonly Finding[] }[] = [];
    const { id } = shortcut;
    const [first] = codes;
    if (first === undefined) return [];
    this.trying({ put: [{ ...shortcut, code: first }] }, () => {
      for (const code of codes) {
        if (code !== first) this.change({ put: [{ ...shortcut, code }] });
        const item = this.items.of(id)!;
        const hides = make.hides(item, this.items.longerThan(item), this.devices);
        const findings = this.findingsOf(id);
        if (![...findings, ...(hides ? [hides] : [])].some(asksForAnotherCode)) safe.push({ code, findings });
        if (safe.length === most) break;
      }
    });
    return safe;
  }

  /** What codes there are, for whoever looks for another. */
  get codes(): CodesInUse {
    const { items } = this;
    return {
      usersOf: (key) => items.withKey(key),
      hasLonger: (key) => items.hasLonger({ key }),
      shorterThan: (key) => items.shorterThan(key),
    };
  }

  /** What a change comes to, and what would then be found about one shortcut; the audit stays as it is. Cost: the change, twice. */
  tryChange(change: AuditChange, id: string): { comparison: Comparison; findings: readonly Finding[] } {
    const before = this.figures;
    const found = new Map(this.found);
    return this.trying(change, (touched) => {
      const gone: Finding[] = [];
      const came: Finding[] = [];
      for (const one of touched) {
        const was = found.get(one) ?? [];
        const is = this.findingsOf(one);
        gone.push(...was.filter((finding) => isWorse(finding, is)));
        came.push(...is.filter((finding) => isWorse(finding, was)));
      }
      const comparison = { before, after: this.figures, gone: gone.sort(byWorst), came: came.sort(byWorst) };
      return { comparison, findings: this.findingsOf(id) };
    });
  }

  /**
   * What a change of many shortcuts comes to; the audit stays as it is. Cost: that of a full audit, once more
   * than a few are concerned.
   */
  tryMany(change: AuditChange): Comparison {
    const { put = [], remove = [] } = change;
    if (put.length + remove.length <= MANY) return this.tryChange(change, '').comparison;
    const gone = new Set([...remove, ...put.map(({ id }) => id)]);
    const { list } = this;
    const kept = list.shortcuts.filter(({ id }) => !gone.has(id));
    const after = Audit.run({ ...this.input, list: { ...list, shortcuts: [...kept, ...put] } });
    return {
      before: this.figures,
      after: after.figures,
      gone: this.findings.filter((finding) => isWorse(finding, after.findingsOf(finding.shortcuts[0]!))),
      came: after.findings.filter((finding) => isWorse(finding, this.findingsOf(finding.shortcuts[0]!))),
    };
  }

  /** The same check of the list with other codes for some shortcuts, as a whole. Cost: that of a full audit. */
  withCodes(codes: ReadonlyMap<string, string>): Audit {
    const { list } = this;
    const shortcuts = list.shortcuts.map((shortcut) => ({
      ...shortcut,
      code: codes.get(shortcut.id) ?? shortcut.code,
    }));
    return Audit.run({ ...this.input, list: { ...list, shortcuts } });
  }

  /** A shortcut of the list by its id. */
  shortcutOf(id: string): AuditedShortcut | undefined {
    return this.items.of(id)?.shortcut;
  }

  private trying<Answer>(change: AuditChange, ask: (touched: ReadonlySet<string>) => Answer): Answer {
    const ids = [...(change.put ?? []).map(({ id }) => id), ...(change.remove ?? [])];
    const put = ids.flatMap((id) => this.items.of(id)?.shortcut ?? []);
    const remove = ids.filter((id) => this.items.of(id) === undefined);
    const { edits } = this;
    const touched = this.change(change);
    try {
      return ask(touched);
    } finally {
      this.change({ put, remove });
      this.edits = edits;
    }
  }

  /** Makes ready for edits, when there is time; without it the first edit takes some tens of ms longer. */
  prepare(): void {
    prepareToReaudit(this.items, this.marked);
  }

  /**
   * Audits again what an edit touched; gives the ids of the shortcuts of which something else may be found now. Cost: the
   * texts in which the code before or after stands, not the list.
   */
  change({ put = [], remove = [] }: AuditChange): ReadonlySet<string> {
    this.edits += 1;
    const { items, devices } = this;
    const gone = new Set([...remove, ...put.map(({ id }) => id)]);
    const keys = new Set<string>();
    const touched = new Set<string>(gone);
    const touch = (id: string) => touched.add(id);
    for (const id of gone) {
      const item = items.of(id);
      if (!item) continue;
      keys.add(item.key);
      items.relatedTo(item).forEach(touch);
      for (const device of devices) device.forget(item).forEach(touch);
      for (const marked of this.marked) marked.remove(item);
      items.remove(item);
    }
    const added = items.put(put);
    for (const item of added.items) {
      keys.add(item.key);
      items.relatedTo(item).forEach(touch);
    }
    for (const marked of this.marked) marked.take(added.items);
    const texts = textsWith([...keys], added.items, items, this.marked);
    for (const device of devices) device.follow({ put: added.entries, remove }, texts).forEach(touch);
    for (const id of touched) {
      const item = items.of(id);
      if (item) this.assemble(item);
      else this.found.delete(id);
    }
    this.sorted = null;
    return touched;
  }

  /** Puts together what is to be said about one shortcut. */
  private assemble(item: Item): void {
    const findings = [...this.aboutCodes(item), ...this.aboutTexts(item), ...this.aboutItself(item)];
    if (findings.length > 0) this.found.set(item.id, findings.sort(byTelling));
    else this.found.delete(item.id);
  }

  private aboutCodes(item: Item): Finding[] {
    const { devices, items } = this;
    const findings: (Finding | null)[] = [];
    const twins = items.twinsOf(item);
    if (twins !== null) findings.push(make.sameCode(item, twins, devices));
    const alike = items.lookAlikesOf(item);
    if (alike.length > 0) findings.push(make.lookAlike(item, alike));
    const met = devices.filter(({ codes }) => codes.has(item.index));
    if (met.length > 0) findings.push(...make.reachOf(item, met, (id) => items.isTwin(id, item)));
    findings.push(make.delayed(item, items, devices));
    const slips = items.slipsOf(item);
    if (slips.length > 0) findings.push(make.nearMiss(item, slips));
    return findings.filter((finding) => finding !== null);
  }

  private aboutTexts(item: Item): Finding[] {
    const { devices } = this;
    const findings: (Finding | null)[] = [];
    if (devices.some(({ tallies }) => tallies.has(item.index))) {
      findings.push(
        ...misfires(
          item,
          devices.map(({ profile, tallies }) => ({ device: profile.id, misfires: tallies.get(item.index) ?? {} })),
          this.vocabularies,
        ),
      );
    }
    const placesIn = (table: 'contexts' | 'expansions') =>
      devices.map(({ profile, [table]: hits }) => ({
        device: profile.id,
        count: hits.countOf(item.id),
        places: hits.placesOf(item.id),
      }));
    if (devices.some(({ contexts }) => contexts.countOf(item.id) > 0)) {
      findings.push(make.inContexts(item, placesIn('contexts'), contextExample));
    }
    if (devices.some(({ expansions }) => expansions.countOf(item.id) > 0)) {
      findings.push(make.inOwnExpansions(item, placesIn('expansions'), this.expansionExample));
    }
    if (devices.some(({ loops }) => loops.has(item.id))) {
      findings.push(
        make.loop(
          item,
          devices.flatMap(({ profile, loops }) => {
            const chain = loops.get(item.id);
            return chain ? [{ device: profile.id, chain }] : [];
          }),
        ),
      );
    }
    return findings.filter((finding) => finding !== null);
  }

  private aboutItself(item: Item): Finding[] {
    const others = this.items.sharingExpansionOf(item);
    return [
      make.claimed(item),
      make.deviceTraps(item, this.devices, this.languages),
      make.faultyExpansion(item, others, this.vocabularies, this.items.isKnown),
      make.secret(item),
    ].filter((finding) => finding !== null);
  }

  private readonly expansionExample = ({ text, start, end }: TextPlace): PlaceExample => {
    const { id, entry } = this.items.at(text)!;
    return { text: entry.expansion, start, end, of: id };
  };
}

/** Whether a finding is not among others, or milder there. */
function isWorse({ type, severity }: Finding, others: readonly Finding[]): boolean {
  const other = others.find((one) => one.type === type);
  return other === undefined || compareSeverity(severity, other.severity) > 0;
}

function contextExample({ text, start, end }: TextPlace): PlaceExample {
  return { text: CONTEXT_BANK.texts[text]!, start, end, of: CLASS_OF[text]! };
}
