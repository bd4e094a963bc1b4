import { distance } from 'fastest-levenshtein';

import { clustersOf, compareUnits } from '../model';
import { symbolWords, wellKnownSymbols } from '../mnemonic/symbolWords';
import { codePointIn, nameByRule, noSymbol, writeCodePoint, type NoSymbol } from './codePoint';
import { wordsIn } from './fold';
import type { SymbolTable, SymbolWords } from './table';
import { partsOf, symbolsTypedAs, type Parts } from './typed';
import { usualSymbols } from './uses';

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
/** A word this long may be misspelt by a letter, one twice as long by two. */
const LEAST_MISSPELT = 4;

/**
 * Finds symbols by what they are called, by keywords, by what is typed for them, by their code point, by one that looks like
 * them. An inverted index: words in order with their postings, looked up by bisection, so that every beginning of a word finds
 * it; symbols that are asked for most come first. Making it is linear in the names (some 60 ms); a search costs the postings of
 * its words and one byte a symbol.
 */
export class SymbolFinder {
  /** All symbols, those asked for most first; what the index counts in. */
  private readonly texts: readonly string[];
  private readonly names: readonly string[];
  private readonly at: ReadonlyMap<string, number>;
  /** Words in order, and where the postings of each begin. */
  private readonly words: readonly string[];
  private readonly starts: Int32Array;
  private readonly postings: Int32Array;
  /** The words of each symbol, and where those of each begin. */
  private readonly wordStarts: Int32Array;
  private readonly wordsOfSymbols: Int32Array;
  /** During a search: whether each symbol has the rarest word. */
  private readonly has: Uint8Array;
  /** The same, four at a time: most have it not. */
  private readonly hasByFour: Uint32Array;
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
    const lists = new Map<string, number[]>();
    this.texts.forEach((text, index) => {
      const add = (word: string) => {
        const list = lists.get(word);
        if (!list) lists.set(word, [index]);
        else if (list.at(-1) !== index) list.push(index);
      };
      const plain = bare(text);
      for (const word of splitName(unicode.get(plain) ?? '')) add(word);
      if (isKnown.has(text)) for (const word of symbolWords(text)) for (const part of wordsIn(word)) add(part);
      for (const { names, keywords } of languages) {
        for (const word of wordsIn(names.get(plain) ?? '')) add(word);
        for (const keyword of keywords.get(plain) ?? []) for (const word of wordsIn(keyword)) add(word);
      }
    });
    this.words = [...lists.keys()].sort(compareUnits);
    this.starts = new Int32Array(this.words.length + 1);
    this.words.forEach((word, index) => {
      this.starts[index + 1] = this.starts[index]! + lists.get(word)!.length;
    });
    this.postings = new Int32Array(this.starts[this.words.length]!);
    this.words.forEach((word, index) => this.postings.set(lists.get(word)!, this.starts[index]));
    this.drawn = Uint8Array.from(this.texts, (text) => (this.isDrawn(text) ? 1 : 0));
    this.has = new Uint8Array(Math.ceil(this.texts.length / 4) * 4);
    this.hasByFour = new Uint32Array(this.has.buffer);
    this.wordStarts = new Int32Array(this.texts.length + 1);
    for (const symbol of this.postings) this.wordStarts[symbol + 1]! += 1;
    for (let symbol = 0; symbol < this.texts.length; symbol += 1) {
      this.wordStarts[symbol + 1]! += this.wordStarts[symbol]!;
    }
    this.wordsOfSymbols = new Int32Array(this.postings.length);
    const next = this.wordStarts.slice();
    for (let word = 0; word < this.words.length; word += 1) {
      for (let i = this.starts[word]!; i < this.starts[word + 1]!; i += 1) {
        this.wordsOfSymbols[next[this.postings[i]!]!++] = word;
      }
    }
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
      const corrected = words.map((word) => this.nearest(word) ?? word);
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

