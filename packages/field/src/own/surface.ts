/** A text field as one text with a caret, whatever it is made of. */
import type { Edit, Range } from '@yellow-latch/core/fire';

export interface Surface {
  readonly element: HTMLElement;
  /** The text as it stands; lines end in LF. */
  readonly text: string;
  /** What is selected; null: the caret is elsewhere. */
  readonly selection: Range | null;
  /** Where typing goes on, also while the field is not the active one. */
  readonly caret: number;
  /** Makes an edit in place and puts the caret where it says. */
  apply(edit: Edit): void;
  /** Focuses the field and selects a stretch of it. */
  select(range: Range): void;
}
