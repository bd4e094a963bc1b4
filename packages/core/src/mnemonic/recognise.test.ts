import { KINDS } from '../model';
import { guessKind, recognise } from '.';
import { LABELLED_TEXTS } from './labelledTexts';

test('of a labelled set in five languages at least 95 of 100 are recognised', () => {
  const missed = LABELLED_TEXTS.filter(([text, kind]) => guessKind(text) !== kind).map(
    ([text, kind]) => `${text}: ${kind}, not ${guessKind(text)}`,
  );
  expect(missed).toEqual([]);
  expect(LABELLED_TEXTS.length).toBeGreaterThanOrEqual(100);
  expect(new Set(LABELLED_TEXTS.map(([, kind]) => kind))).toEqual(new Set(KINDS));
});

test('what a code can be made of comes along', () => {
  expect(recognise('Ansel <ansel@corrieandvale.example>')).toEqual({
    type: 'mail',
    local: 'ansel',
    domain: 'corrieandvale.example',
  });
  expect(recognise('https://user@www.corrieandvale.example:8080/book?a=1')).toEqual({
    type: 'link',
    host: 'www.corrieandvale.example',
    path: ':8080/book?a=1',
  });
  expect(recognise('07700 900482')).toEqual({ type: 'phone', isMobile: true });
  expect(recognise('+44 1632 960147')).toEqual({ type: 'phone', isMobile: false });
});

test('the same letters in other capitals are a correction, whatever they look like', () => {
  expect(recognise('Ansel', 'ansel')).toEqual({ type: 'correction' });
  expect(recognise('MARA@CORRIEANDVALE.EXAMPLE', 'mara@corrieandvale.example')).toEqual({ type: 'correction' });
});

test.each([
  ['', 'message'],
  ['   \n', 'message'],
  ['x'.repeat(20_000), 'message'],
  ['12', 'message'],
  ['1234567890123456', 'message'],
  ['12.50', 'message'],
  ['e.g.', 'message'],
  ['end.of', 'link'],
  ['مرحبا بك في الورشة', 'message'],
  ['#', 'symbol'],
])('%j is a %s', (text, kind) => {
  expect(guessKind(text)).toBe(kind);
});
