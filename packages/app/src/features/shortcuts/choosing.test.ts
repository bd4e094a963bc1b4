import { Choosing } from '@/parts/choosing';

function choosing(): Choosing {
  const some = new Choosing();
  some.shown = ['a', 'b', 'c', 'd', 'e'];
  return some;
}
const ids = (some: Choosing) => [...(some.ids ?? ['nothing'])].sort().join('');

test('one more, one less, all that is shown, and the end of it', () => {
  const some = choosing();
  expect(some.ids).toBeNull();
  some.begin('b');
  some.toggle('d');
  expect(ids(some)).toBe('bd');
  some.toggle('b');
  expect(ids(some)).toBe('d');
  some.all();
  expect(ids(some)).toBe('abcde');
  some.end();
  expect(some.ids).toBeNull();
});

test('a stretch goes from the one chosen last, either way, beside what is chosen', () => {
  const some = choosing();
  some.toggle('a');
  some.toggle('d');
  some.extendTo('b');
  expect(ids(some)).toBe('abcd');
  some.extendTo('e');
  expect(ids(some)).toBe('abcde');
});

test('where there is nothing to go from, a stretch is one', () => {
  const some = choosing();
  some.extendTo('c');
  expect(ids(some)).toBe('c');
  some.begin();
  some.extendTo('not shown');
  expect(ids(some)).toBe('not shown');
});

test('who follows is told', () => {
  const some = choosing();
  let told = 0;
  const stop = some.subscribe(() => (told += 1));
  some.begin('a');
  some.toggle('b');
  stop();
  some.end();
  expect(told).toBe(2);
});
