import { markCode } from '../convention/mark';
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
        ? mnemonicsOf(expansion, kind).map((mnemonic) => markCode(mnemonic, this.mark))
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

/** Words that say little of what a text is for. From memory. */
const SMALL = new Set([
  'a',
  'an',
  'and',
  'at',
  'for',
  'i',
  'in',
  'is',
  'it',
  'of',
  'on',
  'or',
  'the',
  'to',
  'we',
  'you',
  'http',
  'https',
  'www',
]);

/** What could be typed for a text, best first: the first letters of its words, the beginning of a word, the kind. */
function mnemonicsOf(expansion: string, kind: string): string[] {
  const all =
    expansion
      .slice(0, 400)
      .toLowerCase()
      .match(/[\p{L}\p{N}][\p{L}\p{N}\p{M}]*/gu) ?? [];
  const telling = all.filter((word) => !SMALL.has(word)).slice(0, 4);
  const small = all.length > 0 ? all.slice(0, 4) : kind.split(' ');
  const words = telling.length > 0 ? telling : small;
  const begin = (word: string, length: number) =>
    clustersOf(word)
      .slice(0, length)
      .map(({ text }) => text)
      .join('');
  const initials = words.map((word) => begin(word, 1)).join('');
  return [
    ...new Set([
      ...(words.length >= 3 ? [initials] : []),
      begin(words[0]!, 4),
      begin(words[0]!, 2) +
        words
          .slice(1, 3)
          .map((word) => begin(word, 1))
          .join(''),
      begin(words[0]!, 6),
    ]),
  ];
}
