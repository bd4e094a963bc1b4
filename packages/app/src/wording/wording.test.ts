import { i18n } from '@lingui/core';
import { plural, t } from '@lingui/core/macro';

import {
  languageName,
  tellAgo,
  tellClock,
  tellCount,
  tellDay,
  tellDuration,
  tellEither,
  tellList,
  tellMoment,
  tellNumber,
  tellWeekday,
} from './format';
import { chooseLocale } from './locale';
import { speak } from './start';

afterEach(() => speak(chooseLocale(['en-GB']), {}));

const speakLike = (...wanted: string[]) => speak(chooseLocale(wanted), {});

describe('the language of the screens', () => {
  test.each([
    [['en-GB'], 'en', 'en-GB-u-hc-h23'],
    [['en-US'], 'en', 'en-US-u-hc-h12'],
    // No catalogue yet: English sentences, the numbers, dates and clock of the person's own region.
    [['de-AT', 'fr'], 'en', 'en-AT-u-hc-h23'],
    [['de'], 'en', 'en-DE-u-hc-h23'],
    // What is wanted less and can be had goes before what cannot.
    [['ja', 'en-AU'], 'en', 'en-AU-u-hc-h12'],
    // Chosen by the person in their browser.
    [['en-US-u-hc-h23'], 'en', 'en-US-u-hc-h23'],
    [[], 'en', 'en'],
    [['not a tag'], 'en', 'en'],
  ])('%j is %s, written as in %s', (wanted, language, locale) =>
    expect(chooseLocale(wanted)).toEqual({ language, locale }),
  );

  // Against the format of dates (ECMA-402, Intl.DateTimeFormat), which every browser has.
  test.each(['fr-CA', 'hi-IN', 'ko-KR', 'ar-EG', 'zh-TW', 'es-MX', 'pt-BR', 'sv-SE', 'en-CA', 'ja-JP', 'en-u-hc-h11'])(
    'the clock of %s is that of its dates',
    (tag) => {
      const { hourCycle } = new Intl.DateTimeFormat(tag, { hour: 'numeric' }).resolvedOptions();
      expect(new Intl.Locale(chooseLocale([tag]).locale).hourCycle).toBe(hourCycle);
    },
  );

  test('what was chosen on this device goes before, if it is known', () => {
    expect(chooseLocale(['en-US'], 'en-XA')).toEqual({ language: 'en-XA', locale: 'en-GB-u-hc-h23' });
    expect(chooseLocale(['en-US'], 'tlh').language).toBe('en');
  });
});

describe('numbers, lists, dates and times go by the region', () => {
  const moment = new Date(2026, 10, 6, 9, 5).getTime();
  const now = new Date(2026, 10, 6, 21, 0).getTime();

  test.each([
    ['en-GB', '12,345', '09:05', '6 Nov'],
    ['en-US', '12,345', '9:05 AM', 'Nov 6'],
    ['de-DE', '12.345', '09:05', '6 Nov'],
  ])('%s', (tag, count, clock, day) => {
    speakLike(tag);
    expect(tellCount(12_345)).toBe(count);
    expect(tellClock(moment).replace('\u202f', ' ')).toBe(clock);
    expect(tellDay(moment, now)).toBe(day);
    expect(tellMoment(moment, now).replace('\u202f', ' ')).toBe(clock);
  });

  test('with the year where it is another one, and the time before today', () => {
    expect(tellDay(moment, new Date(2027, 0, 1).getTime())).toBe('6 Nov 2026');
    expect(tellMoment(moment, new Date(2026, 10, 7).getTime())).toBe('6 Nov, 09:05');
  });

  test.each([
    [['A'], 'A', 'A'],
    [['A', 'B'], 'A and B', 'A or B'],
    [['A', 'B', 'C'], 'A, B and C', 'A, B or C'],
  ])('%j in a list', (items, all, one) => {
    expect(tellList(items)).toBe(all);
    expect(tellEither(items)).toBe(one);
  });

  test('as commas stand elsewhere', () => {
    speakLike('en-US');
    expect(tellList(['A', 'B', 'C'])).toBe('A, B, and C');
  });

  test.each([
    [0, 'now'],
    [5, '5 minutes ago'],
    [61, '1 hour ago'],
    [26 * 60, 'yesterday'],
    [3 * 24 * 60, '3 days ago'],
  ])('%d minutes ago', (minutes, told) => expect(tellAgo(now - minutes * 60_000, now)).toBe(told));

  test.each([
    [4.23, '4.2 secs'],
    [19, '19 secs'],
    [203, '3.4 mins'],
    [-30, '−30 secs'],
    [3_600, '60 mins'],
    [7_500, '2 hrs, 5 mins'],
    [7_190, '2 hrs'],
    [40_000, '11 hrs'],
    [1_000_000, '280 hrs'],
  ])('%d seconds', (seconds, told) => expect(tellDuration(seconds)).toBe(told));

  test('two digits that count; days and languages by their names', () => {
    expect([0.1234, 43.51, 9.96, 1_234].map(tellNumber)).toEqual(['0.12', '44', '10', '1,200']);
    expect([0, 1, 6].map(tellWeekday)).toEqual(['Sunday', 'Monday', 'Saturday']);
    expect(['de', 'en-GB', 'x!'].map(languageName)).toEqual(['German', 'British English', 'x!']);
  });
});

describe('sentences', () => {
  const found = (count: number, where: string) =>
    t`Found ${plural(count, { one: '# shortcut', other: '# shortcuts' })} in ${where}.`;

  test('of the sources need no catalogue', () => {
    expect(found(1, 'Visits')).toBe('Found 1 shortcut in Visits.');
    expect(found(1_200, 'Visits')).toBe('Found 1,200 shortcuts in Visits.');
  });

  test('come from a catalogue by their id, with the plurals of its language', () => {
    const id = idOf(() => found(1, ''));
    // Polish has one, few and many (CLDR).
    speak(
      { language: 'pl', locale: 'pl' },
      {
        [id]: [
          'W ',
          ['where'],
          ': ',
          ['count', 'plural', { one: ['#', ' skrót'], few: ['#', ' skróty'], many: ['#', ' skrótów'], other: ['#'] }],
        ] as never,
      },
    );
    expect([1, 3, 5].map((count) => found(count, 'X'))).toEqual(['W X: 1 skrót', 'W X: 3 skróty', 'W X: 5 skrótów']);
  });

  test('what a person wrote stays as it is, whatever it means to a message', () => {
    for (const name of ['{count}', 'it’s {0', '#', "'{'", '<b>', '%s']) expect(found(2, name)).toContain(`in ${name}.`);
  });
});

/** The id of the message that is asked for. */
function idOf(ask: () => unknown): string {
  let id = '';
  const stop = i18n.on('missing', (event) => {
    id = event.id;
  });
  ask();
  stop();
  return id;
}
