import { clustersOf, wordsIn } from '../model';
import { symbolWords, wellKnownSymbols } from '../mnemonic/symbolWords';
import { codePointIn, nameByRule, noSymbol, writeCodePoint, type NoSymbol } from './codePoint';
import type { SymbolTable, SymbolWords } from './table';
import { partsOf, symbolsTypedAs, type Parts } from './typed';
import { usualSymbols } from './uses';
import { WordIndex } from './wordIndex';

/** A symbol as it is shown: `isDrawn` false where no shipped face has it, so that its code point stands for it. */
export interface FoundSymbol {
  readonly text: string;
  readonly name: string;
  readonly isDrawn: boolean;
}

export interface SymbolSearch {
  readonly symbols: readonly FoundSymbol[];
  /** How many there are in all; those above are the first of them. */
  readonly count: number;
  /** The word that was searched for instead, where none is called as was asked. */
  readonly meant: string | null;
  /** What was asked for, where it can be no symbol. */
  readonly none: { readonly why: NoSymbol; readonly codePoint: string } | null;
}

const NOTHING: SymbolSearch = { symbols: [], count: 0, meant: null, none: null };

/** So many are handed on. */
const MOST = 240;
/** Longer searches are cut, in UTF-16 units; more words than these are not looked at. */
const LONGEST_QUERY = 200;
const MOST_WORDS = 8;
/**
 * Finds symbols by what they are called, by keywords, by what is typed for them, by their code point, by one that looks like
 * them; those that are asked for most come first. Making it is linear in the names (some 200 ms for those of four languages).
 */
export class SymbolFinder {
  /** All symbols, those asked for most first; what the index counts in. */
  private readonly texts: readonly string[];
  private readonly names: readonly string[];
  private readonly at: ReadonlyMap<string, number>;
  private readonly index: WordIndex;
  /** 1 where a shipped face draws it. */
  private readonly drawn: Uint8Array;
  /** Made for the first search: characters by what they are made of, letters with marks by their letter. */
  private parts: Parts | null = null;

  constructor(
    private readonly table: SymbolTable,
    languages: readonly SymbolWords[],
  ) {
    const unicode = new Map(table.characters.map((character, index) => [character, table.names[index]!]));
    const nameOf = (text: string) =>
      languages.find(({ names }) => names.has(bare(text)))?.names.get(bare(text)) ?? unicode.get(bare(text)) ?? '';
    this.texts = inOrderOfUse(table, languages);
    this.at = new Map(this.texts.map((text, index) => [text, index]));
    this.names = this.texts.map(nameOf);
    const isKnown = new Set(wellKnownSymbols());
    this.index = new WordIndex(
      this.texts.map((text) => {
        const plain = bare(text);
        const typed = isKnown.has(text) ? symbolWords(text).flatMap(wordsIn) : [];
        const called = languages.flatMap(({ names, keywords }) =>
          [names.get(plain) ?? '', ...(keywords.get(plain) ?? [])].flatMap(wordsIn),
        );
        return [...splitName(unicode.get(plain) ?? ''), ...typed, ...called];
      }),
    );
    this.drawn = Uint8Array.from(this.texts, (text) => (this.isDrawn(text) ? 1 : 0));
  }

  /** How many symbols can be found by name. */
  get size(): number {
    return this.texts.length;
  }

  /** Symbols for a search as it was typed, likeliest first: what is meant exactly, then what is called so. */
  search(query: string): SymbolSearch {
    // White space is searched for by its name; a lone half of a pair is no text that could be trimmed.
    const asked = query.slice(0, LONGEST_QUERY).replaceAll(/^[ \n\t]+|[ \n\t]+$/gu, '');
    if (asked === '') return NOTHING;
    const codePoint = codePointIn(asked) ?? aloneIn(asked);
    const why = codePoint === null ? null : noSymbol(codePoint);
    if (why !== null && why !== 'private') {
      return { ...NOTHING, none: { why, codePoint: writeCodePoint(codePoint!) } };
    }
    const isOne = isPlain(asked) ? asked.length === 1 : clustersOf(asked.slice(0, 40)).length === 1;
    const exact = this.exactly(asked, codePoint, isOne);
    // A sign that was typed for a symbol is no word; of one letter only what is called so is meant.
    const isTyped = exact.length > 0 && (/[^\p{L}\p{M}\p{N}\s-]/u.test(asked) || (isOne && !isPlain(asked)));
    const words = isTyped ? [] : wordsIn(asked).slice(0, MOST_WORDS);
    const skipped = exact.flatMap((text) => this.at.get(text) ?? []);
    let called = this.called(words, isOne, skipped);
    let meant: string | null = null;
    if (called.count === 0 && exact.length === 0 && words.length > 0) {
      const corrected = words.map((word) => this.index.nearest(word) ?? word);
      called = this.called(corrected, false, skipped);
      if (called.count > 0) meant = corrected.join(' ');
    }
    const others = called.first.slice(0, Math.max(0, MOST - exact.length));
    return {
      symbols: [...exact.map((text) => this.describe(text)), ...others.map((index) => this.describeAt(index))],
      count: exact.length + called.count,
      meant,
      none: why === null ? null : { why, codePoint: writeCodePoint(codePoint!) },
    };
  }

  /** A symbol as it is shown, whatever it is. */
  describe(text: string): FoundSymbol {
    const index = this.at.get(text);
    if (index !== undefined) return this.describeAt(index);
    return { text, name: this.nameOfOther(text), isDrawn: this.isDrawn(text) };
  }

  /** What a symbol is called, in words that a code can be made of; likeliest first. */
  wordsOf(text: string): readonly string[] {
    return wordsIn(this.describe(text).name).filter((word) => !SAYS_NOTHING.has(word));
  }

