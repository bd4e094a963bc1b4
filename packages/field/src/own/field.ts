import {
  nextGap,
  shiftFormatted,
  type DeviceList,
  type FormattedStretch,
  type MissedChance,
  type MissedChances,
  type Refused,
} from '@yellow-latch/core/compose';
import {
  applyEdit,
  applyInput,
  applyInputOnDevice,
  composedIn,
  correctionOf,
  differenceAt,
  joinEdits,
  offersOf,
  startSession,
  UndoHistory,
  type Correction,
  type Edit,
  type Explanation,
  type FiringEntry,
  type FiringEvent,
  type Input,
  type Offer,
  type Range,
  type Step,
  type TypingSession,
} from '@yellow-latch/core/fire';
import { KeyTimes } from '@yellow-latch/core/learn/keyTimes';
import { clustersOf } from '@yellow-latch/core/model';

import type { Surface } from './surface';

/** Input types (W3C Input Events Level 2) by what they mean to a typing session. */
const HOW: Record<string, 'typing' | 'composing' | 'backspace' | 'paste'> = {
  insertText: 'typing',
  insertLineBreak: 'typing',
  insertParagraph: 'typing',
  insertReplacementText: 'typing',
  insertCompositionText: 'composing',
  deleteCompositionText: 'composing',
  insertFromComposition: 'composing',
  deleteContentBackward: 'backspace',
  insertFromPaste: 'paste',
  insertFromDrop: 'paste',
  insertFromYank: 'paste',
};

/** Long enough for a family of emoji, in UTF-16 units. */
const LONGEST_CLUSTER = 64;

/** A code whose text is to be asked for. `joiner`: what goes before it, where it was put in by a tap. */
export type AskedEvent = Extract<FiringEvent, { type: 'asked' }> & { readonly joiner?: string };
export type FieldEvent = Exclude<FiringEvent, { type: 'asked' }> | AskedEvent;

/** What stands in a field, as far as the page around it shows it. */
export interface FieldState {
  readonly text: string;
  readonly caret: Range;
  readonly offers: readonly Offer[];
  /** What the keyboard would make of the word before the caret. */
  readonly correction: Correction | null;
  /** The shortcut that has fired if no longer code follows; null: none waits. */
  readonly waiting: string | null;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

/** What is worth keeping of a field, to begin with again. */
export interface FieldContent {
  readonly text: string;
  readonly caret: number;
  readonly history: { readonly done: readonly Step[]; readonly undone: readonly Step[] };
  readonly formatted: readonly FormattedStretch[];
}

export interface FieldOptions {
  /** The list as the device holds it that one types as. */
  readonly device: DeviceList;
  /** Texts of the list to be found when they are typed out; null: none. */
  readonly chances?: MissedChances | null;
  /** What the field held when it was left: its history and what is formatted. Its text must stand in the field. */
  readonly start?: FieldContent;
  onState?(state: FieldState): void;
  /** `hesitation`: how long somebody hesitated over the code, in s; null: not known. */
  onFiring?(event: FieldEvent, hesitation: number | null): void;
  /** What the device did at the last input, or why it did nothing. */
  onExplained?(explanations: readonly Explanation[], refused: Refused | null): void;
  onMissed?(missed: MissedChance): void;
  /** Keys of the page around the field, asked before the field's own. True: the key is done with. */
  onKey?(event: KeyboardEvent): boolean;
}

const EMPTY: FieldContent = { text: '', caret: 0, history: { done: [], undone: [] }, formatted: [] };

/** So much of the history is kept beside a text, in UTF-16 units. */
const MOST_KEPT = 400_000;

/**
 * A text field in which shortcuts fire: reads what the browser did to it, follows it with a typing session, and applies
 * the session's edits in place. Keeps the undo history that the browser loses when a program edits a field. Every
 * change is one `Edit`, which moves what is formatted and goes into the history. Made by `attach`.
 */
export class Field {
  private device: DeviceList;
  private chances: MissedChances | null;
  private session: TypingSession;
  private history: UndoHistory;
  private formatted: readonly FormattedStretch[];
  /** Offers are shown while one types; a caret that was moved shows none. */
  private isTyping = false;
  /** Where the text begins that has just been put in, if there are gaps in it: one goes on there. */
  private gapsFrom: number | null = null;
  private readonly keyTimes = new KeyTimes();
  private readonly attached = new AbortController();

