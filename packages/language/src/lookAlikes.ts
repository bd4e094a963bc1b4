import { z } from 'zod';

/** For each sign what it is drawn like: the prototypes of Unicode's confusables (UTS #39, section 4). */
export type LookAlikes = ReadonlyMap<string, string>;

/** Reads the file: pairs of a sign and its prototype. */
export function parseLookAlikes(content: unknown): LookAlikes {
  return new Map(z.array(z.tuple([z.string(), z.string()])).parse(content));
}

// What a hurried eye takes for one another in a code, beyond the standard's prototypes.
const BY_EYE: Readonly<Record<string, string>> = { '0': 'o', '1': 'l', i: 'l', '|': 'l' };

/**
 * What `key` (a match key) is drawn like: two keys with one skeleton look alike. After UTS #39,
 * section 4, with 0 and o, 1, l and i taken for one another also in small letters.
 */
export function confusableSkeleton(key: string, lookAlikes: LookAlikes): string {
  const isAscii = ASCII.test(key);
  let skeleton = '';
  for (const character of isAscii ? key : key.normalize('NFD')) {
    const drawn = (lookAlikes.get(character) ?? character).toLowerCase();
    skeleton += BY_EYE[drawn] ?? drawn;
  }
  return isAscii ? skeleton : skeleton.normalize('NFD');
}

const ASCII = /^[\x00-\x7f]*$/;
