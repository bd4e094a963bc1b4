import { makeShortcut } from '../model/testing';
import fc from 'fast-check';

import { applyInputOnDevice, settleRules, startSession } from '../fire';
import { DEVICE_PROFILES } from '../profile';
import {
  DeviceList,
  dropTags,
  formattedHtml,
  joinerBefore,
  joinTagBlocks,
  MissedChances,
  nextGap,
  readTagBlock,
  shiftFormatted,
  tagsIn,
  withoutTag,
  withoutTags,
} from '.';

const shortcut = (code: string, expansion: string, id = code) => makeShortcut(code, expansion, { id });

describe('gaps', () => {
  const text = 'Dear ___, we meet on ______ at __.';
  const at = (place: number) => ({ start: place, end: place });

  test('are walked in their order and back, and two underscores are none', () => {
    const first = nextGap(text, at(0))!;
    expect(text.slice(first.start, first.end)).toBe('___');
    const second = nextGap(text, first)!;
    expect(text.slice(second.start, second.end)).toBe('______');
    expect(nextGap(text, second)).toBeNull();
    expect(nextGap(text, second, 'back')).toEqual(first);
    expect(nextGap(text, first, 'back')).toBeNull();
  });
});

describe('tags', () => {
  test('stand behind white space or what opens; numbers, links and colours of words are none', () => {
    const text = '#piano (#Tuning) see https://a.example/#part a#b #4 #4hands #éclat_2 ##x &#39; #🎹';
    expect(tagsIn(text).map(({ text: tag }) => tag)).toEqual(['#piano', '#Tuning', '#4hands', '#éclat_2', '#🎹']);
  });

  test('a second block leaves out what stands there, whatever its capitals, and its own repetitions', () => {
    const present = new Set(tagsIn('New strings today. #Piano #restored').map(({ key }) => key));
    const { text, dropped } = withoutTags('#piano #felt #felt #restored\n#workshop', present);
    expect(text).toBe('#felt\n#workshop');
    expect(dropped.map(({ text: tag }) => tag)).toEqual(['#piano', '#felt', '#restored']);
  });

  test('taken out one by one, in any order, nothing of a line is left', () => {
    const block = '#one #two\n#three';
    fc.assert(
      fc.property(fc.shuffledSubarray([0, 1, 2], { minLength: 3 }), (order) => {
        let text = block;
        for (const index of order) {
          const key = ['one', 'two', 'three'][index];
          const range = withoutTag(
            text,
            tagsIn(text).find((tag) => tag.key === key)!,
          );
          text = text.slice(0, range.start) + text.slice(range.end);
        }
        expect(text.trim()).toBe('');
      }),
    );
  });
});

