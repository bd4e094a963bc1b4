import { MISFIRE } from '../effort';
import type { Mark } from '../model';
import {
  isOftenMistaken,
  type Against,
  type Comparison,
  type Cost,
  type MarkCost,
  type PresentCost,
  type Recommendation,
} from './comparison';
import { standsApart } from './mark';
import type { MarkIndex } from './markIndex';

/** A change pays from so many seconds in a week on: nobody unlearns sixty codes for less. */
export const LEAST_GAIN = 5;
/** What is known of all marks, by their numbers. */
interface Weighed {
  readonly marks: MarkIndex;
  /** All marks, the least cost first; and those on the front. */
  readonly byCost: readonly number[];
  readonly front: readonly number[];
  readonly rowOf: (mark: number) => MarkCost;
  readonly present: PresentCost;
  /** The mark of each code. */
  readonly inUse: readonly Mark[];
  readonly usesAWeek: number;
}

/** What to do first, and what beyond: see docs/conventions.md. */
export function recommend(weighed: Weighed): Pick<Comparison, 'firstStep' | 'recommendation'> {
  const { present } = weighed;
  const own = ownOf(weighed);
  const firstStep = own && { mark: own.mark, changes: own.changes, gain: present.secondsAWeek - own.secondsAWeek };
  return { firstStep, recommendation: bestBeside(own ?? present, weighed) };
}

/**
 * The least cost of the marks that are sound: they stand apart from the mnemonic, no program claims them, no device breaks them, they make no
 * two codes one, and neither their codes nor new ones would often expand by mistake. Null: that is not enough less than `base`.
 */
function bestBeside(base: Cost, { marks, byCost, front, rowOf, present, usesAWeek }: Weighed): Recommendation | null {
  for (const index of byCost) {
    if (!standsApart(marks.markOf(index))) continue;
    const row = rowOf(index);
    const gain = base.secondsAWeek - row.secondsAWeek;
    if (gain < LEAST_GAIN) return null;
    if (againstOf(row, present) !== null) continue;
    if (row.changes === 0) return null;
    const better = row.isOnFront ? undefined : front.find((one) => isBetter(rowOf(one), row));
    return {
      mark: row.mark,
      beatenBy:
        better === undefined
          ? null
          : { mark: marks.markOf(better), why: againstOf(rowOf(better), present) ?? 'changes' },
      gain: {
        whole: gain,
        typing: (base.effort.seconds - row.effort.seconds) * usesAWeek,
        misfires: (base.misfires.aWeek - row.misfires.aWeek) * MISFIRE,
      },
    };
  }
  return null;
}

/** The mark that most codes have, if it is sound and gains enough for those that have another. */
function ownOf({ marks, rowOf, present, inUse }: Weighed): MarkCost | null {
  const counts = new Map<number, number>();
  for (const mark of inUse) {
    const index = marks.indexOf(mark);
    if (index >= 0 && index !== marks.bare) counts.set(index, (counts.get(index) ?? 0) + 1);
  }
  const [most] = [...counts].sort((a, b) => b[1] - a[1] || a[0] - b[0]);
  if (!most || most[1] * 2 <= inUse.length) return null;
  const row = rowOf(most[0]);
  const isWorth = row.changes > 0 && present.secondsAWeek - row.secondsAWeek >= LEAST_GAIN;
  return isWorth && againstOf(row, present) === null ? row : null;
}

/** What speaks so much against a mark that it is not recommended, beside the codes as they are; null: nothing. */
function againstOf(row: MarkCost, present: PresentCost): Against | null {
  if (!standsApart(row.mark)) return 'letters';
  if (row.claims.length > 0) return 'claimed';
  if (row.traps.some(({ severity }) => severity !== 'note')) return 'device';
  if (row.collisions > present.collisions) return 'same codes';
  if (isOftenMistaken(row)) return 'misfires';
  return row.space.free > 0 ? null : 'no room';
}

/** Whether one mark is as good as another in both measures and better in one. */
function isBetter(one: MarkCost, other: MarkCost): boolean {
  const [seconds, misfires] = [one.effort.seconds - other.effort.seconds, one.misfires.aWeek - other.misfires.aWeek];
  return seconds <= 0 && misfires <= 0 && (seconds < 0 || misfires < 0);
}
