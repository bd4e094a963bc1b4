import { pick, randomFrom } from '../fire/testing';
import { PairIndex } from './pairIndex';

test('what it gives holds all that plain comparing finds', () => {
  const random = randomFrom(11);
  const text = (length: number) => Array.from({ length }, () => pick(random, [...'abc; ü'])).join('');
  const texts = Array.from({ length: 300 }, () => text(1 + Math.floor(random() * 30)));
  const index = new PairIndex<string>();
  for (const one of texts) index.add(one, one);
  let found = 0;
  for (let n = 0; n < 200; n += 1) {
    const stretch = text(2 + (n % 4));
    const may = index.mayHold(stretch)!;
    const plain = texts.filter((one) => one.includes(stretch));
    expect(may.filter((one) => one.includes(stretch))).toEqual(plain);
    found += plain.length;
  }
  expect(found).toBeGreaterThan(100);
});

test('a stretch of one character is too short to look up; one that stands nowhere gives nothing', () => {
  const index = new PairIndex<number>();
  index.add(1, 'tuning');
  expect(index.mayHold('t')).toBeNull();
  expect(index.mayHold('xq')).toEqual([]);
});
