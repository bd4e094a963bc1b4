import type { FiringEntry } from '../fire';
import { MAKING, RECALL_OF_TEXT, WEEKS_A_YEAR } from './assumptions';
import { effortOfCode, effortOfText, type Effort, type InUse, type NotOnDevice, type TextEffort } from './inUse';
import type { MeasuredRecall } from './measuredRecall';
import { recallOf, type Recall } from './recall';
import type { NotOnKeyboard } from './way';

/** How often a shortcut is used in a week, and from where that is known. */
export interface Uses {
  readonly aWeek: number;
  readonly from: 'said' | 'counted' | 'own text';
}

/** Code against expansion on one keyboard, for one use; the seconds are with the time to call each to mind. */
export interface OnKeyboard {
  readonly keyboard: string;
  readonly code: Effort | NotOnKeyboard | NotOnDevice;
  readonly text: TextEffort;
}

/** What one use saves, without word prediction. Below 0: it costs. */
export interface Saved {
  readonly taps: number;
  readonly seconds: number;
}

/** `unused` in the measure given; `cannot be typed` on any keyboard in use. */
export type SavingVerdict = 'pays' | 'never pays' | 'costs' | 'use not known' | 'cannot be typed';

export interface Saving {
  readonly id: string;
  readonly on: readonly OnKeyboard[];
  /** Over the keyboards on which it can be typed, by their shares; null: on none. */
  readonly perUse: Saved | null;
  readonly uses: Uses | null;
  /** Of a week; null where the use is not known or it cannot be typed. */
  readonly week: Saved | null;
  /** After how many uses making it has paid; null: never. */
  readonly breakEven: number | null;
  readonly verdict: SavingVerdict;
  /** From where it is known how soon the code comes to mind. */
  readonly recall: Recall['from'];
}

/** Code against expansion of one shortcut on each keyboard in use. `measured`: how soon codes came to mind so far. */
export function compareEffort(entry: FiringEntry, inUse: readonly InUse[], measured?: MeasuredRecall): OnKeyboard[] {
  const recall = recallOf(entry.code, entry.expansion, measured, entry.id).seconds;
  return inUse.map((one) => {
    const typed = effortOfCode(entry, one);
    const code = typed.type === 'effort' ? { ...typed, seconds: typed.seconds + recall } : typed;
    const text = effortOfText(entry.expansion, one);
    return { keyboard: one.keyboard.id, code, text: { ...text, seconds: text.seconds + RECALL_OF_TEXT } };
  });
}

/** The mean over the keyboards on which the code can be typed, by their shares; null: on none. */
export function meanSaved(on: readonly OnKeyboard[], inUse: readonly InUse[]): Saved | null {
  let share = 0;
  let taps = 0;
  let seconds = 0;
  on.forEach(({ code, text }, index) => {
    if (code.type !== 'effort') return;
    const part = inUse[index]!.share;
    share += part;
    taps += part * (text.taps - code.taps);
    seconds += part * (text.seconds - code.seconds);
  });
  return share === 0 ? null : { taps: taps / share, seconds: seconds / share };
}

/** What a shortcut saves. Cost: the length of its code and expansion on each keyboard. */
export function savingOf(
  entry: FiringEntry,
  uses: Uses | null,
  inUse: readonly InUse[],
  measured?: MeasuredRecall,
): Saving {
  const on = compareEffort(entry, inUse, measured);
  const perUse = meanSaved(on, inUse);
  const week = perUse && uses ? { taps: perUse.taps * uses.aWeek, seconds: perUse.seconds * uses.aWeek } : null;
  const breakEven = perUse && perUse.seconds > 0 ? Math.ceil(makingOf(on, inUse) / perUse.seconds) : null;
  const verdict = verdictOf(perUse, uses, breakEven);
  const recall = recallOf(entry.code, entry.expansion, measured, entry.id).from;
  return { id: entry.id, on, perUse, uses, week, breakEven, verdict, recall };
}

function verdictOf(perUse: Saved | null, uses: Uses | null, breakEven: number | null): SavingVerdict {
  if (perUse === null) return 'cannot be typed';
  if (perUse.seconds <= 0) return 'costs';
  if (uses === null) return 'use not known';
  return breakEven === null || breakEven > uses.aWeek * WEEKS_A_YEAR ? 'never pays' : 'pays';
}

/** Seconds to make a shortcut: its expansion and its code typed once, and what else there is to do. */
function makingOf(on: readonly OnKeyboard[], inUse: readonly InUse[]): number {
  let share = 0;
  let seconds = 0;
  on.forEach(({ code, text }, index) => {
    if (code.type !== 'effort') return;
    share += inUse[index]!.share;
    seconds += inUse[index]!.share * (text.seconds + code.seconds);
  });
  return seconds / share + MAKING;
}

/** Savings of a whole list: each shortcut's, the most saved in a week first; and sums of a week. */
export interface Savings {
  readonly each: readonly Saving[];
  readonly week: Saved;
  /** By keyboard: what of the week's sum is saved on it. */
  readonly byKeyboard: Readonly<Record<string, Saved>>;
  /** By set, '' for those in none. */
  readonly bySet: Readonly<Record<string, Saved>>;
}

/** Cost: see `bench/price.ts`. `setOf` gives the set of a shortcut, null: none. */
export function savingsOf(
  entries: readonly FiringEntry[],
  usesOf: (id: string) => Uses | null,
  setOf: (id: string) => string | null,
  inUse: readonly InUse[],
  measured?: MeasuredRecall,
): Savings {
  const each = entries.map((entry) => savingOf(entry, usesOf(entry.id), inUse, measured));
  const byKeyboard: Record<string, Saved> = Object.fromEntries(inUse.map(({ keyboard }) => [keyboard.id, NOTHING]));
  const bySet: Record<string, Saved> = {};
  let week = NOTHING;
  for (const { id, on, uses, week: ofWeek } of each) {
    if (!ofWeek || !uses) continue;
    week = sum(week, ofWeek);
    const set = setOf(id) ?? '';
    bySet[set] = sum(bySet[set] ?? NOTHING, ofWeek);
    // Uses fall to the keyboards that can, by their shares.
    const can = inUse.map(({ share }, index) => (on[index]!.code.type === 'effort' ? share : 0));
    const all = can.reduce((total, share) => total + share, 0);
    on.forEach(({ keyboard, code, text }, index) => {
      if (code.type !== 'effort') return;
      const times = (uses.aWeek * can[index]!) / all;
      byKeyboard[keyboard] = sum(byKeyboard[keyboard]!, {
        taps: (text.taps - code.taps) * times,
        seconds: (text.seconds - code.seconds) * times,
      });
    });
  }
  each.sort((a, b) => (b.week?.seconds ?? -Infinity) - (a.week?.seconds ?? -Infinity) || (a.id < b.id ? -1 : 1));
  return { each, week, byKeyboard, bySet };
}

const NOTHING: Saved = { taps: 0, seconds: 0 };

function sum(a: Saved, b: Saved): Saved {
  return { taps: a.taps + b.taps, seconds: a.seconds + b.seconds };
}
