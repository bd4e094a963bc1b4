import { chooseAll } from './chooseAll';

let field: HTMLInputElement;
beforeEach(() => {
  jest.useFakeTimers();
  field = Object.assign(document.createElement('input'), { value: 'krw' });
  document.body.replaceChildren(field);
  field.addEventListener('focus', (nativeEvent) => chooseAll({ nativeEvent }));
  field.focus();
});
afterEach(() => jest.useRealTimers());

const chosen = () => field.value.slice(field.selectionStart!, field.selectionEnd!);

test('all of a field is chosen at once, so that the first key replaces it', () => {
  expect(chosen()).toBe('krw');
});

test('and again when a tap has put the caret', () => {
  field.setSelectionRange(1, 1);
  jest.runAllTimers();
  expect(chosen()).toBe('krw');
});

test('a key that was quicker stays', () => {
  field.value = ';';
  field.setSelectionRange(1, 1);
  jest.runAllTimers();
  expect(chosen()).toBe('');
});

test('nothing is chosen in a field that was left again', () => {
  field.setSelectionRange(1, 1);
  field.blur();
  jest.runAllTimers();
  expect(chosen()).toBe('');
});
