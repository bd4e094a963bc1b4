import { entry, pick, randomFrom } from '../packages/core/src/fire/testing';
import type { FiringEntry } from '../packages/core/src/fire';

const CONSONANTS = [...'bcdfghjklmnpqrstvwxz'];
const LETTERS = [...'abcdefghijklmnopqrstuvwxyz'];

/** A list of `count` different codes in the mix that people have: marked, bare, suffixed, of signs, whole words. Made
 * `longer` by so many letters, codes get less in each other's way. */
export function madeUpList(count: number, seed = 1, longer = 0): FiringEntry[] {
  const random = randomFrom(seed);
  const some = (from: readonly string[], least: number, most: number) =>
    Array.from({ length: least + longer + Math.floor(random() * (most - least + 1)) }, () => pick(random, from)).join(
      '',
    );
  const codes = new Set<string>();
  while (codes.size < count) {
    const dice = random();
    if (dice < 0.6) codes.add(`;${some(LETTERS, 3, 7)}`);
    else if (dice < 0.8) codes.add(some(CONSONANTS, 4, 7));
    else if (dice < 0.92) codes.add(`${some(LETTERS, 4, 8)}*`);
    else if (dice < 0.98) codes.add(`${pick(random, [...'!@#&+'])}${some(LETTERS, 2, 6)}`);
    else codes.add(some(LETTERS, 10, 20));
  }
  return [...codes].map((code, index) =>
    entry(code, `expansion ${index}`, {
      id: index.toString(36).padStart(8, '0'),
      uses: Math.floor(random() * 50),
    }),
  );
}
