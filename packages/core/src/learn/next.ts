import { distance } from 'fastest-levenshtein';

import { matchKey, splitMarker } from '../model';

/** A code that could be learnt next. `secondsAWeek`: what knowing it saves. */
export interface Candidate {
  readonly id: string;
  readonly code: string;
  readonly secondsAWeek: number;
}

/** Codes that begin alike and end in so many more characters are one family. */
const LONGER_BY = 2;
/** Of one family so many are taken on together. */
const MOST_OF_FAMILY = 3;

/**
 * The codes to take on now: those that save most, unlike each other and unlike `learning`, the codes that are being learnt; codes
 * of one family (`;book`, `;booka`) together, as one. `room`: how many. Where only codes that are alike are left, the next is
 * one of those. Cost: n log n, and each candidate that is looked at beside those chosen.
 */
export function chooseNext(candidates: readonly Candidate[], learning: readonly string[], room: number): Candidate[] {
  const worth = candidates.filter(({ secondsAWeek }) => secondsAWeek > 0);
  const families = familiesOf(worth).sort((a, b) => savedBy(b) - savedBy(a) || (a[0]!.code < b[0]!.code ? -1 : 1));
  const taken: Candidate[][] = [];
  const others = [...learning];
  const take = (family: Candidate[]) => {
    taken.push(family);
    others.push(...family.map(({ code }) => code));
  };
  for (const family of families) {
    if (taken.length >= room) break;
    if (!family.some(({ code }) => others.some((other) => isAlike(code, other)))) take(family);
  }
  for (const family of families) {
    if (taken.length >= room) break;
    if (!taken.includes(family)) take(family);
  }
  return taken.flat();
}

/** Whether two codes are easily taken for each other: a letter apart, or the same letters in another order. */
function isAlike(a: string, b: string): boolean {
  const [one, other] = [innerOf(a), innerOf(b)];
  if (one === other) return true;
  if (Math.max(one.length, other.length) > 1 && distance(one, other) <= 1) return true;
  return one.length > 1 && sortedLetters(one) === sortedLetters(other);
}

function innerOf(code: string): string {
  const key = matchKey(code);
  return splitMarker(key).mnemonic || key;
}

function sortedLetters(text: string): string {
  return [...text].sort().join('');
}

/** Codes put together with those that begin them, the ones that save most of each family first. */
function familiesOf(candidates: readonly Candidate[]): Candidate[][] {
  const byKey = candidates
    .map((candidate) => ({ candidate, key: matchKey(candidate.code) }))
    .sort((a, b) => (a.key < b.key ? -1 : 1));
  const families: { readonly head: string; readonly members: Candidate[] }[] = [];
  for (const { candidate, key } of byKey) {
    const family = families.at(-1);
    const isOfIt =
      family !== undefined &&
      innerOf(family.head).length > 1 &&
      key.startsWith(family.head) &&
      key.length - family.head.length <= LONGER_BY;
    if (isOfIt) family.members.push(candidate);
    else families.push({ head: key, members: [candidate] });
  }
  return families.map(({ members }) =>
    [...members].sort((a, b) => b.secondsAWeek - a.secondsAWeek).slice(0, MOST_OF_FAMILY),
  );
}

function savedBy(family: readonly Candidate[]): number {
  return family.reduce((sum, { secondsAWeek }) => sum + secondsAWeek, 0);
}
