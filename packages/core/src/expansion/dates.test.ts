import { Temporal } from '@js-temporal/polyfill';

import { pick, randomFrom } from '../fire/testing';
import { formatMoment, isDuration, nextWeekday, parseDuration, shift, unknownLettersOf, WEEKDAYS } from '.';

const ZONES = [
  'Europe/London',
  'America/New_York',
  'Australia/Lord_Howe',
  'Asia/Kathmandu',
  'Pacific/Apia',
  'America/Sao_Paulo',
  'UTC',
  'Africa/Casablanca',
];
const RUNS = process.env.YELLOW_LATCH_SOAK ? 100_000 : 3_000;
const momentOf = (zoned: Temporal.ZonedDateTime) => Number(zoned.epochMilliseconds);
const zoned = (moment: number, zone: string) => Temporal.Instant.fromEpochMilliseconds(moment).toZonedDateTimeISO(zone);

describe('durations', () => {
  test.each(['P1D', 'P1Y2M3W4DT5H6M7S', '-P1M', '+PT36H', 'P0D', 'PT0S'])('%s is one (ISO 8601)', (text) =>
    expect(isDuration(text)).toBe(true),
  );
  test.each(['', 'P', 'PT', 'P1', '1D', 'P1H', 'PT1D', 'P1.5D', 'P1D2M', 'p1d', '--P1D', 'P1DT'])(
    '%s is none',
    (text) => expect(isDuration(text)).toBe(false),
  );
});

describe('a moment later', () => {
  test.each([
    ['2026-01-31T10:00', 'P1M', '2026-02-28T10:00'],
    ['2024-01-31T10:00', 'P1M', '2024-02-29T10:00'],
    ['2024-02-29T10:00', 'P1Y', '2025-02-28T10:00'],
    ['2026-03-31T10:00', '-P1M', '2026-02-28T10:00'],
    ['2026-12-31T23:30', 'P6M', '2027-06-30T23:30'],
    // Clocks go forward on 29 March 2026 and back on 25 October in London.
    ['2026-03-28T01:30', 'P1D', '2026-03-29T02:30'],
    ['2026-10-24T01:30', 'P1D', '2026-10-25T01:30'],
    ['2026-03-28T12:00', 'PT24H', '2026-03-29T13:00'],
  ])('%s and %s is %s', (from, duration, to) => {
    const moment = momentOf(Temporal.PlainDateTime.from(from).toZonedDateTime('Europe/London'));
    expect(
      zoned(shift(moment, parseDuration(duration)!, 'Europe/London'), 'Europe/London')
        .toPlainDateTime()
        .toString({ smallestUnit: 'minute' }),
    ).toBe(to);
  });

  test('is what Temporal says, for random moments, durations and zones', () => {
    const random = randomFrom(17);
    const whole = (most: number) => Math.floor(random() * most);
    for (let i = 0; i < RUNS; i += 1) {
      const zone = pick(random, ZONES);
      const moment = Date.UTC(
        1971 + whole(120),
        whole(12),
        1 + whole(31),
        whole(24),
        whole(60),
        whole(60),
        whole(1_000),
      );
      const text = `${random() < 0.5 ? '-' : ''}P${whole(3)}Y${whole(30)}M${whole(6)}W${whole(80)}D${random() < 0.5 ? `T${whole(60)}H${whole(200)}M${whole(100)}S` : ''}`;
      const ours = shift(moment, parseDuration(text)!, zone);
      const theirs = momentOf(zoned(moment, zone).add(Temporal.Duration.from(text)));
      expect({ zone, moment, text, ours }).toEqual({ zone, moment, text, ours: theirs });
    }
  });

  test('the next day of the week is one to seven days on, at the same time', () => {
    const random = randomFrom(23);
    for (let i = 0; i < 1_000; i += 1) {
      const zone = pick(random, ZONES);
      const from = zoned(Math.floor(random() * 4e12), zone);
      const weekday = pick(random, WEEKDAYS);
      // Temporal counts Monday 1 to Sunday 7.
      const wanted = WEEKDAYS.indexOf(weekday) || 7;
      const days = (wanted - from.dayOfWeek + 7) % 7 || 7;
      expect(nextWeekday(momentOf(from), weekday, zone)).toBe(momentOf(from.add({ days })));
    }
  });
});

describe('patterns', () => {
  // UTS #35, Date Format Pattern Examples, for 10 July 1996, 12:08 (and 0:00 pm), from memory.
  test.each([
    ["yyyy.MM.dd G 'at' HH:mm:ss", '1996.07.10 AD at 12:08:56'],
    ["EEE, MMM d, ''yy", "Wed, Jul 10, '96"],
    ['h:mm a', '12:08 PM'],
    ["hh 'o''clock' a", "12 o'clock PM"],
    ['K:mm a', '0:08 PM'],
    ['yyyyy.MMMM.dd GGG hh:mm a', '01996.July.10 AD 12:08 PM'],
    ['Q, QQQ, w', '3, Q3, 28'],
  ])('%s gives %s', (pattern, told) => {
    expect(formatMoment(Date.UTC(1996, 6, 10, 12, 8, 56), pattern, 'en-US', 'UTC')).toBe(told);
  });

  const FIELDS = {
    EEEE: { weekday: 'long' },
    MMMM: { month: 'long', day: 'numeric' },
    y: { year: 'numeric' },
    d: { day: 'numeric' },
  } as const;
  test.each(['en-GB', 'de', 'fr', 'es'])('in %s days and months are called as Intl calls them', (locale) => {
    const random = randomFrom(31);
    for (let i = 0; i < 300; i += 1) {
      const moment = Math.floor(random() * 4e12);
      const zone = pick(random, ZONES);
      for (const [pattern, options] of Object.entries(FIELDS)) {
        const type = { EEEE: 'weekday', MMMM: 'month', y: 'year', d: 'day' }[pattern]!;
        const parts = new Intl.DateTimeFormat(locale, { ...options, timeZone: zone }).formatToParts(moment);
        expect(formatMoment(moment, pattern, locale, zone)).toBe(parts.find((part) => part.type === type)!.value);
      }
      const clock = new Intl.DateTimeFormat('en-GB', {
        hour: '2-digit',
        minute: '2-digit',
        hourCycle: 'h23',
        timeZone: zone,
      }).format(moment);
      expect(formatMoment(moment, 'HH:mm', locale, zone)).toBe(clock);
    }
  });

  test.each([
    ["d MMMM y 'um' HH:mm", ''],
    ["d 'o''clock'", ''],
    ['dd.MM.yyyy', ''],
    ['YYYY', 'YYYY'],
    ['ddd', 'ddd'],
    ['d nn', 'nn'],
    ["d 'never closed", "'"],
  ])('of %s the letters %s are not known', (pattern, letters) => {
    expect(unknownLettersOf(pattern)).toBe(letters);
  });
});
