import { pick, randomFrom } from '../fire/testing';
import { frontOf } from './front';
import { MarkIndex } from './markIndex';
import { Patterns } from './patterns';

function ends(patterns: Patterns, text: string): string[] {
  const found: string[] = [];
  let state = 0;
  for (let at = 0; at < text.length; at += 1) {
    state = patterns.step(state, text.charCodeAt(at));
    for (let output = patterns.firstOutput(state); output !== -1; output = patterns.nextOutput(output)) {
      found.push(`${patterns.strings[patterns.stringAt(output)]!} ${at + 1}`);
    }
  }
  return found.sort();
}

test('every occurrence is found, those inside others too', () => {
  const random = randomFrom(5);
  for (let i = 0; i < 50; i += 1) {
    const some = (most: number) =>
      Array.from({ length: 1 + Math.floor(random() * most) }, () => pick(random, ['a', 'b', 'ß'])).join('');
    const strings = [...new Set(Array.from({ length: 8 }, () => some(4)))];
    const text = `${some(60)}x${some(20)}`;
    const naive = strings.flatMap((string) =>
      Array.from(text, (_, at) => at + 1)
        .filter((end) => text.slice(0, end).endsWith(string))
        .map((end) => `${string} ${end}`),
    );
    expect(ends(new Patterns(strings), text)).toEqual(naive.sort());
  }
});

test('no strings are found nowhere', () => {
  expect(ends(new Patterns([]), 'abc')).toEqual([]);
});

test('every mark has one number, and the number tells it', () => {
  const marks = new MarkIndex([...';,.a']);
  const all = [...marks];
  expect(all).toHaveLength(marks.count);
  for (const [index, mark] of all) expect(marks.indexOf(mark)).toBe(index);
  expect(new Set(all.map(([, { place, marker }]) => `${place} ${marker}`)).size).toBe(marks.count);
  expect(marks.indexOf({ place: 'before', marker: ';!' })).toBe(-1);
  expect(marks.indexOf({ place: 'both', marker: ';;' })).toBe(-1);
});

test('a front holds what nothing else beats in both measures', () => {
  const random = randomFrom(9);
  for (let i = 0; i < 40; i += 1) {
    const [first, second] = [0, 1].map(() => Array.from({ length: 12 }, () => Math.floor(random() * 6)));
    const naive = first!.flatMap((one, index) => {
      const isBeaten = first!.some(
        (other, at) =>
          (other < one && second![at]! <= second![index]!) || (other <= one && second![at]! < second![index]!),
      );
      return isBeaten ? [] : [index];
    });
    expect([...frontOf(first!, second!)].sort((a, b) => a - b)).toEqual(naive);
  }
  expect(frontOf([NaN, 1], [0, 1])).toEqual(new Set([1]));
});
