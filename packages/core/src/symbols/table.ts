/** Characters and emoji sequences with their names, as the finder reads them: made by `packages/language` from Unicode's data. */
export interface SymbolTable {
  /** Single characters in the order of their code points. */
  readonly characters: readonly string[];
  /** Their names in Unicode, in lower case. */
  readonly names: readonly string[];
  /** Emoji, sequences among them, without skin tones, in the order in which they are usually shown. */
  readonly emoji: readonly EmojiGroup[];
  /** Emoji with skin tones, by the one without. */
  readonly tones: ReadonlyMap<string, readonly string[]>;
  readonly blocks: readonly Block[];
  /** Characters that are named after their code point: how the name begins, and which they are. */
  readonly numbered: readonly Block[];
  /** Code points that a shipped face draws. */
  readonly drawn: CodePointSet;
  /** What a character of ASCII is taken for by the eye: x for × and х. */
  readonly lookAlikes: ReadonlyMap<string, readonly string[]>;
}

export interface EmojiGroup {
  readonly id: string;
  readonly emoji: readonly string[];
}

/** A range of code points that Unicode gave a name to; both ends are in it. */
export interface Block {
  readonly name: string;
  readonly first: number;
  readonly last: number;
}

/** What symbols are called in a language: CLDR's short names and keywords. */
export interface SymbolWords {
  /** BCP 47. */
  readonly language: string;
  readonly names: ReadonlyMap<string, string>;
  readonly keywords: ReadonlyMap<string, readonly string[]>;
}

/** Code points as ranges: the first of each, and the one behind its last, ascending. */
export class CodePointSet {
  constructor(private readonly edges: readonly number[]) {}

  /** By bisection. */
  has(codePoint: number): boolean {
    let low = 0;
    let high = this.edges.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.edges[middle]! <= codePoint) low = middle + 1;
      else high = middle;
    }
    return low % 2 === 1;
  }
}
