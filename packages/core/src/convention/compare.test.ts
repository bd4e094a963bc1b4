import { vocabularyOf, shortcut } from '../clash/testing';
import { Punctuation, WORDS_A_WEEK } from '../clash';
import type { InUse, Keyboard } from '../effort';
import { glassKeyboard, LAYOUTS, KEYBOARDS } from '../effort/layouts';
import { plainKeyboard, smallPhone } from '../effort/testing';
import { pick, randomFrom } from '../fire/testing';
import { DEVICE_PROFILES, THIS_APP } from '../profile';
import type { GlassLayout, Mark } from '../model';
import {
  charactersOf,
  compareMarks,
  isOftenMistaken,
  isSameMark,
  LEAST_GAIN,
  planRecodes,
  type CompareInput,
  type Comparison,
} from '.';
import { MarkIndex } from './markIndex';
import { plainAWeek, plainCost } from './testing';

const compared = (input: CompareInput): Comparison => {
  const result = compareMarks(input);
  if ('type' in result) throw new Error(result.type);
  return result;
};
const rowOf = ({ rows }: Comparison, mark: Mark) => rows.find((row) => isSameMark(row.mark, mark));
const PHONE: InUse = {
  keyboard: KEYBOARDS.find(({ id }) => id === 'phone-en')!,
  share: 1,
  pace: 1,
  device: DEVICE_PROFILES['phone-list'],
};

const WORDS = ['ab', 'abc', 'cab', 'ba', 'bab', 'aab', 'bb', 'cc', 'a', "b'a", 'ca-b'];
const TEXTS = ['a', 'b', 'c', ',', ';', '.', '-', '--', ' ', '\n', 'A', 'ab', '(', '"', '5'];

/** How those words stand, in few texts. */
const STANDING = new Punctuation({
  words: 100,
  begins: 20,
  after: { ',': 20, '.': 12, ';': 3, ',,': 2, '-': 2 },
  before: { ',': 2, '-': 3, ';,': 1 },
  glued: { '-': 2, ';': 1 },
  alone: {},
  figures: {},
  ofWord: { ab: [60, 4, 30, 1], cc: [70, 0, 0, 60], abc: [50] },
  classes: [],
});

/** Three keyboards of few keys: in one layer, with figures behind a switch, and for ten fingers. */
function madeUpKeyboards(random: () => number): InUse[] {
  const shuffled = (signs: string) => [...signs].sort(() => random() - 0.5).join('');
  const [first, second] = [shuffled('abc,; '), shuffled('abc,;. ')];
  const hard: Keyboard = { ...plainKeyboard([shuffled('abc,;.- ')]), id: 'hard', kind: 'hardware' };
  return [
    {
      keyboard: plainKeyboard([first.slice(0, 3), first.slice(3)]),
      share: 1 + Math.floor(random() * 5),
      pace: 1,
      device: DEVICE_PROFILES['phone-list'],
    },
    {
      keyboard: { ...plainKeyboard([second.slice(0, 4), second.slice(4)]), id: 'second' },
      share: 2,
      pace: 0.5 + random(),
      device: DEVICE_PROFILES.expander,
    },
    { keyboard: hard, share: 1, pace: 1, device: THIS_APP },
  ];
}

