import { asTyped, ContextCorpus, searchable } from '../clash/contextCorpus';
import { byAge, CompiledList, LARGEST_OVERLAY, settleRules, type FiringEntry } from '../fire';
import { compareUnits, matchKey } from '../model';
import { profileOf, type DeviceProfile } from '../profile';
import {
  placing,
  type Change,
  type FitContext,
  type FitList,
  type FitShortcut,
  type Obstacle,
  type Placed,
} from './place';
import { isOffered, isTyped, mayFailAtStart, obstacleTo, worksInside } from './typed';

/** What becomes of a shortcut in a place. `by`: the code that comes first there. */
export type Fit =
  | { readonly verdict: 'works' }
  | { readonly verdict: 'changed'; readonly how: readonly Change[] }
  | { readonly verdict: 'no'; readonly why: Obstacle; readonly by: string | null }
  | { readonly verdict: 'left out' };

export type FitSums = Readonly<Record<Fit['verdict'], number>>;

/** A shortcut in all places. */
interface Item {
  readonly shortcut: FitShortcut;
  readonly entry: FiringEntry;
  readonly key: string;
  /** Its code for being searched in, made when an edit first asks for it. */
  searched: string | null;
}

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
  private readonly places: PlaceFit[];
  private readonly making: FitContext & { shortcutOf: (id: string) => FitShortcut | undefined };

  /** Cost: for each place about that of compiling the list and scanning its codes once. */
  constructor(
    private readonly list: FitList,
    places: readonly NamedPlace[],
    context: FitContext,
    private readonly isLeftOut: LeftOutOf = () => false,
  ) {
    this.making = { ...context, shortcutOf: (id) => this.items.get(id)?.shortcut };
    for (const item of itemsOf(list.shortcuts, list)) this.items.set(item.shortcut.id, item);
    const all = [...this.items.values()];
    // In the order of their codes, so that no place has to sort them.
    const sorted = [...all].sort((a, b) => compareUnits(a.key, b.key) || byAge(a.entry, b.entry));
    const corpus = new ContextCorpus(
      all.map(({ shortcut }) => shortcut.code),
      true,
    );
    this.places = places.map(
      (place) => new PlaceFit(place, all, sorted, corpus, (item, profile) => this.placed(item, place.id, profile)),
    );
  }

  /** What becomes of a shortcut in a place; undefined: one of the two is not known. */
  fitOf(place: string, id: string): Fit | undefined {
    return this.places.find(({ id }) => id === place)?.fits.get(id);
  }

  /** What a place would hold, in the order of the list. */
  placedIn(place: string): Placed[] {
    return this.places.find(({ id }) => id === place)?.placed() ?? [];
  }

  /** Every shortcut of a place, in the order of the list. */
  fitsOf(place: string): ReadonlyMap<string, Fit> {
    return this.places.find(({ id }) => id === place)?.fits ?? new Map();
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
    // Those with a changed one inside give another text now.
    const around = [...this.items.values()].filter(
      ({ shortcut: { id, content } }) =>
        content.template && !gone.has(id) && [...gone].some((inner) => content.expansion.includes(inner)),
    );
    for (const id of remove) this.items.delete(id);
    const added = itemsOf([...put, ...around.map(({ shortcut }) => shortcut)], this.list);
    for (const item of added) this.items.set(item.shortcut.id, item);
    const changed = [...new Set([...before, ...added].map(({ key }) => key))].filter((key) => key !== '');
    // A code that one of them goes on from may wait for it, and so be met elsewhere or not.
    const waiting = [...this.items.values()].filter(({ key }) => changed.some((longer) => longer.startsWith(key)));
    const stretches = [...new Set([...changed, ...waiting.map(({ key }) => key)])].map(asTyped);
    const met = [...this.items.values()].filter((item) => {
      const searched = searchedIn(item);
      return stretches.some((stretch) => searched.includes(stretch));
    });
    const concerned = new Set([...added, ...met]);
    const leading = this.places.some(({ rescans }) => rescans) ? this.leadingTo(stretches) : concerned;
    for (const place of this.places)
      place.change(added, remove, place.rescans ? new Set([...concerned, ...leading]) : concerned, this.items.values());
    return new Set([...concerned, ...leading].map(({ shortcut }) => shortcut.id));
  }

  /**
   * Where what was put in is looked through again: those whose texts hold one of these codes, or one that leads on to them, and
   * those in whose codes one of all these is met.
   */
  private leadingTo(codes: readonly string[]): Set<Item> {
    const found = new Set<Item>();
    for (let next = codes; next.length > 0;) {
      const keys = next;
      const holders = [...this.items.values()].filter(
        (item) => !found.has(item) && keys.some((key) => searchable(item.shortcut.content.expansion).includes(key)),
      );
      for (const item of holders) found.add(item);
      next = holders.map(({ key }) => asTyped(key));
    }
    const met = [...codes, ...[...found].map(({ key }) => asTyped(key))];
    for (const item of this.items.values()) if (met.some((key) => searchedIn(item).includes(key))) found.add(item);
    return found;
  }

  private placed({ shortcut, entry }: Item, place: string, profile: DeviceProfile): Placed | Obstacle | 'left out' {
    if (this.isLeftOut(place, shortcut)) return 'left out';
    return placing(shortcut, entry, ALL_IN, profile, this.making);
  }
}

