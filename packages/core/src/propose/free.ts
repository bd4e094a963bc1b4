import { markCode } from '../convention/mark';
import { mnemonicsOf, type How } from '../mnemonic';
import { checkCode, clustersOf, matchKey, type Mark } from '../model';
import { mainMark, nearCodes, USUAL } from './near';

/** What a free code is wanted for. `code` '': none was thought of yet. */
export interface Codeless {
  readonly code: string;
  readonly expansion: string;
  readonly kind: string;
}

/**
 * Gives free codes, many in a row: near the one that was thought of, or made from the expansion under the marker of the list;
 * with a number after it where all of these are taken. `isInUse` is asked by match key, and what was given is taken. The
 * cost of one does not grow with those that were given.
 */
export class FreeCodes {
  private readonly mark: Mark;
  private readonly given = new Set<string>();
  /** The last number that was tried after a code. */
  private readonly numbers = new Map<string, number>();

  constructor(
    codes: readonly string[],
    private readonly isInUse: (key: string) => boolean,
  ) {
    this.mark = mainMark(codes) ?? USUAL;
  }

  take({ code, expansion, kind }: Codeless): string {
    const near =
      code === ''
        ? inOrder(expansion, kind).map((mnemonic) => markCode(mnemonic, this.mark))
        : nearCodes(code, expansion, [], kind, this.mark).map((one) => one.code);
    const free =
      near.find((one) => checkCode(one) === null && !this.isGone(one)) ??
      this.numbered(code === '' ? (near.at(-1) ?? markCode('x', this.mark)) : code);
    this.given.add(matchKey(free));
    return free;
  }

  private numbered(base: string): string {
    // Room for the number is kept.
    const clusters = clustersOf(base)
      .slice(0, 30)
      .map(({ text }) => text)
      .join('');
    for (let number = (this.numbers.get(clusters) ?? 1) + 1; ; number += 1) {
      const code = `${clusters}${number}`;
      if (this.isGone(code)) continue;
      this.numbers.set(clusters, number);
      return code;
    }
  }

  private isGone(code: string): boolean {
    const key = matchKey(code);
    return this.given.has(key) || this.isInUse(key);
  }
}

/** What comes to mind first for many texts in a row, where no keyboard is asked: shorter ones of each way of making them first. */
const ORDER: readonly How[] = ['name', 'kind', 'initials', 'word', 'syllable', 'two words', 'consonants', 'longer'];

function inOrder(expansion: string, kind: string): string[] {
  const mnemonics = mnemonicsOf(expansion, kind).filter(({ text }) => text.length >= 2);
  return mnemonics.sort((a, b) => ORDER.indexOf(a.how) - ORDER.indexOf(b.how)).map(({ text }) => text);
}
