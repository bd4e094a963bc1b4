import { effortOfCode, MISFIRE, recallOf, type InUse, type MeasuredRecall } from '../effort';
import { heldBy, type FiringEntry } from '../fire';
import { BARE, DOUBLED, markCode } from '../convention/mark';
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
  /** What the thing is called, best first, where that is known: a symbol's name, a person's. */
  readonly called?: readonly string[];
  /** Whether codes made of that go first, in its order, however cheap others are: it is what one thinks of. */
  readonly isNamed?: boolean;
  /** How soon codes of a kind came to mind so far. */
  readonly measured?: MeasuredRecall;
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

/** With fewer proposals than these, words and numbers that say little are added. */
const FEW = 3;

/** What people type for a kind of thing of which nothing else can be typed. From memory. */
const WORDS_OF_KINDS: Readonly<Record<string, string>> = {
  message: 'msg',
  address: 'addr',
  contact: 'tel',
  link: 'web',
  symbol: 'sym',
  tags: 'tags',
  'code block': 'code',
  date: 'date',
};

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
export function proposeCodes(input: ProposeInput): Proposal[] {
  // What sets capitals right is typed as the word itself.
  if (input.kind === 'correction') return proposeUnder(BARE, input);
  const proposals = proposeUnder(input.mark, input);
  if (proposals.length > 0) return proposals;
  // No keyboard in use has the marker: letters alone they all have.
  return proposeUnder(DOUBLED, input);
}

function proposeUnder(
  mark: Mark,
  { entry, kind, inUse, codes, called = [], isNamed = false, measured }: ProposeInput,
): Proposal[] {
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
    const cost = costOfCode(code, entry, inUse, measured);
    if (cost === 'nowhere') return;
    found.push({ code, how, like, taps: cost.taps, seconds: cost.seconds });
  };
  const mnemonics = mnemonicsOf(expansion, kind, called);
  for (const { text, how } of mnemonics) take(text, how);
  // A second of its kind is called as the first is, and a little more.
  for (const { text } of mnemonics.slice(0, 6)) {
    const [user] = others(matchKey(markCode(text, mark)));
    if (user === undefined) continue;
    const more = mnemonics.find((one) => one.text !== text && !one.text.startsWith(text) && /^\p{L}/u.test(one.text));
    const letter = more ? [...more.text][0]! : 'a';
    for (const second of [`${text}${letter}`, `${letter}${text}`, `${text}2`]) take(second, 'like', user);
  }
  // Where nothing of the text can be typed, the kind can; where all is in use, a number tells it from the others.
  const word = WORDS_OF_KINDS[kind] ?? 'text';
  if (found.length < FEW && kind !== 'correction') take(word, 'kind');
  for (const base of found.length < FEW && kind !== 'correction' ? [mnemonics[0]?.text ?? word, word] : []) {
    for (let number = 2; number < 1_000 && found.length < FEW; number += 1) {
      for (const text of [`${base}${number}`, `${number}${base}`]) take(text, 'number');
    }
  }
  const sorted = found.sort(
    (a, b) =>
      (a.seconds ?? a.code.length) - (b.seconds ?? b.code.length) || ORDER.indexOf(a.how) - ORDER.indexOf(b.how),
  );
  return namedFirst(inTurns(sorted), isNamed ? called.map((name) => matchKey(markCode(name, mark))) : []).slice(
    0,
    MOST_CANDIDATES,
  );
}

/** The same order, but behind those of some codes (match keys), which stand in theirs. */
function namedFirst(proposals: readonly Proposal[], named: readonly string[]): readonly Proposal[] {
  if (named.length === 0) return proposals;
  const rank = ({ code }: Proposal) => {
    const at = named.indexOf(matchKey(code));
    return at < 0 ? named.length : at;
  };
  return [...proposals].sort((a, b) => rank(a) - rank(b));
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

/** What a code takes for one use: `seconds` with the time until it has come to mind, `known` without. */
export interface CodeCost {
  readonly taps: number | null;
  readonly seconds: number | null;
  readonly known: number;
}

/**
 * What a code takes for one use, by the shares of the keyboards on which it can be typed; `nowhere`: on none of them. Without
 * keyboards nothing is known of it.
 */
export function costOfCode(
  code: string,
  entry: FiringEntry,
  inUse: readonly InUse[],
  measured?: MeasuredRecall,
): CodeCost | 'nowhere' {
  if (inUse.length === 0) return { taps: null, seconds: null, known: 0 };
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
  const known = seconds / share + missing;
  return { taps: taps / share, seconds: known + recallOf(code, entry.expansion, measured).seconds, known };
}
