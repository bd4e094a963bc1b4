import { CompiledList, heldBy, settleRules, type FiringEntry, type RuledList } from '../fire';
import type { DeviceProfile } from '../fit';
import { matchKey } from '../model';
import * as make from './assemble';
import { Bank, hitsIn } from './bank';
import { CONTEXT_COUNT, CONTEXTS } from './contexts';
import { byWorst, MOST_EXAMPLES, type Finding, type PlaceExample } from './finding';
import { TextHits, type TextPlace } from './hits';
import { itemOf, type AuditedShortcut, type Device, type Item } from './item';
import { loopsOf } from './reach';
import { differMuch, SlipIndex } from './slips';
import { bandOf, type Band, type Vocabulary } from './vocabulary';
import { bankOf, WordHits, type InWord, type WordMisfires } from './words';

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
  /** In how many of 100 links, addresses, prices and the like something fires. */
  readonly per100Contexts: number;
}

/** What becomes of a list: shortcuts put in or changed, and ids taken out. */
export interface AuditChange {
  readonly put?: readonly AuditedShortcut[];
  readonly remove?: readonly string[];
}

interface DeviceTables extends Device {
  readonly words: readonly WordHits[];
  /** By item index and part of a word, all languages together. */
  tallies: Map<number, Partial<Record<InWord, WordMisfires>>>;
  readonly contexts: TextHits;
  /** Texts are the indices of the items whose expansions they are. */
  readonly expansions: TextHits;
  /** The indices of the items in whose codes other codes are met. */
  readonly codes: Set<number>;
  loops: Map<string, string[]>;
}

/** What an edit makes it needful to look at again. */
interface TouchedTexts {
  /** For each language. */
  readonly words: readonly (readonly number[])[];
  readonly contexts: readonly number[];
  readonly expansions: readonly Item[];
  readonly codes: readonly Item[];
  readonly added: readonly Item[];
}

const CONTEXT_BANK = new Bank(CONTEXTS.flatMap(({ texts }) => texts));
const CLASS_OF = CONTEXTS.flatMap(({ name, texts }) => texts.map(() => name));

/** Items that share something: a match key, a skeleton, an expansion. Most share nothing. */
class Groups {
  private readonly first = new Map<string, Item>();
  /** The groups of more than one, all of each. */
  private readonly crowds = new Map<string, Item[]>();

  add(name: string, item: Item): void {
    const first = this.first.get(name);
    if (first === undefined) {
      this.first.set(name, item);
      return;
    }
    const crowd = this.crowds.get(name);
    if (crowd) crowd.push(item);
    else this.crowds.set(name, [first, item]);
  }

  remove(name: string, item: Item): void {
    const rest = this.of(name).filter((one) => one !== item);
    this.crowds.delete(name);
    if (rest.length === 0) this.first.delete(name);
    else this.first.set(name, rest[0]!);
    if (rest.length > 1) this.crowds.set(name, rest);
  }

  of(name: string): readonly Item[] {
    const crowd = this.crowds.get(name);
    if (crowd) return crowd;
    const first = this.first.get(name);
    return first ? [first] : [];
  }

  /** The group of a name if it has several; else null. */
  several(name: string): readonly Item[] | null {
    return this.crowds.get(name) ?? null;
  }

  /** Sorts the group of a name by age; without one, every group. */
  sort(name?: string): void {
    const crowds = name === undefined ? this.crowds.values() : [this.crowds.get(name)];
    for (const crowd of crowds) crowd?.sort(byAge);
  }
}

/**
 * A list proved on every device in use, by the engine's own rules. `Audit.run` looks at everything;
 * `change` follows an edit and looks again only at what it touches. What is found is data; the
 * meaning of its figures is told in docs/clashes.md.
 */
export class Audit {
  private readonly items = new Map<string, Item>();
  private readonly byIndex: (Item | null)[] = [];
  private readonly sameKey = new Groups();
  private readonly sameSkeleton = new Groups();
  private readonly sameExpansion = new Groups();
  /** Whether a word stands in several expansions; asked of few words. */
  private readonly known = new Map<string, boolean>();
  private slips = new SlipIndex(new Set());
  /** Match keys in order, for beginnings. */
  private keys: string[] = [];
  private devices: DeviceTables[] = [];
  private readonly found = new Map<string, readonly Finding[]>();
  private sorted: readonly Finding[] | null = null;

