import { chooseNext, type Candidate } from './next';

const candidate = (code: string, secondsAWeek: number): Candidate => ({ id: code, code, secondsAWeek });
const codesOf = (chosen: readonly Candidate[]) => chosen.map(({ code }) => code);

test('those that save most come first, and what saves nothing never', () => {
  const all = [candidate(';a1', 5), candidate(';zoo', 90), candidate(';hill', 40), candidate(';odd', -3)];
  expect(codesOf(chooseNext(all, [], 2))).toEqual([';zoo', ';hill']);
  expect(codesOf(chooseNext(all, [], 9))).toEqual([';zoo', ';hill', ';a1']);
  expect(chooseNext(all, [], 0)).toEqual([]);
});

test('two that are easily mixed up are not learnt together', () => {
  const all = [candidate(';tel', 90), candidate(';tol', 80), candidate(';etl', 70), candidate(';map', 10)];
  expect(codesOf(chooseNext(all, [], 2))).toEqual([';tel', ';map']);
  expect(codesOf(chooseNext(all, [';tel'], 1))).toEqual([';map']);
  // Nothing else is left.
  expect(codesOf(chooseNext(all, [';tel', ';map'], 1))).toEqual([';tel']);
});

test('a family is learnt together, and takes one place', () => {
  const all = [candidate(';book', 20), candidate(';booka', 30), candidate(';map', 40), candidate(';ink', 10)];
  expect(codesOf(chooseNext(all, [], 2))).toEqual([';booka', ';book', ';map']);
});

test('of a large family three, those that save most', () => {
  const all = ['', 'a', 'b', 'c', 'd'].map((end, at) => candidate(`;book${end}`, 10 + at));
  expect(codesOf(chooseNext(all, [], 1))).toEqual([';bookd', ';bookc', ';bookb']);
});

test('codes of one letter are no family of all that begin with it', () => {
  const all = [candidate(';b', 20), candidate(';ba', 30), candidate(';bxq', 40)];
  expect(codesOf(chooseNext(all, [], 1))).toEqual([';bxq']);
});
