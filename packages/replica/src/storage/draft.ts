import type { FormattedStretch } from '@yellow-latch/core/compose';
import type { Step } from '@yellow-latch/core/fire';
import { v7 as uuid } from 'uuid';

/** What a page to type on holds, to be kept and to begin with again. */
export interface DraftContent {
  readonly text: string;
  readonly caret: number;
  readonly history: { readonly done: readonly Step[]; readonly undone: readonly Step[] };
  readonly formatted: readonly FormattedStretch[];
}

/** A draft as it is kept, on this device alone. `version` counts how often it was kept. */
export interface Draft extends DraftContent {
  readonly id: string;
  readonly changed: number;
  readonly version: number;
}

/** Under this name the id of the draft that was open last is kept. */
export const OPEN_DRAFT = 'draft';

export function draftOf(text: string): Draft {
  return {
    id: uuid(),
    text,
    caret: text.length,
    history: { done: [], undone: [] },
    formatted: [],
    changed: Date.now(),
    version: 0,
  };
}
