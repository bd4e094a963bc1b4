/** What a template is made of, in its order. */
export type Segment = TextSegment | BlankSegment | DateSegment | GivenSegment | ShortcutSegment | CaretSegment;

export interface TextSegment {
  readonly type: 'text';
  readonly text: string;
}

/** How the letters of what is put in are set: the text functions. */
export const CASINGS = ['upper', 'lower', 'title'] as const;
export type Casing = (typeof CASINGS)[number];

export const BLANK_KINDS = ['text', 'lines', 'choice', 'number', 'date'] as const;
export type BlankKind = (typeof BLANK_KINDS)[number];

/** A gap that is asked for when the shortcut fires; the same name is asked for once. */
export interface BlankSegment {
  readonly type: 'blank';
  readonly name: string;
  readonly kind: BlankKind;
  /** What it is called when it is asked for; its name where that is ''. */
  readonly label: string;
  /** What stands in it until something is given. */
  readonly default: string;
  /** Of a choice. */
  readonly options: readonly string[];
  /** Of a date: UTS #35. */
  readonly pattern: string;
  readonly casing: Casing | null;
}

/** A moment: that of firing, moved and set in a pattern. */
export interface DateSegment {
  readonly type: 'date';
  /** Which it is called; `today` has no hours of its own to add. */
  readonly of: 'today' | 'now';
  /** UTS #35. */
  readonly pattern: string;
  /** An ISO 8601 duration, with a sign before it to go back; '': none. */
  readonly plus: string;
  /** After that, the next such day of the week, from the day after on; null: none. */
  readonly next: Weekday | null;
  readonly casing: Casing | null;
}

export const WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'] as const;
export type Weekday = (typeof WEEKDAYS)[number];

/** What a device has at hand: asked for like a blank, filled in already where it may be read. */
export interface GivenSegment {
  readonly type: 'clipboard' | 'selection';
  readonly casing: Casing | null;
}

/** Another shortcut, by its id, so that its code may change. */
export interface ShortcutSegment {
  readonly type: 'shortcut';
  readonly id: string;
  readonly casing: Casing | null;
}

/** Where typing goes on. */
export interface CaretSegment {
  readonly type: 'caret';
}

/** What is wrong with a template, and where: from `start` to `end` of its source, in UTF-16 units. */
export interface TemplateProblem {
  readonly type:
    | 'syntax'
    | 'unknown-function'
    | 'unknown-option'
    | 'bad-option'
    | 'unknown-letters'
    | 'bad-duration'
    | 'choice-without-options'
    | 'different-blanks'
    | 'several-carets'
    | 'too-many-blanks';
  readonly start: number;
  readonly end: number;
  /** The function, option, letters or name that is meant; '' where none is. */
  readonly what: string;
}

/** The name under which a device's own content is asked for. */
export function nameOfGiven({ type }: Pick<GivenSegment, 'type'>): string {
  return ` ${type}`;
}

/** At most so many blanks are asked for one after the other. */
export const MOST_BLANKS = 100;

/** What stands where something is to be filled in by hand. */
export const GAP = '____';
