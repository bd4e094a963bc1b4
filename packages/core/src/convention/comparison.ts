/** What a comparison of marks is asked with, and what it comes to. */
import type { Claim, TrapFound, Vocabulary } from '../clash';
import type { InUse } from '../effort';
import type { RuledList } from '../fire';
import type { Mark, Scope } from '../model';

/** What marks are compared for. */
export interface CompareInput {
  readonly list: RuledList;
  /** The part of the list that is to be marked. */
  readonly scope: Scope;
  readonly inUse: readonly InUse[];
  /** The languages a person writes in; equal parts unless told. */
  readonly languages: readonly { readonly vocabulary: Vocabulary; readonly share?: number }[];
  /** How often a shortcut is used in a week. */
  readonly usesAWeek: (id: string) => number;
  /** What the person wrote, if it is at hand. */
  readonly ownText?: string;
  /** How many words a person writes in a week. */
  readonly wordsAWeek?: number;
}

/** How often codes misfire, all devices together by their shares. */
export interface Misfires {
  /** In 10,000 words of ordinary text. */
  readonly perTenThousand: number;
  /** In how many of 100 links, prices and the like. */
  readonly per100Contexts: number;
  /** In how many places of the own text; null: there is none. */
  readonly inOwnText: number | null;
  /** What is to be expected in a week: language and contexts, and the own text the more, the longer it is. */
  readonly aWeek: number;
}

/** What codes cost. */
export interface Cost {
  /** Of one use, the space behind it included; by how often each code is used. */
  readonly effort: { readonly taps: number; readonly seconds: number };
  readonly misfires: Misfires;
  /** Seconds in a week: of typing codes, of misfires, and of unlearning, spread over a year. */
  readonly secondsAWeek: number;
}

/** What the codes cost as they are. */
export interface PresentCost extends Cost {
  /** Characters of codes that a keyboard in use does not have; each is reckoned with a trip to a table of signs. */
  readonly fromTable: number;
  /** Codes that are the same as others. */
  readonly collisions: number;
}

/** One mark, with all that speaks for and against it. */
export interface MarkCost extends Cost {
  readonly mark: Mark;
  readonly claims: readonly Claim[];
  readonly traps: readonly (TrapFound & { readonly device: string })[];
  /** Codes of two and three characters under it: those that are not taken, and how many there are in all. */
  readonly space: { readonly free: number; readonly of: number };
  /** How often a new short code under it would misfire in a week, on average. */
  readonly ofNewCode: number;
  /** Codes that would be the same as others. */
  readonly collisions: number;
  /** Codes that would be others than now. */
  readonly changes: number;
  /** No other mark is both quicker and less often fired by mistake. */
  readonly isOnFront: boolean;
}

export interface Comparison {
  /** How many codes there are to mark. */
  readonly codes: number;
  /** How many marks were weighed. */
  readonly marks: number;
  /** The codes as they are. */
  readonly present: PresentCost;
  /** The best by cost, all on the front, all of one character, and those in use: the least cost first. */
  readonly rows: readonly MarkCost[];
  /** What comes first, since it changes few codes: those without the mark that most have are given it. Null: none are, or it gains too little. */
  readonly firstStep: FirstStep | null;
  readonly recommendation: Recommendation | null;
}

/** The mark that most codes have, for the others too. */
export interface FirstStep {
  readonly mark: Mark;
  /** How many codes would change. */
  readonly changes: number;
  /** Seconds in a week, unlearning taken off. */
  readonly gain: number;
}

/** The mark to take, and the seconds in a week that it gains beside the codes as they are, or as the first step would make them; below 0 it loses some. */
export interface Recommendation {
  readonly mark: Mark;
  readonly gain: {
    /** All in all, unlearning taken off. */
    readonly whole: number;
    readonly typing: number;
    readonly misfires: number;
  };
  /** A mark that is both quicker and less often fired by mistake, and why it is not the one; null: none is. */
  readonly beatenBy: { readonly mark: Mark; readonly why: Against | 'changes' } | null;
}

/** What speaks so much against a mark that it is never recommended. `changes`: nothing does, but so many codes would be others that it costs more. */
export type Against = 'letters' | 'claimed' | 'device' | 'same codes' | 'misfires' | 'no room';

/** Nothing can be compared where no code could be marked, or no keyboard types anything. */
export type CannotCompare = { readonly type: 'no codes' } | { readonly type: 'no keyboard' };

/** Codes that misfire more often in a week, all together, are in the way. */
const MOST_MISFIRES = 0.5;
/** So many new codes are to come under a marker that do not either. */
const NEW_CODES = 10;

/** Whether codes with a mark, or new ones, would misfire so often that it is not recommended. */
export function isOftenMistaken({ misfires, ofNewCode }: Pick<MarkCost, 'misfires' | 'ofNewCode'>): boolean {
  return misfires.aWeek > MOST_MISFIRES || ofNewCode * NEW_CODES > MOST_MISFIRES;
}
