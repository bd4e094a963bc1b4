import { readScript } from './script';

const key = (text: string) => ({ type: 'key', text });

test('a script is keys one after the other', () => {
  expect(readScript('a\\b\\n😀\\x\\2\\\\')).toEqual([
    key('a'),
    { type: 'backspace' },
    key('\n'),
    key('😀'),
    { type: 'keep' },
    { type: 'take', nth: 1 },
    key('\\'),
  ]);
});

test('a key that is none is told with its place', () => {
  expect(() => readScript('ab\\q')).toThrow('\\q at character 3 of the script is no key');
  expect(() => readScript('ab\\')).toThrow('is no key');
});