  private readonly vocabularies: readonly Vocabulary[];
  private readonly languages: readonly string[];
  private entries: readonly FiringEntry[] = [];

  private constructor(private readonly input: AuditInput) {
    this.vocabularies = input.languages.map(({ vocabulary }) => vocabulary);
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
    const audit = new Audit(input);
    const { profiles, languages } = input;
    const steps = profiles.length * 3 + 3;
    let done = 0;
    audit.takeIn();
    yield ++done / steps;
    for (const profile of profiles) {
      const tables = audit.tablesFor(profile, languages);
      audit.devices.push(tables);
      yield ++done / steps;
      audit.scanWords(tables);
      yield ++done / steps;
      audit.scanTexts(tables);
      yield ++done / steps;
    }
    audit.slips = new SlipIndex(new Set(Array.from(audit.items.values(), ({ key }) => key)));
    yield ++done / steps;
    for (const item of audit.items.values()) audit.assemble(item);
    yield 1;
    return audit;
  }

  /** All findings, worst first. */
  get findings(): readonly Finding[] {
    return (this.sorted ??= [...this.found.values()].flat().sort(byWorst));
  }

  /** The findings about one shortcut, worst first. */
  findingsOf(id: string): readonly Finding[] {
    return this.found.get(id) ?? [];
  }

  /** What could not be checked. */
  get unchecked(): readonly string[] {
    return this.input.unchecked ?? [];
  }

  /** The shortcuts whose codes are of several words: no list of words tells how often those come. */
  get notEstimated(): readonly string[] {
    return [...this.items.values()].filter(({ key }) => /\s/u.test(key)).map(({ id }) => id);
  }

  /** The list's figure on each device, by profile id. */
  get figures(): Readonly<Record<string, ListFigure>> {
    const isEstimate = this.input.languages.some(({ vocabulary }) => vocabulary.isEstimate);
    return Object.fromEntries(
      this.devices.map(({ profile, words, contexts }) => {
        const perTenThousand = words.reduce((sum, one) => sum + one.sum, 0);
        const figure: ListFigure = {
          perTenThousand,
          band: bandOf(perTenThousand, isEstimate),
          per100Contexts: (contexts.size * 100) / CONTEXT_COUNT,
        };
        return [profile.id, figure];
      }),
    );
  }

  /** What the figures would be after a change; the audit stays as it is. */
  preview(change: AuditChange): Readonly<Record<string, ListFigure>> {
    return this.trying(change, () => this.figures);
  }

  /** What would be found about one shortcut after a change; the audit stays as it is. */
  previewFindings(change: AuditChange, id: string): readonly Finding[] {
    return this.trying(change, () => this.findingsOf(id));
  }

  private trying<Answer>(change: AuditChange, ask: () => Answer): Answer {
    const before = [...(change.put ?? []).map(({ id }) => id), ...(change.remove ?? [])];
    const put = before.flatMap((id) => this.items.get(id)?.shortcut ?? []);
    const added = before.filter((id) => !this.items.has(id));
    this.change(change);
    try {
      return ask();
    } finally {
      this.change({ put, remove: added });
    }
  }

  /** Follows an edit. Cost: the texts in which the code before or after stands, not the list. */
  change({ put = [], remove = [] }: AuditChange): void {
    const keys = new Set<string>();
    const touched = new Set<string>();
    const gone = new Set([...remove, ...put.map(({ id }) => id)]);
    for (const id of gone) {
      const item = this.items.get(id);
      if (!item) continue;
      keys.add(item.key);
      for (const near of this.relatedTo(item)) touched.add(near);
      for (const { expansions, codes } of this.devices) {
        expansions.replace(item.index, []).forEach((id) => touched.add(id));
        codes.delete(item.index);
      }
      this.takeOut(item);
    }
    const { list } = this.input;
    const entries = settleRules({ ...list, shortcuts: put });
    const added = put.map((shortcut, i) => this.add(shortcut, entries[i]!));
    for (const item of added) {
      keys.add(item.key);
      insertKey(this.keys, item.key);
      this.sameKey.sort(item.key);
      this.sameExpansion.sort(item.entry.expansion);
      if (item.skeleton !== null) this.sameSkeleton.sort(item.skeleton);
      if (this.sameKey.of(item.key).length === 1) this.slips.add(item.key);
      for (const near of this.relatedTo(item)) touched.add(near);
    }
    const texts = this.textsWith([...keys], added);
    for (const device of this.devices) this.follow(device, { put: entries, remove }, texts, touched);
    for (const id of gone) touched.add(id);
    this.known.clear();
    for (const id of touched) {
      const item = this.items.get(id);
      if (item) this.assemble(item);
      else this.found.delete(id);
    }
    this.sorted = null;
  }

