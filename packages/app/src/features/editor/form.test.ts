import { makeShortcut } from '@yellow-latch/core/model/testing';
import type { Shortcut } from '@yellow-latch/core/model';

import { guessKindOf } from '@/answers/kind';

import { makeResolver, NEW_SET, newFormValues, tidy, type FormValues } from './form';
import { tellCleaned, tellProblem } from '@/parts/kinds';

const inUse = makeShortcut(';ws', 'Corrie & Vale\nUnit 3', { id: 'inUse', kind: 'address' });
const twin: Shortcut = { ...inUse, id: 'twin', code: ';WS' };

async function errorsOf(values: Partial<FormValues>, saved: Shortcut | null = null) {
  const resolver = makeResolver([inUse, twin], saved);
  const form = { ...newFormValues('text'), code: ';x', ...values };
  const { errors } = await resolver(form, undefined, {} as never);
  return Object.fromEntries(Object.entries(errors).map(([name, error]) => [name, error?.message]));
}

describe('the form refuses, naming the rule', () => {
  test.each<[string, Partial<FormValues>, string, string]>([
    ['no text', { expansion: ' \n' }, 'expansion', 'Type or paste'],
    ['no code', { code: '  ' }, 'code', 'Type a code'],
    ['a long code', { code: 'x'.repeat(41) }, 'code', '41 characters. The limit is 40'],
    ['a control character', { expansion: 'a\nb\u0000' }, 'expansion', '(U+0000) in line 2, at position 2'],
    ['half a pair', { code: ';\ud83d' }, 'code', '(U+D83D) at position 2'],
    ['a code that exists', { code: ' ;Ws ' }, 'code', 'You already use “;ws” for “Corrie & Vale Unit 3”'],
    ['a set without a name', { setId: NEW_SET, newSet: ' ' }, 'newSet', 'Give the new set a name'],
    ['a set with a long name', { setId: NEW_SET, newSet: 'x'.repeat(61) }, 'newSet', '60 characters'],
  ])('%s', async (_name, values, field, told) => {
    expect((await errorsOf(values))[field]).toContain(told);
  });
});

test('the form takes what the model takes', async () => {
  expect(await errorsOf({ code: 'big hall', expansion: 'a\n\tb' })).toEqual({});
  expect(await errorsOf({ expansion: '  ', keepsEnd: true })).toEqual({});
});

test('a shortcut keeps the code it has, even beside a twin', async () => {
  expect(await errorsOf({ code: ';WS' }, twin)).toEqual({});
  expect(await errorsOf({ code: ';ws' }, twin)).toHaveProperty('code');
});

test('the end is cleaned unless it was put back; only line breaks change otherwise', () => {
  const values = { ...newFormValues('a\r\nb \n'), code: ' ;x ' };
  expect(tidy(values)).toMatchObject({ expansion: 'a\nb', code: ';x' });
  expect(tidy({ ...values, keepsEnd: true }).expansion).toBe('a\nb \n');
});

test('the kind is guessed from what was pasted', async () => {
  expect(await guessKindOf('https://corrieandvale.example')).toBe('link');
  expect(await guessKindOf('½')).toBe('symbol');
});

test('what was cut is counted in words', () => {
  expect(tellCleaned({ text: '', blanks: 1, newlines: 0 })).toBe('Removed a space at the end.');
  expect(tellCleaned({ text: '', blanks: 2, newlines: 3 })).toBe('Removed 2 spaces and 3 empty lines at the end.');
  expect(tellCleaned({ text: '', blanks: 0, newlines: 0 })).toBeNull();
});

test('every rule has its words', () => {
  expect(tellProblem('expansion', { type: 'too-many-bytes', limit: 100_000, found: 100_002 })).toContain(
    'The text is too long.',
  );
  expect(tellProblem('code', { type: 'too-many-code-points', limit: 160, found: 175 })).toContain(
    'too many combined characters',
  );
});
