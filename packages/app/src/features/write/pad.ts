import {
  differenceAt,
  startSession,
  TextHistory,
  type,
  type CompiledList,
  type Edit,
  type FiringEvent,
  type Input,
  type TypingSession,
} from '@yellow-latch/core/fire';

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

/** A code whose text is to be asked for. */
export type AskedEvent = Extract<FiringEvent, { type: 'asked' }>;

/** What a pad tells the page around it. */
export interface PadListener {
  onText(text: string): void;
  onFiring(event: FiringEvent): void;
  onHistory(can: { undo: boolean; redo: boolean }): void;
}

/**
 * A text area on which shortcuts fire: reads what the browser did to it, follows it with a typing
 * session, and applies the session's edits in place. Keeps the undo history that the browser
 * loses when a program edits a field.
 */
export class Pad {
  private session: TypingSession;
  private history = TextHistory.empty;

  constructor(
    private readonly area: HTMLTextAreaElement,
    private list: CompiledList,
    private readonly listener: PadListener,
  ) {
    this.session = startSession(area.value);
    area.addEventListener('beforeinput', this.onBeforeInput);
    area.addEventListener('input', this.onInput);
    area.addEventListener('compositionend', this.onCompositionEnd);
    area.addEventListener('keydown', this.onKeyDown);
    area.ownerDocument.addEventListener('selectionchange', this.onSelection);
  }

  detach(): void {
    this.area.removeEventListener('beforeinput', this.onBeforeInput);
    this.area.removeEventListener('input', this.onInput);
    this.area.removeEventListener('compositionend', this.onCompositionEnd);
    this.area.removeEventListener('keydown', this.onKeyDown);
    this.area.ownerDocument.removeEventListener('selectionchange', this.onSelection);
  }

  useList(list: CompiledList): void {
    this.list = list;
  }

  get text(): string {
    return this.session.text;
  }

  undo(): void {
    this.step(this.history.undo());
  }

  redo(): void {
    this.step(this.history.redo());
  }

  /** Puts in what was asked for; false: what asked is not there any more. */
  fill({ id, typed, range }: AskedEvent, text: string, caret: number | null): boolean {
    const before = this.session;
    if (before.composition || !before.text.slice(range.start, range.end).startsWith(typed)) return false;
    const { session, edit, events } = type(before, { type: 'fill', id, range, text, caret }, this.list);
    this.session = session;
    this.show(edit!);
    this.record(before, session.text, edit!.caret, false);
    for (const event of events) this.listener.onFiring(event);
    this.listener.onText(session.text);
    return true;
  }

  /** Empties the page; one undo brings everything back. */
  clear(): void {
    const edit = { range: { start: 0, end: this.session.text.length }, replacement: '', caret: 0 };
    const before = this.session;
    this.replace(edit);
    this.record(before, '', 0, false);
  }

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
    const { area } = this;
    if (area.ownerDocument.activeElement !== area || this.session.composition) return;
    if (area.value !== this.session.text) return;
    const caret = { start: area.selectionStart, end: area.selectionEnd };
    this.session = type(this.session, { type: 'caret', caret }, this.list).session;
  };

  /** Tells the session what the browser has just done to the field. */
  private follow(how: 'typing' | 'composing' | 'backspace' | 'paste' | 'other'): void {
    const before = this.session;
    const natural = this.area.value;
    const caret = this.area.selectionEnd;
    const { range, inserted } = differenceAt(before.text, natural, caret);
    const input: Input = { type: 'edit', range, text: inserted, how, caret };
    if (how === 'composing') {
      this.session = type(before, input, this.list).session;
      this.listener.onText(natural);
    } else {
      this.give(input, before, natural, caret, how === 'typing');
    }
  }

  private give(
    input: Input,
    before: TypingSession,
    natural: string,
    caret: number,
    joins: boolean,
  ): void {
    const { session, edit, events } = type(this.session, input, this.list);
    this.session = session;
    if (edit) this.show(edit);
    const isTakenBack = events.some(({ type: what }) => what === 'taken-back');
    if (edit && !isTakenBack) {
      this.record(before, natural, caret, joins);
      const at = { ...before, text: natural, caret: { start: caret, end: caret } };
      this.record(at, session.text, edit.caret, false);
    } else {
      this.record(before, session.text, session.caret.end, joins && !edit);
    }
    for (const event of events) this.listener.onFiring(event);
    this.listener.onText(session.text);
  }

  private step(step: { edit: Edit; history: TextHistory } | null): void {
    if (!step || this.session.composition) return;
    this.history = step.history;
    this.replace(step.edit);
    this.listener.onHistory({ undo: this.history.canUndo, redo: this.history.canRedo });
  }

  /** An edit of ours that nobody typed: nothing in it fires. */
  private replace(edit: Edit): void {
    const { range, replacement: text, caret } = edit;
    this.session = type(this.session, { type: 'edit', range, text, how: 'other', caret }, this.list).session;
    this.show(edit);
    this.listener.onText(this.session.text);
  }

  private record(before: TypingSession, text: string, caret: number, joins: boolean): void {
    this.history = this.history.record(before, { text, caret }, joins);
    this.listener.onHistory({ undo: this.history.canUndo, redo: this.history.canRedo });
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

