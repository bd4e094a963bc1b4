import { isOneSlip, joinMessages, joinSlips, wordRowOf } from '.';

test.each([
  ['piano', 'paino', true],
  ['piano', 'pian', true],
  ['piano', 'pianoo', true],
  ['piano', 'pieno', true],
  ['piano', 'piano', false],
  ['piano', 'paion', false],
  ['piano', 'pi', false],
  ['ab', 'ba', true],
  ['abc', 'cba', false],
])('%s and %s are one slip apart: %s', (a, b, is) => {
  expect(isOneSlip(a, b)).toBe(is);
  expect(isOneSlip(b, a)).toBe(is);
});

/** The words of messages as they are joined. */
const joined = (messages: readonly string[]) => {
  const { words, keys, firstBreak } = joinSlips(wordRowOf(joinMessages(messages)));
  return [...words].map((word) => (word < firstBreak ? keys[word]! : '|')).join(' ');
};
const said = 'please leave the piano open';

test('a slip is taken for the word that stands between the same words elsewhere', () => {
  expect(joined([said, said, said, 'please leave the paino open'])).toBe(`${said} | ${said} | ${said} | ${said}`);
});

test('at the end of a message the other side tells', () => {
  const short = 'thank you kindly';
  expect(joined([short, short, short, 'thank you kidnly'])).toMatch(/thank you kindly$/u);
});

test('a word of its own stays, though it looks like another', () => {
  // Between other words.
  expect(joined([said, said, said, 'a fiddle and a pianos shop'])).toMatch(/a pianos shop$/u);
  // Common itself.
  const other = 'please leave the pianos open';
  expect(joined([said, said, said, other, other, other])).toMatch(/pianos open$/u);
  // Too short, or with figures.
  expect(joined(['at nine at home', 'at nine at home', 'at nine at home', 'at nien at home'])).toMatch(
    /at nine at home$/u,
  );
  expect(joined(['room 1204 then', 'room 1204 then', 'room 1204 then', 'room 1240 then'])).toMatch(/1240 then$/u);
});
