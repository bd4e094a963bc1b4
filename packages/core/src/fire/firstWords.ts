import { OF_WORD, unitOf } from './character';

/** Codes under their match keys, by position. */
interface Keys {
  readonly size: number;
  keyOf(position: number): string;
}

export const NOT_THERE = -1;
export const SEVERAL = -2;

/**
 * The first words of codes: what stands before the first unit that is of no word. A table of their
 * hashes behind a small filter of bits, which most words of a text do not pass. 17 to 34 bytes a code;
 * made for the first whole text.
 */
export class FirstWords {
  /** A slot holds a hash and what was found for it. */
  private readonly slots: Int32Array;
  private readonly mask: number;
  /** A bit for each hash, by `mixed`. */
  readonly filter: Uint8Array;

  constructor(keys: Keys) {
    let size = 8;
    while (size < keys.size * 2) size *= 2;
    this.mask = size - 1;
    this.slots = new Int32Array(size * 2).fill(NOT_THERE);
    this.filter = new Uint8Array(size / 2);
    for (let position = 0; position < keys.size; position += 1) {
      const key = keys.keyOf(position);
      let hash = 0;
      let length = 0;
      while (length < key.length && (unitOf(key.charCodeAt(length)) & OF_WORD) !== 0) {
        hash = hashStep(hash, unitOf(key.charCodeAt(length)));
        length += 1;
      }
      if (length > 0) this.add(hash, length === key.length ? position : SEVERAL);
    }
  }

  private slotOf(hash: number): number {
    let slot = mixed(hash) & this.mask;
    while (this.slots[slot * 2 + 1] !== NOT_THERE && this.slots[slot * 2] !== hash) slot = (slot + 1) & this.mask;
    return slot * 2;
  }

  private add(hash: number, position: number): void {
    const slot = this.slotOf(hash);
    this.slots[slot + 1] = this.slots[slot + 1] === NOT_THERE ? position : SEVERAL;
    this.slots[slot] = hash;
    const bit = mixed(hash);
    this.filter[(bit >>> 3) & (this.filter.length - 1)]! |= 1 << (bit & 7);
  }

  /** The only code that begins with such a word, if it is that word alone; else SEVERAL or NOT_THERE. */
  find(hash: number): number {
    return this.slots[this.slotOf(hash) + 1]!;
  }
}

export function mixed(hash: number): number {
  return hash ^ (hash >>> 15);
}

/** One step of the hash of a word; `unit`: its number, as of `character.ts`. */
export function hashStep(hash: number, unit: number): number {
  return (Math.imul(hash, 0x01000193) ^ unit) | 0;
}
