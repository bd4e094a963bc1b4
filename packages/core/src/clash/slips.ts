import type { Slip } from './finding';

// The rows of letters and figures that most keyboards share, and how far each is shifted to the right.
const ROWS: readonly (readonly [row: string, shift: number])[] = [
  ['1234567890', 0],
  ['qwertyuiop', 0.5],
  ['asdfghjkl', 0.75],
  ['zxcvbnm', 1.25],
];

/** The keys that touch each key. Common practice, no source: letters as on English keyboards. */
const NEIGHBOURS: ReadonlyMap<string, string> = new Map(
  ROWS.flatMap(([row, shift], y) =>
    Array.from(row, (key, x): [string, string] => {
      const near = ROWS.flatMap(([other, otherShift], otherY) =>
        Math.abs(y - otherY) > 1
          ? []
          : Array.from(other).filter((_, i) => {
              const distance = Math.abs(i + otherShift - x - shift);
              return y === otherY ? distance === 1 : distance <= 0.75;
            }),
      );
      return [key, near.join('')];
    }),
  ),
);

export function areNeighbours(a: string, b: string): boolean {
  return NEIGHBOURS.get(a)?.includes(b) ?? false;
}

/**
 * Which keys are one slip of the finger from another: neighbouring keys, two swapped, one doubled. What
 * a slip would make is looked up by arithmetic on a hash of units and a small table of bits; a string
 * is made only for what is likely there. Cost: linear in the length of a key, to add it and to ask.
 */
export class SlipIndex {
  /** By hash of a key. */
  private readonly byHash = new Map<number, string | string[]>();
  /** A bit for each hash that was ever there. */
  private readonly bits: Uint8Array;
  private readonly mask: number;

  constructor(keys: ReadonlySet<string>) {
    let size = 1 << 15;
    while (size < keys.size * 16) size *= 2;
    this.bits = new Uint8Array(size / 8);
    this.mask = size - 1;
    for (const key of keys) this.add(key);
  }

  add(key: string): void {
    const hash = hashOf(key);
    this.bits[(hash & this.mask) >>> 3]! |= 1 << (hash & 7);
    const there = this.byHash.get(hash);
    if (there === undefined) this.byHash.set(hash, key);
    else this.byHash.set(hash, typeof there === 'string' ? [there, key] : [...there, key]);
  }

  remove(key: string): void {
    const hash = hashOf(key);
    const there = this.byHash.get(hash);
    const rest = Array.isArray(there) ? there.filter((one) => one !== key) : [];
    if (rest.length > 0) this.byHash.set(hash, rest);
    else this.byHash.delete(hash);
  }

  /** The other keys that one slip makes of `key`, or it of them; at most `limit`. */
  slipsOf(key: string, limit: number): Slips {
    if (key.length < 2) return [];
    const found: Slips = [];
    const hash = hashOf(key);
    let head = 0;
    for (let i = 0; i < key.length && found.length < limit; i += 1) {
      const a = key.charCodeAt(i);
      const near = a < 128 ? NEIGHBOUR_UNITS[a]! : NOTHING;
      for (let j = 0; j < near.length; j += 1) {
        const other = (hash + Math.imul(near[j]! - a, power(i))) | 0;
        if (this.mayHave(other)) {
          this.note(
            other,
            found,
            'neighbouring key',
            key.slice(0, i) + String.fromCharCode(near[j]!) + key.slice(i + 1),
          );
        }
      }
      // Doubled: every unit behind moves one place on.
      head = (head + Math.imul(a, power(i))) | 0;
      const doubled = (head + Math.imul((hash - head + Math.imul(a, power(i))) | 0, 31)) | 0;
      if (this.mayHave(doubled)) this.note(doubled, found, 'doubled', key.slice(0, i + 1) + key.slice(i));
      if (i + 1 === key.length) break;
      const b = key.charCodeAt(i + 1);
      if (a === b) {
        const single = key.slice(0, i) + key.slice(i + 1);
        this.note(hashOf(single), found, 'doubled', single);
        continue;
      }
      const swapped = (hash + Math.imul(b - a, power(i)) + Math.imul(a - b, power(i + 1))) | 0;
      if (this.mayHave(swapped)) {
        this.note(swapped, found, 'swapped', key.slice(0, i) + key[i + 1]! + key[i]! + key.slice(i + 2));
      }
    }
    return found;
  }

  private mayHave(hash: number): boolean {
    return (this.bits[(hash & this.mask) >>> 3]! & (1 << (hash & 7))) !== 0;
  }

  private note(hash: number, found: Slips, slip: Slip, key: string): void {
    const there = this.byHash.get(hash);
    if (there !== key && !(Array.isArray(there) && there.includes(key))) return;
    if (!found.some((other) => other.key === key)) found.push({ key, slip });
  }
}

type Slips = { key: string; slip: Slip }[];

const NOTHING = new Uint16Array(0);
const NEIGHBOUR_UNITS = Array.from({ length: 128 }, (_, unit) =>
  Uint16Array.from(NEIGHBOURS.get(String.fromCharCode(unit)) ?? '', (near) => near.charCodeAt(0)),
);
const POWERS = new Int32Array(1_024).fill(1);
for (let i = 1; i < POWERS.length; i += 1) POWERS[i] = Math.imul(POWERS[i - 1]!, 31);
const power = (i: number): number => POWERS[i]!;

function hashOf(key: string): number {
  let hash = 0;
  for (let i = 0; i < key.length; i += 1) hash = (hash + Math.imul(key.charCodeAt(i), power(i))) | 0;
  return hash;
}

/** Whether two expansions are so unlike that one for the other would be a mistake. */
export function differMuch(a: string, b: string): boolean {
  const longer = Math.max(a.length, b.length);
  let head = 0;
  while (head < a.length && head < b.length && a[head] === b[head]) head += 1;
  let tail = 0;
  while (tail < Math.min(a.length, b.length) - head && a.at(-1 - tail) === b.at(-1 - tail)) tail += 1;
  return (head + tail) / longer < 0.5;
}
