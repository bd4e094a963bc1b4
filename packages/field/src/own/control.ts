import type { Edit, Range } from '@yellow-latch/core/fire';

import type { Surface } from './surface';

/** A `textarea` or `input`. */
export class ControlSurface implements Surface {
  constructor(readonly element: HTMLTextAreaElement | HTMLInputElement) {}

  get text(): string {
    return this.element.value;
  }

  get selection(): Range | null {
    const { element } = this;
    if (element.ownerDocument.activeElement !== element) return null;
    return { start: element.selectionStart ?? 0, end: element.selectionEnd ?? 0 };
  }

  get caret(): number {
    return this.element.selectionEnd ?? this.element.value.length;
  }

  apply({ range, replacement, caret }: Edit): void {
    const { element } = this;
    const isAtEnd = range.end === element.value.length;
    element.setRangeText(replacement, range.start, range.end, 'end');
    element.setSelectionRange(caret, caret);
    if (isAtEnd) element.scrollTop = element.scrollHeight;
  }

  select({ start, end }: Range): void {
    this.element.focus();
    this.element.setSelectionRange(start, end);
  }
}
