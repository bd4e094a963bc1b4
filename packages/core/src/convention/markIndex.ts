import type { Mark, MarkerPlace } from '../model';
import { BARE, DOUBLED } from './mark';

const SIDES = ['before', 'after', 'both'] as const;

/**
 * Every mark that can be made of some characters, by number: one or two of them before or after, one on
 * both sides, the doubled letter, and none. Numbers are dense, so that tables are by mark.
 */
export class MarkIndex {
  readonly count: number;
  readonly doubled: number;
  readonly bare: number;
  private readonly pairs: number;
  /** By UTF-16 unit the character's number; -1: none of them. */
  private readonly numbers = new Int16Array(0x10000).fill(-1);

  /** `characters`: of one UTF-16 unit each, folded. */
  constructor(readonly characters: readonly string[]) {
    characters.forEach((character, index) => (this.numbers[character.charCodeAt(0)] = index));
    const { length } = characters;
    this.pairs = length + length * length;
    this.doubled = this.pairs * 2 + length;
    this.bare = this.doubled + 1;
    this.count = this.bare + 1;
  }

  /** The number of a folded unit among the characters; -1: it is none of them. */
  numberOf(unit: number): number {
    return this.numbers[unit]!;
  }

  before(one: number): number {
    return one;
  }

  beforeTwo(one: number, two: number): number {
    return (one + 1) * this.characters.length + two;
  }

  after(one: number): number {
    return this.pairs + one;
  }

  afterTwo(one: number, two: number): number {
    return this.pairs + (one + 1) * this.characters.length + two;
  }

  both(one: number): number {
    return this.pairs * 2 + one;
  }

  markOf(index: number): Mark {
    if (index === this.doubled) return DOUBLED;
    if (index === this.bare) return BARE;
    const { length } = this.characters;
    const side = Math.floor(index / this.pairs);
    const rest = index % this.pairs;
    const place: MarkerPlace = SIDES[side]!;
    const marker =
      rest < length
        ? this.characters[rest]!
        : this.characters[Math.floor(rest / length) - 1]! + this.characters[rest % length]!;
    return { place, marker };
  }

  /** The number of a mark; -1: it is not among them. */
  indexOf({ place, marker }: Mark): number {
    if (place === 'doubled') return this.doubled;
    if (place === 'bare') return this.bare;
    const [one, two] = Array.from(marker, (character) =>
      character.length === 1 ? this.numberOf(character.charCodeAt(0)) : -1,
    );
    if (one === undefined || one < 0 || two === -1) return -1;
    if (place === 'both') return two === undefined ? this.both(one) : -1;
    if (place === 'before') return two === undefined ? this.before(one) : this.beforeTwo(one, two);
    return two === undefined ? this.after(one) : this.afterTwo(one, two);
  }

  *[Symbol.iterator](): Generator<[number, Mark]> {
    for (let index = 0; index < this.count; index += 1) yield [index, this.markOf(index)];
  }
}
