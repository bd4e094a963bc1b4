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
  difference,
  differenceAt,
  applyInputOnDevice,
  offersOf,
  startSession,
  UndoHistory,
  applyInput,
  type Edit,
  type FiringEntry,
  type FiringEvent,
  type Input,
  type Offer,
  type Range,
  type Explanation,
  type TypingSession,
} from '@yellow-latch/core/fire';
import { clustersOf } from '@yellow-latch/core/model';

import type { DraftContent } from '@yellow-latch/replica/storage/draft';

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
export type PadEvent = Exclude<FiringEvent, { type: 'asked' }> | AskedEvent;

/** What stands in a pad, as far as the page around it shows it. */
export interface PadState {
  readonly text: string;
  readonly caret: Range;
  readonly offers: readonly Offer[];
  /** The shortcut that has fired if no longer code follows; null: none waits. */
  readonly waiting: string | null;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

/** What a pad tells the page around it. */
export interface PadListener {
  onState(state: PadState): void;
  onFiring(event: PadEvent): void;
  /** What the device did at the last input, or why it did nothing. */
  onTold?(told: readonly Explanation[], refused: Refused | null): void;
  onMissed?(missed: MissedChance): void;
}

const EMPTY: DraftContent = { text: '', caret: 0, history: { done: [], undone: [] }, formatted: [] };

/** So much of the history is kept beside a text, in UTF-16 units. */
const MOST_KEPT = 400_000;

/**
 * A text area on which shortcuts fire: reads what the browser did to it, follows it with a typing
 * session, and applies the session's edits in place. Keeps the undo history that the browser
 * loses when a program edits a field.
 */
export class Pad {
  private session: TypingSession;
  private history: UndoHistory;
  private formatted: readonly FormattedStretch[];
  /** Offers are shown while one types; a caret that was moved shows none. */
  private isTyping = false;

  constructor(
    private readonly area: HTMLTextAreaElement,
    private device: DeviceList,
    private readonly listener: PadListener,
    start: DraftContent = EMPTY,
    private chances: MissedChances | null = null,
  ) {
    this.session = startSession(area.value);
    this.history = UndoHistory.from(start.history);
    this.formatted = start.formatted;
    area.addEventListener('beforeinput', this.onBeforeInput);
    area.addEventListener('input', this.onInput);
    area.addEventListener('compositionend', this.onCompositionEnd);
    area.addEventListener('keydown', this.onKeyDown);
    area.ownerDocument.addEventListener('selectionchange', this.onSelection);
    this.tellState();
  }

