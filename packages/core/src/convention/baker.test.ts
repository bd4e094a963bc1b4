/**
 * A person whose codes are short words and abbreviations, made up: Maren Tolley bakes bread to order in a small town, and writes English on a phone and
 * a computer. A marker that is a mark of ordinary sentences must not be recommended to her.
 */
import { buildVocabulary } from '@yellow-latch/language/build';
import { parseVocabulary, type LanguageCode } from '@yellow-latch/language';

import { WORDS_A_WEEK } from '../clash';
import { shortcut } from '../clash/testing';
import type { InUse } from '../effort';
import { KEYBOARDS } from '../effort/layouts';
import { CompiledList, settleRules } from '../fire';
import { DEVICE_PROFILES } from '../profile';
import type { Mark } from '../model';
import { USUAL } from '../propose';
import { compareMarks, isOftenMistaken, isSameMark, markCode, usualMark, type CompareInput, type Comparison } from '.';
import { partsOf } from './mark';

// Machines that are shared are slow at times.
jest.setTimeout(60_000);

const english = parseVocabulary(buildVocabulary('en'));
const CODES = `no ok so wed bye well yes thx hi sat sun now due out box rye btw asap fyi tmr pls
  ;ad ;hrs ;tel ;web ;inv ;ord ;del ;sour ;gf`.split(/\s+/u);
const use = (keyboard: string, share: number, device: InUse['device']): InUse => ({
  keyboard: KEYBOARDS.find(({ id }) => id === keyboard)!,
  share,
  pace: 1,
  device,
});
const PHONE = use('phone-en', 7, DEVICE_PROFILES['phone-list']);
const COMPUTER = use('hardware-en-gb', 3, DEVICE_PROFILES.expander);
const AFTER: Mark = { place: 'after', marker: ',' };
const BEFORE: Mark = { place: 'before', marker: ',' };

const baker: CompareInput = {
  list: { sets: [], shortcuts: CODES.map((code) => shortcut(code, code, `what ${code} stands for`)) },
  scope: { of: 'list' },
  inUse: [PHONE, COMPUTER],
  languages: [{ vocabulary: english }],
  usesAWeek: () => 3,
};

function compared(more: Partial<CompareInput> = {}): Comparison {
  const comparison = compareMarks({ ...baker, ...more });
  if ('type' in comparison) throw new Error(comparison.type);
  return comparison;
}
const rowOf = ({ rows }: Comparison, mark: Mark) => rows.find((row) => isSameMark(row.mark, mark))!;

test('a comma behind codes is told to misfire often, and is not recommended', () => {
  const comparison = compared();
  const after = rowOf(comparison, AFTER);
  expect(after.misfires.aWeek).toBeGreaterThan(1.8);
  expect(isOftenMistaken(after)).toBe(true);
  expect(comparison.recommendation!.mark).not.toEqual(AFTER);
  const recommended = rowOf(comparison, comparison.recommendation!.mark);
  expect(recommended.misfires.aWeek).toBeLessThan(0.05);
  // Nor would it be if short words were not among the codes: the next ones would be.
  const few = compared({
    list: { sets: [], shortcuts: baker.list.shortcuts.filter(({ code }) => code.startsWith(';')) },
  });
  const { ofNewCode, misfires } = rowOf(few, AFTER);
  expect(isOftenMistaken({ ofNewCode, misfires: { ...misfires, aWeek: 0 } })).toBe(true);
});

test('what it would do to an ordinary answer', () => {
  const entries = settleRules(baker.list).map((entry) => ({
    ...entry,
    code: markCode(partsOf(entry.code)!.mnemonic, AFTER),
  }));
  const fired = CompiledList.compile(entries, DEVICE_PROFILES['phone-list']).scan('Well, no, not on Wed, ok, bye');
  expect(fired.map(({ entry }) => entry.id)).toEqual(['well', 'no', 'wed', 'ok']);
});

test('a comma before them is fine on a phone; on a device that fires at once a missing space counts', () => {
  const phone = rowOf(compared({ inUse: [PHONE] }), BEFORE);
  const computer = rowOf(compared({ inUse: [{ ...COMPUTER, share: 7 }] }), BEFORE);
  expect(phone.misfires.aWeek).toBeLessThan(0.05);
  expect(computer.misfires.aWeek).toBeGreaterThan(0.01);
  expect(computer.misfires.aWeek).toBeLessThan(0.5);
  const entries = settleRules(baker.list).map((entry) => ({
    ...entry,
    code: markCode(partsOf(entry.code)!.mnemonic, BEFORE),
  }));
  const firedOn = (profile: InUse['device']) =>
    CompiledList.compile(entries, profile)
      .scan('it is the one left,so take it')
      .map(({ entry }) => entry.id);
  expect([firedOn(PHONE.device), firedOn(COMPUTER.device)]).toEqual([[], ['so']]);
});

test('a long text of her own forbids no marker for one place in it', () => {
  const line = 'The loaf is baked and the order is ready at ten tomorrow morning as always here. ';
  const ownText = `${line.repeat(38_000)}\n,so it was`;
  const { rows } = compared({ ownText, inUse: [PHONE] });
  const row = rowOf({ rows } as Comparison, BEFORE);
  expect(row.misfires.inOwnText).toBe(1);
  expect(row.misfires.aWeek).toBeLessThan((2 * WORDS_A_WEEK) / 565_000);
  expect(isOftenMistaken(row)).toBe(false);
}, 60_000);

/** Two languages at a time only in the long run: each case weighs all marks anew. */
const TOGETHER: readonly [LanguageCode, ...LanguageCode[]][] = process.env.YELLOW_LATCH_SOAK
  ? [
      ['de', 'en'],
      ['en', 'fr'],
    ]
  : [];
const LANGUAGES: readonly [LanguageCode, ...LanguageCode[]][] = [['en'], ['de'], ['fr'], ['es'], ...TOGETHER];

test.each(LANGUAGES)(
  'without a word about keyboards it is the one for a phone and a computer: %s',
  (first, ...others) => {
    const usual = [
      use(`phone-${first}`, 6, DEVICE_PROFILES['phone-list']),
      use(`hardware-${first === 'en' ? 'en-gb' : first}`, 4, DEVICE_PROFILES.expander),
    ];
    const vocabularies = [first, ...others].map((language) => parseVocabulary(buildVocabulary(language)));
    expect(usualMark(usual, vocabularies)).toEqual(USUAL);
  },
);

test.each([
  ['a phone', [PHONE]],
  ['a phone and a computer', [PHONE, COMPUTER]],
])('what new codes are proposed with on %s is what is recommended to a list of likely ones', (_, inUse) => {
  const mark = usualMark(inUse, [english])!;
  const row = rowOf(compared({ inUse }), mark);
  expect([row.claims, row.traps.filter(({ severity }) => severity !== 'note'), isOftenMistaken(row)]).toEqual([
    [],
    [],
    false,
  ]);
  // Under it nothing better is found.
  const shortcuts = CODES.map((code) =>
    shortcut(code, markCode(partsOf(code)!.mnemonic, mark), `what ${code} stands for`),
  );
  const after = compared({ inUse, list: { sets: [], shortcuts } });
  expect([after.firstStep, after.recommendation?.mark ?? mark]).toEqual([null, mark]);
});