describe('marks weighed all at once are what weighing each by itself gives', () => {
  // `npm run soak` takes ten times as many.
  const LISTS = process.env.YELLOW_LATCH_SOAK ? 60 : 6;

  test('on three made-up keyboards each, and the front is the same', () => {
    const random = randomFrom(41);
    for (let i = 0; i < LISTS; i += 1) {
      const some = (from: readonly string[], most: number) =>
        Array.from({ length: 1 + Math.floor(random() * most) }, () => pick(random, from)).join('');
      const codes = new Set(
        Array.from({ length: 5 }, () => pick(random, ['', ',', ';', '#']) + some(['a', 'b', 'c'], 3)),
      );
      // Some are said to be used never; one at least is used.
      const uses = new Map(
        [...codes].map((code, index) => [code, index === 0 ? 1 : Math.max(0, Math.floor(random() * 12) - 4)]),
      );
      const fires = ['delimiter', 'instant', 'offer'] as const;
      const capitals = ['ignore', 'match'] as const;
      const shortcuts = [...codes].map((code) =>
        shortcut(code, code, 'x', {
          rules: {
            fires: pick(random, fires),
            capitals: pick(random, capitals),
            edge: pick(random, ['word', 'anywhere'] as const),
          },
        }),
      );
      const ownText = Array.from({ length: 400 }, () => pick(random, TEXTS)).join('');
      const input = {
        list: { sets: [], shortcuts },
        scope: { of: 'list' } as const,
        inUse: madeUpKeyboards(random),
        languages: [
          { vocabulary: { ...vocabularyOf(WORDS), punctuation: STANDING } },
          { vocabulary: vocabularyOf(['bc', 'cba', 'a', 'aa'], 'de') },
        ],
        usesAWeek: (id: string) => uses.get(id)!,
        ownText,
      };
      const comparison = compared(input);
      const marks = new MarkIndex(charactersOf(input.inUse));
      expect(marks.characters).toHaveLength(5);
      const plain = Array.from(marks, ([, mark]) => ({ mark, ...plainCost(mark, input) })).map((cost) => ({
        ...cost,
        aWeek: plainAWeek(cost, ownText, WORDS_A_WEEK),
      }));
      for (const { mark, ...cost } of plain) {
        const row = rowOf(comparison, mark);
        if (!row) continue;
        expect({ mark, ...row.effort, ...row.misfires }).toEqual({
          mark,
          taps: expect.closeTo(cost.taps, 6) as number,
          seconds: expect.closeTo(cost.seconds, 6) as number,
          perTenThousand: expect.closeTo(cost.perTenThousand, 6) as number,
          per100Contexts: expect.closeTo(cost.per100Contexts, 6) as number,
          inOwnText: expect.closeTo(cost.inOwnText, 6) as number,
          aWeek: expect.closeTo(cost.aWeek, 6) as number,
        });
      }
      const least = (a: number, b: number) => a < b - 1e-9;
      const front = plain.filter(
        (one) =>
          !plain.some(
            (other) =>
              (least(other.seconds, one.seconds) && !least(one.aWeek, other.aWeek)) ||
              (least(other.aWeek, one.aWeek) && !least(one.seconds, other.seconds)),
          ),
      );
      // Sums in another order differ in their last digits: what is on a front is compared by its measures.
      const measures = (costs: readonly { seconds: number; aWeek: number }[]) =>
        [...new Set(costs.map(({ seconds, aWeek }) => `${seconds.toFixed(6)} ${aWeek.toFixed(6)}`))].sort();
      const found = comparison.rows
        .filter(({ isOnFront }) => isOnFront)
        .map(({ effort, misfires }) => ({ seconds: effort.seconds, aWeek: misfires.aWeek }));
      expect(measures(found)).toEqual(measures(front));
    }
  });
});

test('what a device replaces with the next key counts, at the end of a text too', () => {
  const input: CompareInput = {
    list: { sets: [], shortcuts: [shortcut('1', ';ab', 'x')] },
    scope: { of: 'list' },
    inUse: [PHONE],
    languages: [{ vocabulary: vocabularyOf(['zz']) }],
    usesAWeek: () => 1,
  };
  const inOwnText = (ownText: string, mark: Mark) => rowOf(compared({ ...input, ownText }), mark)!.misfires.inOwnText;
  // The second full stop ends the code `ab.`, before the third makes an ellipsis of them all.
  expect(inOwnText('so ab...', { place: 'after', marker: '.' })).toBe(1);
  expect(inOwnText('ab... or ab...', { place: 'after', marker: '.' })).toBe(2);
  expect(inOwnText('ab. or ab..', { place: 'after', marker: '.' })).toBe(2);
});