  // ── taking in ──

  private takeIn(): void {
    const entries = settleRules(this.input.list);
    this.input.list.shortcuts.forEach((shortcut, i) => this.add(shortcut, entries[i]!));
    // Sorted once for all devices.
    this.entries = [...this.items.values()]
      .sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : byAge(a, b)))
      .map(({ entry }) => entry);
    for (const groups of [this.sameKey, this.sameSkeleton, this.sameExpansion]) groups.sort();
    this.keys = this.entries.map(({ id }) => this.items.get(id)!.key);
  }

  private add(shortcut: AuditedShortcut, entry: FiringEntry): Item {
    const item = itemOf(shortcut, entry, this.byIndex.length, this.input.skeletonOf);
    this.items.set(item.id, item);
    this.byIndex.push(item);
    this.sameKey.add(item.key, item);
    if (item.skeleton !== null) this.sameSkeleton.add(item.skeleton, item);
    this.sameExpansion.add(entry.expansion, item);
    return item;
  }

  private takeOut(item: Item): void {
    this.items.delete(item.id);
    this.byIndex[item.index] = null;
    this.sameKey.remove(item.key, item);
    if (item.skeleton !== null) this.sameSkeleton.remove(item.skeleton, item);
    this.sameExpansion.remove(item.entry.expansion, item);
    this.keys.splice(firstKey(this.keys, item.key), 1);
    if (this.sameKey.of(item.key).length === 0) this.slips.remove(item.key);
  }

  /** Others whose findings may name this one. */
  private relatedTo(item: Item): string[] {
    const { skeleton } = item;
    const near = [
      ...this.sameKey.of(item.key),
      ...(skeleton === null ? [] : this.sameSkeleton.of(skeleton)),
      ...this.sameExpansion.of(item.entry.expansion),
      ...this.slips.slipsOf(item.key, MOST_EXAMPLES).flatMap(({ key }) => this.sameKey.of(key)),
    ].map(({ id }) => id);
    // Codes that this one goes on from are delayed by it.
    for (let length = 1; length < item.key.length; length += 1) {
      for (const { id } of this.sameKey.of(item.key.slice(0, length))) near.push(id);
    }
    return near;
  }

  // ── on each device ──

  private tablesFor(profile: DeviceProfile, languages: AuditInput['languages']): DeviceTables {
    return {
      profile,
      list: CompiledList.compile(this.entries, profile),
      words: languages.map(({ vocabulary, share = 1 / languages.length }) => new WordHits(vocabulary, share)),
      tallies: new Map(),
      contexts: new TextHits(),
      expansions: new TextHits(),
      codes: new Set(),
      loops: new Map(),
    };
  }

  private readonly indexOf = (id: string): number => this.items.get(id)?.index ?? -1;

  private scanWords(device: DeviceTables): void {
    for (const words of device.words) words.scan(device.list, this.indexOf);
    device.tallies = mergeTallies(device.words.map((words) => words.tally()));
  }

  private scanTexts(device: DeviceTables): void {
    const { list, contexts, expansions, codes } = device;
    CONTEXT_BANK.scan(list, (text, start, end, entry) => this.isOurs(entry) && contexts.add(text, { start, end, entry }));
    const items = [...this.items.values()];
    new Bank(items.map(({ entry }) => entry.expansion)).scan(list, (text, start, end, entry) => {
      const item = items[text]!;
      if (entry.id !== item.id && this.isOurs(entry)) expansions.add(item.index, { start, end, entry });
    });
    new Bank(items.map(({ entry }) => entry.code)).scan(list, (text, _start, _end, entry) => {
      const item = items[text]!;
      if (this.isOther(entry, item)) codes.add(item.index);
    });
    device.loops = loopsOf(items.map(({ entry }) => entry), list);
  }

  private isOurs({ id }: FiringEntry): boolean {
    return this.items.has(id);
  }

  /** Whether a code met in an item's own is another one; twins are told of as the same code. */
  private isOther(entry: FiringEntry, item: Item): boolean {
    return entry.id !== item.id && this.items.get(entry.id)?.key !== item.key;
  }

  /** The texts in which one of the keys may fire, and those of new items. */
  private textsWith(keys: readonly string[], added: readonly Item[]): TouchedTexts {
    const expansions: Item[] = [...added];
    const codes: Item[] = [...added];
    for (const item of this.byIndex) {
      if (item === null || added.includes(item)) continue;
      item.lowered ??= matchKey(item.entry.expansion);
      for (const key of keys) {
        if (item.lowered.includes(key) && expansions.at(-1) !== item) expansions.push(item);
        if (item.key.includes(key) && codes.at(-1) !== item) codes.push(item);
      }
    }
    return {
      words: this.vocabularies.map((vocabulary) => union(keys.map((key) => bankOf(vocabulary).containing(key)))),
      contexts: union(keys.map((key) => CONTEXT_BANK.containing(key))),
      expansions,
      codes,
      added,
    };
  }

  private follow(
    device: DeviceTables,
    change: { put: readonly FiringEntry[]; remove: readonly string[] },
    texts: TouchedTexts,
    touched: Set<string>,
  ): void {
    device.list = device.list.with(change);
    const { list } = device;
    const touch = (id: string) => touched.add(id);
    const indices = new Set(texts.added.map(({ index }) => index));
    device.words.forEach((words, i) => words.refresh(list, texts.words[i]!, this.indexOf).forEach((index) => indices.add(index)));
    const tallies = mergeTallies(device.words.map((words) => words.tally(indices)));
    for (const index of indices) {
      const tally = tallies.get(index);
      if (tally) device.tallies.set(index, tally);
      else device.tallies.delete(index);
      const item = this.byIndex[index];
      if (item) touch(item.id);
    }
    for (const text of texts.contexts) {
      const hits = hitsIn(list, CONTEXT_BANK.texts[text]!).filter(({ entry }) => this.isOurs(entry));
      device.contexts.replace(text, hits).forEach(touch);
    }
    for (const item of texts.expansions) {
      const hits = hitsIn(list, item.entry.expansion).filter(({ entry }) => entry.id !== item.id && this.isOurs(entry));
      device.expansions.replace(item.index, hits).forEach(touch);
    }
    for (const item of texts.codes) {
      const isMet = hitsIn(list, item.entry.code).some(({ entry }) => this.isOther(entry, item));
      if (isMet) device.codes.add(item.index);
      else device.codes.delete(item.index);
      touch(item.id);
    }
    // What is put in may fire again: whatever is met in another code may come out otherwise.
    if (list.profile.rescans) for (const index of device.codes) touch(this.byIndex[index]!.id);
    const loops = loopsOf(list.profile.rescans ? Array.from(this.items.values(), ({ entry }) => entry) : [], list);
    for (const id of [...device.loops.keys(), ...loops.keys()]) touch(id);
    device.loops = loops;
  }

  // ── putting together ──

  private assemble(item: Item): void {
    const findings: Finding[] = [];
    const note = (finding: Finding | null) => {
      if (finding) findings.push(finding);
    };
    const { devices } = this;
    const same = this.sameKey.several(item.key);
    if (same !== null) note(make.sameCode(item, same, devices));
    const drawn = item.skeleton === null ? null : this.sameSkeleton.several(item.skeleton);
    if (drawn !== null) {
      const others = drawn.slice(0, MOST_EXAMPLES * 2).filter(({ key }) => key !== item.key);
      if (others.length > 0) note(make.lookAlike(item, others));
    }
    const met = devices.filter(({ codes }) => codes.has(item.index));
    if (met.length > 0) findings.push(...make.reachOf(item, met, (id) => this.items.get(id)?.key === item.key));
    const mayWait = devices.some(({ profile }) => profile.prefix === 'wait' && heldBy(item.entry, profile)?.fires === 'instant');
    const { keys, count } = mayWait ? this.longerThan(item.key) : { keys: [], count: 0 };
    if (count > 0) {
      note(make.delayed(item, keys.flatMap((key) => this.sameKey.of(key).map(({ id }) => id)), count, devices));
    }
    const isTallied = devices.some((device) => device.tallies.has(item.index));
    const tallies = !isTallied ? [] : devices.flatMap(({ profile, words, tallies: all }) => {
      const ofItem = all.get(item.index);
      return ofItem ? [{ device: profile.id, misfires: ofItem, isEstimate: words.some(({ vocabulary }) => vocabulary.isEstimate) }] : [];
    });
    if (tallies.length > 0) findings.push(...make.misfires(item, tallies));
    const places = (table: 'contexts' | 'expansions') =>
      devices.map((device) => ({
        device: device.profile.id,
        count: device[table].countOf(item.id),
        places: device[table].placesOf(item.id),
      }));
    const isIn = (table: 'contexts' | 'expansions') => devices.some((device) => device[table].countOf(item.id) > 0);
    if (isIn('contexts')) note(make.inContexts(item, places('contexts'), contextExample));
    if (isIn('expansions')) note(make.inOwnExpansions(item, places('expansions'), this.expansionExample));
    const isLooping = devices.some(({ loops }) => loops.has(item.id));
    const chains = !isLooping ? [] : devices.flatMap(({ profile, loops }) => {
      const chain = loops.get(item.id);
      return chain ? [{ device: profile.id, chain }] : [];
    });
    if (chains.length > 0) note(make.loop(item, chains));
    note(make.claimed(item));
    note(make.deviceTraps(item, devices, this.languages));
    const slips = this.slips.slipsOf(item.key, MOST_EXAMPLES).flatMap(({ key, slip }) => {
      const other = this.sameKey.of(key)[0];
      return other && differMuch(item.entry.expansion, other.entry.expansion) ? [{ id: other.id, slip }] : [];
    });
    if (slips.length > 0) note(make.nearMiss(item, slips));
    const twins = this.sameExpansion.several(item.entry.expansion) ?? [];
    const others = twins.slice(0, MOST_EXAMPLES).filter((one) => one !== item);
    note(make.faultyExpansion(item, others, this.vocabularies, this.isKnown));
    note(make.secret(item));
    if (findings.length > 0) this.found.set(item.id, findings.sort(byWorst));
    else this.found.delete(item.id);
  }

  private readonly isKnown = (word: string): boolean => {
    let isKnown = this.known.get(word);
    if (isKnown === undefined) {
      let count = 0;
      for (const { entry } of this.items.values()) if (entry.expansion.includes(word)) count += 1;
      this.known.set(word, (isKnown = count > 1));
    }
    return isKnown;
  };

  private readonly expansionExample = ({ text, start, end }: TextPlace): PlaceExample => {
    const { id, entry } = this.byIndex[text]!;
    return { text: entry.expansion, start, end, of: id };
  };

  /** Some of the match keys that go on from `key`, and how many there are. */
  private longerThan(key: string): { keys: string[]; count: number } {
    let from = firstKey(this.keys, key);
    while (this.keys[from] === key) from += 1;
    const past = firstKey(this.keys, key + '\uffff');
    return { keys: this.keys.slice(from, Math.min(past, from + MOST_EXAMPLES)), count: past - from };
  }
}

