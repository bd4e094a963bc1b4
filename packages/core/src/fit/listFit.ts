import { searchable } from '../clash/contextCorpus';
import { changesText, CompiledList, settleRules, type FiringEntry } from '../fire';
import { matchKey } from '../model';
import { profileOf, type DeviceProfile } from '../profile';
import { itemOf, Meetings, type Item } from './meetings';
import {
  placing,
  type Change,
  type FitContext,
  type FitList,
  type FitShortcut,
  type Obstacle,
  type Placed,
} from './place';
import { isTyped, mayFailAtStart, obstacleTo, worksInside } from './typed';

/** What becomes of a shortcut in a place. `by`: the code that comes first there. */
export type Fit =
  | { readonly verdict: 'works' }
  | { readonly verdict: 'changed'; readonly how: readonly Change[] }
  | { readonly verdict: 'no'; readonly why: Obstacle; readonly by: string | null }
  | { readonly verdict: 'left out' };

export type FitSums = Readonly<Record<Fit['verdict'], number>>;

/** A place under a name of its own: two devices may have equal ones, and do without different shortcuts. */
export interface NamedPlace {
  readonly id: string;
  /** The key of its profile. */
  readonly key: string;
}

/** What is left out of a place, by its name. */
export type LeftOutOf = (place: string, shortcut: FitShortcut) => boolean;

const ALL_IN = {};
const WORKS: Fit = { verdict: 'works' };
const LEFT_OUT: Fit = { verdict: 'left out' };

/** A list in several places. Follows edits at the cost of what they touch. */
export class ListFit {
  private readonly items = new Map<string, Item>();
  /** The index of the next new one. */
  private next = 0;
  private readonly meetings: Meetings;
  private readonly places: PlaceFit[];
  private readonly making: FitContext & { shortcutOf: (id: string) => FitShortcut | undefined };

  /** Cost: for each code its length times the lengths that codes have; and typing what meets other codes. */
  constructor(
    private readonly list: FitList,
    places: readonly NamedPlace[],
    context: FitContext,
    private readonly isLeftOut: LeftOutOf = () => false,
  ) {
    this.making = { ...context, shortcutOf: (id) => this.items.get(id)?.shortcut };
    for (const item of this.itemsOf(list.shortcuts)) this.items.set(item.shortcut.id, item);
    const all = [...this.items.values()];
    this.meetings = new Meetings(all);
    const lonely = this.meetings.lonelyOf(all);
    const groups = groupsOf(lonely);
    const others = all.filter((item) => !lonely.has(item));
    const around = this.meetings.around(others);
    this.places = places.map((place) => new PlaceFit(place, (item, profile) => this.placed(item, place.id, profile)));
    for (const place of this.places) {
      for (const item of all) place.take(item);
      if (place.rescans) place.judge(all, all);
      else {
        place.judgeLonely(groups);
        place.judge(others, around);
      }
    }
  }

  /** What becomes of a shortcut in a place; undefined: one of the two is not known. */
  fitOf(place: string, id: string): Fit | undefined {
    const item = this.items.get(id);
    return item && this.placeOf(place)?.fitOf(item);
  }

  /** What a place would hold, in the order of the list. */
  placedIn(place: string): Placed[] {
    return this.placeOf(place)?.placed(this.items.values()) ?? [];
  }

  /** Every shortcut of a place. */
  fitsOf(place: string): ReadonlyMap<string, Fit> {
    const known = this.placeOf(place);
    return new Map(known ? Array.from(this.items, ([id, item]) => [id, known.fitOf(item)]) : []);
  }

  sumsOf(place: string): FitSums {
    const sums = { works: 0, changed: 0, no: 0, 'left out': 0 };
    for (const { verdict } of this.fitsOf(place).values()) sums[verdict] += 1;
    return sums;
  }