  detach(): void {
    this.area.removeEventListener('beforeinput', this.onBeforeInput);
    this.area.removeEventListener('input', this.onInput);
    this.area.removeEventListener('compositionend', this.onCompositionEnd);
    this.area.removeEventListener('keydown', this.onKeyDown);
    this.area.ownerDocument.removeEventListener('selectionchange', this.onSelection);
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

  get content(): DraftContent {
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
    const { start, end } = this.session.caret;
    if (this.session.composition) return;
    this.area.setRangeText(text, start, end, 'end');
    this.follow('typing');
  }

  /** Deletes what is selected, or the character before the caret. */
  backspace(): void {
    const { text, caret, composition } = this.session;
    if (composition) return;
    const last = clustersOf(text.slice(Math.max(0, caret.start - LONGEST_CLUSTER), caret.start)).at(-1);
    const start = caret.start < caret.end ? caret.start : caret.start - (last?.text.length ?? 0);
    if (start === caret.end) return;
    this.area.setRangeText('', start, caret.end, 'end');
    this.follow(caret.start < caret.end ? 'other' : 'backspace');
  }

  take(offer: Offer): void {
    if (!this.session.composition)
      this.give({ type: 'take', offer }, this.session, this.session.text, this.session.caret.end, false);
  }

  /** Rejects the offers: what stands before the caret stays as it was typed. */
  keep(offers: readonly Offer[]): void {
    const { caret, text } = this.session;
    const range = { start: Math.min(...offers.map(({ start }) => start)), end: caret.end };
    if (offers.length > 0) this.give({ type: 'keep', range }, this.session, text, caret.end, false);
  }

  /** Puts in a shortcut by a tap, where the caret is, with `joiner` before it. */
  put(entry: FiringEntry, joiner: string): void {
    const { caret, composition } = this.session;
    if (composition) return;
    if (entry.asks) {
      this.tellFiring({ type: 'asked', id: entry.id, typed: '', range: caret, joiner });
      return;
    }
    const before = this.session;
    const edit = { range: caret, replacement: joiner, caret: caret.start + joiner.length };
    if (joiner !== '' || caret.start < caret.end) this.replace(edit);
    this.give(
      { type: 'take', offer: { entry, start: edit.caret, end: edit.caret, isExact: true } },
      before,
      before.text,
      caret.end,
      false,
    );
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
    const { session, edit, events } = applyInput(
      before,
      { type: 'fill', id, range, text: joiner + plain, caret: at },
      this.device.list,
    );
    this.moveTo(session);
    if (html !== null) {
      const start = range.start + joiner.length;
      this.formatted = [...this.formatted, { start, end: start + plain.length, html }];
    }
    this.show(edit!);
    this.record(before, session.text, edit!.caret, false);
    for (const event of events) this.tellFiring(event);
    this.tellState();
    return true;
  }

  // ── what is changed by hand ───────────────────────────────────────────────────────────────

  /** Replaces a stretch in one step that can be undone, and selects `select` of what then stands there. */
  change(range: Range, replacement: string, select?: Range): void {
    if (this.session.composition) return;
    const before = this.session;
    const caret = range.start + replacement.length;
    this.replace({ range, replacement, caret });
    this.record(before, this.session.text, caret, false);
    if (select) this.select(select);
  }

  select({ start, end }: Range): void {
    this.area.focus();
    this.area.setSelectionRange(start, end);
    this.onSelection();
  }

  /** Selects the next gap from the caret on; false: there is none that way. `around`: begins at the other end again. */
  walkGap(way: 'forward' | 'back', around = false): boolean {
    const { text, caret } = this.session;
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

  /** The browser's own history is empty, so it may not even ask: answer its keys here. */
  private readonly onKeyDown = (event: KeyboardEvent): void => {
    if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
    const key = event.key.toLowerCase();
    if (key !== 'z' && key !== 'y') return;
    event.preventDefault();
    if (key === 'y' || event.shiftKey) this.redo();
    else this.undo();
  };

  private readonly onInput = (event: Event): void => {
    const { inputType, isComposing } = event as InputEvent;
    this.follow(isComposing ? 'composing' : (HOW[inputType] ?? 'other'));
  };

  private readonly onCompositionEnd = (): void => {
    if (this.area.value !== this.session.text) this.follow('composing');
    const before = this.session.composition?.before;
    if (!before) return;
    const natural = this.session.text;
    const caret = this.session.caret.end;
    this.give({ type: 'composition-end' }, before, natural, caret, true);
  };

  private readonly onSelection = (): void => {
    const { area, session } = this;
    if (area.ownerDocument.activeElement !== area || session.composition) return;
    if (area.value !== session.text) return;
    const caret = { start: area.selectionStart, end: area.selectionEnd };
    if (caret.start === session.caret.start && caret.end === session.caret.end) return;
    this.session = applyInput(session, { type: 'caret', caret }, this.device.list).session;
    this.isTyping = false;
    this.tellState();
  };

  /** Tells the session what the browser has just done to the field. */
  private follow(how: 'typing' | 'composing' | 'backspace' | 'paste' | 'other'): void {
    const before = this.session;
    const natural = this.area.value;
    const caret = this.area.selectionEnd;
    const { range, inserted } = differenceAt(before.text, natural, caret);
    const input: Input = { type: 'edit', range, text: inserted, how, caret };
    if (how === 'composing') {
      this.moveTo(applyInput(before, input, this.device.list).session);
      this.isTyping = true;
      this.tellState();
    } else {
      this.give(input, before, natural, caret, how === 'typing');
    }
  }

  private give(input: Input, before: TypingSession, natural: string, caret: number, joins: boolean): void {
    const { session, edit, events, told } = applyInputOnDevice(this.session, input, this.device.list);
    this.moveTo(session);
    this.isTyping =
      input.type === 'composition-end' || (input.type === 'edit' && input.how !== 'paste' && input.how !== 'other');
    if (edit) this.show(edit);
    const isTakenBack = events.some(({ type: what }) => what === 'taken-back');
    if (edit && natural !== before.text && !isTakenBack) {
      this.record(before, natural, caret, joins);
      const at = { ...before, text: natural, caret: { start: caret, end: caret } };
      this.record(at, session.text, edit.caret, false);
    } else {
      this.record(before, session.text, session.caret.end, joins && !edit);
    }
    this.tellWhatCame(input, events.length > 0, told);
    for (const event of events) this.tellFiring(event);
    this.tellState();
  }

  /** Tells why nothing fired, and what could have been had by a code. */
  private tellWhatCame(input: Input, hasFired: boolean, told: readonly Explanation[]): void {
    const isTyped = input.type === 'composition-end' || (input.type === 'edit' && input.how === 'typing');
    const { text, caret, quiet } = this.session;
    const last =
      isTyped && !hasFired ? (Array.from(text.slice(Math.max(0, caret.start - 2), caret.start)).at(-1) ?? '') : '';
    const isEnd = last !== '' && !/[\p{L}\p{N}\p{M}]/u.test(last);
    const end = caret.start - last.length;
    this.listener.onTold?.(told, isEnd && this.device.list.isDelimiter(last) ? this.device.refusedAt(text, end) : null);
    const missed = isEnd ? this.chances?.endingAt(text, end, quiet) : null;
    if (missed) this.listener.onMissed?.(missed);
  }

  private step(step: { edit: Edit; history: UndoHistory } | null): void {
    if (!step || this.session.composition) return;
    this.history = step.history;
    this.replace(step.edit);
  }

  /** An edit of ours that nobody typed: nothing in it fires. */
  private replace(edit: Edit): void {
    const { range, replacement: text, caret } = edit;
    this.moveTo(applyInput(this.session, { type: 'edit', range, text, how: 'other', caret }, this.device.list).session);
    this.isTyping = false;
    this.show(edit);
    this.tellState();
  }

  /** What was formatted stays so as long as it is not cut into. */
  private moveTo(session: TypingSession): void {
    const before = this.session.text;
    this.session = session;
    if (this.formatted.length === 0 || before === session.text) return;
    const { range, inserted } = difference(before, session.text);
    this.formatted = shiftFormatted(this.formatted, range, inserted.length);
  }

  private record(before: TypingSession, text: string, caret: number, joins: boolean): void {
    this.history = this.history.record(before, { text, caret }, joins);
  }

  private tellFiring(event: PadEvent): void {
    this.listener.onFiring(event);
  }

  private tellState(): void {
    const { session, history } = this;
    this.listener.onState({
      text: session.text,
      caret: session.caret,
      offers: this.isTyping ? offersOf(session, this.device.list) : [],
      waiting: session.waiting?.entry.id ?? null,
      canUndo: history.canUndo,
      canRedo: history.canRedo,
    });
  }

  private show({ range, replacement, caret }: Edit): void {
    const { area } = this;
    const isAtEnd = range.end === area.value.length;
    area.setRangeText(replacement, range.start, range.end, 'end');
    area.setSelectionRange(caret, caret);
    if (isAtEnd) area.scrollTop = area.scrollHeight;
    if (area.value !== this.session.text) {
      throw new Error(`the field holds ${area.value.length} units, the session ${this.session.text.length}`);
    }
  }
}
