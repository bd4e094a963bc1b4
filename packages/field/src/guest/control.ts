import textareaCaret from 'textarea-caret';

import { asSpaces, type Before, type CaretBox, type GuestSurface } from './surface';

/** A `textarea` or an `input` of somebody else's page. */
export class ControlOfPage implements GuestSurface {
  constructor(readonly element: HTMLTextAreaElement | HTMLInputElement) {}

  get takes() {
    const { localName, type, inputMode, autocomplete } = this.element;
    const isMail = [type, inputMode, ...autocomplete.split(' ')].includes('email');
    return { lines: localName === 'textarea', formatting: false, spaces: !isMail };
  }

  /** Inputs for mail addresses keep it to themselves (HTML, "selectionStart applies"). */
  get knowsCaret(): boolean {
    return this.element.selectionStart !== null;
  }

  before(most: number): Before | null {
    const { value, selectionStart, selectionEnd } = this.element;
    const end = selectionStart ?? value.length;
    const line = value.lastIndexOf('\n', end - 1) + 1;
    const start = Math.max(line, end - most);
    return {
      text: asSpaces(value.slice(start, end)),
      isWhole: start === line,
      isCaret: (selectionEnd ?? end) === end,
    };
  }

  replaceBefore(expected: string, text: string): boolean {
    const { element } = this;
    const { ownerDocument: document, selectionStart: caret, selectionEnd } = element;
    const start = (caret ?? element.value.length) - expected.length;
    if (asSpaces(element.value.slice(Math.max(0, start), caret ?? undefined)) !== expected) return false;
    if (caret === null) {
      // Its selection cannot be set: the code goes letter by letter.
      for (let left = expected.length; left > 0; left -= 1) if (!document.execCommand('delete')) return false;
      return text === '' || document.execCommand('insertText', false, text);
    }
    const wanted = element.value.slice(0, start) + text + element.value.slice(selectionEnd!);
    element.setSelectionRange(start, selectionEnd);
    if (start === selectionEnd && text === '') return true;
    if (text === '' ? document.execCommand('delete') : document.execCommand('insertText', false, text)) return true;
    // Where the command is not known the page's history of the field begins anew.
    element.setRangeText(text, start, selectionEnd!, 'end');
    element.dispatchEvent(new InputEvent('input', { bubbles: true, inputType: 'insertReplacementText', data: text }));
    return element.value === wanted;
  }

  moveBack(over: string): void {
    const { selectionStart: caret, value } = this.element;
    if (caret === null || !value.slice(0, caret).endsWith(over)) return;
    this.element.setSelectionRange(caret - over.length, caret - over.length);
  }

  selected(): string {
    const { value, selectionStart, selectionEnd } = this.element;
    return selectionStart === null ? '' : value.slice(selectionStart, selectionEnd!);
  }

  caretBox(): CaretBox {
    const { element } = this;
    const field = element.getBoundingClientRect();
    const caret = element.selectionEnd;
    if (caret === null) return { left: field.left, top: field.top, bottom: field.bottom };
    const at = textareaCaret(element, caret);
    const top = Math.min(Math.max(field.top + at.top - element.scrollTop, field.top), field.bottom);
    const left = Math.min(Math.max(field.left + at.left - element.scrollLeft, field.left), field.right);
    return { left, top, bottom: Math.min(top + at.height, field.bottom) };
  }

  keepCaret(): () => void {
    const { element } = this;
    const { selectionStart, selectionEnd } = element;
    return () => {
      element.focus();
      if (selectionStart !== null) element.setSelectionRange(selectionStart, selectionEnd);
    };
  }
}