  /** Follows an edit; gives the ids of those that it concerned. */
  change({ put = [], remove = [] }: { put?: readonly FitShortcut[]; remove?: readonly string[] }): Set<string> {
    const gone = new Set([...remove, ...put.map(({ id }) => id)]);
    const before = [...gone].flatMap((id) => this.items.get(id) ?? []);
    const around = this.withInside(gone);
    for (const item of [...before, ...around]) this.meetings.remove(item);
    for (const id of remove) this.items.delete(id);
    const added = this.itemsOf([...put, ...Array.from(around, ({ shortcut }) => shortcut)]);
    for (const item of added) {
      this.items.set(item.shortcut.id, item);
      this.meetings.add(item);
    }
    const codes = this.heardOf([...before, ...added]);
    const concerned = this.meeting(codes);
    for (const item of added) concerned.add(item);
    const leading = this.places.some(({ rescans }) => rescans) ? this.leadingTo(codes) : concerned;
    const told = this.meetings.around(concerned);
    for (const place of this.places) {
      for (const item of added) place.take(item);
      if (place.rescans) place.judge([...new Set([...concerned, ...leading])], this.items.values());
      else place.judge(concerned, told);
    }
    return new Set([...concerned, ...leading].map(({ shortcut }) => shortcut.id));
  }

  /** Those that have one of these inside, or one that has: they give another text when it does. */
  private withInside(ids: ReadonlySet<string>): Set<Item> {
    const found = new Set<Item>();
    for (let inner = [...ids]; inner.length > 0;) {
      const next = inner;
      const holders = [...this.items.values()].filter(
        (item) =>
          item.shortcut.content.template &&
          !ids.has(item.shortcut.id) &&
          !found.has(item) &&
          next.some((id) => item.shortcut.content.expansion.includes(id)),
      );
      for (const item of holders) found.add(item);
      inner = holders.map(({ shortcut }) => shortcut.id);
    }
    return found;
  }

  /** The codes of these as typed, and those that they go on from: such a one may have waited for them. */
  private heardOf(items: readonly Item[]): ReadonlySet<string> {
    const codes = new Set(items.map(({ typed }) => typed));
    for (const typed of [...codes]) {
      for (let length = 1; length < typed.length; length += 1) {
        const start = typed.slice(0, length);
        if (this.meetings.has(start)) codes.add(start);
      }
    }
    return codes;
  }

  /** Those in whose codes one of these is met. */
  private meeting(codes: ReadonlySet<string>): Set<Item> {
    const all = [...codes];
    const met = new Set<Item>();
    for (const item of this.items.values()) if (all.some((code) => item.searched.includes(code))) met.add(item);
    return met;
  }

  /**
   * Where what was put in is looked through again: those whose texts hold one of these codes, or one that leads on to them, and
   * those in whose codes one of all these is met.
   */
  private leadingTo(codes: ReadonlySet<string>): Set<Item> {
    const found = new Set<Item>();
    for (let next = [...codes]; next.length > 0;) {
      const keys = next;
      const holders = [...this.items.values()].filter(
        (item) => !found.has(item) && keys.some((key) => searchable(item.shortcut.content.expansion).includes(key)),
      );
      for (const item of holders) found.add(item);
      next = holders.map(({ typed }) => typed);
    }
    for (const item of this.meeting(new Set([...codes, ...[...found].map(({ typed }) => typed)]))) found.add(item);
    return found;
  }

  private itemsOf(shortcuts: readonly FitShortcut[]): Item[] {
    return settleRules({ ...this.list, shortcuts }).map((entry, at) => {
      const known = this.items.get(entry.id)?.index;
      if (known === undefined) this.next += 1;
      return itemOf(known ?? this.next - 1, shortcuts[at]!, entry);
    });
  }

  private placeOf(place: string): PlaceFit | undefined {
    return this.places.find(({ id }) => id === place);
  }

  private placed({ shortcut, entry }: Item, place: string, profile: DeviceProfile): Placed | Obstacle | 'left out' {
    if (this.isLeftOut(place, shortcut)) return 'left out';
    return placing(shortcut, entry, ALL_IN, profile, this.making);
  }
}

/** Items by what they are like. */
function groupsOf(items: Iterable<Item>): Item[][] {
  const groups = new Map<string, Item[]>();
  for (const item of items) {
    const like = likeOf(item.entry);
    const group = groups.get(like);
    if (group) group.push(item);
    else groups.set(like, [item]);
  }
  return [...groups.values()];
}

type Place = (item: Item, profile: DeviceProfile) => Placed | Obstacle | 'left out';

/** A shortcut as a place holds it. */
interface Held {
  readonly entry: FiringEntry;
  readonly changes: readonly Change[];
}

