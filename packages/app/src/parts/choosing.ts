import { Subscribable } from '@yellow-latch/core/subscribable';
import { useSyncExternalStore } from 'react';

/**
 * Which shortcuts are chosen, to do one thing to all of them. It outlives the list's own state, since what is chosen is also
 * what goes into a file or onto a sheet. Null: nothing is being chosen.
 */
export class Choosing {
  private chosen: ReadonlySet<string> | null = null;
  /** Where a stretch begins: the one that was chosen last. */
  private anchor: string | null = null;
  private readonly changes = new Subscribable();
  /** What is shown, in its order: a stretch goes along it. */
  shown: readonly string[] = [];

  get ids(): ReadonlySet<string> | null {
    return this.chosen;
  }

  /** Begins with one, or with none. */
  begin(id?: string): void {
    this.anchor = id ?? null;
    this.set(new Set(id === undefined ? [] : [id]));
  }

  /** One more, or one less. */
  toggle(id: string): void {
    const next = new Set(this.chosen ?? []);
    if (!next.delete(id)) next.add(id);
    this.anchor = id;
    this.set(next);
  }

  /** All that is shown from the one chosen last to this one, beside what is chosen. */
  extendTo(id: string): void {
    const from = this.anchor === null ? -1 : this.shown.indexOf(this.anchor);
    const to = this.shown.indexOf(id);
    if (from < 0 || to < 0) {
      this.toggle(id);
      return;
    }
    this.set(new Set([...(this.chosen ?? []), ...this.shown.slice(Math.min(from, to), Math.max(from, to) + 1)]));
  }

  all(): void {
    this.set(new Set(this.shown));
  }

  end(): void {
    this.anchor = null;
    this.set(null);
  }

  readonly subscribe = this.changes.subscribe;

  private set(next: ReadonlySet<string> | null): void {
    this.chosen = next;
    this.changes.emit();
  }
}

export const choosing = new Choosing();

/** The ids that are chosen; null: nothing is being chosen. */
export function useChosen(): ReadonlySet<string> | null {
  return useSyncExternalStore(choosing.subscribe, () => choosing.ids);
}
