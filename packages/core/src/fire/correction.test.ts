import fc from 'fast-check';

import { DEVICE_PROFILES, THIS_APP } from '../profile';
import { applyEdit, applyInputOnDevice, CompiledList, keysOf, simulate, startSession, type Corrects } from '.';
import { entry } from './testing';

const MEANT: Readonly<Record<string, string>> = { teh: 'the', hrp: 'harp', Teh: 'The', Hrp: 'Harp', adn: 'and' };
const corrects: Corrects = (word) => MEANT[word] ?? null;
const list = CompiledList.compile(
  [entry('hrp', 'Heather Road Primary'), entry(';hrp', 'the school'), entry('harp', 'a lyre')],
  THIS_APP,
);
const typed = (keys: string, more: Parameters<typeof simulate>[0] = []) =>
  simulate([...keysOf(keys), ...more], list, THIS_APP, { corrects });

test('a word is corrected when it ends, and the line says what it was', () => {
  const { text, trace } = typed('see teh, adn ');
  expect(text).toBe('see the, and ');
  expect(trace.filter(({ rule }) => rule === 'corrected')).toMatchObject([
    { typed: 'teh', became: 'the' },
    { typed: 'adn', became: 'and' },
  ]);
});

// Common practice, no source.
test('a corrected code never expands, and neither does what it was corrected to', () => {
  expect(typed('at hrp now').text).toBe('at harp now');
});

test('a marker keeps a code from the correction', () => {
  expect(typed('at ;hrp now').text).toBe('at the school now');
});

test('what belongs to a link, a mail address or a figure is left alone', () => {
  for (const text of ['a.teh ', 'x@teh ', '/teh ', '4teh ', 'teh4 ', 'pre-teh ']) expect(typed(text).text).toBe(text);
});

test('a capital in the middle of a sentence is somebody’s own; at its start it is the keyboard’s', () => {
  expect(typed('Teh end. Teh Teh ').text).toBe('The end. The Teh ');
});

test('one Backspace after it gives the word back, and it is not corrected again', () => {
  expect(typed('teh ', [{ type: 'backspace' }]).text).toBe('teh ');
  expect(typed('teh ', [{ type: 'backspace' }, ...keysOf('on ')]).text).toBe('teh on ');
});

test('turned down, the word stays, and as a code it does not expand', () => {
  expect(typed('teh', [{ type: 'keep' }, ...keysOf(' x')]).text).toBe('teh x');
  expect(typed('hrp', [{ type: 'keep' }, ...keysOf(' x')]).text).toBe('hrp x');
});

test('what was pasted or has just been put in by a code is not corrected', () => {
  expect(typed('', [{ type: 'paste', text: 'teh' }, ...keysOf(' x')]).text).toBe('teh x');
});

test('what was dictated at once and what was composed are corrected as if they were typed', () => {
  const edit = { type: 'edit', range: { start: 0, end: 0 }, text: 'teh adn hrp.', how: 'typing' } as const;
  expect(applyInputOnDevice(startSession(), edit, list, { corrects }).session.text).toBe('the and harp.');
});

test('nothing is corrected in a password field', () => {
  const session = startSession('teh', true);
  const edit = { type: 'edit', range: { start: 3, end: 3 }, text: ' ', how: 'typing' } as const;
  expect(applyInputOnDevice(session, edit, list, { corrects }).session.text).toBe('teh ');
});

test('a field that shows what it is told holds what the session holds, whatever is typed', () => {
  const phone = CompiledList.compile([entry('hrp', 'Heather Road'), entry(';x', '×')], DEVICE_PROFILES['phone-list']);
  const word = fc.constantFrom('teh', 'hrp', ';x', 'so', '.', '  ', '\n', '"', 'adn', ' ');
  fc.assert(
    fc.property(fc.array(word, { maxLength: 12 }), (words) => {
      let session = startSession();
      let field = '';
      for (const text of words.join('')) {
        field = applyEdit(field, { range: session.caret, replacement: text });
        const input = { type: 'edit', range: session.caret, text, how: 'typing' } as const;
        const { session: next, edit } = applyInputOnDevice(session, input, phone, { corrects });
        if (edit) field = applyEdit(field, edit);
        session = next;
        expect(field).toBe(session.text);
      }
    }),
  );
});
