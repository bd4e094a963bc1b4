/** A field of somebody else's page, as far as firing needs it: what stands before the caret, and a way to replace that. */

/** What stands before the caret, in its line. */
export interface Before {
  /** The end of the line up to the caret or, where something is selected, up to the selection. */
  readonly text: string;
  /** Whether the line begins where `text` does. */
  readonly isWhole: boolean;
  /** Whether nothing is selected. */
  readonly isCaret: boolean;
}

/** Where the caret is on the screen, in CSS pixels from the corner of the frame. */
export interface CaretBox {
  readonly left: number;
  readonly top: number;
  readonly bottom: number;
}

export interface GuestSurface {
  readonly element: HTMLElement;
  /** Whether it holds texts of several lines, formatted ones, and ones that end in a space. */
  readonly takes: { readonly lines: boolean; readonly formatting: boolean; readonly spaces: boolean };
  /** Whether it tells where the caret is. One that does not is taken to be written at its end. */
  readonly knowsCaret: boolean;
  /** At most `most` units before the caret; null: the caret is not in it. No-break spaces are given as spaces. */
  before(most: number): Before | null;
  /**
   * Puts a text in the place of `expected`, which is to stand before the caret, and of what is selected. It goes the way
   * of a person's own typing, so that the page hears of it and can undo it. `formatted`: the same as HTML, where it takes
   * that. False: something else stands there, or the page did not let it.
   */
  replaceBefore(expected: string, text: string, formatted: string | null): boolean;
  /** Moves the caret back over a text that is to stand before it. */
  moveBack(over: string): void;
  /** What is selected; empty: nothing. */
  selected(): string;
  caretBox(): CaretBox;
  /** Notes where the caret is; what is returned brings it, and the focus, back there. */
  keepCaret(): () => void;
}

/** A space that does not break is one: browsers put it where a line ends in a space. */
export function asSpaces(text: string): string {
  return text.replaceAll('\u00a0', ' ');
}