function itemsOf(shortcuts: readonly FitShortcut[], list: FitList): Item[] {
  return settleRules({ ...list, shortcuts }).map((entry, index) => {
    const key = matchKey(entry.code);
    return { shortcut: shortcuts[index]!, entry, key, searched: null };
  });
}

function searchedIn(item: Item): string {
  return (item.searched ??= searchable(item.key));
}

type Place = (item: Item, profile: DeviceProfile) => Placed | Obstacle | 'left out';

/** A list in one place. */
class PlaceFit {
  readonly fits = new Map<string, Fit>();
  private readonly profile: DeviceProfile;
  private readonly held = new Map<string, { entry: FiringEntry; changes: readonly Change[] }>();
  private list: CompiledList;

  readonly id: string;

  constructor(
    { id, key }: NamedPlace,
    items: readonly Item[],
    sorted: readonly Item[],
    corpus: ContextCorpus,
    private readonly place: Place,
  ) {
    this.id = id;
    this.profile = profileOf(key);
    for (const item of items) this.take(item);
    this.list = this.compiled(sorted);
    const isClear = this.clearOnes(items, corpus);
    items.forEach((item, index) => this.judge(item, isClear[index] === 1));
  }

  change(added: readonly Item[], remove: readonly string[], concerned: ReadonlySet<Item>, all: Iterable<Item>): void {
    for (const id of remove) {
      this.held.delete(id);
      this.fits.delete(id);
    }
    const gone = new Set(remove);
    for (const item of added) {
      if (!this.take(item)) gone.add(item.shortcut.id);
    }
    const put = added.flatMap(({ shortcut }) => this.held.get(shortcut.id)?.entry ?? []);
    this.list = this.list.with({ put, remove: [...gone] });
    if (this.list.overlaySize > LARGEST_OVERLAY) this.list = this.compiled(all);
    const changed = new Set([...gone, ...added.map(({ shortcut }) => shortcut.id)]);
    for (const item of all) {
      const before = this.fits.get(item.shortcut.id);
      const wasBlocked = before?.verdict === 'no' && before.by !== null && changed.has(before.by);
      if (wasBlocked || concerned.has(item)) this.judge(item, false);
    }
  }

  placed(): Placed[] {
    return Array.from(this.held, ([id, { entry, changes }]) => ({
      id,
      code: entry.code,
      text: entry.expansion,
      changes,
    }));
  }

  /** Whether the place looks for codes in what it has just put in. */
  get rescans(): boolean {
    return this.profile.rescans;
  }

  private compiled(items: Iterable<Item>): CompiledList {
    const entries: FiringEntry[] = [];
    for (const { shortcut } of items) {
      const held = this.held.get(shortcut.id);
      if (held) entries.push(held.entry);
    }
    return CompiledList.compile(entries, this.profile);
  }

  /** Takes a shortcut in as the place would hold it; false: it would not. */
  private take(item: Item): boolean {
    const { id } = item.shortcut;
    const placed = this.place(item, this.profile);
    if (typeof placed === 'string') {
      this.held.delete(id);
      this.fits.set(id, placed === 'left out' ? LEFT_OUT : { verdict: 'no', why: placed, by: null });
      return false;
    }
    const { text, changes } = placed;
    const entry = text === item.entry.expansion ? item.entry : { ...item.entry, expansion: text };
    this.held.set(id, { entry, changes });
    return true;
  }

  /**
   * Which codes need not be typed: where nothing fires in a code but itself, at its end, typing it gives its text. All of them
   * are looked through in one scan.
   */
  private clearOnes(items: readonly Item[], corpus: ContextCorpus): Uint8Array {
    const { list, profile } = this;
    const own = new Uint8Array(items.length);
    const others = new Uint8Array(items.length);
    if (profile.rescans) return own;
    items.forEach(({ shortcut }, index) => {
      const entry = this.held.get(shortcut.id)?.entry;
      if (entry && isOffered(entry, list)) own[index] = 1;
    });
    corpus.scan(list, (text, start, end, { id }) => {
      const { code } = items[text]!.shortcut;
      if (id === items[text]!.shortcut.id && start === 0 && end === code.length) own[text] = 1;
      else others[text] = 1;
    });
    return own.map((isOwn, index) => (isOwn === 1 && others[index] === 0 ? 1 : 0));
  }

  private judge({ shortcut: { id } }: Item, isClear: boolean): void {
    const held = this.held.get(id);
    if (!held) return;
    const { entry, changes } = held;
    if (!isClear && !worksInside(entry, this.list)) {
      this.fits.set(id, { verdict: 'no', ...obstacleTo(entry, this.list) });
      return;
    }
    const failsAtStart = mayFailAtStart(entry, this.profile) && !isTyped(entry, this.list, '');
    const how: readonly Change[] = failsAtStart ? [...changes, 'sentence start'] : changes;
    this.fits.set(id, how.length === 0 ? WORKS : { verdict: 'changed', how });
  }
}
