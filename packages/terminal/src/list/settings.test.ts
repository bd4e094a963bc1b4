import { formOf, HELP, readSettings } from './settings';

test('what is not asked is as usual', () => {
  expect(readSettings(['check'])).toMatchObject({ on: ['phone', 'tablet', 'computer'], language: ['en'], yes: false });
  expect(readSettings(['export', 'list.csv'])).toMatchObject({ command: 'export', argument: 'list.csv' });
  expect(readSettings([])).toBeNull();
});

test('everything that makes no sense is told at once', () => {
  expect(() => readSettings(['delete', '--server', 'ftp://x', '--on', 'watch'])).toThrow(
    'the command must be one of join, leave, export, import, check. --server must be an address such as https://list.example. --on must be some of phone, tablet, computer',
  );
  expect(() => readSettings(['import'])).toThrow('say which file: import FILE');
  expect(() => readSettings(['check', 'a.csv', 'b.csv'])).toThrow('b.csv is one word too many');
});

test('a file’s name says its form', () => {
  expect(['a.JSON', 'a.csv', 'a.md', 'a.txt', 'a', 'a.pdf'].map(formOf)).toEqual([
    'json',
    'csv',
    'markdown',
    'lines',
    undefined,
    undefined,
  ]);
});

test('help names every setting', () => {
  const { command: _command, argument: _argument, ...settings } = readSettings(['check'])!;
  for (const name of [...Object.keys(settings), 'join', 'form', 'into']) expect(HELP).toContain(`--${name}`);
});
