import type { CompiledList } from '../fire';
import { splitMarker } from '../model';
import { ContextCorpus, firstOf, hitsIn, searchable, type Hit } from './contextCorpus';
import { MOST_EXAMPLES, RISKY_FROM } from './finding';
import type { Item } from './item';
import { markedWordsFor, type MarkedWord } from './markedWords';
import type { Vocabulary } from './vocabulary';
import type { InWord, WordHits, WordMisfires } from './wordHits';

/** What happens less than once a year is left out. */
const LEAST_TOLD = RISKY_FROM;

/** The marked words of a list in one language: for each code those in which it may fire. The same on all devices. */
export class MarkedTexts {
  private readonly byItem = new Map<Item, readonly MarkedWord[]>();
  private joined: {
    readonly corpus: ContextCorpus;
    readonly owners: readonly Item[];
    readonly texts: readonly MarkedWord[];
  } | null = null;
  /** Those that came after all were joined, under their search keys. */
  private readonly added = new Map<Item, string>();

  constructor(readonly vocabulary: Vocabulary) {}

  /** Makes those of items. */
  take(items: Iterable<Item>): void {
    for (const item of items) {
      if (item.isItself || !mayBeMarked(item.entry.code)) continue;
      const made = markedWordsFor(item.entry.code, splitMarker(item.key), this.vocabulary);
      if (made.length === 0) continue;
      this.byItem.set(item, made);
      if (this.joined) this.added.set(item, searchable(made.map(({ text }) => text).join('\n')));
    }
  }

  remove(item: Item): void {
    this.byItem.delete(item);
    this.added.delete(item);
  }

  of(item: Item): readonly MarkedWord[] {
    return this.byItem.get(item) ?? [];
  }

  /** All of them as a corpus, as they were when it was first asked for; for each text whose it is. */
  all() {
    if (!this.joined) {
      const all = [...this.byItem].flatMap(([owner, texts]) => texts.map((text) => ({ owner, text })));
      this.joined = {
        corpus: new ContextCorpus(
          all.map(({ text }) => text.text),
          true,
        ),
        owners: all.map(({ owner }) => owner),
        texts: all.map(({ text }) => text),
      };
    }
    return this.joined;
  }

  /** The items in whose texts one of some keys may fire. */
  containing(keys: readonly string[]): Set<Item> {
    const { corpus, owners } = this.all();
    const found = new Set<Item>();
    for (const key of keys) {
      for (const text of corpus.containing(key)) if (this.byItem.has(owners[text]!)) found.add(owners[text]!);
      for (const [item, text] of this.added) if (text.includes(key)) found.add(item);
    }
    return found;
  }

  /** Makes ready what `containing` uses. */
  prepare(): void {
    this.all().corpus.prepare();
  }
}

/** Whether words alone do not tell all about a code: it has marks, figures, or begins with a capital. */
function mayBeMarked(code: string): boolean {
  return !/^[\p{Ll}\p{Lo}\p{M}]+$/u.test(code);
}

/** In which of its marked words each code fires, on one device, in one language. */
export class MarkedHits {
  private readonly fired = new Map<number, readonly MarkedWord[]>();

  /** `words`: what fires in the words alone. */
  constructor(
    private readonly texts: MarkedTexts,
    private readonly words: WordHits,
  ) {}

  scan(list: CompiledList): void {
    this.fired.clear();
    const { corpus, owners, texts } = this.texts.all();
    corpus.scanFirsts(list, (text, first) => {
      const owner = owners[text]!;
      if (isTheirs(first, owner, texts[text]!)) this.note(owner.index, texts[text]!);
    });
  }

  /** Looks at the texts of some items again. */
  refresh(list: CompiledList, items: Iterable<Item>): void {
    for (const item of items) {
      const fired = this.texts.of(item).filter((one) => {
        const first = firstOf(hitsIn(list, one.text, true), list.profile);
        return first !== null && isTheirs(first, item, one);
      });
      if (fired.length > 0) this.fired.set(item.index, fired);
      else this.fired.delete(item.index);
    }
  }

  forget({ index }: Item): void {
    this.fired.delete(index);
  }

  /** As that of `WordHits`. */
  tally(only?: ReadonlySet<number>): Map<number, Partial<Record<InWord, WordMisfires>>> {
    const { language } = this.texts.vocabulary;
    const tally = new Map<number, Partial<Record<InWord, WordMisfires>>>();
    for (const index of only ?? this.fired.keys()) {
      const ofItem: Partial<Record<InWord, WordMisfires>> = {};
      for (const { text, word, kind, perTenThousand } of this.fired.get(index) ?? []) {
        if (this.words.winnerOf(word) === index) continue;
        const frequency = perTenThousand * this.words.share;
        const misfires = (ofItem[kind] ??= { perTenThousand: 0, words: 0, examples: [] });
        misfires.perTenThousand += frequency;
        misfires.words += 1;
        if (misfires.examples.length < MOST_EXAMPLES)
          misfires.examples.push({ word: text, language, perTenThousand: frequency });
      }
      const told = Object.entries(ofItem).filter(([, { perTenThousand }]) => perTenThousand >= LEAST_TOLD);
      if (told.length > 0) tally.set(index, Object.fromEntries(told));
    }
    return tally;
  }

  /** In 10,000 words, beside those in which something fires without the marks. */
  get sum(): number {
    let sum = 0;
    for (const fired of this.fired.values()) {
      for (const { word, perTenThousand } of fired) if (this.words.winnerOf(word) < 0) sum += perTenThousand;
    }
    return sum * this.words.share;
  }

  private note(index: number, text: MarkedWord): void {
    this.fired.set(index, [...(this.fired.get(index) ?? []), text]);
  }
}

/** Whether what fires is the code itself, with the marks beside the mnemonic. */
function isTheirs({ start, end, entry }: Hit, { id }: Item, one: MarkedWord): boolean {
  return entry.id === id && start <= one.start && end >= one.end;
}
