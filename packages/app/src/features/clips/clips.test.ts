import { stillKept, withClip, type Clip } from './clips';

const DAY = 86_400_000;
const clip = (text: string, at: number, isPinned = false): Clip => ({ id: text, text, at, isPinned });

test('kept for a day, or for good where pinned', () => {
  const clips = [clip('new', 2 * DAY - 1), clip('old', DAY - 1), clip('pinned', 0, true)];
  expect(stillKept(clips, 2 * DAY).map(({ text }) => text)).toEqual(['new', 'pinned']);
});

test('the same text again moves to the top and stays pinned; blank texts are none', () => {
  const clips = [clip('a', 1), clip('b', 0, true)];
  const next = withClip(clips, 'b', 5);
  expect(next.map(({ id, at, isPinned }) => [id, at, isPinned])).toEqual([
    ['b', 5, true],
    ['a', 1, false],
  ]);
  expect(withClip(clips, ' \n', 5)).toBe(clips);
});

test('no more than 200, the oldest not pinned goes; a long one is cut', () => {
  let clips: readonly Clip[] = [clip('pinned', 0, true)];
  for (let at = 0; at < 250; at += 1) clips = withClip(clips, `text ${at}`, at);
  expect(clips).toHaveLength(200);
  expect(clips.at(-1)?.text).toBe('pinned');
  expect(clips[0]?.text).toBe('text 249');
  expect(withClip([], 'x'.repeat(300_000), 1)[0]?.text).toHaveLength(100_000);
});
