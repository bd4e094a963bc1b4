import { DeviceList } from '../compose';
import { KEYBOARDS } from '../effort/layouts';
import { keysOf, settleRules, simulate, type FiringEntry } from '../fire';
import { JOBS, sampleRecords, TALK, type JobWant, type Want } from '../scenario';
import type { ShortcutFields } from '../model';
import {
  correctsFor,
  countTags,
  entered,
  entriesForTyping,
  hasWanted,
  isValidMailAddress,
  mailFault,
  NO_TAPS,
  ownListProfile,
  profileOfStandIn,
  spentOn,
  usualSwitches,
  withEntries,
  writtenOut,
  type OwnEntry,
} from '.';

const own = (code: string, text: string, language: string | null = null): OwnEntry => ({ code, text, language });
const phone = ownListProfile('phone', usualSwitches('phone'));
const tablet = (language: string) => ownListProfile('tablet', { ...usualSwitches('tablet'), language });

function type(keys: string, entries: readonly FiringEntry[], profile = phone): string {
  const { list } = DeviceList.of(entries, profile);
  return simulate(keysOf(keys), list, profile).text;
}

describe('the list that a device brought along', () => {
  test('takes an entry as it can hold it: lines joined, ends of the code taken off', () => {
    expect(entered(own(' wks ', 'Unit 3\nThe Ropewalk'), phone)).toEqual({
      type: 'entered',
      entry: own('wks', 'Unit 3 The Ropewalk'),
      isCut: true,
    });
  });

  test('refuses what it cannot hold, and says which field is wrong', () => {
    expect(entered(own('two words', 'x'), tablet('en'))).toEqual({ type: 'refused', why: 'space in code' });
    expect(entered(own('', 'x'), phone)).toMatchObject({ type: 'wrong', field: 'code' });
    expect(entered(own('x', ''), phone)).toMatchObject({ type: 'wrong', field: 'text' });
  });

  test('holds one entry for a code, whatever its capitals; on a tablet one for each language', () => {
    const first = withEntries([], [own('wks', 'one'), own('WKS', 'two')], phone);
    expect(first).toMatchObject({ entries: [own('WKS', 'two')], added: 1, replaced: 1 });
    const both = withEntries([], [own('wks', 'one', 'en'), own('wks', 'zwei', 'de')], tablet('en'));
    expect(both.entries).toHaveLength(2);
  });

  test('takes 10,000 entries at once, and tells of those it did not take', () => {
    const many = Array.from({ length: 10_000 }, (_, at) => own(`code${at}`, at % 2 === 0 ? 'a\nb' : 'a'));
    const taken = withEntries([], [...many, own('', 'x')], phone);
    expect(taken).toMatchObject({ added: 10_000, cut: 5_000, refused: [{ code: '', why: 'wrong' }] });
    expect(type('see code9999 ', entriesForTyping(taken.entries))).toBe('See a ');
  });

  test('expands as such lists do, its own entries with it', () => {
    const entries = entriesForTyping([own('wks', 'Unit 3')]);
    expect(type('at wks, asap ', entries)).toBe('At Unit 3, as soon as possible ');
  });

  test('an entry of another language never expands, one of all languages does', () => {
    const entries = entriesForTyping([own('mfg', 'Mit freundlichen Grüßen', 'de'), own('tel', '01632 960147')]);
    expect(type('so mfg tel ', entries, tablet('en'))).toBe('So mfg 01632 960147 ');
    expect(type('so mfg tel ', entries, tablet('de'))).toBe('So Mit freundlichen Grüßen 01632 960147 ');
  });

  // Common practice, no source.
  test('an entry whose text is its code keeps a word from the correction', () => {
    const speller = { correctionOf: (word: string) => (word === 'hrp' ? 'harp' : null) };
    expect(correctsFor(speller, [])('hrp')).toBe('harp');
    expect(correctsFor(speller, [own('hrp', 'hrp')])('hrp')).toBeNull();
    expect(correctsFor(speller, [own('HRP', 'Heather Road')])('hrp')).toBeNull();
  });
});

describe('the app on a stand-in', () => {
  test('hears what the keyboard made of the keys: capitals at a start, typographic quotes', () => {
    const profile = profileOfStandIn('phone', 'app', usualSwitches('phone'));
    // Common practice, no source: a code with capitals of its own fails where the device raises its first letter.
    const [ten] = settleRules({
      sets: [],
      shortcuts: [
        {
          id: '1',
          code: 'ten',
          content: { expansion: 'ten minutes', template: false, format: 'plain' },
          kind: 'message',
          setId: null,
          rules: { capitals: 'match' },
        },
      ],
    });
    expect(type('ten "ten ', [ten!], profile)).toBe('Ten “ten minutes ');
    const off = profileOfStandIn('phone', 'app', { ...usualSwitches('phone'), smartPunctuation: false });
    expect(type('"', [], off)).toBe('"');
  });

  test('a computer’s keyboard changes nothing', () => {
    expect(type('so "x" -- ', [], profileOfStandIn('computer', 'app', usualSwitches('computer')))).toBe('so "x" -- ');
  });
});

