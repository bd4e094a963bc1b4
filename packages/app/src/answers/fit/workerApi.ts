/** What the worker does about devices: what fits where, what is to be carried over, and as a file. Runs in Node for tests. */
import type { AuditedShortcut } from '@yellow-latch/core/clash';
import { settleRules } from '@yellow-latch/core/fire';
import {
  BY_FILE,
  carrySteps,
  effortOfCarry,
  isNews,
  ListFit,
  savedThere,
  type CarryEffort,
  type CarryStep,
  type Fit,
  type FitSums,
  type NamedPlace,
  type Placed,
} from '@yellow-latch/core/fit';
import type { Carried, KeyboardUse, LeftOut, OwnKeyboard } from '@yellow-latch/core/model';

import type { AuditWorkerApi } from '@/answers/audit/workerApi';
import { inUseOf } from '@/answers/effort/keyboards';

import { FIRST_ROUND } from './firstRound';

/** Places under names of their own, and what devices are to do without. */
export interface FitRequest {
  readonly places: readonly (NamedPlace & { readonly deviceId: string })[];
  readonly leftOut: readonly Pick<LeftOut, 'deviceId' | 'of' | 'refersTo'>[];
}

/** What does not simply work in a place, worst first. */
export interface FitReport {
  readonly sums: FitSums;
  readonly others: readonly { readonly id: string; readonly fit: Fit }[];
}

export interface CarryRequest extends FitRequest {
  /** The place that is carried to. */
  readonly place: string;
  readonly carried: readonly Pick<Carried, 'shortcutId' | 'code' | 'digest'>[];
  /** The keyboard of the device. */
  readonly keyboard: KeyboardUse;
  readonly ownKeyboards: readonly OwnKeyboard[];
  /** Uses in a week, by id, as far as they are known. */
  readonly uses: Readonly<Record<string, { readonly aWeek: number }>>;
}

export interface CarryPlan {
  readonly steps: readonly CarryStep[];
  readonly all: CarryEffort;
  /** What the first ones take. */
  readonly first: CarryEffort;
  readonly byFile: CarryEffort;
}

const USES_UNKNOWN = 1;
/** With more edits than this at once, all is looked at anew. */
const MOST_FOLLOWED = 300;
const ORDER: Readonly<Record<Fit['verdict'], number>> = { no: 0, changed: 1, 'left out': 2, works: 3 };

export class FitWorkerApi {
  private known: {
    readonly question: string;
    readonly shortcuts: Map<string, AuditedShortcut>;
    readonly fit: ListFit;
  } | null = null;

  constructor(private readonly audit: Pick<AuditWorkerApi, 'checked' | 'asTold'>) {}

  /** Of each place how many shortcuts work, work changed, or do not. Null: nothing has been checked yet. */
  sums(request: FitRequest): Readonly<Record<string, FitSums>> | null {
    const fit = this.fitFor(request);
    return fit && Object.fromEntries(request.places.map(({ id }) => [id, fit.sumsOf(id)]));
  }

  /** What does not simply work in a place. */
  report(request: FitRequest, place: string): FitReport | null {
    const fit = this.fitFor(request);
    if (!fit) return null;
    const others = Array.from(fit.fitsOf(place), ([id, one]) => ({ id, fit: one }))
      .filter(({ fit: { verdict } }) => verdict !== 'works')
      .sort((a, b) => ORDER[a.fit.verdict] - ORDER[b.fit.verdict]);
    return { sums: fit.sumsOf(place), others };
  }

  /** What becomes of shortcuts in each place, in the order of the places; those that work everywhere are left out. */
  table(request: FitRequest): readonly { readonly id: string; readonly fits: readonly Fit[] }[] | null {
    const fit = this.fitFor(request);
    if (!fit) return null;
    const columns = request.places.map(({ id }) => fit.fitsOf(id));
    return [...(columns[0]?.keys() ?? [])]
      .map((id) => ({ id, fits: columns.map((column) => column.get(id)!) }))
      .filter(({ fits }) => fits.some(({ verdict }) => verdict !== 'works'));
  }

  /** What becomes of one shortcut in each place. */
  ofOne(request: FitRequest, id: string): readonly Fit[] | null {
    const fit = this.fitFor(request);
    return fit && request.places.flatMap((place) => fit.fitOf(place.id, id) ?? []);
  }

