import { BARE, markCode, partsOf } from '../convention/mark';
import { MISFIRE, type InUse } from '../effort';
import type { FiringEntry } from '../fire';
import { mnemonicsOf, type How } from '../mnemonic';
import { checkCode, isItself, matchKey, type Mark } from '../model';
import { costOfCode } from '../propose';

/** A shortcut of which a code is to be chosen. */
export interface Planned {
  /** As it is, its rules settled; its text as it would be typed out. */
  readonly entry: FiringEntry;
  readonly kind: string;
  /** That of the convention that holds for it. */
  readonly mark: Mark;
  /** Uses in a week. */
  readonly uses: number;
  /** How often its present code misfires in a week. */
  readonly misfires: number;
  /** Whether the check finds more than a note about its present code, whatever other codes there are. */
  readonly isUnsafe: boolean;
  /** Whether it keeps its code. */
  readonly isLocked: boolean;
}

/** A code that a shortcut could have. */
export interface CodeOption {
  readonly code: string;
  /** How it was made; null: it is the present one, or that with another marker. */
  readonly how: How | null;
  /** Seconds in a week: uses and misfires. */
  readonly cost: number;
  /** What is added to it for choosing: the price of a change, or that it is not safe. */
  readonly added: number;
}

/** So many new codes of each are weighed, the cheapest of them. */
const MOST_NEW = 10;
const NUMBERS = [2, 5, 8];
/** A code that is not safe is kept only where there is no other, in seconds a week. */
const UNSAFE = 100_000;
/** Where no keyboard is in use: so many seconds for each character. */
const A_CHARACTER = 0.3;

/**
 * The codes that a shortcut could have, the cheapest first, its present one among them. `price`: of a change, in seconds a week.
 * `isBanned`: what was found not to be safe. Cost: some twenty prices on each keyboard.
 */
export function optionsOf(
  planned: Planned,
  inUse: readonly InUse[],
  price: number,
  isBanned: (code: string) => boolean,
): CodeOption[] {
  const { entry, kind, mark, uses, misfires, isUnsafe, isLocked } = planned;
  const { code: present, expansion } = entry;
  const secondsOf = (code: string): number => {
    const cost = costOfCode(code, entry, inUse);
    if (cost === 'nowhere') return Infinity;
    return cost.seconds ?? code.length * A_CHARACTER;
  };
  const own = secondsOf(present);
  const now: CodeOption = {
    code: present,
    how: null,
    cost: uses * (own === Infinity ? MISFIRE : own) + misfires * MISFIRE,
    added: isUnsafe || own === Infinity || isBanned(present) ? UNSAFE : 0,
  };
  if (isLocked) return [{ ...now, added: 0 }];
  // What sets its own letters right is typed as it is.
  const under = kind === 'correction' || isItself(present, expansion) ? BARE : mark;
  const seen = new Set([matchKey(present)]);
  const others: CodeOption[] = [];
  const add = (mnemonic: string, how: How | null) => {
    const code = markCode(mnemonic, under);
    const key = matchKey(code);
    if (seen.has(key) || checkCode(code) !== null || isBanned(code)) return;
    seen.add(key);
    const seconds = secondsOf(code);
    if (seconds < Infinity) others.push({ code, how, cost: uses * seconds, added: price });
  };
  const parts = partsOf(present);
  const mnemonics = mnemonicsOf(expansion, kind);
  if (under !== BARE || parts === null) {
    if (parts) add(parts.mnemonic, null);
    for (const { text, how } of mnemonics) add(text, how);
    const bases = [...new Set([parts?.mnemonic, mnemonics[0]?.text, 'x'])].filter((base) => base !== undefined);
    const base = bases.find((one) => checkCode(markCode(one, under)) === null)!;
    others.sort(byCost);
    others.length = Math.min(others.length, MOST_NEW);
    for (const number of NUMBERS) {
      add(`${base}${number}`, 'number');
      add(`${number}${base}`, 'number');
    }
  }
  return [now, ...others].sort(byCost);
}

function byCost(a: CodeOption, b: CodeOption): number {
  return a.cost + a.added - (b.cost + b.added);
}
