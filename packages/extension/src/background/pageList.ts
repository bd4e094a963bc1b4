/** The list as frames of pages get it: what fires, and no more. */
import { formerCodes } from '@yellow-latch/core/convention/former';
import { entriesOf, type FiringEntry } from '@yellow-latch/core/fire';
import type { Shortcut } from '@yellow-latch/core/model';
import { THIS_APP } from '@yellow-latch/core/profile/thisApp';
import { usesFrom } from '@yellow-latch/replica/storage/uses';
import { v7 as uuid } from 'uuid';

import type { ListPart } from '../shared/messages';

/** A text longer than this, in UTF-16 units, is asked for when it fires: frames do not hold it. */
const LONGEST_HELD = 500;
/** What is shown of a text that is not held. */
const SHOWN = 120;
/** Frames that fell further behind than so many changes get the whole list. */
const MOST_CHANGES = 200;

/** Numbers the states of the list since the background woke, so that a frame is told only what it lacks. */
export class PageList {
  /** Another one each time the background wakes: it knows nothing of what was told before. */
  private readonly epoch = uuid();
  private shortcuts: readonly Shortcut[] | null = null;
  private entries = new Map<string, FiringEntry>();
  /** What was made of a shortcut; shortcuts never change, they are replaced. */
  private readonly made = new WeakMap<Shortcut, FiringEntry>();
  /** By the number of the state that it led to: which entries changed. */
  private readonly changes: (readonly string[])[] = [];

  /** Takes in the list as it is now. Linear; what did not change is told by its being the same object. */
  update(shortcuts: readonly Shortcut[], now: number): void {
    if (shortcuts === this.shortcuts) return;
    const entries = new Map(this.entriesNow(shortcuts, now).map((entry) => [entry.id, entry]));
    const changed: string[] = [];
    for (const [id, entry] of entries) if (this.entries.get(id) !== entry) changed.push(id);
    for (const id of this.entries.keys()) if (!entries.has(id)) changed.push(id);
    const isFirst = this.shortcuts === null;
    this.shortcuts = shortcuts;
    this.entries = entries;
    if (changed.length > 0 && !isFirst) this.changes.push(changed);
  }

  /** What a frame lacks that knows `version`; null: it knows nothing. */
  partFor(known: string | null): ListPart {
    const version = `${this.epoch} ${this.changes.length}`;
    if (known === version) return { type: 'same' };
    const [epoch, number] = known?.split(' ') ?? [];
    const missed = epoch === this.epoch ? new Set(this.changes.slice(Number(number)).flat()) : null;
    if (!missed || missed.size > MOST_CHANGES) return { type: 'whole', version, entries: [...this.entries.values()] };
    const put = [...missed].flatMap((id) => this.entries.get(id) ?? []);
    return { type: 'changes', version, put, remove: [...missed].filter((id) => !this.entries.has(id)) };
  }

  /** The list as entries. One that would be told as before is the same object as before. */
  private entriesNow(shortcuts: readonly Shortcut[], now: number): FiringEntry[] {
    const former = formerCodes(shortcuts, now);
    const all: readonly Shortcut[] = former.length === 0 ? shortcuts : [...shortcuts, ...former];
    const fresh = all.filter((one) => !this.made.has(one));
    const uses = usesFrom(fresh, null, now);
    const rated = fresh.map((one) => ({ ...one, uses: uses[one.id]?.aWeek ?? 0 }));
    entriesOf(rated, [], THIS_APP).forEach((entry, index) => {
      const told = asTold(entry, fresh[index]!.sketch);
      const before = this.entries.get(told.id);
      this.made.set(fresh[index]!, before && isSame(before, told) ? before : told);
    });
    return all.map((one) => this.made.get(one)!);
  }
}

/** An entry as frames get it. `sketch`: how a template is shown. */
function asTold(entry: FiringEntry, sketch: string | undefined): FiringEntry {
  const shown = sketch ?? entry.expansion;
  if (entry.expansion.length <= LONGEST_HELD) return sketch === undefined ? entry : { ...entry, shown };
  return { ...entry, expansion: '', asks: true, shown: shown.slice(0, SHOWN) };
}

/** Whether a frame would notice: uses alone only order what is suggested. */
function isSame(a: FiringEntry, b: FiringEntry): boolean {
  return JSON.stringify({ ...a, uses: 0 }) === JSON.stringify({ ...b, uses: 0 });
}
