import { randomFrom, pick } from '../fire/testing';
import { DEVICE_PROFILES } from '../profile';
import { splitMarker } from '../model';
import type { Finding } from './finding';
import { markedWordsFor, markedWordsUnder } from './markedWords';
import { MARKS_AFTER, Punctuation, type PunctuationCounts } from './punctuation';
import { audit, find, shortcut } from './testing';
import type { Vocabulary } from './vocabulary';

// Machines that are shared are slow at times.
jest.setTimeout(60_000);

/** Of 1,000 words: 60 before a comma, two of them with a quote behind it; no other marks but a few. */
const COUNTS: PunctuationCounts = {
  words: 1_000,
  begins: 100,
  after: { ',': 58, ',"': 2, '.': 80, '!!': 5 },
  before: { '"': 10, '(': 4 },
  glued: { '/': 3 },
  alone: { '--': 7 },
  figures: { 'dd%': 4, dth: 2 },
  // no: 100 times, 20 begin a sentence, 30 before a comma. ham: 50 times, none before a comma.
  ofWord: { no: [100, 20, 30], ham: [50] },
  classes: [['no', 'nope']],
};
const punctuation = new Punctuation(COUNTS);

function vocabulary(more: Partial<Vocabulary> = {}): Vocabulary {
  return {
    language: 'en',
    words: ['the', 'no', 'note', 'piano', 'ham', 'nope', 'notes'],
    perTenThousand: Float64Array.of(500, 60, 10, 4, 3, 2, 1),
    isEstimate: false,
    punctuation,
    ...more,
  };
}

describe('how words stand, by hand', () => {
  test('a word that was counted often stands as it was met; one that was not, as its class; others as all do', () => {
    // (30 + 50 × class) / (100 + 50), the class (30 + 50 × 0.06) / (100 + 50) = 0.22.
    expect(punctuation.after('no', ',')).toBeCloseTo((30 + 50 * 0.22) / 150, 9);
    expect(punctuation.after('nope', ',')).toBeCloseTo(0.22, 9);
    expect(punctuation.after('ham', ',')).toBeCloseTo((0 + 50 * 0.06) / 100, 9);
    expect(punctuation.after('piano', ',')).toBeCloseTo(0.06, 9);
    expect(punctuation.after(null, ',')).toBeCloseTo(0.06, 9);
    expect(punctuation.begins('piano')).toBeCloseTo(0.1, 9);
    expect(punctuation.begins('no')).toBeCloseTo((20 + 50 * ((20 + 50 * 0.1) / 150)) / 150, 9);
    expect(punctuation.before('piano', '(')).toBeCloseTo(0.004, 9);
  });
  test('of two marks the second follows the first as it does everywhere; with “all” nothing else follows', () => {
    expect(punctuation.after('piano', ',"')).toBeCloseTo(0.002, 9);
    expect(punctuation.after('nope', ',"')).toBeCloseTo(0.22 * (2 / 60), 9);
    expect(punctuation.after('nope', ',', true)).toBeCloseTo(0.22 * (58 / 60), 9);
    expect(punctuation.after('piano', '#')).toBe(0);
  });
  test('between two words: as counted, and for marks of sentences at least one slip in 500', () => {
    expect(punctuation.glued('/')).toBeCloseTo(0.003, 9);
    expect(punctuation.glued(',')).toBeCloseTo(0.06 / 500, 9);
    expect(punctuation.glued('#')).toBe(0);
  });
  test('marks alone and figures, in 10,000 words; the first figure by Benford’s law', () => {
    expect(punctuation.alone('--')).toBeCloseTo(70, 9);
    expect(punctuation.figures('25%')).toBeCloseTo(40 * 0.98 * Math.log10(1.5) * 0.1, 9);
    expect(punctuation.figures('1:30')).toBe(0);
    let all = 0;
    for (let n = 0; n < 100; n += 1) all += punctuation.figures(`${String(n).padStart(2, '0')}%`);
    expect(all).toBeCloseTo(40, 1);
  });
});

