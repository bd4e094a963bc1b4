import type { OpenBlank } from '@yellow-latch/core/expansion';

import type { CaretBox } from '../guest/surface';
import { Layer } from './layer';
import { plateOf } from './plate';
import type { FieldWords } from './words';

/** What stands for the clipboard and the selection where a name is expected (docs/formats.md). */
const GIVEN = { clipboard: ' clipboard', selection: ' selection' };

/**
 * Asks for the blanks of a text in a small panel beside the caret, each once. Resolves to what was filled in, by name; null:
 * it was called off.
 */
export function askBlanks(
  document: Document,
  { code, blanks }: { code: string; blanks: readonly OpenBlank[] },
  at: CaretBox,
  words: FieldWords,
): Promise<Record<string, string> | null> {
  const layer = new Layer(document, CSS);
  const form = document.createElement('form');
  form.className = 'card';
  form.setAttribute('aria-label', words.fillIn(code));
  form.setAttribute('role', 'dialog');
  const head = document.createElement('div');
  head.className = 'head';
  head.append(plateOf(document, code));
  form.append(head);
  const controls = blanks.map((blank) => {
    const label = document.createElement('label');
    const name = document.createElement('span');
    name.textContent = nameOf(blank, words);
    const control = controlOf(document, blank);
    label.append(name, control);
    form.append(label);
    return [blank.name, control] as const;
  });
  const foot = document.createElement('div');
  foot.className = 'foot';
  const cancel = document.createElement('button');
  cancel.type = 'button';
  cancel.textContent = words.cancel;
  const insert = document.createElement('button');
  insert.className = 'primary';
  insert.textContent = words.insert;
  foot.append(cancel, insert);
  form.append(foot);

  return new Promise((resolve) => {
    const end = (values: Record<string, string> | null) => {
      layer.hide();
      resolve(values);
    };
    const fill = () => end(Object.fromEntries(controls.map(([name, control]) => [name, control.value])));
    // Keys stay in here: the page is not to hear what is filled in, nor act on Enter and Escape.
    for (const type of ['keydown', 'keypress', 'keyup', 'beforeinput', 'input', 'paste', 'focusin', 'focusout'])
      form.addEventListener(type, (event) => event.stopPropagation());
    form.addEventListener('keydown', (event) => {
      if (event.isComposing) return;
      if (event.key === 'Escape') end(null);
      else if (event.key === 'Enter' && !(event.target instanceof HTMLTextAreaElement)) fill();
      else if (event.key === 'Tab') keepInside(event, form);
      else return;
      event.preventDefault();
    });
    form.addEventListener('submit', (event) => {
      event.preventDefault();
      fill();
    });
    insert.addEventListener('click', (event) => {
      event.preventDefault();
      if (event.isTrusted) fill();
    });
    cancel.addEventListener('click', () => end(null));
    layer.show(form);
    place(form, at);
    controls[0]?.[1].focus();
  });
}

function nameOf({ name, label }: OpenBlank, words: FieldWords): string {
  if (name === GIVEN.clipboard) return words.fromClipboard;
  if (name === GIVEN.selection) return words.fromSelection;
  return label === '' ? name : label;
}

function controlOf(
  document: Document,
  { kind, options, default: otherwise }: OpenBlank,
): HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement {
  if (kind === 'choice') {
    const select = document.createElement('select');
    for (const option of options) select.append(new Option(option, option, false, option === otherwise));
    return select;
  }
  if (kind === 'lines') {
    const area = document.createElement('textarea');
    area.rows = 3;
    area.value = otherwise;
    return area;
  }
  const input = document.createElement('input');
  input.type = kind === 'date' ? 'date' : 'text';
  if (kind === 'number') input.inputMode = 'decimal';
  input.value = otherwise;
  input.autocomplete = 'off';
  return input;
}

/** Tab goes round inside the panel. */
function keepInside(event: KeyboardEvent, form: HTMLElement): void {
  const stops = [...form.querySelectorAll<HTMLElement>('input, textarea, select, button')];
  const at = stops.indexOf(event.target as HTMLElement);
  stops.at((at + (event.shiftKey ? -1 : 1)) % stops.length)?.focus();
}

function place(form: HTMLElement, { left, top, bottom }: CaretBox): void {
  const { width, height } = form.getBoundingClientRect();
  const isBelow = bottom + 6 + height <= innerHeight || top < height + 6;
  form.style.left = `${Math.max(8, Math.min(left, innerWidth - width - 8))}px`;
  form.style.top = `${Math.max(8, Math.min(isBelow ? bottom + 6 : top - 6 - height, innerHeight - height - 8))}px`;
}

const CSS = `
.card{padding:14px;display:flex;flex-direction:column;gap:12px;width:22rem}
label{display:flex;flex-direction:column;gap:4px;font-weight:600}
input,textarea,select{font:inherit;font-weight:400;color:var(--ink);background:var(--ground);border:1.5px solid var(--inkSoft);border-radius:8px;padding:8px 10px;min-height:44px;width:100%}
.foot{display:flex;justify-content:flex-end;gap:8px}
button{font:inherit;font-weight:600;min-height:44px;padding:0 16px;border-radius:10px;border:2px solid transparent;background:none;color:var(--ink);cursor:pointer}
.primary{background:var(--latch);color:var(--onLatch);border-color:var(--keyline)}
:focus-visible{outline:3px solid var(--ink);outline-offset:2px}
`;
