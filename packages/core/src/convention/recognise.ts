import type { ChosenConvention, Mark } from '../model';
import { BARE, isInScope, isSameMark, markKey, mayBeMarked, partsOf, type Marked } from './mark';

/** A mark that codes of a list have, and whose. */
export interface RecognisedMark {
  readonly mark: Mark;
  readonly ids: readonly string[];
}

/** The conventions of a list, as its codes show them. */
export interface Recognised {
  /** How many codes there are that a convention could mark. */
  readonly of: number;
  /** Most used first; of equally many the one that came first. */
  readonly marks: readonly RecognisedMark[];
  /** That of the most codes, if it is a mark at all and two or more codes have it; null: there is none. */
  readonly main: RecognisedMark | null;
  /** Codes with another mark than the convention that holds for them, or than the main one. */
  readonly strays: readonly string[];
  /** Codes that are all signs, and corrections: no convention marks them. */
  readonly exempt: readonly string[];
}

/** What marks the codes of a list: "34 of 60 begin with ;". Linear. `chosen`: conventions that hold. */
export function recogniseConventions(
  shortcuts: readonly Marked[],
  chosen: readonly ChosenConvention[] = [],
): Recognised {
  const marks = new Map<string, { mark: Mark; ids: string[] }>();
  const exempt: string[] = [];
  for (const shortcut of shortcuts) {
    if (!mayBeMarked(shortcut)) {
      exempt.push(shortcut.id);
      continue;
    }
    const { mark } = partsOf(shortcut.code)!;
    const known = marks.get(markKey(mark)) ?? { mark, ids: [] };
    known.ids.push(shortcut.id);
    marks.set(markKey(mark), known);
  }
  const sorted = [...marks.values()].sort((a, b) => b.ids.length - a.ids.length);
  const first = sorted.find(({ mark }) => !isSameMark(mark, BARE));
  const main = first && first.ids.length >= 2 ? first : null;
  const strays = shortcuts.filter((shortcut) => {
    if (!mayBeMarked(shortcut)) return false;
    const wanted = conventionFor(shortcut, chosen)?.mark ?? main?.mark;
    return wanted !== undefined && !isSameMark(partsOf(shortcut.code)!.mark, wanted);
  });
  return { of: shortcuts.length - exempt.length, marks: sorted, main, strays: strays.map(({ id }) => id), exempt };
}

/** The convention that holds for a shortcut: its set's before its kind's before the list's; null: none was chosen. */
export function conventionFor(
  shortcut: Pick<Marked, 'kind' | 'setId'>,
  chosen: readonly ChosenConvention[],
): ChosenConvention | null {
  const ranks = ['set', 'kind', 'list'] as const;
  const holding = chosen.filter(({ scope }) => isInScope(shortcut, scope));
  return (
    holding.sort((a, b) => ranks.indexOf(a.scope.of) - ranks.indexOf(b.scope.of) || b.changed - a.changed)[0] ?? null
  );
}