describe('a block of tags', () => {
  const block = '#piano #Tuning #piano #felt\n#tuning #harp';

  test('doubles and those behind the limit are told, and dropped', () => {
    const { tags, doubles, over } = readTagBlock(block, 3);
    expect(tags.map(({ text }) => text)).toEqual(['#piano', '#Tuning', '#felt', '#harp']);
    expect(doubles.map(({ text }) => text)).toEqual(['#piano', '#tuning']);
    expect(over.map(({ text }) => text)).toEqual(['#harp']);
    expect(dropTags(block, doubles)).toBe('#piano #Tuning #felt\n#harp');
    const cut = dropTags(block, doubles);
    expect(dropTags(cut, readTagBlock(cut, 3).over)).toBe('#piano #Tuning #felt');
    expect(readTagBlock(block, null).over).toEqual([]);
  });

  test('joined, no tag stands there twice', () => {
    expect(joinTagBlocks(['#piano #felt', ' #Felt #harp ', '', '#piano'])).toBe('#piano #felt #harp');
  });

  // UAX #31, section on hashtag identifiers: what goes on is XID_Continue and emoji, after NFKC; from memory.
  test.each([
    ['#Ⅷb', 'viiib'],
    ['#ﬁne', 'fine'],
    ['＃STRASSE', 'strasse'],
    ['#caf\u00e9', 'cafe\u0301'.normalize('NFC')],
    ['#🎹keys', '🎹keys'],
    ['#हार्प', 'हार्प'],
  ])('%s is one tag, called %s', (text, key) => {
    expect(tagsIn(text).map((tag) => [tag.text, tag.key])).toEqual([[text, key]]);
  });

  test('whatever is dropped, the others stay in their order, and no more than the limit is left', () => {
    const tag = fc.stringMatching(/^#[a-z]{1,3}$/);
    fc.assert(
      fc.property(fc.array(tag, { maxLength: 12 }), fc.integer({ min: 1, max: 8 }), (tags, limit) => {
        const text = tags.join(' ');
        const once = dropTags(text, readTagBlock(text, null).doubles);
        const left = dropTags(once, readTagBlock(once, limit).over);
        expect(tagsIn(left).map((one) => one.text)).toEqual([...new Set(tags)].slice(0, limit));
      }),
    );
  });
});

describe('missed chances', () => {
  const chances = new MissedChances([
    shortcut(';ten', 'I am about ten minutes away.'),
    shortcut(';away', 'ten minutes away'),
    shortcut(';ws', 'Corrie & Vale\nUnit 3, The Ropewalk'),
    shortcut(';x', '×'),
  ]);
  const found = (text: string, quiet: { start: number; end: number }[] = []) =>
    chances.endingAt(text, text.length, quiet);

  test('a text typed out is found, in other capitals and spaces too, the longest of several', () => {
    expect(found('Sorry! i am  about ten minutes away')).toEqual({ id: ';ten', start: 7, end: 35 });
    expect(found('Corrie & Vale Unit 3, the ropewalk')?.id).toBe(';ws');
  });

  test('not in the middle of words, not what was put in, not signs', () => {
    expect(found('often minutes away')).toBeNull();
    expect(chances.endingAt('ten minutes awayward', 'ten minutes away'.length, [])).toBeNull();
    expect(found('I am about ten minutes away', [{ start: 0, end: 5 }])?.id).toBe(';away');
    expect(found('3 ×')).toBeNull();
  });
});

describe('what is put in by a tap', () => {
  test.each([
    ['', 'Hello', 'message', ''],
    ['Hello,', 'I am outside.', 'message', ' '],
    ['Hello, ', 'I am outside.', 'message', ''],
    ['(', 'see', 'message', ''],
    ['A', '♯', 'symbol', ''],
    ['see', ', too', 'message', ''],
    ['one\n', 'two', 'message', ''],
  ] as const)('%j then %j as a %s', (before, expansion, kind, joiner) => {
    expect(joinerBefore(before, expansion, kind)).toBe(joiner);
  });
});

describe('formatted stretches', () => {
  const html = '<p>Best <strong>wishes</strong></p>\n';

  test('paragraphs, lines and signs; a line inside a paragraph; a block between two', () => {
    const text = 'Dear <R> & co,\n\nsee you. Best wishes\nAnsel\n\nlist here';
    const start = text.indexOf('Best');
    const end = start + 'Best wishes'.length;
    const list = text.indexOf('list');
    const block = '<ul>\n<li>one</li>\n</ul>\n';
    expect(
      formattedHtml(text, [
        { start: list, end: list + 4, html: block },
        { start, end, html },
      ]),
    ).toBe(
      '<p>Dear &lt;R&gt; &amp; co,</p>\n<p>see you. Best <strong>wishes</strong><br>Ansel</p>\n<ul>\n<li>one</li>\n</ul>\n<p>here</p>',
    );
  });

  test('move with the text, and are plain once they are cut into', () => {
    const one = { start: 5, end: 10, html };
    expect(shiftFormatted([one], { start: 0, end: 2 }, 4)).toEqual([{ ...one, start: 7, end: 12 }]);
    expect(shiftFormatted([one], { start: 10, end: 10 }, 3)).toEqual([one]);
    expect(shiftFormatted([one], { start: 7, end: 7 }, 1)).toEqual([]);
  });
});

describe('a list on a device', () => {
  const entries = settleRules({
    sets: [],
    shortcuts: [
      shortcut(';ws', 'Unit 3\nThe Ropewalk'),
      shortcut(';long', 'word '.repeat(60)),
      shortcut('two words', 'text'),
    ],
  });

  test('where it knows no lines they are joined, and the space of a code is told of', () => {
    const device = DeviceList.of(entries, DEVICE_PROFILES['tablet-list']);
    let session = startSession();
    for (const key of ';ws ')
      session = applyInputOnDevice(
        session,
        { type: 'edit', range: session.caret, text: key, how: 'typing' },
        device.list,
      ).session;
    expect(session.text).toBe('Unit 3 The Ropewalk ');
    expect(device.refusedAt('so two words', 12)).toEqual({ id: 'two words', typed: 'two words', why: 'space in code' });
    expect(device.refusedAt(';ws', 3)).toBeNull();
  });

  test('what is too long for it is not held (common practice: 200 characters)', () => {
    const device = DeviceList.of(entries, DEVICE_PROFILES['keyboard-with-offers']);
    expect(device.refusedAt(';long', 5)).toEqual({ id: ';long', typed: ';long', why: 'too long' });
    expect(device.list.at(';long', 5, false).matches()).toEqual([]);
  });
});