  constructor(
    private readonly surface: Surface,
    private readonly options: FieldOptions,
  ) {
    const { device, chances = null, start = EMPTY } = options;
    this.device = device;
    this.chances = chances;
    this.session = startSession(surface.text);
    this.history = UndoHistory.from(start.history);
    this.formatted = start.formatted;
    const { element } = surface;
    const { signal } = this.attached;
    element.addEventListener('beforeinput', this.onBeforeInput, { signal });
    element.addEventListener('input', this.onInput, { signal });
    element.addEventListener('compositionend', this.onCompositionEnd, { signal });
    element.addEventListener('keydown', this.onKeyDown, { signal });
    element.ownerDocument.addEventListener('selectionchange', this.onSelection, { signal });
    this.tellState();
  }

  /** Leaves the field as it stands, and alone from now on. */
  detach(): void {
    this.attached.abort();
  }

  useDevice(device: DeviceList): void {
    const isOther = device.list.profile.id !== this.device.list.profile.id;
    this.device = device;
    // What waits on one device means nothing on another.
    if (isOther) this.session = { ...this.session, waiting: null };
    this.tellState();
  }

  useChances(chances: MissedChances | null): void {
    this.chances = chances;
  }

  get content(): FieldContent {
    const { text, caret } = this.session;
    return { text, caret: caret.end, history: this.history.data(MOST_KEPT), formatted: this.formatted };
  }

  undo(): void {
    this.step(this.history.undo());
  }

  redo(): void {
    this.step(this.history.redo());
  }

  // ── what is typed by other means than the browser's keyboard ──────────────────────────────

  /** A key of a keyboard on the page: as if it were typed. */
  press(text: string): void {
    const { caret: range, composition } = this.session;
    if (composition) return;
    this.surface.apply({ range, replacement: text, caret: range.start + text.length });
    this.observe('typing');
  }

  /** Deletes what is selected, or the character before the caret. */
  backspace(): void {
    const { text, caret, composition } = this.session;
    if (composition) return;
    const last = clustersOf(text.slice(Math.max(0, caret.start - LONGEST_CLUSTER), caret.start)).at(-1);
    const start = caret.start < caret.end ? caret.start : caret.start - (last?.text.length ?? 0);
    if (start === caret.end) return;
    this.surface.apply({ range: { start, end: caret.end }, replacement: '', caret: start });
    this.observe(caret.start < caret.end ? 'other' : 'backspace');
  }

  take(offer: Offer): void {
    if (!this.session.composition) this.give({ type: 'take', offer }, null, false);
  }

  /** Rejects what is offered, or a correction: what stands before the caret stays as it was typed. */
  keep(offers: readonly Range[]): void {
    const range = { start: Math.min(...offers.map(({ start }) => start)), end: this.session.caret.end };
    if (offers.length > 0) this.give({ type: 'keep', range }, null, false);
  }

  /** Puts in a shortcut by a tap, where the caret is, with `joiner` before it. */
  put(entry: FiringEntry, joiner: string): void {
    const { caret, composition } = this.session;
    if (composition) return;
    if (entry.asks) {
      this.options.onFiring?.({ type: 'asked', id: entry.id, typed: '', range: caret, joiner }, null);
      return;
    }
    const joined: Edit = { range: caret, replacement: joiner, caret: caret.start + joiner.length };
    const offer: Offer = { entry, start: joined.caret, end: joined.caret, isExact: true };
    const isJoined = joiner !== '' || caret.start < caret.end;
    const before = this.session;
    if (isJoined) this.replace(joined);
    this.give({ type: 'take', offer }, isJoined ? { before, edit: joined } : null, false);
  }

  /** Puts in what was asked for; false: what asked is not there any more. */
  fill(
    asked: AskedEvent,
    { plain, caret, html }: { plain: string; caret: number | null; html: string | null },
  ): boolean {
    const before = this.session;
    const { id, typed, range, joiner = '' } = asked;
    if (before.composition || !before.text.slice(range.start, range.end).startsWith(typed)) return false;
    const at = caret === null ? null : caret + joiner.length;
    const input: Input = { type: 'fill', id, range, text: joiner + plain, caret: at };
    const { session, edit, events } = applyInput(before, input, this.device.list);
    this.moveTo(session, edit);
    if (html !== null) {
      const start = range.start + joiner.length;
      this.formatted = [...this.formatted, { start, end: start + plain.length, html }];
    }
    this.putIn(edit!);
    this.history = this.history.record(before, edit!, false);
    for (const event of events) this.options.onFiring?.(event, null);
    this.tellState();
    return true;
  }

  // ── what is changed by hand ───────────────────────────────────────────────────────────────

