import fc from 'fast-check';

import { parseTemplate, plainToTemplate, sketchOf, templateOf, templateToPlain, type Segment } from '.';

const segmentsOf = (source: string): readonly Segment[] => {
  const parsed = parseTemplate(source);
  if (parsed.type === 'problems') throw new Error(`${JSON.stringify(source)}: ${JSON.stringify(parsed.problems)}`);
  return parsed.segments;
};
const problemsOf = (source: string) => {
  const parsed = parseTemplate(source);
  return parsed.type === 'problems'
    ? parsed.problems.map(({ type, start, end, what }) => [type, source.slice(start, end), what])
    : [];
};

describe('a template', () => {
  test('reads blanks, dates, what is given, other shortcuts, the caret', () => {
    expect(
      segmentsOf('Dear {$name :text label=|Name|}, {:today plus=|P6M|} {:clipboard}{:shortcut id=|x|}({#caret /})'),
    ).toEqual([
      { type: 'text', text: 'Dear ' },
      { type: 'blank', name: 'name', kind: 'text', label: 'Name', default: '', options: [], pattern: '', casing: null },
      { type: 'text', text: ', ' },
      { type: 'date', of: 'today', pattern: 'd MMMM y', plus: 'P6M', next: null, casing: null },
      { type: 'text', text: ' ' },
      { type: 'clipboard', casing: null },
      { type: 'shortcut', id: 'x', casing: null },
      { type: 'text', text: '(' },
      { type: 'caret' },
      { type: 'text', text: ')' },
    ]);
    expect(segmentsOf('{$part :choice options=|morning, afternoon|}')).toMatchObject([
      { kind: 'choice', options: ['morning', 'afternoon'] },
    ]);
    expect(segmentsOf('{$name :upper} {$name} {|so| :title}')).toMatchObject([
      { casing: 'upper' },
      {},
      { kind: 'text', casing: null },
      {},
      { text: 'So' },
    ]);
  });

  // Examples of Unicode LDML part 9, section "Syntax", from memory: all are well formed; ours are the functions.
  test.each([
    ['Hello, world!', []],
    ['', []],
    ['{{Hello, world!}}', []],
    ['{{  blanks around  }}', []],
    ['Hello, {$userName}!', []],
    ['{|quoted literal|}', []],
    ['{unquoted}', []],
    ['backslash: \\\\, left curly brace \\{, right curly brace \\}, vertical bar \\|', []],
    ['Today is {$date :datetime weekday=long}!', [['unknown-function', ':datetime weekday=long', 'datetime']]],
    [
      '{#button}Submit{/button}',
      [
        ['unknown-function', '{#button}', '#button'],
        ['unknown-function', '{/button}', '#button'],
      ],
    ],
    ['.input {$x :number} {{{$x}}}', [['syntax', '.input {$x :number} {{{$x}}}', '']]],
  ])('%s is read by the syntax of MessageFormat 2', (source, problems) => {
    expect(problemsOf(source)).toEqual(problems);
  });

  test.each([
    ['a } b', [['syntax', '} b', '']]],
    ['{$name', [['syntax', expect.any(String), '']]],
    ['{$a :choice}', [['choice-without-options', '{$a :choice}', 'a']]],
    ['{:today pattern=|d nn|}', [['unknown-letters', '|d nn|', 'nn']]],
    ["{:today pattern=|d 'o|}", [['unknown-letters', "|d 'o|", "'"]]],
    ['{:today plus=|7 days|}', [['bad-duration', '|7 days|', '7 days']]],
    ['{:today next=|someday|}', [['bad-option', '|someday|', 'someday']]],
    ['{:today zone=|x|}', [['unknown-option', 'zone=|x|', 'zone']]],
    ['{:shortcut}', [['bad-option', '{:shortcut}', 'id']]],
    ['{:nothing}', [['unknown-function', ':nothing', 'nothing']]],
    ['{$a :text label=|A|}{$a :text label=|B|}', [['different-blanks', '{$a :text label=|B|}', 'a']]],
    ['{#caret /}{#caret /}', [['several-carets', '{#caret /}', '']]],
    [Array.from({ length: 101 }, (_, i) => `{$b${i}}`).join(''), [['too-many-blanks', '{$b100}', '101']]],
  ])('%# %s is told with its place', (source, problems) => {
    expect(problemsOf(source)).toEqual(problems);
  });
});

const text = fc.string({ unit: 'grapheme', minLength: 1 }).filter((one) => !one.includes('\0'));
const word = fc.stringMatching(/^[a-z][a-z0-9]{0,8}$/);
const option = fc.string({ maxLength: 12 }).filter((one) => !one.includes('\0'));
const segment: fc.Arbitrary<Segment> = fc.oneof(
  text.map((one): Segment => ({ type: 'text', text: one })),
  fc.record({ name: word, label: option, default: option }).map(({ name, ...rest }): Segment => ({
    type: 'blank',
    name,
    kind: 'text',
    options: [],
    pattern: '',
    casing: null,
    ...rest,
  })),
  fc.constantFrom<Segment>(
    { type: 'date', of: 'today', pattern: "EEEE 'the' d", plus: '-P1M', next: 'monday', casing: 'upper' },
    { type: 'clipboard', casing: 'title' },
    { type: 'shortcut', id: '0192', casing: null },
  ),
);

describe('written and read again', () => {
  test('any plain text comes back, whatever is in it', () => {
    fc.assert(
      fc.property(text, (plain) => {
        expect(templateToPlain(segmentsOf(plainToTemplate(plain)))).toBe(plain);
      }),
      { numRuns: process.env.YELLOW_LATCH_SOAK ? 20_000 : 2_000 },
    );
    for (const plain of ['', '.input', ' {x} ', '{{', '}}', '\\', '|', '\u200e.', '{#caret /}']) {
      expect(templateToPlain(segmentsOf(plainToTemplate(plain)))).toBe(plain);
    }
  });

  test('so do segments, texts side by side joined', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(segment, {
          selector: (one) => (one.type === 'blank' ? one.name : JSON.stringify(one)),
          maxLength: 8,
        }),
        (segments) => {
          const joined = segments.reduce<Segment[]>((all, one) => {
            const last = all.at(-1);
            if (one.type === 'text' && last?.type === 'text')
              return [...all.slice(0, -1), { type: 'text', text: last.text + one.text }];
            return [...all, one];
          }, []);
          expect(segmentsOf(templateOf(segments))).toEqual(joined);
        },
      ),
      { numRuns: 500 },
    );
  });
});

test.each([
  ['Dear {$name :text label=|Your \\|own\\| name|},', 'Dear [Your |own| name],'],
  ['{$name}: {:today} {:now} {:clipboard}', '[name]: [date] [time] [clipboard]'],
  ['{:shortcut id=|x|} and {:shortcut id=|gone|}', '[;hours] and [?]'],
  ['({#caret /}) \\{so\\} \\\\', '() {so} \\'],
  ['{{.so}}', '.so'],
])('in a list %s reads as %s', (source, sketch) => {
  expect(sketchOf(source, (id) => (id === 'x' ? ';hours' : undefined))).toBe(sketch);
});
