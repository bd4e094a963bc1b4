/** What changes with the keys in Write, each for those who show it: the page around them is not drawn anew. */
import type { Tag } from '@yellow-latch/core/compose';
import type { FieldState } from '@yellow-latch/field/own';

import { Live } from '@/frame/live';

/** One line on what has just happened. */
export interface Line {
  readonly text: string;
  readonly isAlarm: boolean;
}

/** What is offered, and what fires unless a longer code follows. */
export type Offered = Pick<FieldState, 'offers' | 'waiting'>;

/** What the buttons around the page need to know of it. */
export type Page = Pick<FieldState, 'canUndo' | 'canRedo'> & {
  readonly isEmpty: boolean;
  readonly isSelected: boolean;
  readonly hasGap: boolean;
};

const NOTHING_OFFERED: Offered = { offers: [], waiting: null };
const EMPTY_PAGE: Page = { canUndo: false, canRedo: false, isEmpty: true, isSelected: false, hasGap: false };

export class LiveWrite {
  readonly offered = new Live(NOTHING_OFFERED);
  readonly page = new Live(EMPTY_PAGE);
  readonly line = new Live<Line | null>(null);
  readonly tags = new Live<readonly Tag[]>([]);
  /** The offer that the arrows have come to. */
  readonly chosen = new Live<number | null>(null);
  /** Taps beside the stand-in keyboard that count as typing. */
  readonly taps = new Live(0);

  say(text: string, isAlarm = false): void {
    this.line.set({ text, isAlarm });
  }

  tap(): void {
    this.taps.set(this.taps.value + 1);
  }

  /** What the field holds now, and held before; null: this is another text. */
  show(state: FieldState, before: FieldState | null): void {
    this.page.set(pageOf(state, this.page.value));
    this.offered.set(state.offers.length === 0 ? NOTHING_OFFERED : state);
    if (state.offers !== before?.offers) this.chosen.set(null);
  }
}

/** What the buttons need to know; the same object where nothing of it has changed, so that most keys draw none anew. */
function pageOf({ text, caret, canUndo, canRedo }: FieldState, last: Page): Page {
  const page: Page = {
    canUndo,
    canRedo,
    isEmpty: text === '',
    isSelected: caret.start !== caret.end,
    hasGap: text.includes('___'),
  };
  return (Object.keys(page) as (keyof Page)[]).every((name) => page[name] === last[name]) ? last : page;
}
