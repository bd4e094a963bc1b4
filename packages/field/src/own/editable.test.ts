import { makeShortcut } from '@yellow-latch/core/model/testing';
import { DeviceList } from '@yellow-latch/core/compose';
import { compile } from '@yellow-latch/core/fire';
import { THIS_APP } from '@yellow-latch/core/profile';
import fc from 'fast-check';

import { attach } from '.';
import { EditableSurface } from './editable';

const shortcut = (id: string, code: string, expansion: string) => makeShortcut(code, expansion, { id });
const shortcuts = [shortcut('1', ';ten', 'I am ten minutes away.'), shortcut('2', ';sig', 'Best wishes,\nRowena')];
const device = DeviceList.whole(compile({ shortcuts, sets: [] }, THIS_APP));

function editable(html: string): HTMLElement {
  const element = document.createElement('div');
  element.setAttribute('contenteditable', 'true');
  element.tabIndex = 0;
  element.innerHTML = html;
  document.body.replaceChildren(element);
  return element;
}

/** Types as a browser does: into the text node at the caret. */
function typeInto(element: HTMLElement, keys: string): void {
  for (const key of keys) {
    const range = document.getSelection()!.getRangeAt(0);
    const text = document.createTextNode(key);
    range.deleteContents();
    range.insertNode(text);
    range.setStartAfter(text);
    range.collapse(true);
    document.getSelection()!.removeAllRanges();
    document.getSelection()!.addRange(range);
    element.dispatchEvent(new InputEvent('input', { inputType: 'insertText', bubbles: true }));
  }
}

test.each([
  ['plain', 'plain'],
  ['one<br>two', 'one\ntwo'],
  ['<div>one</div><div>two</div>', 'one\ntwo'],
  ['one<div>two<b> three</b></div><p>four</p>', 'one\ntwo three\nfour'],
  ['<ul><li>one</li><li>two</li></ul>', 'one\ntwo'],
  ['', ''],
])('%s is read as text', (html, text) => {
  expect(new EditableSurface(editable(html)).text).toBe(text);
});

test('a code expands where it stands, and what is around keeps its elements', () => {
  const element = editable('Dear <b>Rowena</b>, ');
  const field = attach(element, { device });
  const end = element.textContent.length;
  field.select({ start: end, end });
  typeInto(element, ';ten ');
  expect(element.innerHTML).toBe('Dear <b>Rowena</b>, I am ten minutes away. ');
  field.undo();
  expect(element.textContent).toBe('Dear Rowena, ;ten ');
  field.redo();
  expect(element.textContent).toBe('Dear Rowena, I am ten minutes away. ');
});

test('lines of a text are lines of the element', () => {
  const element = editable('');
  const field = attach(element, { device });
  field.select({ start: 0, end: 0 });
  typeInto(element, ';sig ');
  expect(element.innerHTML).toBe('Best wishes,<br>Rowena ');
});

test('every place of a text is found again where it was put', () => {
  const line = fc.stringMatching(/^[a-z ]{0,6}$/);
  const html = fc.array(fc.tuple(line, fc.constantFrom('br', 'div', 'b', 'none')), { maxLength: 5 }).map((parts) =>
    parts
      .map(([text, tag]) => {
        if (tag === 'br') return `${text}<br>`;
        // Browsers hold an empty block open.
        const inside = tag === 'div' && text === '' ? '<br>' : text;
        return tag === 'none' ? text : `<${tag}>${inside}</${tag}>`;
      })
      .join(''),
  );
  fc.assert(
    fc.property(html, (made) => {
      const surface = new EditableSurface(editable(made));
      for (let at = 0; at <= surface.text.length; at += 1) {
        surface.select({ start: at, end: at });
        expect([made, at, surface.selection?.end]).toEqual([made, at, at]);
      }
    }),
  );
});

test('an edit of the element is the same edit of its text', () => {
  const cases = fc.record({
    html: fc.constantFrom('ab<br>cd', '<div>ab</div><div>cd</div>', 'a<b>bc</b>d', 'ab<div>cd<i>e</i></div>'),
    from: fc.nat(6),
    length: fc.nat(6),
    replacement: fc.constantFrom('', 'x', 'xy', 'x\ny'),
  });
  fc.assert(
    fc.property(cases, ({ html, from, length, replacement }) => {
      const surface = new EditableSurface(editable(html));
      const before = surface.text;
      const start = Math.min(from, before.length);
      const end = Math.min(start + length, before.length);
      surface.apply({ range: { start, end }, replacement, caret: start + replacement.length });
      expect([html, start, end, surface.text]).toEqual([
        html,
        start,
        end,
        before.slice(0, start) + replacement + before.slice(end),
      ]);
      expect(surface.selection?.end).toBe(start + replacement.length);
    }),
  );
});
