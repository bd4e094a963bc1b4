import { CompiledList } from '@yellow-latch/core/fire';
import { THIS_APP } from '@yellow-latch/core/profile/thisApp';

import { attach } from '..';
import { entry as entryOf } from '@yellow-latch/core/fire/testing';
import { surfaceFor } from './fields';
import { PageTyping } from './pageTyping';

const list = CompiledList.compile([entryOf(';ws', 'Unit 3, The Ropewalk')], THIS_APP);

test('what a page pretends was typed is nothing: keys, input and composition that no person made', () => {
  document.body.innerHTML = '<textarea></textarea>';
  const field = document.querySelector('textarea')!;
  const fired = jest.fn();
  const mayFire = jest.fn(() => true);
  const typing = new PageTyping(window, {
    list: () => list,
    surfaceFor: (element) => surfaceFor(element, { evenCode: false }),
    mayFire,
    makeText: () => Promise.resolve({ type: 'none' }),
    onFired: fired,
    suggests: () => true,
  });
  field.focus();
  for (const key of ';ws ') {
    field.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    field.value += key;
    field.dispatchEvent(new InputEvent('input', { data: key, inputType: 'insertText', bubbles: true }));
  }
  field.dispatchEvent(new CompositionEvent('compositionend', { data: ';ws', bubbles: true }));
  expect([field.value, fired.mock.calls, mayFire.mock.calls]).toEqual([';ws ', [], []]);
  typing.stop();
});

test('a list that is none is refused with the place; a field that is none too', () => {
  const area = document.createElement('textarea');
  const button = document.createElement('button');
  const list = { format: 'yellow-latch list', version: 1, shortcuts: [{ id: 'a', code: ';a', content: {} }] };
  expect(() => attach(area, { list })).toThrow('shortcuts[0].content.expansion: a shortcut has a text');
  expect(() => attach(area, { list: { format: 'else' } })).toThrow('its format is not “yellow-latch list”');
  expect(() => attach(button, { list: { ...list, shortcuts: [] } })).toThrow('codes cannot expand in this <button>');
});
