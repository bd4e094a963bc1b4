import {
  checkCode,
  checkExpansion,
  cleanEnd,
  clustersOf,
  countClusters,
  describeProblem,
  findBadCharacter,
  foldCase,
  IgnoredFindingFieldsSchema,
  LIMITS,
  LIST_RECORD_ID,
  ListFieldsSchema,
  matchKey,
  placeOf,
  RecordIdSchema,
  SetFieldsSchema,
  ShortcutFieldsSchema,
  withUnixNewlines,
} from '.';

const FAMILY = '👩‍👩‍👧‍👦';
const FLAG = '🇸🇪';

describe('counting as people count', () => {
  // Expected counts: examples of UAX #29, table 1a and section 3, from memory.
  test.each([
    ['an emoji family', FAMILY, 1],
    ['two flags', FLAG + '🇳🇴', 2],
    ['Devanagari kshi', 'क्षि', 1],
    ['a combining accent', 'e\u0301', 1],
    ['Hangul jamo', '\u1112\u1161\u11ab', 1],
    ['a keycap', '1\ufe0f\u20e3', 1],
    ['plain letters', 'tune', 4],
    ['nothing', '', 0],
  ])('%s', (_name, text, count) => {
    expect(countClusters(text)).toBe(count);
    expect(clustersOf(text)).toHaveLength(count);
  });

  test('a place counts lines and clusters from 1', () => {
    expect(placeOf(`one\n${FAMILY}e\u0301x`, 4 + FAMILY.length + 2)).toEqual({
      line: 2,
      position: 3,
    });
  });
});

describe('the match key', () => {
  // Pairs that Unicode's CaseFolding.txt (status C and F) holds equal; from memory.
  test.each([
    ['HRP', 'hrp'],
    ['straße', 'STRASSE'],
    ['ẞ', 'ss'],
    ['ΟΔΟΣ', 'οδος'],
    ['οδοσ', 'οδος'],
    ['ﬁt', 'FIT'],
    ['café', 'CAFE\u0301'],
    ['İ', 'i\u0307'],
    ['ǆ', 'ǅ'],
  ])('%s equals %s', (a, b) => {
    expect(matchKey(a)).toBe(matchKey(b));
  });

  test.each([
    ['ı', 'i'],
    ['o', '0'],
    [';w', 'w'],
    ['a b', 'ab'],
  ])('%s differs from %s', (a, b) => {
    expect(matchKey(a)).not.toBe(matchKey(b));
  });

  test('folds each character without looking at its neighbours', () => {
    for (const text of ['ΑΣ', 'Σ', 'ΣΑΣ']) {
      expect(foldCase(text)).toBe(Array.from(text, foldCase).join(''));
    }
  });
});

describe('what a code may be', () => {
  test('a space inside is fine', () => expect(checkCode('big oar')).toBeNull());

  test.each([
    ['', { type: 'empty' }],
    ['a\u0007b', { type: 'control', codePoint: 7, place: { line: 1, position: 2 } }],
    ['ab\ud83d', { type: 'lone-surrogate', codePoint: 0xd83d, place: { line: 1, position: 3 } }],
    ['x'.repeat(41), { type: 'too-many-clusters', limit: 40, found: 41 }],
    [FAMILY.repeat(25), { type: 'too-many-code-points', limit: 160, found: 175 }],
  ])('%j is refused', (code, problem) => {
    expect(checkCode(code)).toEqual(problem);
  });

  test('forty clusters are allowed, whatever they are made of', () => {
    expect(checkCode('e\u0301'.repeat(40))).toBeNull();
  });
});

describe('what an expansion may be', () => {
  test('lines and tabs are fine, other control characters are not', () => {
    expect(checkExpansion('one\n\ttwo')).toBeNull();
    expect(checkExpansion('one\ntw\u0000o')).toEqual({
      type: 'control',
      codePoint: 0,
      place: { line: 2, position: 3 },
    });
  });

  test('the limits are in clusters and in bytes', () => {
    expect(checkExpansion('x'.repeat(LIMITS.expansionClusters))).toBeNull();
    expect(checkExpansion('x'.repeat(LIMITS.expansionClusters + 1))).toMatchObject({
      type: 'too-many-clusters',
    });
    expect(checkExpansion(FAMILY.repeat(4_001))).toMatchObject({ type: 'too-many-bytes' });
  });

  test('only line breaks are ever changed', () => {
    expect(withUnixNewlines('a\r\nb\rc\n')).toBe('a\nb\nc\n');
    expect(withUnixNewlines('e\u0301 \u2028')).toBe('e\u0301 \u2028');
  });

  test('the end is cleaned and what was cut is counted', () => {
    expect(cleanEnd('line one  \nline two \u00a0\n\n')).toEqual({
      text: 'line one  \nline two',
      blanks: 2,
      newlines: 2,
    });
    expect(cleanEnd('as it is')).toEqual({ text: 'as it is', blanks: 0, newlines: 0 });
  });
});