describe('the texts in which a code may fire', () => {
  const textsOf = (code: string) =>
    markedWordsFor(code, splitMarker(code.toLowerCase()), vocabulary()).map(({ text, perTenThousand }) => [
      text,
      Number(perTenThousand.toPrecision(6)),
    ]);
  const near = (value: number) => Number(value.toPrecision(6));

  test('the word itself with the marks, and longer words at the side that has none, by all of them together', () => {
    expect(textsOf('no,')).toEqual([
      ['no,', near(60 * ((30 + 11) / 150))],
      ['piano,', near(4 * 0.06)],
    ]);
    expect(textsOf('/no')).toEqual([
      ['the/no', near(60 * 0.003)],
      ['the/note', near(13 * 0.003)],
    ]);
    expect(textsOf('(no')).toEqual([
      ['(no', near(60 * ((50 * (50 * 0.004)) / 150 / 150))],
      ['(note', near(13 * 0.004)],
    ]);
    expect(textsOf('--')).toEqual([['--', 70]]);
    expect(textsOf('!!')).toEqual([['the!!', 50]]);
    expect(textsOf('5th')).toEqual([['5th', near(20 * 0.98 * Math.log10(1.2))]]);
    expect(textsOf('Ham')).toEqual([['Ham', near(3 * ((50 * 0.1) / 100))]]);
    expect(textsOf(';xq')).toEqual([]);
    expect(textsOf('big no,')).toEqual([]);
  });
  test('longer words are counted all together, and the most frequent stands for them', () => {
    const random = randomFrom(5);
    const letters = () => Array.from({ length: 1 + Math.floor(random() * 5) }, () => pick(random, [...'abc'])).join('');
    const words = [...new Set(Array.from({ length: 300 }, letters))];
    const perTenThousand = Float64Array.from(words, (_, i) => 500 / (i + 1));
    const many = vocabulary({ words, perTenThousand });
    for (const mnemonic of ['a', 'ab', 'bca', 'cc', 'abc', 'ba', 'caba']) {
      const longer = words.filter((word) => word !== mnemonic);
      const sum = (some: readonly string[]) =>
        some.reduce((total, word) => total + perTenThousand[words.indexOf(word)]!, 0);
      const [before] = markedWordsFor(`/${mnemonic}`, { before: '/', mnemonic, after: '' }, many).filter(
        ({ kind }) => kind === 'beginning',
      );
      const begun = longer.filter((word) => word.startsWith(mnemonic));
      expect([before?.text, before?.perTenThousand.toFixed(9)]).toEqual(
        begun.length > 0 ? [`${words[0]}/${begun[0]}`, (sum(begun) * 0.003).toFixed(9)] : [undefined, undefined],
      );
      const [after] = markedWordsFor(`${mnemonic},`, { before: '', mnemonic, after: ',' }, many).filter(
        ({ kind }) => kind === 'inside',
      );
      const ended = longer.filter((word) => word.endsWith(mnemonic));
      expect([after?.text, after?.perTenThousand.toFixed(9)]).toEqual(
        ended.length > 0 ? [`${ended[0]},`, (sum(ended) * 0.06).toFixed(9)] : [undefined, undefined],
      );
    }
  });
  test('under all marks a word comes as often as with each of them, whatever else stands beside', () => {
    const under = markedWordsUnder('no', vocabulary());
    const commas = under
      .filter(({ text }) => /^no,/u.test(text))
      .reduce((sum, { perTenThousand }) => sum + perTenThousand, 0);
    expect(commas).toBeCloseTo(60 * punctuation.after('no', ','), 6);
    for (const { text, start, end } of under) expect(text.slice(start, end)).toBe('no');
    expect(under.every(({ text }) => MARKS_AFTER.some((mark) => text.includes(mark)) || /["(/]/u.test(text))).toBe(
      true,
    );
  });
});

describe('in an audit', () => {
  const checked = (codes: readonly string[], rules = {}) =>
    audit(
      codes.map((code) => shortcut(code, code, `what ${code} stands for`, { rules })),
      {
        languages: [{ vocabulary: vocabulary() }],
        profiles: [DEVICE_PROFILES['phone-list'], DEVICE_PROFILES.expander],
      },
    );

  test('a code with a mark is told to fire where words have it', () => {
    const word = find(checked(['no,']), 'no,', 'word')!;
    expect(word.evidence.byDevice['phone-list']).toBeCloseTo(60 * punctuation.after('no', ','), 6);
    expect(word.evidence.examples[0]).toMatchObject({ word: 'no,', language: 'en' });
    expect(word.severity).toBe('breaks');
  });
  test('where the word fires without the mark, the list counts it once', () => {
    const both = checked(['no', 'no,']);
    expect(find(both, 'no,', 'word')?.evidence.byDevice['phone-list']).toBeUndefined();
    expect(both.figures['phone-list']!.perTenThousand).toBeCloseTo(60, 6);
  });
  test('edits are followed as if all were looked at anew', () => {
    const codes = ['no', 'no,', '/no', '(no', 'No', '!!', '25%', 'o,', 'ham.', ';ham'];
    const random = randomFrom(8);
    const list = ['ham,', 'piano.'].map((code) => shortcut(code, code));
    const following = audit(list, { languages: [{ vocabulary: vocabulary() }] });
    following.prepare();
    const now = new Map(list.map((one) => [one.id, one]));
    for (let n = 0; n < 60; n += 1) {
      const id = pick(random, ['ham,', 'piano.', 'x', 'y', 'z']);
      const isGone = random() < 0.2 && now.has(id);
      const put = shortcut(id, pick(random, codes), 'a text', {
        rules: {
          fires: pick(random, ['delimiter', 'instant'] as const),
          edge: pick(random, ['word', 'anywhere'] as const),
        },
      });
      following.change(isGone ? { remove: [id] } : { put: [put] });
      if (isGone) now.delete(id);
      else now.set(id, put);
      const anew = audit([...now.values()], { languages: [{ vocabulary: vocabulary() }] });
      for (const [device, { perTenThousand }] of Object.entries(anew.figures))
        expect(following.figures[device]!.perTenThousand).toBeCloseTo(perTenThousand, 9);
      for (const one of now.keys())
        expect([n, one, misfires(following.findingsOf(one))]).toEqual([n, one, misfires(anew.findingsOf(one))]);
    }
  });
  /** What is told of words, sums rounded. */
  const misfires = (findings: readonly Finding[]): string[] =>
    findings.flatMap(({ type, evidence, ...rest }) => {
      if (!evidence || !('perTenThousand' in evidence)) return [];
      return [
        JSON.stringify({ type, evidence, ...rest }, (_, value: unknown) =>
          typeof value === 'number' ? Number(value.toPrecision(9)) : value,
        ),
      ];
    });
  test('nothing is told as none: of a list that was met nowhere the most that it may be', () => {
    const none = audit([shortcut('1', ';xq')], { languages: [{ vocabulary: vocabulary({ unseen: 0.0006 }) }] });
    expect(none.figures['phone-list']).toMatchObject({ perTenThousand: 0, upTo: 0.0006 * 7.5 });
  });
});
