import { CompiledList, LARGEST_OVERLAY, type FiringEntry } from '../fire';
import type { DeviceProfile } from '../profile';
import { asTyped, ContextCorpus, hitsIn } from './contextCorpus';
import { CONTEXTS } from './contexts';
import { MOST_EXAMPLES } from './finding';
import { TextHits } from './hits';
import { loweredOf, type Device, type Item } from './item';
import type { Items } from './items';
import type { MarkedTexts } from './markedHits';
import { MarkedHits } from './markedHits';
import { loopsOf } from './reach';
import { bankOf, WordHits, type InWord, type WordMisfires } from './wordHits';

export const CONTEXT_BANK = new ContextCorpus(CONTEXTS.flatMap(({ texts }) => texts));

/** Misfires by item index and part of a word. */
type Tallies = Map<number, Partial<Record<InWord, WordMisfires>>>;

/** The texts that an edit makes it needful to look at again. */
export interface TouchedTexts {
  /** For each language the places of its words. */
  readonly words: readonly (readonly number[])[];
  readonly contexts: readonly number[];
  readonly expansions: readonly Item[];
  readonly codes: readonly Item[];
  /** For each language the items whose marked words are concerned. */
  readonly marked: readonly ReadonlySet<Item>[];
  readonly added: readonly Item[];
}

/** The texts in which one of the keys may fire, and those of new items. */
export function textsWith(
  keys: readonly string[],
  added: readonly Item[],
  items: Items,
  marked: readonly MarkedTexts[],
): TouchedTexts {
  const expansions: Item[] = [...added];
  const codes: Item[] = [...added];
  const isNew = new Set(added);
  for (const key of keys.map(asTyped)) {
    for (const item of items.thatMayHold(key)) {
      if (isNew.has(item)) continue;
      if (loweredOf(item).includes(key)) expansions.push(item);
      if (item.typedKey.includes(key)) codes.push(item);
    }
  }
  return {
    words: marked.map(({ vocabulary }) => union(keys.map((key) => bankOf(vocabulary).containing(key)))),
    marked: marked.map((texts) => new Set([...added, ...texts.containing(keys)])),
    contexts: union(keys.map((key) => CONTEXT_BANK.containing(key))),
    expansions: [...new Set(expansions)],
    codes: [...new Set(codes)],
    added,
  };
}

/** Makes ready what following edits takes, so that the first is as quick as all others. */
export function prepareToReaudit(items: Items, marked: readonly MarkedTexts[]): void {
  CONTEXT_BANK.prepare();
  for (const texts of marked) {
    bankOf(texts.vocabulary).prepare();
    texts.prepare();
  }
  items.prepare();
}

/** What fires where on one device: in words, contexts, the list's own expansions and codes. */
export class OnDevice implements Device {
  list: CompiledList;
  readonly words: readonly WordHits[];
  private readonly marked: readonly MarkedHits[];
  /** All languages together. */
  tallies: Tallies = new Map();
  readonly contexts = new TextHits();
  /** Texts are the indices of the items whose expansions they are. */
  readonly expansions = new TextHits();
  /** The indices of the items in whose codes other codes are met. */
  readonly codes = new Set<number>();
  loops: ReadonlyMap<string, string[]> = new Map();

  constructor(
    readonly profile: DeviceProfile,
    private readonly items: Items,
    languages: readonly { readonly texts: MarkedTexts; readonly share?: number }[],
  ) {
    this.list = CompiledList.compile(items.sortedEntries, profile);
    this.words = languages.map(({ texts, share = 1 / languages.length }) => new WordHits(texts.vocabulary, share));
    this.marked = languages.map(({ texts }, i) => new MarkedHits(texts, this.words[i]!));
  }

  scanWords(): void {
    for (const words of this.words) words.scan(this.list, this.items.misfiring);
    for (const marked of this.marked) marked.scan(this.list);
    this.tallies = this.tally();
  }

  private tally(only?: ReadonlySet<number>): Tallies {
    return mergeTallies([...this.words, ...this.marked].map((hits) => hits.tally(only)));
  }

  /** How often something fires by mistake in 10,000 words, all languages together. */
  get perTenThousand(): number {
    return [...this.words, ...this.marked].reduce((sum, hits) => sum + hits.sum, 0);
  }