  /** Replaces a stretch in one step that can be undone, and selects `select` of what then stands there. */
  change(range: Range, replacement: string, select?: Range): void {
    if (this.session.composition) return;
    const before = this.session;
    const edit = { range, replacement, caret: range.start + replacement.length };
    this.replace(edit);
    this.history = this.history.record(before, edit, false);
    if (select) this.select(select);
  }

  select(range: Range): void {
    this.surface.select(range);
    this.onSelection();
  }

  /** Selects the next gap: from the caret on, or in what has just been put in; false: there is none that way. `around`: begins at the other end again. */
  walkGap(way: 'forward' | 'back', around = false): boolean {
    const { text } = this.session;
    const isFresh = this.gapsFrom !== null && way === 'forward';
    const caret = isFresh ? { start: this.gapsFrom!, end: this.gapsFrom! } : this.session.caret;
    const gap = nextGap(text, caret, way) ?? (around ? nextGap(text, { start: 0, end: 0 }) : null);
    if (gap) this.select(gap);
    return gap !== null;
  }

  /** Empties the page; one undo brings everything back. */
  clear(): void {
    this.change({ start: 0, end: this.session.text.length }, '');
  }

  // ── following the browser ─────────────────────────────────────────────────────────────────

  private readonly onBeforeInput = (event: InputEvent): void => {
    const isUndo = event.inputType === 'historyUndo';
    if (!isUndo && event.inputType !== 'historyRedo') return;
    event.preventDefault();
    if (isUndo) this.undo();
    else this.redo();
  };

  private readonly onKeyDown = (event: KeyboardEvent): void => {
    if (event.isComposing) return;
    if (this.options.onKey?.(event) || this.undoKey(event)) event.preventDefault();
  };

  /** The browser's own history is empty, so it may not even ask: its keys are answered here. */
  private undoKey({ ctrlKey, metaKey, altKey, shiftKey, key: typed }: KeyboardEvent): boolean {
    const key = typed.toLowerCase();
    if (!(ctrlKey || metaKey) || altKey || (key !== 'z' && key !== 'y')) return false;
    if (key === 'y' || shiftKey) this.redo();
    else this.undo();
    return true;
  }

  private readonly onInput = (event: Event): void => {
    const { inputType, isComposing } = event as InputEvent;
    this.observe(isComposing ? 'composing' : (HOW[inputType] ?? 'other'));
  };

  private readonly onCompositionEnd = (): void => {
    if (this.surface.text !== this.session.text) this.observe('composing');
    const composed = composedIn(this.session);
    if (!composed) return;
    const { before, range, text } = composed;
    const edit: Edit = { range, replacement: text, caret: this.session.caret.end };
    this.give({ type: 'composition-end' }, { before, edit }, true);
  };

  private readonly onSelection = (): void => {
    const { surface, session } = this;
    const caret = surface.selection;
    if (!caret || session.composition || surface.text !== session.text) return;
    if (caret.start === session.caret.start && caret.end === session.caret.end) return;
    this.session = applyInput(session, { type: 'caret', caret }, this.device.list).session;
    this.isTyping = false;
    this.gapsFrom = null;
    this.tellState();
  };

  /** Tells the session what the browser has just done to the field. */
  private observe(how: 'typing' | 'composing' | 'backspace' | 'paste' | 'other'): void {
    const before = this.session;
    this.gapsFrom = null;
    const edit = differenceAt(before.text, this.surface.text, this.surface.caret);
    const { range, replacement: text, caret } = edit;
    const input: Input = { type: 'edit', range, text, how, caret };
    if (how === 'paste' || how === 'other') this.keyTimes.forget();
    else if (text !== '') this.keyTimes.typed(performance.now(), range.start, range.start + text.length);
    if (how === 'composing') {
      this.moveTo(applyInput(before, input, this.device.list).session, edit);
      this.isTyping = true;
      this.tellState();
    } else {
      this.shiftFormatted(edit);
      this.give(input, { before, edit }, how === 'typing');
    }
  }

  /**
   * Gives an input to the session. `shown`: the edit that stands in the field already, and the session before it; it is
   * in the history when this returns. `joins`: it may join the typing before it.
   */
  private give(input: Input, shown: { before: TypingSession; edit: Edit } | null, joins: boolean): void {
    const { session, edit, events, told } = applyInputOnDevice(this.session, input, this.device.list, {
      corrects: this.device.corrects,
    });
    const before = shown?.before ?? this.session;
    const typed = shown ? applyEdit(before.text, shown.edit).slice(0, shown.edit.caret) : before.text;
    this.moveTo(session, edit);
    this.isTyping =
      input.type === 'composition-end' || (input.type === 'edit' && input.how !== 'paste' && input.how !== 'other');
    if (edit) this.putIn(edit);
    this.remember(before, shown?.edit ?? null, edit, isOneStep(input, events), joins);
    this.tellWhatCame(input, events.length > 0, told);
    for (const event of events) this.options.onFiring?.(event, this.hesitationOver(event, typed));
    if (edit) this.keyTimes.expanded(performance.now(), edit.caret);
    this.tellState();
  }

