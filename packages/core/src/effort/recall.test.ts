import { LEAST_TIMES, measureRecall, recallOf, RECALL } from '.';

const TEXT = 'Unit 3, The Ropewalk, Larkmouth';

test('a code that was typed often enough takes what it took; the median, so that one pause does not count', () => {
  const measured = measureRecall([{ id: 'a', kind: 'rule', seconds: [0.9, 1.1, 8] }]);
  expect(recallOf(';rope', TEXT, measured, 'a')).toEqual({ seconds: 1.1, from: 'measured' });
  expect(recallOf(';rope', TEXT, measured, 'b')).toEqual({ seconds: RECALL.rule, from: 'assumed' });
});

test('fewer times tell nothing of it', () => {
  const measured = measureRecall([{ id: 'a', kind: 'rule', seconds: Array<number>(LEAST_TIMES - 1).fill(0.5) }]);
  expect(recallOf(';rope', TEXT, measured, 'a').from).toBe('assumed');
});

test('enough codes of a kind tell of the others of that kind, each as much as any', () => {
  const timed = [1, 2, 3, 4].map((seconds) => ({
    id: String(seconds),
    kind: 'rule' as const,
    seconds: Array<number>(seconds === 4 ? 50 : 5).fill(seconds),
  }));
  const measured = measureRecall(timed);
  expect(recallOf(';rope', TEXT, measured, 'x')).toEqual({ seconds: 2.5, from: 'measured on its kind' });
  expect(recallOf(';zq', TEXT, measured, 'x')).toEqual({ seconds: RECALL.arbitrary, from: 'assumed' });
  expect(measureRecall(timed.slice(0, 3)).byKind).toEqual({});
});
