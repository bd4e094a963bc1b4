import { compile, type FiringEvent } from '@yellow-latch/core/fire';
import { THIS_APP } from '@yellow-latch/core/fit';

import { Pad } from './pad';

const shortcut = (code: string, expansion: string, index: number) => ({
  id: String(index + 1),
  code,
  content: { expansion, template: false, format: 'plain' as const },
  kind: 'message' as const,
  setId: null,
});
const shortcuts = [
  [';ten', 'I am ten minutes away.'],
  ['fam', '👩‍👩‍👧'],
].map(([code, expansion], index) => shortcut(code!, expansion!, index));
const list = compile({ shortcuts, sets: [] }, THIS_APP);

/** A text area in which a browser types: it changes the value, then tells what it did. */
function field(text = '') {
  const area = document.createElement('textarea');
  area.value = text;
  document.body.append(area);
  area.focus();
  area.setSelectionRange(text.length, text.length);
  const events: FiringEvent[] = [];
  const history: { undo: boolean; redo: boolean }[] = [];
  const pad = new Pad(area, list, {
    onText: () => {},
    onFiring: (event) => events.push(event),
    onHistory: (can) => history.push(can),
  });
  const tell = (inputType: string, isComposing = false) =>
    area.dispatchEvent(new InputEvent('input', { inputType, isComposing, bubbles: true }));
  const replace = (start: number, end: number, text: string) => {
    area.value = area.value.slice(0, start) + text + area.value.slice(end);
    area.setSelectionRange(start + text.length, start + text.length);
  };
  const put = (text: string, inputType: string) => {
    replace(area.selectionStart, area.selectionEnd, text);
    tell(inputType);
  };
  return {
    area,
    pad,
    events,
    can: () => history.at(-1),
    type: (text: string) => Array.from(text).forEach((key) => put(key, key === '\n' ? 'insertLineBreak' : 'insertText')),
    paste: (text: string) => put(text, 'insertFromPaste'),
    backspace: () => {
      replace(area.selectionStart - 1, area.selectionEnd, '');
      tell('deleteContentBackward');
    },
    compose: (...states: string[]) => {
      const start = area.selectionStart;
      for (const state of states) {
        replace(start, area.selectionEnd, state);
        tell('insertCompositionText', true);
      }
      area.dispatchEvent(new CompositionEvent('compositionend'));
    },
    key: (key: string, shiftKey = false) =>
      area.dispatchEvent(new KeyboardEvent('keydown', { key, shiftKey, ctrlKey: true, cancelable: true })),
  };
}

test('fires in place and puts the caret after the delimiter', () => {
  const { area, type, events } = field();
  type('so ;ten.');
  expect(area.value).toBe('so I am ten minutes away..');
  expect(area.selectionStart).toBe(area.value.length);
  expect(events).toEqual([{ type: 'fired', by: 'delimiter', id: '1', typed: ';ten', expansion: 'I am ten minutes away.' }]);
});

test('fires in the middle of a text, beside equal characters', () => {
  const { area, type } = field('a  b');
  area.setSelectionRange(2, 2);
  type(';ten ');
  expect(area.value).toBe('a I am ten minutes away.  b');
  expect(area.selectionStart).toBe('a I am ten minutes away. '.length);
});

test('Backspace after a firing gives back what was typed', () => {
  const { area, type, backspace, events } = field();
  type('FAM\n');
  backspace();
  expect(area.value).toBe('FAM\n');
  expect(events.at(-1)).toMatchObject({ type: 'taken-back', typed: 'FAM' });
});

test('pasted text does not fire, composed text does when it ends', () => {
  const { area, paste, type, compose } = field();
  paste(';ten');
  type(' ');
  expect(area.value).toBe(';ten ');
  compose('f', 'fa', 'fam', 'fam ');
  expect(area.value).toBe(';ten 👩‍👩‍👧 ');
});

test('undo goes back over the firing, then over the words; redo goes forward', () => {
  const { area, type, key, can } = field();
  type('one ;ten ');
  expect(can()).toEqual({ undo: true, redo: false });
  key('z');
  expect(area.value).toBe('one ;ten ');
  key('z');
  expect(area.value).toBe('one ');
  key('z');
  expect(area.value).toBe('');
  expect(can()).toEqual({ undo: false, redo: true });
  key('z', true);
  key('y');
  key('y');
  expect(area.value).toBe('one I am ten minutes away. ');
});

test('what undo brings back does not fire by itself', () => {
  const { area, type, key } = field();
  type('fam ');
  key('z');
  type(' ');
  expect(area.value).toBe('fam  ');
});

test('clearing is one step that can be undone', () => {
  const { area, pad, type, key } = field();
  type('fam and more');
  pad.clear();
  expect(area.value).toBe('');
  key('z');
  expect(area.value).toBe('👩‍👩‍👧 and more');
});

test('a pad that was detached leaves the field alone', () => {
  const { area, pad, type } = field();
  pad.detach();
  type(';ten ');
  expect(area.value).toBe(';ten ');
});
