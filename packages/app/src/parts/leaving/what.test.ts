import { faultOfPassphrase, fileName, partOf } from './what';

test.each([
  ['short', 'short', 'ten characters'],
  ['long enough so', 'long enough', 'don’t match'],
  ['long enough so', 'long enough so', null],
  ['🎹🎹🎹🎹🎹🎹🎹🎹🎹🎹', '🎹🎹🎹🎹🎹🎹🎹🎹🎹🎹', null],
])('the passphrase %j, again %j', (passphrase, again, fault) => {
  const told = faultOfPassphrase(passphrase, again);
  if (fault === null) expect(told).toBeNull();
  else expect(told).toContain(fault);
});

test.each([
  ['Reports & money', 'reports-money-2026-11-06.csv'],
  ['Grüße/..\\ “x”', 'gru-ße-x-2026-11-06.csv'],
  ['…', 'shortcuts-2026-11-06.csv'],
])('a file of %j is called %j', (what, name) =>
  expect(fileName(what, new Date(2026, 10, 6), 'csv').replaceAll('\u0308', '')).toBe(name),
);

test('all, what is chosen, a set', () => {
  const list = {
    sets: [],
    shortcuts: [
      { id: 'a', setId: 's' },
      { id: 'b', setId: null },
    ],
  } as never;
  const ids = (what: Parameters<typeof partOf>[0], chosen: Set<string> | null = null) =>
    partOf(what, list, chosen)
      .shortcuts.map(({ id }) => id)
      .join('');
  expect([ids('all'), ids('chosen', new Set(['b'])), ids('chosen'), ids('set s')]).toEqual(['ab', 'b', '', 'a']);
});
