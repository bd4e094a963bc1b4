/** Carrying a list over to a place that the app cannot write to: what to do there, in which order, and what it takes. */
import type { FiringEntry } from '../fire';
import { effortOfCode, effortOfText, type InUse } from '../effort/inUse';
import type { Carried } from '../model';
import { digestOf } from './digest';
import type { Placed } from './place';

/** One thing to do in a place. Of what is to be removed there may be no code: it was made private since, on another device. */
export interface CarryStep {
  readonly do: 'add' | 'change' | 'remove';
  readonly id: string;
  readonly code: string;
  /** What it is to give there; '' where it is to be removed. */
  readonly text: string;
  /** The code that stands there now; null: none does. */
  readonly codeThere: string | null;
  /** What it saves there in a week, in seconds; 0: not known. */
  readonly saves: number;
}

/** What it takes to carry something over, with the taps and seconds of the effort model. */
export interface CarryEffort {
  readonly taps: number;
  readonly seconds: number;
}

/**
 * What is to be done in a place so that it holds what it should: first what is wrong there, then what saves most. `carried`: what
 * it holds, as far as one has said. `saves`: seconds a week, by id.
 */
export function carrySteps(
  placed: readonly Placed[],
  carried: readonly Pick<Carried, 'shortcutId' | 'code' | 'digest'>[],
  saves: (id: string) => number,
): CarryStep[] {
  const there = new Map(carried.map((one) => [one.shortcutId, one]));
  const steps: CarryStep[] = [];
  for (const one of placed) {
    const { id, code, text } = one;
    const held = there.get(id);
    there.delete(id);
    if (held?.digest === digestOf(one)) continue;
    steps.push({
      do: held ? 'change' : 'add',
      id,
      code,
      text,
      codeThere: held?.code ?? null,
      saves: saves(id),
    });
  }
  for (const { shortcutId, code } of there.values())
    steps.push({ do: 'remove', id: shortcutId, code, text: '', codeThere: code, saves: 0 });
  return steps.sort((a, b) => ORDER[a.do] - ORDER[b.do] || b.saves - a.saves);
}

/**
 * Whether a step has come up since one was last there: what was left out then, since one did not want it, is no news. `since`:
 * ms since 1970; a shortcut is as old as its id says (UUIDv7).
 */
export function isNews({ do: what, id }: CarryStep, since: number): boolean {
  return what !== 'add' || Number.parseInt(id.replaceAll('-', '').slice(0, 12), 16) > since;
}

const ORDER = { remove: 0, change: 1, add: 2 } as const;

/** What an entry saves in a place in a week, in seconds, at so many uses; never less than 0. */
export function savedThere(entry: FiringEntry, use: InUse, usesAWeek: number): number {
  const code = effortOfCode(entry, use);
  if (code.type !== 'effort') return 0;
  return Math.max(0, effortOfText(entry.expansion, use).seconds - code.seconds) * usesAWeek;
}

/**
 * What one step takes by hand beside typing the code: to copy the text here, to go there, a new entry, to hold and paste, the
 * field of the code, to save, back here, and on. An assumption, as are the seconds for finding each; no source.
 */
const HANDLING: Readonly<Record<CarryStep['do'], CarryEffort>> = {
  add: { taps: 11, seconds: 14 },
  change: { taps: 12, seconds: 16 },
  remove: { taps: 7, seconds: 9 },
};
/** A file: saved here, sent there, opened and taken in. */
export const BY_FILE: CarryEffort = { taps: 8, seconds: 40 };

/** What steps take by hand on a keyboard. */
export function effortOfCarry(
  steps: readonly CarryStep[],
  entryOf: (step: CarryStep) => FiringEntry,
  use: InUse,
): CarryEffort {
  let taps = 0;
  let seconds = 0;
  for (const step of steps) {
    const handling = HANDLING[step.do];
    taps += handling.taps;
    seconds += handling.seconds * use.pace;
    if (step.do === 'remove' || step.code === step.codeThere) continue;
    const code = effortOfCode(entryOf(step), use);
    if (code.type !== 'effort') continue;
    taps += code.taps;
    seconds += code.seconds;
  }
  return { taps: Math.round(taps), seconds };
}
