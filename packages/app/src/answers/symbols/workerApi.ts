/** What the worker of symbols does, without the worker: it holds the index and answers searches. Runs in Node for tests. */
import {
  SymbolFinder,
  symbolsOfUse,
  usualSymbols,
  USES,
  type FoundSymbol,
  type SymbolSearch,
  type SymbolTable,
  type SymbolWords,
  type Use,
} from '@yellow-latch/core/symbols';
import { parseSymbols, parseSymbolWords } from '@yellow-latch/language';

/** A part of all symbols: by use, a group of emoji, or a block of Unicode. */
export type Shelf =
  | { readonly of: 'use'; readonly use: Use }
  | { readonly of: 'emoji'; readonly group: string }
  | { readonly of: 'block'; readonly block: string };

/** What there is to browse. */
export interface Shelves {
  readonly uses: readonly { readonly use: Use; readonly first: readonly FoundSymbol[] }[];
  readonly emoji: readonly { readonly group: string; readonly first: readonly FoundSymbol[] }[];
  readonly blocks: readonly { readonly block: string; readonly count: number }[];
}

/** A symbol looked at closely. */
export interface SymbolDetails {
  readonly symbol: FoundSymbol;
  readonly variants: readonly FoundSymbol[];
  readonly block: string | null;
}

/** So many of a shelf are shown before it is opened. */
const FIRST = 7;

export class SymbolsWorkerApi {
  private opened: { readonly languages: string; readonly finder: SymbolFinder; readonly table: SymbolTable } | null =
    null;

  constructor(
    /** Fetches a file of language data by its name; throws if it is not to be had. */
    private readonly fetchFile: (name: string) => Promise<unknown>,
  ) {}

  /** Makes the index for the languages of a person, English with it. Resolves with those that could not be had. */
  async open(languages: readonly string[]): Promise<readonly string[]> {
    const wanted = [...new Set(['en', ...languages])];
    if (this.opened?.languages === wanted.join()) return [];
    const table = parseSymbols(await this.fetchFile('symbols'));
    const missing: string[] = [];
    const words: SymbolWords[] = [];
    for (const language of wanted) {
      try {
        words.push(parseSymbolWords(await this.fetchFile(`symbols-${language}`)));
      } catch {
        missing.push(language);
      }
    }
    this.opened = {
      languages: missing.length === 0 ? wanted.join() : '',
      table,
      finder: new SymbolFinder(table, words),
    };
    return missing;
  }

  search(query: string): SymbolSearch | null {
    return this.opened?.finder.search(query) ?? null;
  }

  /** Those that are asked for most. */
  usual(): readonly FoundSymbol[] | null {
    return this.describe(usualSymbols());
  }

  shelves(): Shelves | null {
    if (!this.opened) return null;
    const { finder, table } = this.opened;
    const first = (texts: readonly string[]) => texts.slice(0, FIRST).map((text) => finder.describe(text));
    const codePoints = table.characters.map((character) => character.codePointAt(0)!);
    return {
      uses: USES.map((use) => ({ use, first: first(symbolsOfUse(use, table)) })),
      emoji: table.emoji.map(({ id, emoji }) => ({ group: id, first: first(emoji) })),
      blocks: table.blocks.flatMap(({ name, first: begin, last }) => {
        const count = codePoints.filter((codePoint) => codePoint >= begin && codePoint <= last).length;
        return count === 0 ? [] : [{ block: name, count }];
      }),
    };
  }

  /** All that stands on a shelf. */
  browse(shelf: Shelf): readonly FoundSymbol[] | null {
    if (!this.opened) return null;
    const { finder } = this.opened;
    return this.textsOn(shelf, this.opened.table).map((text) => finder.describe(text));
  }

  describe(texts: readonly string[]): readonly FoundSymbol[] | null {
    return this.opened && texts.map((text) => this.opened!.finder.describe(text));
  }

  details(text: string): SymbolDetails | null {
    if (!this.opened) return null;
    const { finder, table } = this.opened;
    const codePoint = text.codePointAt(0) ?? 0;
    const block = table.blocks.find(({ first, last }) => codePoint >= first && codePoint <= last);
    return { symbol: finder.describe(text), variants: finder.variantsOf(text), block: block?.name ?? null };
  }

  /** What each is called, in words that a code can be made of. */
  called(texts: readonly string[]): readonly (readonly string[])[] {
    return texts.map((text) => this.opened?.finder.wordsOf(text) ?? []);
  }

  private textsOn(shelf: Shelf, table: SymbolTable): readonly string[] {
    if (shelf.of === 'use') return symbolsOfUse(shelf.use, table);
    if (shelf.of === 'emoji') return table.emoji.find(({ id }) => id === shelf.group)?.emoji ?? [];
    const block = table.blocks.find(({ name }) => name === shelf.block);
    if (!block) return [];
    return table.characters.filter((character) => {
      const codePoint = character.codePointAt(0)!;
      return codePoint >= block.first && codePoint <= block.last;
    });
  }
}