  /** Others of the same: with skin tones, drawn as text or as a picture, letters with other marks, what looks alike. */
  variantsOf(text: string): readonly FoundSymbol[] {
    const tones = this.table.tones.get(text) ?? [];
    const presentations = this.presentationsOf(text);
    const plain = text.normalize('NFD')[0] ?? '';
    const marked = /^\p{L}$/u.test(plain) && plain.length < text.normalize('NFD').length ? this.markedAs(plain) : [];
    const all = [...tones, ...presentations, ...marked, ...(this.table.lookAlikes.get(text) ?? [])];
    return [...new Set(all)].filter((one) => one !== text).map((one) => this.describe(one));
  }

  private describeAt(index: number): FoundSymbol {
    return { text: this.texts[index]!, name: this.names[index]!, isDrawn: this.drawn[index] === 1 };
  }

  /** Those that are called so, as many indices as are shown: what has this name and no other first. */
  private called(words: readonly string[], areWhole: boolean, skipped: readonly number[]) {
    const spelt = words.join(' ');
    return this.index.find(words, { areWhole, skipped, most: MOST, goesFirst: (index) => this.names[index] === spelt });
  }

  /** What is meant and no other: the symbol itself, one by its code point, by what is typed for it, by what it looks like. */
  private exactly(asked: string, codePoint: number | null, isOne: boolean): string[] {
    const found: string[] = [];
    if (codePoint !== null) found.push(String.fromCodePoint(codePoint));
    if (isOne && !isPlain(asked)) found.push(asked);
    this.parts ??= partsOf(this.table.characters);
    found.push(...symbolsTypedAs(asked, this.parts.made));
    if (isOne) {
      found.push(...(this.table.lookAlikes.get(asked) ?? []).slice(0, 24));
      if (/^\p{L}$/u.test(asked)) found.push(...this.markedAs(asked).slice(0, 40));
    }
    return [...new Set(found)];
  }

  /** Letters made of this one and marks. */
  private markedAs(letter: string): readonly string[] {
    this.parts ??= partsOf(this.table.characters);
    return this.parts.marked.get(letter) ?? [];
  }

  /** As text and as a picture, for what can be both; what is a picture from the start is no text that a face of ours draws. */
  private presentationsOf(text: string): readonly string[] {
    const [first, ...rest] = [...text];
    if (first === undefined || !/^(?!\p{Emoji_Presentation})\p{Emoji}$/u.test(first) || /^[\d#*]$/u.test(first))
      return [];
    if (rest.length === 0) return [`${first}\ufe0f`];
    return rest.length === 1 && rest[0] === '\ufe0f' ? [first] : [];
  }

  private isDrawn(text: string): boolean {
    for (const character of text) {
      // What joins and chooses has no look of its own.
      if (
        !/[\u200d\ufe0e\ufe0f\u{e0020}-\u{e007f}]/u.test(character) &&
        !this.table.drawn.has(character.codePointAt(0)!)
      )
        return false;
    }
    return true;
  }

  private nameOfOther(text: string): string {
    const plain = bare(text).replaceAll(TONES, '');
    if (plain !== text && plain !== '') {
      const index = this.at.get(plain) ?? this.at.get(`${plain}\ufe0f`) ?? this.at.get(withPicture(plain));
      const tones = [...new Set(text.match(TONES))].map((tone) => this.describe(tone).name);
      if (index !== undefined) return [this.names[index]!, ...tones].join(', ');
    }
    const characters = [...text];
    if (characters.length > 1) return characters.map((one) => this.describe(one).name).join(', ');
    const codePoint = text.codePointAt(0)!;
    return nameByRule(codePoint, this.table.numbered) ?? '';
  }
}

/** Unicode Technical Standard 51, emoji modifiers. */
const TONES = /[\u{1f3fb}-\u{1f3ff}]/gu;

/** A sequence as it is without a tone: its first part is a picture there by a sign of its own. */
function withPicture(text: string): string {
  const [first = '', ...rest] = [...text];
  return `${first}\ufe0f${rest.join('')}`;
}

/** Words that most names have, and that tell nothing apart. */
const SAYS_NOTHING = new Set(
  'sign symbol mark with the and of letter latin small capital vulgar fraction one'.split(' '),
);

/** Whether a keyboard without other letters types it. */
function isPlain(text: string): boolean {
  return /^[\x20-\x7e]+$/.test(text);
}

/** As CLDR names it: without what chooses a picture. */
function bare(text: string): string {
  return text.includes('\ufe0f') ? text.replaceAll('\ufe0f', '') : text;
}

/** Unicode's names are of letters, figures, spaces and hyphens. */
function splitName(name: string): string[] {
  return name === '' ? [] : name.split(/[ -]+/u);
}

/** The code point of a text that is one, or the lone half of a pair; null: it is more. */
function aloneIn(text: string): number | null {
  const codePoint = text.codePointAt(0)!;
  const isOne = text.length === (codePoint > 0xff_ff ? 2 : 1);
  return isOne && noSymbol(codePoint) !== null ? codePoint : null;
}

/** Symbols asked for most, emoji, what people have keywords for, what can be drawn, all others. */
function inOrderOfUse(table: SymbolTable, languages: readonly SymbolWords[]): readonly string[] {
  const usual = [...usualSymbols(), ...wellKnownSymbols()];
  const emoji = table.emoji.flatMap((group) => group.emoji);
  const known = new Set(table.characters);
  const annotated = languages.flatMap(({ keywords }) => [...keywords.keys()]).filter((text) => known.has(text));
  const drawn = table.characters.filter((character) => table.drawn.has(character.codePointAt(0)!));
  return [...new Set([...usual, ...emoji, ...annotated, ...drawn, ...table.characters])];
}