/** A list in one place; tables are by the indices of items. What was removed stays in them, and is asked for no more. */
class PlaceFit {
  readonly id: string;
  private readonly profile: DeviceProfile;
  private readonly held: (Held | null)[] = [];
  private readonly fits: Fit[] = [];
  /** The device's own codes, as they are met. */
  private readonly builtIn: readonly string[];

  constructor(
    { id, key }: NamedPlace,
    private readonly place: Place,
  ) {
    this.id = id;
    this.profile = profileOf(key);
    this.builtIn = this.profile.builtIn.map(({ code }) => matchKey(code));
  }

  fitOf({ index }: Item): Fit {
    return this.fits[index]!;
  }

  placed(items: Iterable<Item>): Placed[] {
    return Array.from(items).flatMap(({ index, shortcut: { id } }) => {
      const held = this.held[index];
      return held ? [{ id, code: held.entry.code, text: held.entry.expansion, changes: held.changes }] : [];
    });
  }

  /** Whether the place looks for codes in what it has just put in. */
  get rescans(): boolean {
    return this.profile.rescans;
  }

  /** Takes a shortcut in as the place would hold it, or notes that it would not. */
  take(item: Item): void {
    const { index } = item;
    const placed = this.place(item, this.profile);
    if (typeof placed === 'string') {
      this.held[index] = null;
      this.fits[index] = placed === 'left out' ? LEFT_OUT : { verdict: 'no', why: placed, by: null };
      return;
    }
    const { text, changes } = placed;
    const entry = text === item.entry.expansion ? item.entry : { ...item.entry, expansion: text };
    this.held[index] = { entry, changes };
  }

  /**
   * Judges codes that have nothing to do with others, by what they are like: of each group one is typed, and stands for all.
   * What the device may change, and what meets its own entries, is typed itself.
   */
  judgeLonely(groups: Iterable<readonly Item[]>): void {
    const changes = changesText(this.profile);
    const others: Item[] = [];
    for (const group of groups) {
      let isSure: boolean | null = null;
      for (const item of group) {
        const held = this.held[item.index];
        if (!held) continue;
        if ((changes && item.mayChange) || (this.builtIn.length > 0 && this.meetsBuiltIn(item))) {
          others.push(item);
          continue;
        }
        isSure ??= this.worksAlone(held.entry);
        if (isSure) this.fits[item.index] = fitWith(held.changes);
        else others.push(item);
      }
    }
    this.judge(others, others);
  }

  private worksAlone(entry: FiringEntry): boolean {
    return worksInside(entry, CompiledList.compile([entry], this.profile)) && !mayFailAtStart(entry, this.profile);
  }

  private meetsBuiltIn({ searched, key }: Item): boolean {
    return this.builtIn.some((code) => searched.includes(code) || code.startsWith(key));
  }

  /** Types each code, in a list of those that may have a say in it. */
  judge(items: Iterable<Item>, told: Iterable<Item>): void {
    let list: CompiledList | null = null;
    for (const { index } of items) {
      const held = this.held[index];
      if (!held) continue;
      list ??= CompiledList.compile(
        Array.from(told).flatMap((item) => this.held[item.index]?.entry ?? []),
        this.profile,
      );
      this.fits[index] = this.found(held, list);
    }
  }

  private found({ entry, changes }: Held, list: CompiledList): Fit {
    if (!worksInside(entry, list)) return { verdict: 'no', ...obstacleTo(entry, list) };
    const failsAtStart = mayFailAtStart(entry, this.profile) && !isTyped(entry, list, '');
    return fitWith(failsAtStart ? [...changes, 'sentence start'] : changes);
  }
}

function fitWith(how: readonly Change[]): Fit {
  return how.length === 0 ? WORKS : { verdict: 'changed', how };
}

/** A name for the rules of an entry and the kinds of signs at the ends of its code: entries of one name are typed alike. */
function likeOf({ code, fires, edge, capitals, delimiter, language }: FiringEntry): string {
  const kinds = [code[0]!, code.at(-1)!].map(kindOf);
  const isPlain = /^[\x21-\x7e]+$/u.test(code);
  return `${fires} ${edge} ${capitals} ${delimiter} ${language} ${kinds.join('')} ${isPlain}`;
}

function kindOf(sign: string): string {
  if (/[a-z]/u.test(sign)) return 'a';
  return /[\p{L}\p{N}]/u.test(sign) ? 'A' : '.';
}