describe('what speaks against a mark', () => {
  const list = {
    sets: [],
    shortcuts: [
      shortcut('1', ';ten', 'ten minutes away'),
      shortcut('2', ';late', 'I shall be late'),
      shortcut('3', 'oar', 'an oar'),
      shortcut('4', '->', '→'),
    ],
  };
  const input: CompareInput = {
    list,
    scope: { of: 'list' },
    inUse: [PHONE],
    languages: [{ vocabulary: vocabularyOf(['oar', 'ten', 'late']) }],
    usesAWeek: () => 5,
  };

  test('programs that claim it, devices that change it, misfires, codes that change', () => {
    const comparison = compared(input);
    expect(comparison.codes).toBe(3);
    expect(rowOf(comparison, { place: 'before', marker: '/' })!.claims.map(({ meaning }) => meaning)).toContain(
      'a command',
    );
    expect(rowOf(comparison, { place: 'before', marker: '"' })!.traps.map(({ trap }) => trap)).toEqual([
      'smart quotes',
    ]);
    expect(rowOf(comparison, { place: 'bare', marker: '' })!.misfires.perTenThousand).toBeCloseTo(175, 6);
    expect(rowOf(comparison, { place: 'before', marker: ';' })!.changes).toBe(1);
    expect(rowOf(comparison, { place: 'bare', marker: '' })!.changes).toBe(2);
  });

  test('space: what is free under it of codes with two and three characters', () => {
    const { free, of } = rowOf(compared(input), { place: 'before', marker: ';' })!.space;
    const letters = charactersOf([PHONE]).filter((character) => /\p{Ll}/u.test(character)).length;
    expect(of).toBe(letters + letters ** 2);
    const bare = rowOf(compared(input), { place: 'bare', marker: '' })!.space;
    expect(bare.of).toBe(letters ** 2 + letters ** 3);
    const short = compared({ ...input, list: { sets: [], shortcuts: [shortcut('1', ';q', 'quick')] } });
    expect(rowOf(short, { place: 'before', marker: ';' })!.space.free).toBe(free - 1);
  });

  test('codes that would be the same as others', () => {
    const twins = {
      sets: [],
      shortcuts: [
        shortcut('1', ';ten', 'a'),
        shortcut('2', '/ten', 'b'),
        { ...shortcut('3', ',ten', 'c'), setId: 'other' },
      ],
    };
    const all = compared({ ...input, list: twins });
    expect(rowOf(all, { place: 'after', marker: ';' })!.collisions).toBe(2);
    const some = compared({
      ...input,
      list: { ...twins, shortcuts: twins.shortcuts.map((one, index) => (index < 2 ? { ...one, setId: 'mine' } : one)) },
      scope: { of: 'set', setId: 'mine' },
    });
    expect(rowOf(some, { place: 'before', marker: ',' })!.collisions).toBe(3);
    expect(rowOf(some, { place: 'before', marker: '.' })!.collisions).toBe(1);
  });
});

test('what is recommended is on the front, or is told with the mark that beats it and why that is not the one', () => {
  const random = randomFrom(77);
  let [recommended, beaten] = [0, 0];
  for (let n = 0; n < 12; n += 1) {
    const mnemonics = Array.from({ length: 8 }, () =>
      Array.from({ length: 2 }, () => pick(random, [...'abcdehlmnorst'])).join(''),
    );
    const codes = new Set(mnemonics.map((mnemonic) => pick(random, ['', '#', ';;', '/', ',']) + mnemonic));
    // Every other time the mnemonics are words, doubled or not, so that nothing but a marker helps.
    const words =
      n % 2 === 0 ? ['so', 'at', 'home'] : mnemonics.flatMap((mnemonic) => [mnemonic, mnemonic[0]! + mnemonic]);
    const shortcuts = [...codes].map((code, i) =>
      shortcut(String(i), code, 'x', {
        rules: {
          fires: pick(random, ['delimiter', 'instant'] as const),
          edge: pick(random, ['word', 'anywhere'] as const),
        },
      }),
    );
    const comparison = compared({
      list: { sets: [], shortcuts },
      scope: { of: 'list' },
      inUse: [{ ...PHONE, device: pick(random, Object.values(DEVICE_PROFILES)) }],
      languages: [{ vocabulary: vocabularyOf([...new Set(words)]) }],
      usesAWeek: () => Math.floor(random() * 30),
    });
    const { recommendation } = comparison;
    if (!recommendation) continue;
    recommended += 1;
    const row = rowOf(comparison, recommendation.mark)!;
    const front = comparison.rows.filter(({ isOnFront }) => isOnFront);
    const better = front.filter(
      (one) =>
        one.effort.seconds <= row.effort.seconds &&
        one.misfires.aWeek <= row.misfires.aWeek &&
        (one.effort.seconds < row.effort.seconds || one.misfires.aWeek < row.misfires.aWeek),
    );
    expect([n, row.isOnFront]).toEqual([n, better.length === 0]);
    expect([n, recommendation.beatenBy === null]).toEqual([n, row.isOnFront]);
    if (!recommendation.beatenBy) continue;
    beaten += 1;
    const other = better.find(({ mark }) => isSameMark(mark, recommendation.beatenBy!.mark))!;
    const speaks = {
      letters: /[a-z0-9]/.test(other.mark.marker),
      claimed: other.claims.length > 0,
      device: other.traps.length > 0,
      'same codes': other.collisions > 0,
      misfires: isOftenMistaken(other),
      'no room': other.space.free === 0,
      changes: other.changes > row.changes,
    };
    expect([n, recommendation.beatenBy.why, speaks[recommendation.beatenBy.why]]).toEqual([
      n,
      recommendation.beatenBy.why,
      true,
    ]);
  }
  expect(recommended).toBeGreaterThan(4);
  expect(beaten).toBeGreaterThan(0);
}, 120_000);