  /** How long somebody hesitated over the code that fired at the end of `typed`. */
  private hesitationOver({ typed: code }: FiringEvent, typed: string): number | null {
    const start = typed.lastIndexOf(code);
    return start < 0 ? null : this.keyTimes.hesitationOver(start, start + code.length);
  }

  /** What was typed and what came of it are two steps to undo; taken by a tap, or taken back, they are one. */
  private remember(before: TypingSession, shown: Edit | null, edit: Edit | null, isOne: boolean, joins: boolean): void {
    if (shown && edit && isOne) {
      this.history = this.history.record(before, joinEdits(shown, edit, before.text, this.session.text), false);
      return;
    }
    if (shown) this.history = this.history.record(before, shown, joins);
    if (!edit) return;
    const natural = shown
      ? { text: applyEdit(before.text, shown), caret: { start: shown.caret, end: shown.caret } }
      : before;
    this.history = this.history.record(natural, edit, false);
  }

  /** Tells why nothing fired, and what could have been had by a code. */
  private tellWhatCame(input: Input, hasFired: boolean, told: readonly Explanation[]): void {
    const isTyped = input.type === 'composition-end' || (input.type === 'edit' && input.how === 'typing');
    const { text, caret, quiet } = this.session;
    const last =
      isTyped && !hasFired ? (Array.from(text.slice(Math.max(0, caret.start - 2), caret.start)).at(-1) ?? '') : '';
    const isEnd = last !== '' && !/[\p{L}\p{N}\p{M}]/u.test(last);
    const end = caret.start - last.length;
    const isRefused = isEnd && this.device.list.isDelimiter(last);
    this.options.onExplained?.(told, isRefused ? this.device.refusedAt(text, end) : null);
    const missed = isEnd ? this.chances?.endingAt(text, end, quiet) : null;
    if (missed) this.options.onMissed?.(missed);
  }

  private step(step: { edit: Edit; history: UndoHistory } | null): void {
    if (!step || this.session.composition) return;
    this.history = step.history;
    this.replace(step.edit);
  }

  /** An edit of ours that nobody typed: nothing in it fires. */
  private replace(edit: Edit): void {
    const { range, replacement: text, caret } = edit;
    const input: Input = { type: 'edit', range, text, how: 'other', caret };
    this.moveTo(applyInput(this.session, input, this.device.list).session, edit);
    this.isTyping = false;
    this.show(edit);
    this.tellState();
  }

  /** The session after an edit. */
  private moveTo(session: TypingSession, edit: Edit | null): void {
    this.session = session;
    if (edit) this.shiftFormatted(edit);
  }

  /** What was formatted stays so as long as it is not cut into. */
  private shiftFormatted({ range, replacement }: Edit): void {
    if (this.formatted.length > 0) this.formatted = shiftFormatted(this.formatted, range, replacement.length);
  }

  private tellState(): void {
    const { session, history, device } = this;
    this.options.onState?.({
      text: session.text,
      caret: session.caret,
      offers: this.isTyping ? offersOf(session, device.list) : [],
      correction: this.isTyping && device.corrects ? correctionOf(session, device.corrects) : null,
      waiting: session.waiting?.entry.id ?? null,
      canUndo: history.canUndo,
      canRedo: history.canRedo,
    });
  }

  /** Shows what a shortcut has put in. The caret may stand behind its gaps. */
  private putIn(edit: Edit): void {
    this.show(edit);
    const { start } = edit.range;
    this.gapsFrom = nextGap(edit.replacement, { start: 0, end: 0 }) ? start : null;
  }

  private show(edit: Edit): void {
    this.surface.apply(edit);
    const { text } = this.surface;
    if (text !== this.session.text) {
      throw new Error(`the field holds ${text.length} units, the session ${this.session.text.length}`);
    }
  }
}

/** Whether what was typed and what the engine made of it are one step to undo. */
function isOneStep(input: Input, events: readonly FiringEvent[]): boolean {
  return input.type === 'take' || events.some(({ type }) => type === 'taken-back');
}
