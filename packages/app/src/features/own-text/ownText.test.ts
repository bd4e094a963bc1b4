import { cutAtSpots } from '@/look/spots';

import { pageAt, pagesOf } from './pages';
import { placesOf } from './places';
import { fileSource, guessFormat, likelyField, tellOwnTextProblem } from '@/answers/ownText/source';

describe('pages of a long text', () => {
  const text = `${'so it was, and so it is. '.repeat(400)}\n${'x'.repeat(5_000)}👩‍👩‍👧${'y'.repeat(4_000)}`;
  const starts = pagesOf(text, 1_000);

  test('hold all of it, none longer than asked, none beginning inside a character', () => {
    expect(starts[0]).toBe(0);
    expect(starts.at(-1)).toBe(text.length);
    for (let i = 1; i < starts.length; i += 1) {
      expect(starts[i]! - starts[i - 1]!).toBeLessThanOrEqual(1_001);
      const unit = text.charCodeAt(starts[i]!);
      expect(unit >= 0xdc00 && unit <= 0xdfff).toBe(false);
    }
  });

  test('end at a blank where there is one', () => {
    expect(text[starts[1]! - 1]).toBe(' ');
  });

  test('are found by an offset', () => {
    for (const offset of [0, 999, 1_000, 5_555, text.length - 1]) {
      const page = pageAt(starts, offset);
      expect(starts[page]!).toBeLessThanOrEqual(offset);
      expect(starts[page + 1]!).toBeGreaterThan(offset);
    }
    expect(pageAt([0, 0], 0)).toBe(0);
  });
});

test('places are those of one code, or of all', () => {
  const report = { places: Uint32Array.from([0, 2, 0, 5, 8, 1, 9, 11, 0]), ids: ['a', 'b'] };
  expect(placesOf(report, null).map(({ id }) => id)).toEqual(['a', 'b', 'a']);
  expect(placesOf(report, 'a')).toEqual([
    { start: 0, end: 2, id: 'a' },
    { start: 9, end: 11, id: 'a' },
  ]);
});

test('a text is cut at its spots, and put together again it is the same', () => {
  const pieces = cutAtSpots('so it is', [
    { start: 0, end: 2 },
    { start: 1, end: 4 },
    { start: 6, end: 8 },
    { start: 7, end: 20 },
  ]);
  expect(pieces.map(({ text, spot }) => (spot ? `[${text}]` : text))).toEqual(['[so]', ' it ', '[is]']);
  expect(cutAtSpots('abc', [], 1).map(({ text }) => text)).toEqual(['bc']);
});

describe('a file', () => {
  test.each([
    ['sent.txt', 'text'],
    ['Sent.CSV', 'csv'],
    ['chat.jsonl', 'json-lines'],
    ['notes', 'text'],
  ])('%s is read as %s', (name, type) => expect(guessFormat(name)).toBe(type));

  test.each([
    [['from', 'body.text'], 'body.text'],
    [['id', 'context'], 'id'],
    [[], 'text'],
  ])('of JSON lines with %j is read by %s', (fields, field) => expect(likelyField(fields)).toBe(field));

  test('that is too large is not even read into memory', async () => {
    const file = {
      name: 'life.txt',
      size: 80 * 1024 * 1024,
      arrayBuffer: () => Promise.reject(new Error('it was read')),
    };
    const problem = await fileSource(file as unknown as File);
    expect(problem).toMatchObject({ type: 'too-large' });
    expect(tellOwnTextProblem(problem as never)).toBe('This file is 80 MB. The limit is 64 MB. Split it up.');
  });

  test.each([
    [{ type: 'binary', at: 3, looksLike: null }, 'This file isn’t text.'],
    [{ type: 'binary', at: 0, looksLike: 'a picture' }, 'a picture'],
    [{ type: 'no-column', wanted: 'text', found: ['a'] }, 'no column “text”'],
    [{ type: 'no-column', wanted: 'text', found: [] }, 'another field'],
    [{ type: 'no-text' }, 'no text'],
  ] as const)('that cannot be read is told why: %j', (problem, words) =>
    expect(tellOwnTextProblem(problem)).toContain(words),
  );
});
