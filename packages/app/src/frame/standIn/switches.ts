/** What is set on the edge of a stand-in: kept by the browser for all tabs of it, and in force in each at once. */
import { usualSwitches, type Switches } from '@yellow-latch/core/standIn/device';
import { Subscribable } from '@yellow-latch/core/subscribable';
import { line } from '@yellow-latch/replica/sync/line';
import { useSyncExternalStore } from 'react';

import { deviceNameOf, type StandInTab } from './tab';

const KEPT = 'yellow-latch.stand-in';

export class SwitchBoard {
  private readonly changes = new Subscribable();
  private current: Switches;
  private readonly key: string;

  constructor(private readonly tab: StandInTab) {
    this.key = `${KEPT}.${deviceNameOf(tab)}`;
    this.current = this.read();
    this.apply();
    addEventListener('storage', ({ key }) => {
      if (key === this.key) this.take(this.read());
    });
  }

  /** The same object until something is switched. */
  get switches(): Switches {
    return this.current;
  }

  readonly subscribe = this.changes.subscribe;

  set(some: Partial<Switches>): void {
    const next = { ...this.current, ...some };
    localStorage.setItem(this.key, JSON.stringify(next));
    this.take(next);
  }

  /** All switches are as they were at first, and nothing of them is kept. */
  forget(): void {
    localStorage.removeItem(this.key);
    this.take(usualSwitches(this.tab.kind));
  }

  /** Its clock, in ms since 1970. */
  readonly clock = (): number => Date.now() + this.current.clockOff;

  private take(next: Switches): void {
    this.current = next;
    this.apply();
    this.changes.emit();
  }

  private apply(): void {
    // The sample list is on no server.
    if (this.current.isOffline || this.tab.list === 'sample') line.cut();
    else line.mend();
  }

  private read(): Switches {
    const usual = usualSwitches(this.tab.kind);
    try {
      return { ...usual, ...(JSON.parse(localStorage.getItem(this.key) ?? '{}') as Partial<Switches>) };
    } catch {
      return usual;
    }
  }
}

let board: SwitchBoard | null = null;

/** The switches of the stand-in that this tab is. */
export function switchBoardOf(tab: StandInTab): SwitchBoard {
  board ??= new SwitchBoard(tab);
  return board;
}

export function useSwitches(tab: StandInTab): readonly [Switches, (some: Partial<Switches>) => void] {
  const of = switchBoardOf(tab);
  const switches = useSyncExternalStore(of.subscribe, () => of.switches);
  return [switches, (some) => of.set(some)];
}