test('a bad character is found wherever it stands, a whole pair is not bad', () => {
  expect(findBadCharacter(`${FAMILY} fine`)).toBeNull();
  expect(findBadCharacter('low \udc00')).toMatchObject({ type: 'lone-surrogate', index: 4 });
  expect(findBadCharacter('del \u007f')).toMatchObject({ type: 'control', index: 4 });
});

describe('the schemas', () => {
  const good = {
    code: ';w',
    content: { expansion: 'Workshop', template: false, format: 'plain' },
    kind: 'address',
    setId: null,
    rules: { fires: 'offer' },
    usesAWeek: 7,
    former: { code: ';ws', until: 1 },
    pinned: 'a0',
    note: 'for halls',
    language: 'en',
    card: { uid: 'urn:uuid:1', part: 'mobile 2' },
    tagLimit: 8,
  };

  test('take a shortcut and give it back unchanged', () => {
    expect(ShortcutFieldsSchema.parse(good)).toEqual(good);
  });

  test.each([
    ['a blank around the code', { ...good, code: ' ;w' }, 'must not begin or end with white space'],
    ['an unknown field', { ...good, colour: 'red' }, 'colour'],
    ['an unknown rule', { ...good, rules: { fires: 'at noon' } }, 'fires'],
    ['an unknown kind', { ...good, kind: 'poem' }, 'kind'],
    ['a note of two lines', { ...good, note: 'one\ntwo' }, 'control character'],
    ['a language that is none', { ...good, language: 'English' }, 'language'],
    ['a missing field', { ...good, content: undefined }, 'content'],
    ['a long code', { ...good, code: 'x'.repeat(50) }, 'has 50 characters; at most 40 are kept'],
  ])('refuse %s and name it', (_name, fields, named) => {
    const result = ShortcutFieldsSchema.safeParse(fields);
    expect(JSON.stringify(result.error?.issues)).toContain(named);
  });

  test('a set needs a name of bearable length', () => {
    const set = { name: 'Visits', icon: 'van', order: 'a0' };
    expect(SetFieldsSchema.safeParse(set).success).toBe(true);
    expect(SetFieldsSchema.safeParse({ ...set, name: '' }).success).toBe(false);
    expect(SetFieldsSchema.safeParse({ ...set, name: 'x'.repeat(61) }).success).toBe(false);
  });
});

test('every problem is told in words that hold its figures', () => {
  expect(describeProblem({ type: 'empty' })).toContain('empty');
  expect(describeProblem({ type: 'too-many-code-points', limit: 160, found: 175 })).toContain('175');
  expect(describeProblem({ type: 'too-many-bytes', limit: 100_000, found: 100_001 })).toContain('100001');
  expect(describeProblem({ type: 'control', codePoint: 7, place: { line: 2, position: 3 } })).toBe(
    'holds a control character (U+0007) at line 2, character 3',
  );
});

test('what is left has a reason of one line, and a list has languages and devices', () => {
  const left = {
    shortcutId: '0198f4a0-0000-7000-8000-000000000000',
    finding: 'inside words',
    about: 'risky so',
    reason: 'I never write that',
  };
  expect(IgnoredFindingFieldsSchema.parse(left)).toEqual(left);
  for (const reason of ['', 'two\nlines', 'x'.repeat(201)]) {
    expect(IgnoredFindingFieldsSchema.safeParse({ ...left, reason }).success).toBe(false);
  }
  const list = { languages: ['en', 'de-AT'], devices: ['phone-list'], keyboards: [], hasDevices: false };
  expect(ListFieldsSchema.parse(list)).toEqual(list);
  expect(ListFieldsSchema.safeParse({ ...list, languages: [] }).success).toBe(false);
  expect(ListFieldsSchema.safeParse({ ...list, languages: ['English, mostly'] }).success).toBe(false);
  expect(RecordIdSchema.safeParse(LIST_RECORD_ID).success).toBe(true);
});
