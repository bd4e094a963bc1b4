import { recallKindOf, type RecallKind } from '../mnemonic';
import { median } from './median';

/** How long a person hesitated over a code at work, each time that is known; s. */
export interface Timed {
  readonly id: string;
  readonly kind: RecallKind;
  readonly seconds: readonly number[];
}

/** How soon codes come to mind, as measured; s. By shortcut, and by the kind of code for those not measured yet. */
export interface MeasuredRecall {
  readonly byId: Readonly<Record<string, number>>;
  readonly byKind: Readonly<Partial<Record<RecallKind, number>>>;
}

/** From so many times on, a code counts as measured; and a kind from so many times over so many codes. */
export const LEAST_TIMES = 3;
const LEAST_OF_KIND = 20;
const LEAST_CODES = 4;

/** What was measured: the median of each code, and of each kind the median over its codes' medians, so that no code counts for all. */
export function measureRecall(timed: readonly Timed[]): MeasuredRecall {
  const byId: Record<string, number> = {};
  const ofKind = new Map<RecallKind, { times: number; medians: number[] }>();
  for (const { id, kind, seconds } of timed) {
    if (seconds.length === 0) continue;
    const middle = median(seconds);
    if (seconds.length >= LEAST_TIMES) byId[id] = middle;
    const known = ofKind.get(kind) ?? { times: 0, medians: [] };
    ofKind.set(kind, { times: known.times + seconds.length, medians: [...known.medians, middle] });
  }
  const byKind: Partial<Record<RecallKind, number>> = {};
  for (const [kind, { times, medians }] of ofKind)
    if (times >= LEAST_OF_KIND && medians.length >= LEAST_CODES) byKind[kind] = median(medians);
  return { byId, byKind };
}

/** What was measured of some shortcuts. `hesitations`: by id, s. */
export function measureRecallOf(
  hesitations: Readonly<Record<string, readonly number[]>>,
  entries: readonly { readonly id: string; readonly code: string; readonly expansion: string }[],
): MeasuredRecall {
  return measureRecall(
    entries.flatMap(({ id, code, expansion }) => {
      const seconds = hesitations[id];
      return seconds ? [{ id, kind: recallKindOf(code, expansion), seconds }] : [];
    }),
  );
}