function contextExample({ text, start, end }: TextPlace): PlaceExample {
  return { text: CONTEXT_BANK.texts[text]!, start, end, of: CLASS_OF[text]! };
}

function byAge(a: Item, b: Item): number {
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
}

function union(lists: readonly (readonly number[])[]): number[] {
  return lists.length === 1 ? [...lists[0]!] : [...new Set(lists.flat())];
}

function firstKey(keys: readonly string[], key: string): number {
  let low = 0;
  let high = keys.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (keys[middle]! < key) low = middle + 1;
    else high = middle;
  }
  return low;
}

function insertKey(keys: string[], key: string): void {
  keys.splice(firstKey(keys, key), 0, key);
}

/** The tallies of several languages as one. */
function mergeTallies(
  tallies: readonly Map<number, Partial<Record<InWord, WordMisfires>>>[],
): Map<number, Partial<Record<InWord, WordMisfires>>> {
  if (tallies.length === 1) return tallies[0]!;
  const merged = new Map<number, Partial<Record<InWord, WordMisfires>>>();
  for (const tally of tallies) {
    for (const [index, ofItem] of tally) {
      const into = merged.get(index) ?? {};
      for (const [kind, misfires] of Object.entries(ofItem) as [InWord, WordMisfires][]) {
        const sum = into[kind];
        into[kind] = sum
          ? {
              perTenThousand: sum.perTenThousand + misfires.perTenThousand,
              words: sum.words + misfires.words,
              examples: [...sum.examples, ...misfires.examples]
                .sort((a, b) => b.perTenThousand - a.perTenThousand)
                .slice(0, MOST_EXAMPLES),
            }
          : misfires;
      }
      merged.set(index, into);
    }
  }
  return merged;
}

