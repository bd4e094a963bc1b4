import { splitMarker } from './marker';

test.each([
  [';addr', ';', 'addr', ''],
  ['//m', '//', 'm', ''],
  ['glazier*', '', 'glazier', '*'],
  ['!!deg!', '!!', 'deg', '!'],
  ['hrp', '', 'hrp', ''],
  ['->', '', '->', ''],
  [';big oar', ';', 'big oar', ''],
  ['a4=', '', 'a4', '='],
  [';क्षि', ';', 'क्षि', ''],
])('%s', (code, before, mnemonic, after) => {
  expect(splitMarker(code)).toEqual({ before, mnemonic, after });
});
