import { LAYOUTS } from '../effort/layouts';
import { ConventionFieldsSchema, KeyboardUseSchema, LayoutSchema, ListFieldsSchema, type Layout } from '.';

const problems = (result: { error?: { issues: { path: PropertyKey[]; message: string }[] } }) =>
  (result.error?.issues ?? []).map(({ path, message }) => `${path.join('.')}: ${message}`);

describe('a layout', () => {
  test.each(Object.entries(LAYOUTS))('%s is one', (_, layout) => {
    expect(problems(LayoutSchema.safeParse(layout))).toEqual([]);
  });

  const phone = LAYOUTS['phone-en'] as Extract<Layout, { type: 'glass' }>;
  test.each<[string, Partial<Layout>, string]>([
    ['a row with a blank', { letters: ['ab c', 'd', 'e'] }, 'letters.0: holds a blank or a control character'],
    ['an empty row', { signs: ['', 'd', 'e'] }, 'signs.0: has 1 to 14 signs'],
    ['a row too long', { figures: ['1', '2', '3'.repeat(15)] }, 'figures.2: has 1 to 14 signs'],
    ['no name', { name: '' }, 'name: Too small: expected string to have >=1 characters'],
    ['a keyboard as wide as a hand is not', { width: 3 }, 'width: Too small: expected number to be >=30'],
  ])('with %s is refused, with the place', (_, change, problem) => {
    expect(problems(LayoutSchema.safeParse({ ...phone, ...change }))).toContain(problem);
  });

  test('two keys may give one character', () => {
    expect(problems(LayoutSchema.safeParse({ ...phone, letters: ['aaa', 'a', 'b'] }))).toEqual([]);
  });

  test('of hardware needs one blank between signs', () => {
    const hardware = LAYOUTS['hardware-de']!;
    expect(problems(LayoutSchema.safeParse({ ...hardware, base: ['a  b', 'c', 'd', 'e'] }))).toEqual([
      'base.0: has 1 to 15 signs with one blank between each two',
    ]);
  });
});

test.each([
  [{ place: 'before', marker: ';' }, []],
  [{ place: 'bare', marker: '' }, []],
  [{ place: 'before', marker: '' }, ['mark.marker: a marker goes before, after or on both sides, and only there']],
  [{ place: 'doubled', marker: ';' }, ['mark.marker: a marker goes before, after or on both sides, and only there']],
  [{ place: 'after', marker: 'abc' }, ['mark.marker: is one or two characters, without blanks']],
  [{ place: 'after', marker: ' ' }, ['mark.marker: is one or two characters, without blanks']],
])('a convention of %j', (mark, expected) => {
  expect(problems(ConventionFieldsSchema.safeParse({ scope: { of: 'list' }, mark, capitals: 'as they are' }))).toEqual(
    expected,
  );
});

test('a keyboard in use has a part and a pace within reason; a list at most eight', () => {
  const use = { keyboard: 'phone-en', share: 3, pace: 1, device: 'phone-list' };
  expect(problems(KeyboardUseSchema.safeParse(use))).toEqual([]);
  expect(problems(KeyboardUseSchema.safeParse({ ...use, share: 0, pace: 9 }))).toHaveLength(2);
  const list = { languages: ['en'], devices: ['app'], hasDevices: true };
  expect(
    problems(ListFieldsSchema.safeParse({ ...list, keyboards: Array.from({ length: 9 }, () => use) })),
  ).toHaveLength(1);
});
