import { HELP, readSettings } from './settings';

test('what is not asked is as usual; a carried file expands', () => {
  expect(readSettings([])).toMatchObject({ kind: 'phone', codes: 'app', language: 'en', explain: false });
  expect(readSettings(['--carry', 'list.csv'])).toMatchObject({ codes: 'own' });
  expect(readSettings(['--carry', 'list.csv', '--codes', 'app'])).toMatchObject({ codes: 'app' });
});

test('everything that makes no sense is told at once', () => {
  expect(() => readSettings(['--kind', 'watch', '--server', 'ftp://x'])).toThrow(
    '--kind must be one of phone, tablet, computer. --server must be an address such as http://127.0.0.1:4180',
  );
  expect(() => readSettings(['--colour'])).toThrow("Unknown option '--colour'");
});

test('help names every setting', () => {
  expect(readSettings(['--help'])).toBeNull();
  for (const name of Object.keys(readSettings([])!)) expect(HELP).toContain(`--${name}`);
});
