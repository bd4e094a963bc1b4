import { parseTemplate } from '@yellow-latch/core/expansion';

import { blanksIn, contentOf, draftOf, withBlank } from './draft';

const gap = (kind: 'day' | 'name' | 'time' | 'choice' | 'text', ...texts: string[]) => ({
  kind,
  values: texts.map((text) => ({ text, count: 1 })),
});
const found = (...parts: (string | ReturnType<typeof gap>)[]) => ({ text: '', parts });

/** The segments of what a draft gives, shortly. */
function told(draft: ReturnType<typeof draftOf>): unknown[] {
  const { text, isTemplate } = contentOf(draft);
  if (!isTemplate) return [text];
  const parsed = parseTemplate(text);
  if (parsed.type === 'problems') throw new Error(JSON.stringify(parsed.problems));
  return parsed.segments.map((segment) =>
    segment.type === 'text'
      ? segment.text
      : segment.type === 'blank' && [segment.label, segment.kind, segment.default, ...segment.options],
  );
}

test('a phrase is a text as it is, whatever braces it has', () => {
  expect(contentOf(draftOf({ text: 'A {b} [c]', parts: null }))).toEqual({ text: 'A {b} [c]', isTemplate: false });
});

test('a template has its blanks, days to choose from, names never', () => {
  const draft = draftOf(
    found('Dear ', gap('name', 'Wilf', 'Ines'), ', on ', gap('day', 'Monday', 'Friday'), ' {then}.'),
  );
  expect(draft.text).toBe('Dear [Name], on [Day] {then}.');
  expect(told(draft)).toEqual([
    'Dear ',
    ['Name', 'text', ''],
    ', on ',
    ['Day', 'choice', '', 'Monday', 'Friday'],
    ' {then}.',
  ]);
  expect(draft.blanks[0]!.values).toEqual([]);
});

test('two blanks of a kind have two names, also beside brackets in the text', () => {
  const draft = draftOf(found('[Time] ', gap('time', '9:00', '10:00'), ' to ', gap('time', '11:00', '12:00')));
  expect(draft.text).toBe('[Time] [Time 2] to [Time 3]');
  expect(told(draft)).toEqual(['[Time] ', ['Time 2', 'text', ''], ' to ', ['Time 3', 'text', '']]);
});

test('what has a comma in it is no choice', () => {
  const draft = draftOf(found('to ', gap('choice', 'a, b', 'c', 'd')));
  expect(told(draft)).toEqual(['to ', ['Blank', 'choice', '', 'c', 'd']]);
});

describe('a stretch made a blank', () => {
  const draft = { text: 'See you at nine.', blanks: [] };

  test('holds what stood there until something else is typed, without white space around it', () => {
    const next = withBlank(draft, 10, 15);
    expect(next.text).toBe('See you at [Blank].');
    expect(told(next)).toEqual(['See you at ', ['Blank', 'text', 'nine'], '.']);
  });

  test('of nothing, or in another blank, is none', () => {
    expect(withBlank(draft, 3, 3)).toBe(draft);
    expect(withBlank(draft, 3, 4)).toBe(draft);
    const once = withBlank(draft, 11, 15);
    expect(withBlank(once, 0, 13)).toBe(once);
    expect(withBlank(once, 12, 16)).toBe(once);
  });

  test('whose brackets are deleted is gone, and its text stays', () => {
    const once = withBlank(draft, 11, 15);
    const cut = { ...once, text: 'See you at [Bla].' };
    expect(blanksIn(cut)).toEqual([]);
    expect(contentOf(cut)).toEqual({ text: 'See you at [Bla].', isTemplate: false });
  });
});
