import { entry } from '../fire/testing';
import { DEVICE_PROFILES, THIS_APP } from '../profile';
import {
  cheapestWay,
  compareEffort,
  countTypedOut,
  effortOfCode,
  effortOfText,
  FITTS,
  fittsTiming,
  KLM,
  kspcOfLetters,
  LEAST_MEASURED,
  paceFrom,
  RECALL,
  RECALL_OF_TEXT,
  savingOf,
  savingsOf,
  TABLE_OF_SIGNS,
  type InUse,
  type Keyboard,
  type Timing,
  type Uses,
} from '.';
import { parseVocabulary } from '@yellow-latch/language';
import { buildVocabulary } from '@yellow-latch/language/build';

import { KEYBOARDS } from './layouts';
import { recallKindOf } from '../mnemonic';
import { plainKeyboard, smallPhone } from './testing';

const keyboard = (id: string) => KEYBOARDS.find((one) => one.id === id)!;
const HARDWARE: InUse = { keyboard: keyboard('hardware-en-us'), share: 1, pace: 1, device: THIS_APP };
const PHONE: InUse = { keyboard: keyboard('phone-en'), share: 3, pace: 1, device: DEVICE_PROFILES['phone-list'] };
const said = (aWeek: number): Uses => ({ aWeek, from: 'said' });

describe('what it takes to have a code accepted', () => {
  const taps = (code: ReturnType<typeof effortOfCode>) => (code.type === 'effort' ? code.taps : code.type);

  test('the space that the text needed anyway is on both sides', () => {
    expect(taps(effortOfCode(entry('ws', 'workshop'), HARDWARE))).toBe(3);
    expect(effortOfText('workshop', HARDWARE).taps).toBe(9);
  });

  test('where the delimiter is dropped it is typed again', () => {
    expect(taps(effortOfCode(entry('ws', 'workshop', { delimiter: 'drop' }), HARDWARE))).toBe(4);
  });

  test('an offer takes a tap and a look', () => {
    const typed = effortOfCode(entry('ws', 'workshop'), HARDWARE);
    const offered = effortOfCode(entry('ws', 'workshop', { fires: 'offer' }), HARDWARE);
    if (typed.type !== 'effort' || offered.type !== 'effort') throw new Error('both can be typed');
    expect(offered.taps).toBe(typed.taps + 1);
    expect(offered.seconds).toBeCloseTo(typed.seconds + KLM.M + FITTS.a + FITTS.b * 2, 9);
  });

  test('a code that is on no key, or that the device cannot hold, is never free', () => {
    expect(effortOfCode(entry('♯s', 'sharp'), HARDWARE)).toEqual({ type: 'not-on-keyboard', character: '♯', at: 0 });
    const tablet = { ...HARDWARE, device: DEVICE_PROFILES['tablet-list'] };
    expect(effortOfCode(entry('two words', 'x'), tablet)).toEqual({ type: 'not-on-device' });
  });

  test('a slower hand takes longer, not more taps', () => {
    const slow = effortOfText('workshop', { ...HARDWARE, pace: 2 });
    expect(slow.taps).toBe(9);
    expect(slow.seconds).toBeCloseTo(2 * 9 * KLM.K, 9);
  });
});

describe('signs that no key carries', () => {
  test('are fetched from a table, each by itself', () => {
    const { fromTable, taps, seconds } = effortOfText('C♯ or D♭', HARDWARE);
    const plain = effortOfText('C or D', HARDWARE);
    expect(fromTable).toEqual(['♯', '♭']);
    expect(taps).toBe(plain.taps + 2 * TABLE_OF_SIGNS.taps);
    expect(seconds).toBeCloseTo(plain.seconds + 2 * TABLE_OF_SIGNS.seconds, 9);
  });

  // Common practice, no source.
  test('six characters beat a table of signs', () => {
    const six = effortOfCode(entry(';sharp', '♯'), HARDWARE);
    if (six.type !== 'effort') throw new Error('it can be typed');
    expect(six.seconds + RECALL.rule).toBeLessThan(effortOfText('♯', HARDWARE).seconds + RECALL_OF_TEXT);
  });

  test('a family of emoji is one; twenty thousand are as many trips', () => {
    expect(effortOfText('👩‍👩‍👧', HARDWARE).fromTable).toEqual(['👩‍👩‍👧']);
    const many = effortOfText('🎹'.repeat(20_000), PHONE);
    expect(many.fromTable).toHaveLength(20_000);
    expect(many.taps).toBe(20_000 * TABLE_OF_SIGNS.taps + 1);
  });
});

