import { findTemplates, sentencesOf, wordRowOf, type FoundTemplate } from '.';

const told = ({ parts, stretches }: FoundTemplate) => [
  parts.map((part) => (typeof part === 'string' ? part : `[${part.kind}]`)).join(''),
  stretches.length,
];
const find = (sentences: readonly string[]) => {
  const row = wordRowOf(sentences.join('\n'));
  return findTemplates(row, sentencesOf(row), ['en', 'de']);
};

test('a sentence that differs in a day and a time', () => {
  const found = find([
    'Your tuning is booked for Tuesday at 9:30 and takes ninety minutes.',
    'Your tuning is booked for Friday at 14:00 and takes ninety minutes.',
    'Nothing else stands here at all today.',
    'Your tuning is booked for Monday at 11:15 and takes ninety minutes.',
    'Your tuning is booked for Tuesday at 16:45 and takes ninety minutes.',
  ]);
  expect(found.map(told)).toEqual([['Your tuning is booked for [day] at [time] and takes ninety minutes.', 4]]);
  expect(found[0]!.parts[1]).toEqual({
    kind: 'day',
    values: [
      { text: 'Tuesday', count: 2 },
      { text: 'Friday', count: 1 },
      { text: 'Monday', count: 1 },
    ],
  });
});

test('a name at the beginning, of one word or of two', () => {
  const rest = ', thank you for letting us tune your piano.';
  const names = ['Rowena Teller', 'Wilf', 'Jory Tarn', 'Mara'];
  expect(find(names.map((name) => name + rest)).map(told)).toEqual([
    ['[name], thank you for letting us tune your piano.', 4],
  ]);
});

test.each([
  ['amount', ['£80', '£95', '£120']],
  ['number', ['440', '442', '438']],
  ['date', ['3 March', '14 April', '1 May']],
  ['choice', ['in the hall', 'at the school', 'at home']],
])('the kind of what stands in the gap: %s', (kind, values) => {
  const [found] = find(values.map((value) => `We have written down ${value} for your next visit.`));
  expect(found!.parts).toMatchObject(['We have written down ', { kind }, ' for your next visit.']);
});

test('a day in another language of the list', () => {
  const [found] = find(['Montag', 'Dienstag', 'Freitag'].map((day) => `Wir kommen am ${day} um neun zu Ihnen.`));
  expect(found!.parts[1]).toMatchObject({ kind: 'day' });
});

test('sentences that are all the same are a phrase and no template', () => {
  expect(find(Array<string>(5).fill('The loan piano is yours until the end of the month.'))).toEqual([]);
});

test('what has more than three gaps, or a wide one, or too little in common is none', () => {
  const many = [1, 2, 3, 4].map((n) => `We a${n} go b${n} to c${n} the d${n} yard now and then.`);
  expect(find(many)).toEqual([]);
  const wide = [1, 2, 3].map((n) => `Please leave ${`word${n} `.repeat(8)}in the yard for us.`);
  expect(find(wide)).toEqual([]);
  expect(find(['one of the dogs barks', 'one of the cats sleeps', 'some of the birds fly'])).toEqual([]);
});

test('one that says something else beside the rest does not spoil it', () => {
  const found = find([
    ...['Tuesday', 'Friday', 'Monday'].map((day) => `I can come to you on ${day} in the morning.`),
    'I can come to terms with nearly everything that people tell me about their neighbours.',
  ]);
  expect(found.map(told)).toEqual([['I can come to you on [day] in the morning.', 3]]);
});

test('of nothing there are none', () => {
  for (const text of ['', '\n\n', 'one two', '. . .']) expect(find([text])).toEqual([]);
});
