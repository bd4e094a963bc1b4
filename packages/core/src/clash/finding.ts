import type { TraceLine } from '../fire';
import type { Secret } from '../guard';
import type { Claim } from './claims';
import type { Band } from './vocabulary';

/** How bad a finding is. Explained in docs/clashes.md; set in this file alone. */
export type Severity = 'breaks' | 'risky' | 'note';

/** A code that fires by mistake so often in 10,000 words breaks; see `severityOfMisfires`. */
export const BREAKS_FROM = 0.5;
/** One misfire a year, at 5,000 words a week. Less is no finding: it practically never happens. */
export const RISKY_FROM = 1 / 26;
/** A code that fires in so many of 100 links, addresses, prices and the like is risky. */
export const RISKY_CONTEXTS = 1;
/** At most this many examples are kept of one finding. */
export const MOST_EXAMPLES = 20;

export function severityOfMisfires(perTenThousand: number): Severity {
  if (perTenThousand >= BREAKS_FROM) return 'breaks';
  return perTenThousand >= RISKY_FROM ? 'risky' : 'note';
}

const ORDER: readonly Severity[] = ['note', 'risky', 'breaks'];

/** Negative if `a` is the milder. */
export function compareSeverity(a: Severity, b: Severity): number {
  return ORDER.indexOf(a) - ORDER.indexOf(b);
}

export type FindingType = Finding['type'];

/** What is about the text a shortcut gives: another code would not cure it. */
const ABOUT_EXPANSION: ReadonlySet<FindingType> = new Set<FindingType>(['faulty expansion', 'secret']);

/** Whether a finding is a reason to take another code. */
export function asksForAnotherCode({ type, severity }: Finding): boolean {
  return severity !== 'note' && !ABOUT_EXPANSION.has(type);
}

/** Findings of a pair, of which the other's code may give way as well. */
const OF_PAIRS: ReadonlySet<FindingType> = new Set<FindingType>([
  'same code',
  'unreachable',
  'broken inside',
  'delayed',
  'hides',
  'look-alike',
  'near miss',
]);

/** Whether a finding is about a code beside another one, and would be gone if that were different. */
export function isOfPair({ type }: Pick<Finding, 'type'>): boolean {
  return OF_PAIRS.has(type);
}

/** A word in which a code fires, and how often it comes in 10,000 words. */
export interface WordExample {
  readonly word: string;
  readonly language: string;
  readonly perTenThousand: number;
}

/** A place of a text at which a code fires: offsets in UTF-16 units. */
export interface PlaceExample {
  readonly text: string;
  readonly start: number;
  readonly end: number;
  /** The class of the context, or the shortcut whose expansion it is. */
  readonly of: string;
}

/** One slip of the finger that turns a code into another. */
export type Slip = 'neighbouring key' | 'swapped' | 'doubled';

/** What a device does that keeps a code from firing as it is meant. */
export type Trap =
  | 'sentence capital'
  | 'smart quotes'
  | 'smart dashes'
  | 'smart dots'
  | 'double space'
  | 'space in code'
  | 'built-in entry'
  | 'language of the entry'
  | 'no delimiter'
  | 'emoji in code';

/** Something wrong with an expansion; `start` and `end` in UTF-16 units, `better` where there is one. */
export interface Fault {
  readonly fault:
    | 'blank at the end'
    | 'double space'
    | 'link that does not parse'
    | 'unbalanced bracket'
    | 'likely misspelling'
    | 'same expansion';
  readonly start: number;
  readonly end: number;
  readonly better?: string;
}

interface Found<Type extends string, Evidence> {
  readonly type: Type;
  readonly severity: Severity;
  /** The code that loses first, then the others concerned, at most `MOST_EXAMPLES`. */
  readonly shortcuts: readonly string[];
  /** The profiles on which it is so; empty: on all, whatever they do. */
  readonly devices: readonly string[];
  /** How many codes, words, places or faults there are in all. */
  readonly count: number;
  readonly evidence: Evidence;
}

/** Misfires in ordinary words, in 10,000 of them: on the worst device, and on each. */
export interface Misfires {
  readonly perTenThousand: number;
  readonly band: Band;
  /** Whether it is the frequency of an abbreviation, which is assumed. */
  readonly isAssumed: boolean;
  readonly byDevice: Readonly<Record<string, number>>;
  readonly examples: readonly WordExample[];
}

/** A finding about one losing code: data first, sentences are made by the screen. */
export type Finding =
  /** Another code with the same match key goes first. */
  | Found<'same code', { readonly winner: string }>
  /** Codes that are drawn alike. */
  | Found<'look-alike', null>
  /** It begins with a code that fires first where a word begins. `trace`: the engine's own. */
  | Found<'unreachable', Reach>
  /** Another code fires inside it or at its end. */
  | Found<'broken inside', Reach>
  /** It begins others, so that it fires only with the next character, and not at the end of a text. */
  | Found<'delayed', null>
  /** Told of a code that is not saved yet: others, which go on from it, would no longer fire where a word begins. */
  | Found<'hides', null>
  | Found<'word', Misfires>
  | Found<'beginning of words', Misfires>
  | Found<'inside words', Misfires>
  /** It fires in links, prices and the like: in how many of 100, by class, and where. */
  | Found<
      'context',
      {
        readonly per100: number;
        readonly byClass: Readonly<Record<string, number>>;
        readonly examples: readonly PlaceExample[];
      }
    >
  /** It fires when an expansion of this list is typed out. */
  | Found<'own expansion', { readonly examples: readonly PlaceExample[] }>
  /** Its expansion fires again and again. */
  | Found<'loop', { readonly chain: readonly string[] }>
  | Found<'claimed', { readonly claims: readonly Claim[] }>
  | Found<
      'device trap',
      { readonly traps: readonly { readonly trap: Trap; readonly device: string; readonly result: string }[] }
    >
  | Found<'near miss', { readonly slips: readonly { readonly id: string; readonly slip: Slip }[] }>
  | Found<'faulty expansion', { readonly faults: readonly Fault[] }>
  | Found<'secret', { readonly secrets: readonly Secret[] }>;

export interface Reach {
  /** Whether it fires as the first word of a sentence all the same, where the device raises its letter. */
  readonly firesAtStart: boolean;
  /** What a person types, and what the engine made of it. */
  readonly typed: string;
  readonly result: string;
  readonly trace: readonly TraceLine[];
}

/** As a person is told of one shortcut: first that its text looks secret, then that its code is in use, then the worst. */
export function byTelling(a: Finding, b: Finding): number {
  return turnOf(a) - turnOf(b) || byWorst(a, b);
}

function turnOf({ type, severity }: Finding): number {
  if (type === 'secret') return 0;
  return type === 'same code' && severity === 'breaks' ? 1 : 2;
}

/** Worst first; of equal ones those of more often met, then by type and code's age. */
export function byWorst(a: Finding, b: Finding): number {
  const worse = compareSeverity(b.severity, a.severity) || weightOf(b) - weightOf(a) || b.count - a.count;
  if (worse !== 0) return worse;
  if (a.type !== b.type) return a.type < b.type ? -1 : 1;
  return a.shortcuts[0]! < b.shortcuts[0]! ? -1 : 1;
}

function weightOf(finding: Finding): number {
  return 'perTenThousand' in (finding.evidence ?? {}) ? (finding.evidence as Misfires).perTenThousand : 0;
}
