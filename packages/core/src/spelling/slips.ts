/**
 * What slips cost: how unlikely each is, in tenth powers, before `SCALE`. Chosen by hand by what people do (a doubled letter left out is the
 * commonest slip, a wrong first letter the rarest), then set on one half of the slips that `speller.test.ts` reads; it checks
 * them on the other half.
 */
const COSTS = {
  vowelForVowel: 0.6,
  soundsAlike: 0.8,
  nextKey: 0.9,
  other: 1.2,
  doubled: 0.4,
  undoubled: 0.4,
  vowelMore: 0.8,
  vowelLess: 0.7,
  letterMore: 0.9,
  letterLess: 0.9,
  swapped: 0.6,
  /** On top, where what stands too much or wrong is the last letter: endings are seldom slips. */
  last: 0.5,
  /** On top, where it is the first letter. */
  first: 0.6,
} as const;

const VOWELS = new Set(codesOf('aeiouyáàâäéèêëíìîïóòôöúùûü'));
/** Letters that stand for like sounds, in pairs. */
const ALIKE = new Set(
  ['cs', 'ck', 'sz', 'gj', 'fv', 'mn', 'dt', 'iy', 'xs', 'qk', 'wu', 'bp', 'ph', 'ßs'].flatMap((pair) => {
    const [a, b] = codesOf(pair) as [number, number];
    return [pairOf(a, b), pairOf(b, a)];
  }),
);
/** Letters beside each other on the keyboards that most people have. */
const BESIDE = new Set(
  ['qwertyuiop', 'asdfghjkl', 'zxcvbnm'].flatMap((row, line, rows) =>
    codesOf(row).flatMap((unit, at) => {
      const below = rows[line + 1] ?? '';
      return [row[at + 1], below[at], below[at - 1]].flatMap((other) => {
        if (other === undefined) return [];
        const code = other.charCodeAt(0);
        return [pairOf(unit, code), pairOf(code, unit)];
      });
    }),
  ),
);

function codesOf(text: string): number[] {
  return Array.from(text, (character) => character.charCodeAt(0));
}

function pairOf(a: number, b: number): number {
  return a * 0x10000 + b;
}

/** `typed` stands where `meant` was wanted. */
export function replacedCost(typed: number, meant: number, isFirst: boolean): number {
  if (typed === meant) return 0;
  const first = isFirst ? COSTS.first : 0;
  if (VOWELS.has(typed) && VOWELS.has(meant)) return COSTS.vowelForVowel + first;
  if (ALIKE.has(pairOf(typed, meant))) return COSTS.soundsAlike + first;
  return (BESIDE.has(pairOf(typed, meant)) ? COSTS.nextKey : COSTS.other) + first;
}

/** A unit too many; NaN beside it where the word ends. */
export function addedCost(typed: number, before: number, after: number, isFirst: boolean): number {
  const atEnd = Number.isNaN(after) ? COSTS.last : 0;
  const edge = isFirst ? COSTS.first : atEnd;
  if (typed === before || typed === after) return COSTS.doubled + edge;
  return (VOWELS.has(typed) ? COSTS.vowelMore : COSTS.letterMore) + edge;
}

/** A unit of the word was left out. `before`: the unit of the word before it. */
export function missingCost(meant: number, before: number, isFirst: boolean): number {
  const first = isFirst ? COSTS.first : 0;
  if (meant === before) return COSTS.undoubled + first;
  return (VOWELS.has(meant) ? COSTS.vowelLess : COSTS.letterLess) + first;
}

/** Two neighbours changed places. */
export const SWAPPED_COST = COSTS.swapped;