  /** What is to be done in a place so that it holds what it should, and what that takes. Private shortcuts stay where they are. */
  carry(request: CarryRequest): CarryPlan | null {
    const fit = this.fitFor(request);
    if (!fit) return null;
    const { place, carried, uses } = request;
    const [use] = inUseOf({ keyboards: [request.keyboard], ownKeyboards: request.ownKeyboards });
    const shared = this.placedIn(fit, place);
    const entries = new Map(
      settleRules({
        sets: [],
        shortcuts: shared.map(({ shortcut, text }) => ({
          ...shortcut,
          content: { ...shortcut.content, expansion: text },
        })),
      }).map((entry) => [entry.id, entry]),
    );
    const saves = (id: string) => {
      const entry = entries.get(id);
      return entry && use ? savedThere(entry, use, uses[id]?.aWeek ?? USES_UNKNOWN) : 0;
    };
    const steps = carrySteps(shared, carried, saves);
    const effort = (some: readonly CarryStep[]): CarryEffort =>
      use ? effortOfCarry(some, ({ id }) => entries.get(id)!, use) : { taps: 0, seconds: 0 };
    return { steps, all: effort(steps), first: effort(steps.slice(0, FIRST_ROUND)), byFile: BY_FILE };
  }

  /** How many steps have come up in places since something was last carried to them. */
  due(request: FitRequest, carried: readonly Carried[]): number | null {
    const fit = this.fitFor(request);
    if (!fit) return null;
    return request.places.reduce((sum, { id }) => {
      const there = carried.filter(({ deviceId, profile }) => id === `${deviceId}/${profile}`);
      if (there.length === 0) return sum;
      const since = Math.max(...there.map(({ at }) => at));
      return sum + carrySteps(this.placedIn(fit, id), there, () => 0).filter((step) => isNews(step, since)).length;
    }, 0);
  }

  /** What a place would hold: what works there, private shortcuts left where they are. */
  held(request: FitRequest, place: string): readonly Placed[] | null {
    const fit = this.fitFor(request);
    return fit && this.placedIn(fit, place);
  }

  private placedIn(fit: ListFit, place: string) {
    const { shortcuts } = this.known!;
    const fits = fit.fitsOf(place);
    return fit.placedIn(place).flatMap((placed) => {
      const shortcut = shortcuts.get(placed.id)!;
      // What would not expand there is no use there.
      return shortcut.private || fits.get(placed.id)?.verdict === 'no' ? [] : [{ ...placed, shortcut }];
    });
  }

  /** The list in these places, as it stands; edits since the last question are followed. */
  private fitFor({ places, leftOut }: FitRequest): ListFit | null {
    const told = this.audit.asTold();
    const checked = this.audit.checked();
    if (!told || !checked) return null;
    const question = JSON.stringify([places, leftOut.map(({ deviceId, of, refersTo }) => [deviceId, of, refersTo])]);
    const { known } = this;
    if (known && known.question === question) {
      const put = [...told.values()].filter((shortcut) => known.shortcuts.get(shortcut.id) !== shortcut);
      const remove = [...known.shortcuts.keys()].filter((id) => !told.has(id));
      if (put.length + remove.length <= MOST_FOLLOWED) {
        if (put.length + remove.length > 0) known.fit.change({ put, remove });
        for (const shortcut of put) known.shortcuts.set(shortcut.id, shortcut);
        for (const id of remove) known.shortcuts.delete(id);
        return known.fit;
      }
    }
    const out = new Set(leftOut.map(({ deviceId, of, refersTo }) => `${deviceId} ${of} ${refersTo}`));
    const deviceOf = new Map(places.map(({ id, deviceId }) => [id, deviceId]));
    const shortcuts = new Map(told);
    const { list } = checked.audit;
    const fit = new ListFit(
      { ...list, shortcuts: [...shortcuts.values()] },
      places,
      { now: Date.now(), locale: 'en-GB', zone: Intl.DateTimeFormat().resolvedOptions().timeZone },
      (place, { id, setId }) =>
        out.has(`${deviceOf.get(place)} shortcut ${id}`) || out.has(`${deviceOf.get(place)} set ${setId}`),
    );
    this.known = { question, shortcuts, fit };
    return fit;
  }
}
