import { KEYBOARDS } from '../effort/layouts';
import { entry } from '../fire/testing';
import { DEVICE_PROFILES } from '../profile';
import { CHOSEN_CODES } from '../mnemonic/chosenCodes';
import { checkCode, matchKey, type Mark } from '../model';
import { GivenCodes, proposeCodes, type CodesInUse, type Proposal } from '.';

const MARK: Mark = { place: 'before', marker: ';' };
const keyboardOf = (id: string) => KEYBOARDS.find((keyboard) => keyboard.id === id)!;
const inUse = [
  { keyboard: keyboardOf('phone-en'), share: 6, pace: 1, device: DEVICE_PROFILES['phone-list'] },
  { keyboard: keyboardOf('hardware-en-gb'), share: 2, pace: 1, device: DEVICE_PROFILES.expander },
];

/** The codes of some shortcuts, looked up the plain way. */
function codesOf(codes: Readonly<Record<string, string>>): CodesInUse {
  const all = Object.entries(codes).map(([id, code]) => ({ id, key: matchKey(code) }));
  const ids = (isOne: (key: string) => boolean) => all.filter(({ key }) => isOne(key)).map(({ id }) => id);
  return {
    usersOf: (key) => ids((one) => one === key),
    hasLonger: (key) => ids((one) => one !== key && one.startsWith(key)).length > 0,
    shorterThan: (key) => ids((one) => one !== key && key.startsWith(one)),
  };
}

const propose = (
  text: string,
  codes: Readonly<Record<string, string>> = {},
  kind = 'message',
  mark = MARK,
): Proposal[] => proposeCodes({ entry: entry('', text, { id: 'new' }), kind, mark, inUse, codes: codesOf(codes) });

const codesFor = (...asked: Parameters<typeof propose>) => propose(...asked).map(({ code }) => code);

test('of the mnemonics people choose, at least three in five are among the first five', () => {
  const missed = CHOSEN_CODES.filter(([text, chosen]) => !codesFor(text).slice(0, 5).includes(`;${chosen}`));
  expect(CHOSEN_CODES.length).toBeGreaterThanOrEqual(60);
  expect(missed.length).toBeLessThanOrEqual(CHOSEN_CODES.length * 0.4);
});

test('cheapest first; ways of making them take turns', () => {
  const proposals = propose('The last piano needed more time than planned. I shall be about half an hour late.');
  const seconds = proposals.slice(0, 5).map((one) => one.seconds!);
  expect(seconds).toEqual([...seconds].sort((a, b) => a - b));
  expect(new Set(proposals.slice(0, 5).map(({ how }) => how)).size).toBeGreaterThanOrEqual(3);
});

test('a code in use is not proposed; a second of its kind is called as the first is, and says so', () => {
  const first = codesFor('https://corrieandvale.example/book');
  expect(first).toContain(';book');
  const proposals = propose('https://corrieandvale.example/book?from=mail', { a: ';BOOK' });
  expect(proposals.map(({ code }) => code)).not.toContain(';book');
  expect(proposals.filter(({ how }) => how === 'like').map(({ code, like }) => [code, like])).toEqual(
    expect.arrayContaining([[';bbook', 'a']]),
  );
});

test('where a device expands at once no proposal begins another code, and none begins with one', () => {
  const atOnce = inUse.map((one) => ({ ...one, device: DEVICE_PROFILES.app }));
  const proposals = proposeCodes({
    entry: entry('', 'Please book a visit', { id: 'new', fires: 'instant' }),
    kind: 'message',
    mark: MARK,
    inUse: atOnce,
    codes: codesOf({ a: ';b', v: ';visiting' }),
  });
  expect(proposals.length).toBeGreaterThan(0);
  for (const { code } of proposals) {
    expect(code.startsWith(';b')).toBe(false);
    expect(';visiting'.startsWith(code)).toBe(false);
  }
});

test.each([
  ['emoji only', '🦜🦜🦜'],
  ['one character', 'x'],
  ['20,000 characters', 'tuning '.repeat(2_900)],
  ['right to left', 'مرحبا بك في الورشة'],
  ['no letters at all', '+++ 2 / 3 +++'],
  ['another script', '你好，很高兴认识你'],
  ['nothing but space', ' \n '],
  ['a template', '{$a :text label=|A|}{$b :text label=|B|}'],
])('%s: what is proposed can be typed and is allowed', (_, text) => {
  const proposals = propose(text);
  expect(proposals.length).toBeGreaterThan(0);
  for (const { code, taps } of proposals) {
    expect(checkCode(code)).toBeNull();
    expect(taps).toBeGreaterThan(0);
  }
});

test('where every candidate is in use there is still one, with a number', () => {
  const text = 'Please book a visit';
  const codes: Record<string, string> = {};
  for (let round = 0; round < 8; round += 1) {
    for (const { code } of propose(text, codes)) codes[`${Object.keys(codes).length}`] = code;
  }
  const [free] = propose(text, codes);
  expect(free).toMatchObject({ how: 'number' });
  expect(Object.values(codes)).not.toContain(free!.code);
});

test('a marker that no keyboard has gives way to letters; a correction is the word itself', () => {
  expect(codesFor('workshop hours', {}, 'message', { place: 'before', marker: '✂' })).toContain(
    'wworkshop'.slice(0, 4),
  );
  expect(codesFor('HarbourHall', {}, 'correction')).toEqual(['harbourhall']);
});

test('without keyboards the shortest go first, and what they take is not known', () => {
  const proposals = proposeCodes({
    entry: entry('', 'Condition report', { id: 'new' }),
    kind: 'message',
    mark: MARK,
    inUse: [],
    codes: codesOf({}),
  });
  expect(proposals[0]).toMatchObject({ code: ';cr', taps: null, seconds: null });
});

test('what a thing is called goes before what its text says', () => {
  const called = (names: readonly string[], text: string, kind: string) =>
    proposeCodes({
      entry: entry('', text, { id: 'new' }),
      kind,
      mark: MARK,
      inUse,
      codes: codesOf({}),
      called: names,
    }).map(({ code }) => code);
  expect(called(['ann', 'annc'], '07700 900123', 'contact')).toEqual(expect.arrayContaining([';ann', ';annc']));
  expect(called(['sagittarius'], '♐', 'symbol').slice(0, 5)).toEqual(expect.arrayContaining([';sag']));
  // What people type for a symbol is known without its name.
  expect(called(['half'], '½', 'symbol')).toEqual(expect.arrayContaining([';hf']));
});

test('codes that were given count as in use, with what they begin and what begins them', () => {
  const given = new GivenCodes(codesOf({ a: ';book' }));
  given.give('b', ';Ann');
  expect(given.usersOf(';ann')).toEqual(['b']);
  expect(given.usersOf(';book')).toEqual(['a']);
  expect([given.hasLonger(';an'), given.hasLonger(';ann'), given.hasLonger(';boo')]).toEqual([true, false, true]);
  expect(given.shorterThan(';anna')).toEqual(['b']);
  expect(given.shorterThan(';books')).toEqual(['a']);
});
