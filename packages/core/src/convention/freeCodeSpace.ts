import { matchKey } from '../model';
import type { MarkIndex } from './markIndex';

/**
 * Codes of two and three characters: which of them are not taken. Memory: a byte for each three of the characters.
 */
export class FreeCodeSpace {
  private readonly size: number;
  private readonly letters: readonly number[];
  private readonly two: Uint8Array;
  private readonly three: Uint8Array;

  constructor(private readonly marks: MarkIndex) {
    this.size = marks.characters.length;
    this.letters = marks.characters.flatMap((character, index) => (/^\p{Ll}$/u.test(character) ? [index] : []));
    this.two = new Uint8Array(this.size ** 2);
    this.three = new Uint8Array(this.size ** 3);
  }

  /** Takes a code, if it is as short and of these characters. */
  take(code: string): void {
    const cell = this.cellOf(code);
    if (cell) cell.table[cell.at] = 1;
  }

  /** Whether a code is as short, of these characters, and free. */
  isFree(code: string): boolean {
    const cell = this.cellOf(code);
    return cell !== null && cell.table[cell.at] === 0;
  }

  /** Where a code stands in the tables; null: it is too long, or of other characters. */
  private cellOf(code: string): { readonly table: Uint8Array; readonly at: number } | null {
    const numbers = Array.from(matchKey(code), (character) =>
      character.length === 1 ? this.marks.numberOf(character.charCodeAt(0)) : -1,
    );
    if (numbers.includes(-1) || numbers.length < 2 || numbers.length > 3) return null;
    return {
      table: numbers.length === 2 ? this.two : this.three,
      at: numbers.reduce((sum, number) => sum * this.size + number, 0),
    };
  }

  /** How many codes of two and three characters are free under each mark, with letters as mnemonics. */
  count(): Int32Array {
    const { marks, letters, size, two, three } = this;
    const counts = new Int32Array(marks.count);
    const freeTwo = (a: number, b: number) => 1 - two[a * size + b]!;
    const freeThree = (a: number, b: number, c: number) => 1 - three[(a * size + b) * size + c]!;
    for (let one = 0; one < size; one += 1) {
      for (const letter of letters) {
        counts[marks.before(one)]! += freeTwo(one, letter);
        counts[marks.after(one)]! += freeTwo(letter, one);
        counts[marks.both(one)]! += freeThree(one, letter, one);
        for (const next of letters) {
          counts[marks.before(one)]! += freeThree(one, letter, next);
          counts[marks.after(one)]! += freeThree(letter, next, one);
        }
        for (let other = 0; other < size; other += 1) {
          counts[marks.beforeTwo(one, other)]! += freeThree(one, other, letter);
          counts[marks.afterTwo(one, other)]! += freeThree(letter, one, other);
        }
      }
    }
    for (const a of letters) {
      counts[marks.doubled]! += freeTwo(a, a);
      for (const b of letters) {
        counts[marks.bare]! += freeTwo(a, b);
        counts[marks.doubled]! += freeThree(a, a, b);
        for (const c of letters) counts[marks.bare]! += freeThree(a, b, c);
      }
    }
    return counts;
  }
}
