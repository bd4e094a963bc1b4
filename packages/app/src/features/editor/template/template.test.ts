import { markdownToHtml, markdownToPlain } from '@yellow-latch/core/expansion';
import { parseTemplate, templateOf, type Segment } from '@yellow-latch/core/expansion';
import { createEditor } from 'lexical';

import { loadExpansion } from '@/answers/expansion/context';
import { tellExpansionError, tellLosses, tellTemplateProblem } from '@/answers/expansion/words';

import { ChipNode } from './chipNode';
import { addressOf, asMarkdown, linkOf } from './link';
import { asksFirst, inserts, newSegment, withSegment } from './inserts';
import { exampleOf, kindOf, labelOf, nameFor, PATTERNS } from './labels';
import { $readSegments, $showSegments } from './templateText';

beforeAll(loadExpansion);

const segmentsOf = (source: string): readonly Segment[] => {
  const parsed = parseTemplate(source);
  if (parsed.type === 'problems') throw new Error(source);
  return parsed.segments;
};

test.each([
  'Dear {$name :text label=|Name|}, see you.',
  '{:today pattern=|d MMM| plus=|P7D|}\n\n{#caret /}\n',
  'two\nlines {:shortcut id=|x|}{:clipboard case=upper} \\{so\\}',
])('what the editor shows of %j it reads back', (source) => {
  const editor = createEditor({
    nodes: [ChipNode],
    onError: (problem) => {
      throw problem;
    },
  });
  const segments = segmentsOf(source);
  let read: Segment[] = [];
  editor.update(
    () => {
      $showSegments(segments, (segment) => labelOf(segment, () => ';late'));
      read = $readSegments();
    },
    { discrete: true },
  );
  expect(read).toEqual(segments);
  expect(templateOf(read)).toBe(templateOf(segments));
});

test('what is put into a plain text stands at its place', () => {
  expect(withSegment('Dear , so', { type: 'caret' }, 5)).toEqual([
    { type: 'text', text: 'Dear ' },
    { type: 'caret' },
    { type: 'text', text: ', so' },
  ]);
  expect(withSegment('', newSegment('clipboard'), 0)).toEqual([{ type: 'clipboard', casing: null }]);
  expect(
    inserts()
      .filter(({ insert }) => asksFirst(insert))
      .map(({ insert }) => insert),
  ).toEqual(['blank', 'link', 'symbol', 'date', 'shortcut']);
  for (const { insert } of inserts())
    if (insert !== 'link' && insert !== 'symbol') expect(kindOf(newSegment(insert))).not.toBe('');
});

test('blanks are named by what they are called, each differently', () => {
  expect(nameFor('Größe des Flügels', new Set())).toBe('gro-e-des-flugels');
  expect(nameFor('Name', new Set(['name', 'name-2']))).toBe('name-3');
  expect(nameFor('2nd pitch', new Set())).toBe('blank-2nd-pitch');
  expect(nameFor('…', new Set())).toBe('blank');
});

test('patterns are chosen by their examples', () => {
  const now = Date.UTC(2026, 10, 25, 12);
  expect(exampleOf({ pattern: 'd MMMM y', plus: 'P6M', next: null }, now)).toBe('25 May 2027');
  expect(exampleOf({ pattern: 'EEEE d', plus: '', next: 'monday' }, now)).toBe('Monday 30');
  expect(new Set(PATTERNS.map((pattern) => exampleOf({ pattern, plus: '', next: null }, now))).size).toBe(
    PATTERNS.length,
  );
});

describe('in words', () => {
  test.each([
    ['a } b', 'position 3'],
    ['{:today pattern=|nn|}', '“nn” means nothing in a date'],
    ['{:today plus=|soon|}', '“soon” isn’t a length of time'],
    ['{$a :choice}', 'The blank “a” has nothing to choose from'],
    ['{:nothing}', '“nothing” at position 2 isn’t known here'],
  ])('%s says what to do', (source, words) => {
    const parsed = parseTemplate(source);
    expect(parsed.type === 'problems' && tellTemplateProblem(parsed.problems[0]!)).toContain(words);
  });

  test('errors name the path, losses what is lost', () => {
    expect(tellExpansionError({ type: 'circle', path: [';a', ';b', ';a'] })).toBe(
      'It would go on forever: ;a → ;b → ;a',
    );
    expect(tellExpansionError({ type: 'missing', path: [';a', ';b'], id: 'x' })).toBe(
      'In “;b”: A shortcut inside it was deleted.',
    );
    expect(tellLosses(['formatting', 'lines', 'blanks'])).toBe(
      'It loses its formatting, its line breaks and its blanks (they become gaps) there.',
    );
    expect(tellLosses([])).toBe('It works there as it is.');
  });
});

describe('a link put into a text', () => {
  test.each([
    ['book.corrieandvale.example', 'https://book.corrieandvale.example'],
    [' https://a.example/x?y=1 ', 'https://a.example/x?y=1'],
    ['mailto:mara@corrieandvale.example', 'mailto:mara@corrieandvale.example'],
    ['tuning', null],
    ['javascript:alert(1)', null],
    ['', null],
  ])('the address %j leads to %j', (typed, address) => expect(addressOf(typed)).toBe(address));

  // Read back by micromark 4, which follows CommonMark 0.31.
  test.each([
    ['Book a visit', 'https://a.example'],
    ['[one] *two* `three`', 'https://a.example/x_(y)'],
    ['so_so', 'https://a.example/a b'],
  ])('with the words %j it is one link with these words', (words, address) => {
    const html = markdownToHtml(linkOf(words, address));
    expect(html).toBe(`<p><a href="${address.replace(' ', '%20')}">${words}</a></p>`);
  });

  test('what stood there before reads the same', () => {
    for (const text of ['2 * 3 * 4', '*so*', 'a_b', '[Day], then', '# no heading']) {
      expect(markdownToPlain(asMarkdown(text))).toBe(text);
    }
  });
});
