import { textNow } from './texts';

const around = { selection: '', text: '' };
const none = () => undefined;
const of = (expansion: string, more: { template?: boolean; format?: 'plain' | 'markdown' } = {}, kind = 'message') => ({
  id: 'a',
  code: ';a',
  kind,
  content: { expansion, template: false, format: 'plain' as const, ...more },
});

test('a template asks for its blanks once, then is made of what was filled in', () => {
  const shortcut = of('Hello {$name}, see you {$day :choice options=|Monday,Friday|}.{#caret /}', { template: true });
  const first = textNow({ shortcut, values: {}, around, shortcutOf: none });
  expect(first.type === 'blanks' && first.blanks.map(({ name }) => name)).toEqual(['name', 'day']);
  const made = textNow({ shortcut, values: { name: 'Mara', day: 'Friday' }, around, shortcutOf: none });
  expect(made).toMatchObject({ type: 'made', made: { plain: 'Hello Mara, see you Friday.', html: null } });
});

test('formatted text comes as both, tags that stand there stay out, what cannot be made is nothing', () => {
  expect(
    textNow({ shortcut: of('**Yes**', { format: 'markdown' }), values: {}, around, shortcutOf: none }),
  ).toMatchObject({
    made: { plain: 'Yes', html: '<p><strong>Yes</strong></p>' },
  });
  const tags = of('#piano #tuning', {}, 'tags');
  const there = { selection: '', text: 'At work #Piano ' };
  expect(textNow({ shortcut: tags, values: {}, around: there, shortcutOf: none })).toMatchObject({
    made: { plain: '#tuning' },
  });
  const missing = of('{:shortcut id=|b|}', { template: true });
  expect(textNow({ shortcut: missing, values: {}, around, shortcutOf: none })).toEqual({ type: 'none' });
});

test('what is selected goes into its place', () => {
  const shortcut = of('[{:selection}](https://corrie.example)', { template: true });
  const made = textNow({ shortcut, values: {}, around: { selection: 'the hall', text: '' }, shortcutOf: none });
  expect(made).toMatchObject({ made: { plain: '[the hall](https://corrie.example)' } });
});