describe('the recommendation', () => {
  const list = { sets: [], shortcuts: Array.from('abcdefgh', (letter) => shortcut(letter, `#${letter}xq`, 'x')) };
  const input: CompareInput = {
    list,
    scope: { of: 'list' },
    inUse: [PHONE],
    languages: [{ vocabulary: vocabularyOf(['so', 'ham']) }],
    usesAWeek: () => 20,
  };

  test('is sound, and is not followed by another', () => {
    const { recommendation } = compared(input);
    expect(recommendation!.gain.whole).toBeGreaterThan(LEAST_GAIN);
    const { recodes } = planRecodes(list.shortcuts, {
      scope: { of: 'list' },
      mark: recommendation!.mark,
      capitals: 'as they are',
    });
    const after = {
      sets: [],
      shortcuts: list.shortcuts.map((one) => ({ ...one, code: recodes.find(({ id }) => id === one.id)!.to })),
    };
    expect(compared({ ...input, list: after }).recommendation).toBeNull();
  });

  test('comes after the first step: the others are given the mark that most have, and what that gains is not told twice', () => {
    const marked = Array.from('abcdef', (letter) => shortcut(letter, `#.${letter}xq`, 'x'));
    const list = {
      sets: [],
      shortcuts: [...marked, shortcut('so', 'so', 'so long'), shortcut('ham', 'ham', 'Hamble Hall')],
    };
    const comparison = compared({ ...input, list });
    const own = rowOf(comparison, { place: 'before', marker: '#.' });
    // Networks take # for a tag: that is no mark to give to more codes.
    expect([own!.claims.length > 0, comparison.firstStep]).toEqual([true, null]);
    const sound = compared({
      ...input,
      list: { sets: [], shortcuts: list.shortcuts.map((one) => ({ ...one, code: one.code.replace('#.', ';;') })) },
    });
    const { firstStep, present, recommendation } = sound;
    const step = rowOf(sound, { place: 'before', marker: ';;' })!;
    expect(firstStep).toEqual({
      mark: { place: 'before', marker: ';;' },
      changes: 2,
      gain: present.secondsAWeek - step.secondsAWeek,
    });
    const taken = rowOf(sound, recommendation!.mark)!;
    expect(firstStep!.gain + recommendation!.gain.whole).toBeCloseTo(present.secondsAWeek - taken.secondsAWeek, 9);
    // Once it is done there is no such step, and the same is recommended.
    const after = {
      sets: [],
      shortcuts: list.shortcuts.map((one) => ({
        ...one,
        code: one.code.startsWith('#.') ? one.code.replace('#.', ';;') : `;;${one.code}`,
      })),
    };
    expect(compared({ ...input, list: after })).toMatchObject({
      firstStep: null,
      recommendation: { mark: recommendation!.mark },
    });
  });

  test('is none where nothing is used, and where nothing can be marked', () => {
    expect(compared({ ...input, usesAWeek: () => 0 }).recommendation).toBeNull();
    expect(compareMarks({ ...input, list: { sets: [], shortcuts: [shortcut('1', '->', '→')] } })).toEqual({
      type: 'no codes',
    });
    expect(compareMarks({ ...input, inUse: [] })).toEqual({ type: 'no keyboard' });
  });

  test('never is a character that one of the keyboards lacks', () => {
    const layout = {
      ...(LAYOUTS['phone-en'] as GlassLayout),
      figures: ['12', '34', '5;'] as const,
      signs: ['/', '?', '!'] as const,
    };
    const few: InUse = { ...PHONE, keyboard: glassKeyboard('few', layout) };
    const comparison = compared({ ...input, inUse: [PHONE, few] });
    expect(charactersOf([PHONE, few])).not.toContain('#');
    expect(rowOf(comparison, { place: 'before', marker: '#' })).toBeUndefined();
    // As they are the codes need a character that the small keyboard lacks: it is fetched from a table.
    expect(comparison.present.fromTable).toBe(list.shortcuts.length);
  });

  test('on a phone whose letters are all there is, marks are letters', () => {
    const letters: InUse = { ...PHONE, keyboard: smallPhone() };
    expect(charactersOf([letters, { ...PHONE, keyboard: plainKeyboard(['abc ']) }])).toEqual(['a', 'b', 'c']);
  });
});
