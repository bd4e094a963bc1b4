/** What types on a stand-in: its keys, its suggestions and dictation go to the field that was touched last. */
import type { Correction, Offer } from '@yellow-latch/core/fire';
import type { AskedEvent, Field, FieldState } from '@yellow-latch/field/own';

import { Live } from '@/frame/live';

import type { Made } from '@/parts/typing/useFilling';

import type { Memory } from './memory';

/** A field of a place. `field` null: nothing expands in it, as in a password field. */
export interface Box {
  readonly name: string;
  readonly element: HTMLTextAreaElement | HTMLInputElement;
  readonly field: Field | null;
}

export interface Line {
  readonly text: string;
  readonly isAlarm: boolean;
}

/** What the strip above the keys shows. */
export interface Offered {
  readonly offers: readonly Offer[];
  readonly correction: Correction | null;
  readonly waiting: string | null;
}

const NOTHING: Offered = { offers: [], correction: null, waiting: null };

export class Typing {
  readonly offered = new Live<Offered>(NOTHING);
  readonly line = new Live<Line | null>(null);
  private readonly boxes = new Map<string, Box>();
  private active: Box | null = null;
  /** The field that the keys type into, by its name. */
  readonly activeName = new Live('');
  /** The shortcut that expanded last in each field. */
  private readonly expanded = new Map<string, string>();

  constructor(private readonly memory: Memory) {}

  /** A field is there; gives the way to say that it is gone. */
  add(box: Box): () => void {
    this.boxes.set(box.name, box);
    if (this.active === null) this.turnTo(box);
    return () => {
      this.boxes.delete(box.name);
      if (this.active !== box) return;
      this.turnTo([...this.boxes.values()][0] ?? null);
    };
  }

  touch(box: Box): void {
    if (this.active !== box) this.turnTo(box);
  }

  private turnTo(box: Box | null): void {
    this.active = box;
    this.activeName.set(box?.name ?? '');
    this.offered.set(NOTHING);
  }

  say(text: string, isAlarm = false): void {
    this.line.set({ text, isAlarm });
  }

  /** What a field holds now. */
  show(name: string, { text, offers, correction, waiting }: FieldState): void {
    this.memory.setText(name, text);
    if (this.active?.name !== name) return;
    this.offered.set(offers.length === 0 && correction === null ? NOTHING : { offers, correction, waiting });
  }

  noteExpanded(name: string, id: string): void {
    this.expanded.set(name, id);
  }

  expandedIn(name: string): string | null {
    return this.expanded.get(name) ?? null;
  }

  before(): string {
    const { active } = this;
    return active ? active.element.value.slice(0, active.element.selectionStart ?? active.element.value.length) : '';
  }

  key(text: string): void {
    this.memory.count({ keys: text });
    this.put(text);
  }

  tap(): void {
    this.memory.count({ taps: 1 });
  }

  /** A text that arrives at once, as when it is spoken. */
  dictate(text: string): void {
    this.tap();
    this.put(text);
  }

  backspace(): void {
    const { active } = this;
    if (!active) return;
    active.element.focus();
    if (active.field) return active.field.backspace();
    const end = active.element.value.length;
    if (end > 0) active.element.setRangeText('', end - 1, end, 'end');
  }

  take(offer: Offer): void {
    this.memory.count({ taps: 1, offers: 1 });
    this.active?.field?.take(offer);
    this.active?.element.focus();
  }

  /** Turns down what is offered, or the correction. */
  keep(): void {
    this.tap();
    const { offers, correction } = this.offered.value;
    this.active?.field?.keep(offers.length > 0 ? offers : [correction].filter((one) => one !== null));
    this.active?.element.focus();
  }

  /** What was asked for takes the place of its code; whether that was still there. */
  fill(name: string, asked: AskedEvent, made: Made): boolean {
    return this.boxes.get(name)?.field?.fill(asked, made) ?? false;
  }

  /** Takes white space off both ends of what stands in a field. */
  trim(name: string): void {
    const box = this.boxes.get(name);
    const text = box?.element.value ?? '';
    box?.field?.change({ start: 0, end: text.length }, text.trim());
  }

  /** Empties fields that were sent. */
  empty(names: readonly string[]): void {
    for (const name of names) {
      const box = this.boxes.get(name);
      if (box?.field) box.field.clear();
      else if (box) box.element.value = '';
    }
  }

  emptyAll(): void {
    this.empty([...this.boxes.keys()]);
  }

  /** The formatted stretches of what stands in a field. */
  formattedIn(name: string) {
    return this.boxes.get(name)?.field?.content.formatted ?? [];
  }

  focus(name: string): void {
    this.boxes.get(name)?.element.focus();
  }

  private put(text: string): void {
    const { active } = this;
    if (!active) return;
    active.element.focus();
    if (active.field) return active.field.press(text);
    const { value } = active.element;
    active.element.setRangeText(text === '\n' ? '' : text, value.length, value.length, 'end');
  }
}