  /**
   * Those whose names hold every word, or begin one with it unless only whole ones count: what is called so and nothing else, all
   * words whole, then by use. `skipped`: indices of those that are found already. As many indices as are shown, and the count of all.
   */
  private called(
    words: readonly string[],
    areWhole: boolean,
    skipped: readonly number[],
  ): { readonly first: readonly number[]; readonly count: number } {
    if (words.length === 0) return { first: [], count: 0 };
    // The rarest first: of what has it only its own few words are looked at for the others.
    const ranges = words
      .map((word) => this.rangeOf(word, areWhole))
      .sort((one, other) => one.postings - other.postings);
    this.markRarest(ranges[0]!);
    const { has, hasByFour } = this;
    for (const index of skipped) has[index] = 0;
    const spelt = words.join(' ');
    const [named, whole, begun]: number[][] = [[], [], []];
    let count = 0;
    for (let symbol = 0; symbol < has.length; symbol += 1) {
      if ((symbol & 3) === 0 && hasByFour[symbol >> 2] === 0) {
        symbol += 3;
        continue;
      }
      let least = has[symbol]!;
      for (let other = 1; least > 0 && other < ranges.length; other += 1) {
        least = Math.min(least, this.holds(symbol, ranges[other]!));
      }
      if (least === 0) continue;
      count += 1;
      const among = least === WHOLE ? whole! : begun!;
      if (least === WHOLE && this.names[symbol] === spelt) named!.push(symbol);
      else if (among.length < MOST) among.push(symbol);
    }
    return { first: [...named!, ...whole!, ...begun!], count };
  }

  /** Marks the symbols that have a word of a range. */
  private markRarest({ from, to, whole }: WordRange): void {
    const { has, starts, postings } = this;
    has.fill(0);
    for (let word = from; word < to; word += 1) {
      const end = starts[word + 1]!;
      for (let i = starts[word]!; i < end; i += 1) {
        const symbol = postings[i]!;
        if (has[symbol] !== WHOLE) has[symbol] = word === whole ? WHOLE : BEGUN;
      }
    }
  }

  /** The words that begin with one, and it itself, if it is a word; `areWhole`: that one alone. */
  private rangeOf(word: string, areWhole: boolean): WordRange {
    const from = this.firstFrom(word);
    const whole = this.words[from] === word ? from : -1;
    const only = whole < 0 ? from : from + 1;
    const to = areWhole ? only : this.firstFrom(`${word}\uffff`);
    return { from, to, whole, postings: this.starts[to]! - this.starts[from]! };
  }

  /** Whether a symbol has a word of a range: the whole one, one that begins so, or none (0). */
  private holds(symbol: number, { from, to, whole }: WordRange): number {
    let best = 0;
    for (let i = this.wordStarts[symbol]!; i < this.wordStarts[symbol + 1]!; i += 1) {
      const word = this.wordsOfSymbols[i]!;
      if (word === whole) return WHOLE;
      if (word >= from && word < to) best = BEGUN;
    }
    return best;
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

  /** The word of the index that is nearest to one that nothing begins with; null: none is near. */
  private nearest(word: string): string | null {
    if (word.length < LEAST_MISSPELT) return null;
    if (this.words[this.firstFrom(word)]?.startsWith(word)) return word;
    const most = word.length >= 2 * LEAST_MISSPELT ? 2 : 1;
    let best: { word: string; slips: number; uses: number } | null = null;
    // A slip is hardly ever in the first letter.
    for (let index = this.firstFrom(word[0]!); this.words[index]?.[0] === word[0]; index += 1) {
      const other = this.words[index]!;
      if (Math.abs(other.length - word.length) > most) continue;
      const slips = isSwapped(word, other) ? 1 : distance(word, other);
      const uses = this.starts[index + 1]! - this.starts[index]!;
      if (slips > most || (best && (slips > best.slips || (slips === best.slips && uses <= best.uses)))) continue;
      best = { word: other, slips, uses };
    }
    return best?.word ?? null;
  }

  /** The first word that does not stand before this one. */
  private firstFrom(word: string): number {
    let low = 0;
    let high = this.words.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.words[middle]! < word) low = middle + 1;
      else high = middle;
    }
    return low;
  }
}

/** Unicode Technical Standard 51, emoji modifiers. */
const TONES = /[\u{1f3fb}-\u{1f3ff}]/gu;

/** A sequence as it is without a tone: its first part is a picture there by a sign of its own. */
function withPicture(text: string): string {
  const [first = '', ...rest] = [...text];
  return `${first}\ufe0f${rest.join('')}`;
}

/** How a symbol has a word. */
const BEGUN = 1;
const WHOLE = 2;

/** Words that begin alike: the first, the one behind the last, the one that is nothing more (-1: none), and how many symbols have them. */
interface WordRange {
  readonly from: number;
  readonly to: number;
  readonly whole: number;
  readonly postings: number;
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

/** Whether two words differ by two letters that stand side by side the other way round. */
function isSwapped(a: string, b: string): boolean {
  if (a.length !== b.length) return false;
  const at = [...a].findIndex((letter, index) => letter !== b[index]);
  return at >= 0 && a[at] === b[at + 1] && a[at + 1] === b[at] && a.slice(at + 2) === b.slice(at + 2);
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