  scanTexts(): void {
    const { list, contexts, expansions, codes } = this;
    CONTEXT_BANK.scan(list, (text, start, end, entry) => {
      if (this.isOurs(entry)) contexts.add(text, { start, end, entry });
    });
    const items = [...this.items.all()];
    new ContextCorpus(items.map(({ entry }) => entry.expansion)).scan(list, (text, start, end, entry) => {
      const item = items[text]!;
      if (entry.id !== item.id && this.isOurs(entry)) expansions.add(item.index, { start, end, entry });
    });
    new ContextCorpus(
      items.map(({ entry }) => entry.code),
      true,
    ).scan(list, (text, _start, _end, entry) => {
      const item = items[text]!;
      if (this.isOther(entry, item)) codes.add(item.index);
    });
    this.loops = loopsOf(
      items.map(({ entry }) => entry),
      list,
    );
  }

  /** Forgets the texts of an item that goes; gives the ids it concerns. */
  forget(item: Item): string[] {
    this.codes.delete(item.index);
    for (const marked of this.marked) marked.forget(item);
    return this.expansions.replace(item.index, []);
  }

  /** Audits again what an edit touched; gives the ids of the items whose findings it may change. */
  follow(change: { put: readonly FiringEntry[]; remove: readonly string[] }, texts: TouchedTexts): Set<string> {
    this.list = this.list.with(change);
    if (this.list.overlaySize > LARGEST_OVERLAY) {
      this.list = CompiledList.compile(
        Array.from(this.items.all(), ({ entry }) => entry),
        this.profile,
      );
    }
    const { list, items } = this;
    const touched = new Set<string>();
    const touch = (id: string) => touched.add(id);
    this.reauditWords(texts).forEach(touch);
    for (const text of texts.contexts) {
      const hits = CONTEXT_BANK.hitsIn(list, text).filter(({ entry }) => this.isOurs(entry));
      this.contexts.replace(text, hits).forEach(touch);
    }
    for (const item of texts.expansions) {
      const hits = hitsIn(list, item.entry.expansion).filter(({ entry }) => entry.id !== item.id && this.isOurs(entry));
      this.expansions.replace(item.index, hits).forEach(touch);
    }
    for (const item of texts.codes) {
      const isMet = hitsIn(list, item.entry.code, true).some(({ entry }) => this.isOther(entry, item));
      if (isMet) this.codes.add(item.index);
      else this.codes.delete(item.index);
      touch(item.id);
    }
    if (list.profile.rescans) {
      // What is put in may fire again: whatever is met in another code may come out otherwise.
      for (const index of this.codes) touch(items.at(index)!.id);
      const loops = loopsOf(
        Array.from(items.all(), ({ entry }) => entry),
        list,
      );
      for (const id of [...this.loops.keys(), ...loops.keys()]) touch(id);
      this.loops = loops;
    }
    return touched;
  }

  private reauditWords(texts: TouchedTexts): string[] {
    const indices = new Set(texts.added.map(({ index }) => index));
    this.words.forEach((words, i) => {
      for (const index of words.refresh(this.list, texts.words[i]!, this.items.misfiring)) indices.add(index);
    });
    this.marked.forEach((marked, i) => {
      marked.refresh(this.list, texts.marked[i]!);
      for (const { index } of texts.marked[i]!) indices.add(index);
    });
    const tallies = this.tally(indices);
    return [...indices].flatMap((index) => {
      const tally = tallies.get(index);
      if (tally) this.tallies.set(index, tally);
      else this.tallies.delete(index);
      return this.items.at(index)?.id ?? [];
    });
  }

  private isOurs({ id }: FiringEntry): boolean {
    return this.items.of(id)?.isItself === false;
  }

  /** Whether a code met in an item's own is another one; twins are told of as the same code. */
  private isOther(entry: FiringEntry, item: Item): boolean {
    return entry.id !== item.id && !this.items.isTwin(entry.id, item);
  }
}

function union(lists: readonly (readonly number[])[]): number[] {
  return lists.length === 1 ? [...lists[0]!] : [...new Set(lists.flat())];
}

/** The tallies of several languages as one. */
function mergeTallies(tallies: readonly Tallies[]): Tallies {
  if (tallies.length === 1) return tallies[0]!;
  const merged: Tallies = new Map();
  for (const tally of tallies) {
    for (const [index, ofItem] of tally) {
      const into = merged.get(index) ?? {};
      for (const [kind, misfires] of Object.entries(ofItem) as [InWord, WordMisfires][]) {
        const sum = into[kind];
        into[kind] = sum ? added(sum, misfires) : misfires;
      }
      merged.set(index, into);
    }
  }
  return merged;
}

function added(a: WordMisfires, b: WordMisfires): WordMisfires {
  const examples = [...a.examples, ...b.examples].sort((one, other) => other.perTenThousand - one.perTenThousand);
  return {
    perTenThousand: a.perTenThousand + b.perTenThousand,
    words: a.words + b.words,
    examples: examples.slice(0, MOST_EXAMPLES),
  };
}