describe('how a code comes to mind', () => {
  test.each([
    ['deg', 'degrees Celsius', 'rule'],
    [';ws', 'the workshop', 'consonants'],
    ['hrp', 'Heather Road: park behind', 'rule'],
    ['ttun', 'A tuning sets the pitch', 'rule'],
    [';wrk', 'our workshop', 'consonants'],
    ['jjj', 'Sent from the road', 'arbitrary'],
    ['->', '→', 'word'],
    ['a4', 'A4 = 440 Hz', 'word'],
    [';x', '×', 'word'],
  ])('%s for “%s”: %s', (code, expansion, kind) => {
    expect(recallKindOf(code, expansion)).toBe(kind);
  });
});

describe('what a shortcut saves', () => {
  test('by hand: seven strokes on a keyboard where each takes K', () => {
    const { perUse, breakEven, week, verdict } = savingOf(entry('work', 'work and shop'), said(10), [HARDWARE]);
    // “work and shop ” has 14 characters, “work ” 5; both are called to mind with one M.
    expect(perUse!.taps).toBe(9);
    expect(perUse!.seconds).toBeCloseTo(9 * KLM.K, 9);
    expect(week!.seconds).toBeCloseTo(10 * 9 * KLM.K, 9);
    // Making it: both typed and called to mind once, and 15 s.
    expect(breakEven).toBe(Math.ceil((19 * KLM.K + 2 * KLM.M + 15) / (9 * KLM.K)));
    expect(verdict).toBe('pays');
  });

  test('is weighed by how much each keyboard is used', () => {
    const on = compareEffort(entry('work', 'work and shop'), [HARDWARE, PHONE]);
    const { perUse } = savingOf(entry('work', 'work and shop'), null, [HARDWARE, PHONE]);
    const [hard, phone] = on.map(({ code, text }) => (code.type === 'effort' ? text.seconds - code.seconds : NaN));
    expect(perUse!.seconds).toBeCloseTo((hard! + 3 * phone!) / 4, 9);
  });

  test.each([
    ['used too seldom', entry(';conf', 'Your tuning is booked.'), said(0.02), 'never pays'],
    ['longer than what it gives', entry(';sharpsign', 'sharp'), said(10), 'costs'],
    ['of unknown use', entry('work', 'work and shop'), null, 'use not known'],
    ['not on any keyboard', entry('♯', 'sharp'), said(10), 'cannot be typed'],
  ])('one that is %s', (_, shortcut, uses, verdict) => {
    expect(savingOf(shortcut, uses, [HARDWARE, PHONE]).verdict).toBe(verdict);
  });

  test('sums by set and by keyboard are the week’s; equal expansions count for each', () => {
    const list = [
      entry('work', 'work and shop'),
      entry('shop', 'work and shop'),
      entry('♯', 'sharp'),
      entry(';ten', 'ten minutes away'),
    ];
    const sets: Record<string, string> = { work: 'a', shop: 'b' };
    const { each, week, bySet, byKeyboard } = savingsOf(
      list,
      () => said(3),
      (id) => sets[id] ?? null,
      [HARDWARE, PHONE],
    );
    expect(each.map(({ id }) => id).at(-1)).toBe('♯');
    const sum = (of: Record<string, { seconds: number }>) =>
      Object.values(of).reduce((all, { seconds }) => all + seconds, 0);
    expect(sum(bySet)).toBeCloseTo(week.seconds, 9);
    expect(sum(byKeyboard)).toBeCloseTo(week.seconds, 9);
    expect(Object.keys(bySet).sort()).toEqual(['', 'a', 'b']);
    expect(
      savingsOf(
        [],
        () => null,
        () => null,
        [HARDWARE],
      ).week,
    ).toEqual({ taps: 0, seconds: 0 });
  });
});