describe('a mail field of a form', () => {
  // Common practice, no source: the space that is left makes the address invalid.
  test('does not take the space that an expansion leaves', () => {
    expect(mailFault('ansel@corrieandvale.example ')).toBe('space-left');
    expect(mailFault('ansel@corrieandvale.example')).toBeNull();
    expect(mailFault('')).toBe('empty');
    expect(mailFault('ansel at corrieandvale')).toBe('not-an-address');
  });

  // HTML Living Standard, 4.10.5.1.5: the atext of RFC 5322 and dots, `@`, labels of RFC 1034 of up to 63 characters; quoted names and comments are not taken.
  test.each([
    ['a@b', true],
    ['a.b+c@d.example', true],
    ["o'neil@d.example", true],
    ['.a..b@d.example', true],
    [`a@${'x'.repeat(63)}.example`, true],
    [`a@${'x'.repeat(64)}.example`, false],
    ['a@-b.example', false],
    ['a@b-.example', false],
    ['a@b..example', false],
    ['"a b"@d.example', false],
    ['a@d.example(home)', false],
    ['ä@d.example', false],
    ['@d.example', false],
    ['a@', false],
    ['a@b@c', false],
  ])('%s: %s', (address, isValid) => {
    expect(isValidMailAddress(address)).toBe(isValid);
  });
});

describe('what is wanted', () => {
  const NOW = new Date(2026, 10, 28, 12).getTime();
  const judging = {
    textOf: (code: string) => (code === ';ws' ? 'Corrie & Vale\nUnit 3' : undefined),
    now: NOW,
    locale: 'fr',
  };
  const has = (want: Want, text: string) => hasWanted(want, text, judging);

  test('a text, however it is set: lines, capitals and punctuation do not matter', () => {
    const want: Want = { type: 'text', code: ';ws' };
    expect(has(want, 'It is corrie & vale, unit 3.')).toBe(true);
    expect(has(want, 'Corrie & Vale')).toBe(false);
    expect(has({ type: 'text', code: 'gone' }, '')).toBe(false);
  });

  test.each([
    ['Sunday 29 November', true],
    ['29.11.2026', true],
    ['Nov 29th', true],
    ['2026-11-29', true],
    ['dimanche 29 novembre', true],
    ['Sonntag 29 noviembre', false],
    ['28 November', false],
    ['29 October', false],
    ['29', false],
    ['', false],
  ])('tomorrow’s date: %s: %s', (text, isIt) => {
    expect(has({ type: 'date', plusDays: 1 }, text)).toBe(isIt);
  });

  test('a mail address among words', () => {
    expect(has({ type: 'mail' }, 'Write to ansel@corrieandvale.example.')).toBe(true);
    expect(has({ type: 'mail' }, 'Write to ansel')).toBe(false);
  });

  test('tags: not too few, not too many, none twice', () => {
    const want: Want = { type: 'tags', least: 2, most: 3 };
    expect(['#a', '#a #b', '#a #b #c #d', '#a #A'].map((text) => has(want, text))).toEqual([false, true, false, false]);
    expect(countTags('#a #b #A')).toEqual({ count: 3, repeated: ['#A'] });
  });

  test('every job can be done with the codes it names, and every talk with an answer', () => {
    const texts = new Map(
      sampleRecords()
        .filter(({ type }) => type === 'shortcut')
        .map(({ fields }) => [(fields as ShortcutFields).code, (fields as ShortcutFields).content.expansion]),
    );
    const wants = JOBS.flatMap((job): readonly Pick<JobWant, 'want' | 'codes'>[] =>
      job.place === 'talk' ? job.asks : job.wants,
    );
    for (const { want, codes } of wants) {
      expect(codes.length).toBeGreaterThan(0);
      const text = codes.map((code) => texts.get(code)).join(' ');
      const made = want.type === 'date' ? 'Sunday 29 November' : text;
      expect([codes, hasWanted(want, made, { textOf: (code) => texts.get(code), now: NOW, locale: 'en' })]).toEqual([
        codes,
        true,
      ]);
    }
    expect(JOBS).toHaveLength(8);
    for (const { want } of TALK) expect(has(want, 'In the yard: ansel@corrieandvale.example')).toBe(true);
  });
});

describe('taps', () => {
  const keyboard = KEYBOARDS.find(({ id }) => id === 'phone-en')!;

  test('are what was counted; the seconds are those of the same keys, and of suggestions taken', () => {
    const typed = writtenOut('so ', keyboard)!;
    expect(spentOn({ ...NO_TAPS, taps: 3, keys: 'so ' }, keyboard)).toEqual({ taps: 3, seconds: typed.seconds });
    const more = spentOn({ taps: 5, keys: 'so ', offers: 1 }, keyboard)!;
    expect(more.taps).toBe(5);
    expect(more.seconds).toBeGreaterThan(typed.seconds);
    expect(spentOn(NO_TAPS, keyboard)).toEqual({ taps: 0, seconds: 0 });
  });

  test('a text that is too long is not priced along', () => {
    expect(writtenOut('x'.repeat(20_001), keyboard)).toBeNull();
  });
});
