import { effortOfCode, MISFIRE, recallOf, type InUse } from '../effort';
import { heldBy, type FiringEntry } from '../fire';
import { markCode } from '../convention/mark';
import { mnemonicsOf, type How } from '../mnemonic';
import { checkCode, matchKey, type Mark } from '../model';
import type { CodesInUse } from './inUse';

/** A code for a text: how it was made, and what it takes to use it once. */
export interface Proposal {
  readonly code: string;
  readonly how: How;
  /** The shortcut whose code it follows, where `how` is `like`. */
  readonly like: string | null;
  /** On average over the keyboards on which it can be typed; null: not known. */
  readonly taps: number | null;
  /** With the time until it has come to mind; null: not known. */
  readonly seconds: number | null;
}

export interface ProposeInput {
  /** The shortcut as it stands, its rules settled; whatever code it has is not looked at. */
  readonly entry: FiringEntry;
  readonly kind: string;
  /** That of the convention that holds for it. */
  readonly mark: Mark;
  readonly inUse: readonly InUse[];
  readonly codes: CodesInUse;
}

/** So many are handed on to be checked: most are safe, and five are wanted. */
const MOST_CANDIDATES = 24;
/** Ways of making codes that are much alike to who reads them, and how many of each stand among the first. */
const FAMILIES: readonly { readonly of: readonly How[]; readonly most: number }[] = [
  { of: ['word', 'name', 'like'], most: 3 },
  { of: ['kind'], most: 2 },
  { of: ['initials'], most: 2 },
  { of: ['syllable', 'two words', 'longer'], most: 1 },
  { of: ['consonants', 'number'], most: 1 },
];

/** Ways that one thinks of sooner go first among equally dear ones. */
const ORDER: readonly How[] = [
  'name',
  'kind',
  'word',
  'initials',
  'like',
  'syllable',
  'two words',
  'consonants',
  'longer',
  'number',
];

/**
 * Codes for a text that no other shortcut has, cheapest first: in seconds for each use, of typing them on one's keyboards and of
 * calling them to mind. Whether they are safe is for the check to say (`Audit.firstSafe`): of those it passes misfires cost less
 * than a second a year. Ways of making them take turns, so that the first five are not five of a kind. Cost: some thirty
 * prices; it does not grow with the list.
 */
export function proposeCodes({ entry, kind, mark, inUse, codes }: ProposeInput): Proposal[] {
  const { id, expansion } = entry;
  const isAtOnce = inUse.some(({ device }) => heldBy(entry, device)?.fires === 'instant');
  const seen = new Set<string>();
  const found: Proposal[] = [];
  const others = (key: string) => codes.usersOf(key).filter((user) => user !== id);
  const take = (mnemonic: string, how: How, like: string | null = null) => {
    const code = markCode(mnemonic, mark);
    const key = matchKey(code);
    if (checkCode(code) !== null || seen.has(key)) return;
    seen.add(key);
    if (others(key).length > 0) return;
    // Where a device expands at once the shorter of two such codes hides the longer.
    if (isAtOnce && (codes.hasLonger(key) || codes.shorterThan(key).some((user) => user !== id))) return;
    const cost = costOfCode(code, entry, inUse);
    if (cost === 'nowhere') return;
    found.push({ code, how, like, ...cost });
  };
  const mnemonics = mnemonicsOf(expansion, kind);
  for (const { text, how } of mnemonics) take(text, how);
  // A second of its kind is called as the first is, and a little more.
  for (const { text } of mnemonics.slice(0, 6)) {
    const [user] = others(matchKey(markCode(text, mark)));
    if (user === undefined) continue;
    const more = mnemonics.find((one) => one.text !== text && !one.text.startsWith(text) && /^\p{L}/u.test(one.text));
    const letter = more ? [...more.text][0]! : 'a';
    for (const second of [`${text}${letter}`, `${letter}${text}`, `${text}2`]) take(second, 'like', user);
  }
  if (found.length < 3) numbered(mnemonics[0]?.text ?? 'x', (text) => take(text, 'number'), () => found.length >= 5);
  const sorted = found.sort(
    (a, b) => (a.seconds ?? a.code.length) - (b.seconds ?? b.code.length) || ORDER.indexOf(a.how) - ORDER.indexOf(b.how),
  );
  return inTurns(sorted).slice(0, MOST_CANDIDATES);
}

/** With a number behind it, where all else is in use. */
function numbered(base: string, take: (text: string) => void, isEnough: () => boolean): void {
  for (let number = 2; number < 1_000 && !isEnough(); number += 1) take(`${base}${number}`);
}

/** The same order, but one more of a way of making them waits until others had their turn. */
function inTurns(sorted: readonly Proposal[]): Proposal[] {
  const left = FAMILIES.map(({ most }) => most);
  const first: Proposal[] = [];
  const later: Proposal[] = [];
  for (const one of sorted) {
    const family = FAMILIES.findIndex(({ of }) => of.includes(one.how));
    left[family]! -= 1;
    (left[family]! >= 0 ? first : later).push(one);
  }
  return [...first, ...later];
}

/**
 * What a code takes for one use, by the shares of the keyboards on which it can be typed; `nowhere`: on none of them. Without
 * keyboards nothing is known of it.
 */
export function costOfCode(
  code: string,
  entry: FiringEntry,
  inUse: readonly InUse[],
): { readonly taps: number | null; readonly seconds: number | null } | 'nowhere' {
  if (inUse.length === 0) return { taps: null, seconds: null };
  let share = 0;
  let taps = 0;
  let seconds = 0;
  for (const one of inUse) {
    const effort = effortOfCode({ ...entry, code }, one);
    if (effort.type !== 'effort') continue;
    share += one.share;
    taps += effort.taps * one.share;
    seconds += effort.seconds * one.share;
  }
  if (share === 0) return 'nowhere';
  const all = inUse.reduce((sum, one) => sum + one.share, 0);
  // Where a keyboard does not have it, the text is typed out there: as dear as a misfire for each use.
  const missing = ((all - share) / all) * MISFIRE;
  return { taps: taps / share, seconds: seconds / share + recallOf(code, entry.expansion) + missing };
}