describe('a keyboard with two keys for one character', () => {
  test('has the nearer one taken', () => {
    const far = plainKeyboard(['ab', '  ', 'c ']);
    const two: Keyboard = {
      ...far,
      keys: { ...far.keys, 'a 2': { ...far.keys.c!, x: far.keys.c!.x + 6 } },
      presses: [...far.presses, { key: 'a 2', layer: 'letters', gives: 'a', to: ['letters'] }],
    };
    const way = cheapestWay('ca', two, fittsTiming);
    expect(way.type === 'way' && way.presses.map(({ key }) => key)).toEqual(['c', 'a 2']);
  });
});

describe('a person’s own pace', () => {
  test('is what they took beside the model', () => {
    const typed = 'the hammer felt is worn and hard';
    const model = effortOfText(typed, { keyboard: smallPhone(), pace: 1 }).seconds;
    expect(paceFrom(typed, model * 1.5, smallPhone())).toMatchObject({ pace: 1.5 });
    expect(paceFrom(typed, 30, smallPhone())!.wordsAMinute).toBeCloseTo((typed.length / 5) * 2, 9);
  });

  test('is not told from too little, and has bounds', () => {
    expect(paceFrom('a'.repeat(LEAST_MEASURED - 1), 30, smallPhone())).toBeNull();
    expect(paceFrom('a'.repeat(LEAST_MEASURED), 3_000, smallPhone())!.pace).toBe(5);
  });
});

describe('texts that were typed out', () => {
  test('are counted as looking for each of them does', () => {
    const own = 'I am late. I am late again. ♯ and ♯♯, I am latest.';
    const texts = new Map([
      ['late', 'I am late'],
      ['again', 'late again. '],
      ['sharp', '♯'],
      ['never', 'I was never there'],
      ['blank', ' '],
    ]);
    const naive = new Map(
      [...texts].flatMap(([id, text]) => {
        const count = text.trim() === '' ? 0 : own.split(text.trim()).length - 1;
        return count > 0 ? [[id, count] as const] : [];
      }),
    );
    expect(countTypedOut(own, texts)).toEqual(naive);
  });
});

/**
 * The upper limit of tapping with a stylus on QWERTY: every movement by Fitts's law, no time to look or think.
 * Soukoreff & MacKenzie 1995 have 30.1 words a minute with an index of performance of 4.9 bit/s and 0.153 s for
 * the same key again; other studies with other constants go to 34 (from memory, as are the constants). The
 * space bar is aimed at in its middle; square keys, letters in three rows, each shifted by half a key.
 */
test('the upper limit of a stylus lies in the published range', () => {
  const SIDE = 6;
  const keys: Keyboard['keys'] = {
    ...Object.fromEntries(
      ['qwertyuiop', 'asdfghjkl', 'zxcvbnm'].flatMap((row, y) =>
        Array.from(row, (sign, x) => [sign, { x: (x + y / 2) * SIDE, y: y * SIDE, width: SIDE, height: SIDE }]),
      ),
    ),
    ' ': { x: 4.5 * SIDE, y: 3 * SIDE, width: 5 * SIDE, height: SIDE },
  };
  const stylus: Timing = (from, to) => {
    const distance = from === null ? 0 : Math.hypot(to.x - from.x, to.y - from.y);
    return distance === 0 ? 0.153 : Math.log2(distance / Math.min(to.width, to.height) + 1) / 4.9;
  };
  const presses = Object.keys(keys).map((key) => ({ key, layer: 'letters', gives: key, to: ['letters'] }));
  const qwerty: Keyboard = { ...plainKeyboard(['a']), keys, presses };
  const { words, perTenThousand } = parseVocabulary(buildVocabulary('en'));
  let seconds = 0;
  let characters = 0;
  words.slice(0, 3_000).forEach((word, index) => {
    if (!/^[a-z]+$/.test(word)) return;
    const way = cheapestWay(` ${word} `, qwerty, stylus);
    if (way.type !== 'way') throw new Error(word);
    // Of the first space only its place counts.
    seconds += (way.seconds - 0.153) * perTenThousand[index]!;
    characters += (word.length + 1) * perTenThousand[index]!;
  });
  const wordsAMinute = (60 * characters) / seconds / 5;
  expect(wordsAMinute).toBeGreaterThan(28);
  expect(wordsAMinute).toBeLessThan(34);
  expect(kspcOfLetters(new Map([['ab', 1]]), qwerty)).toBe(1);
});
