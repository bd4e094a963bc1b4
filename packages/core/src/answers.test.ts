/** One guard over all answers that hold figures: none of them is ever without a value, whatever is asked. */
import { Audit, scanOwnText, type Vocabulary } from './clash';
import { shortcut, vocabularyOf } from './clash/testing';
import { compareMarks } from './convention';
import { paceFrom, savingsOf, type InUse, type Uses } from './effort';
import { KEYBOARDS } from './effort/layouts';
import { compile, settleRules } from './fire';
import { pick, randomFrom } from './fire/testing';
import { DEVICE_PROFILES } from './profile';

/** The ways to all figures of an answer that are NaN or infinite. */
function withoutValue(answer: unknown, way = ''): string[] {
  if (typeof answer === 'number') return Number.isFinite(answer) ? [] : [`${way}: ${answer}`];
  if (answer === null || typeof answer !== 'object') return [];
  if (answer instanceof Map) return withoutValue([...(answer as Map<unknown, unknown>)], way);
  return Object.entries(answer).flatMap(([name, value]) => withoutValue(value, `${way}.${name}`));
}

const PROFILES = Object.values(DEVICE_PROFILES);
const NOBODY: Vocabulary = { language: 'xx', words: [], perTenThousand: new Float64Array(), isEstimate: true };
const VOCABULARIES = [NOBODY, vocabularyOf(['so', 'ham', "don't"]), vocabularyOf(['ich'], 'de')];
const CODES = ['so', ';so', 'so;', ';so;', 'sso', '#', '->', 'ä', ';a b', 'ok,', '😀', 'SO'];
const TEXTS = ['x', 'so', 'So we met,  and so on... "yes"', '♯', '4111 1111 1111 1111', 'a\nb'];
const OWN = ['', ' ', 'so', 'so; ok, ;so don’t -- ...', 'x'.repeat(50)];
const KNOWN: readonly (Uses | null)[] = [
  null,
  { aWeek: 0, from: 'said' },
  { aWeek: 10_000, from: 'own text' },
  { aWeek: 0.01, from: 'counted' },
];

test('the guard finds what it is for', () => {
  expect(withoutValue({ a: [1, { b: NaN }], c: new Map([['d', Infinity]]), e: null, f: 'NaN' })).toEqual([
    '.a.1.b: NaN',
    '.c.0.1: Infinity',
  ]);
});

test('no figure of any answer is NaN or infinite: nothing used, nothing written, no keyboard, no word, one character', () => {
  for (let seed = 1; seed <= 60; seed += 1) {
    const random = randomFrom(seed);
    const some = <T>(from: readonly T[], most: number): T[] =>
      Array.from({ length: Math.floor(random() * (most + 1)) }, () => pick(random, from));
    const shortcuts = [...new Set(some(CODES, 6))].map((code, i) =>
      shortcut(String(i), code, pick(random, TEXTS), {
        rules: pick(random, [{}, { fires: 'instant' }, { edge: 'anywhere' }, { capitals: 'match' }] as const),
      }),
    );
    const list = { sets: [], shortcuts };
    const languages = some(VOCABULARIES, 2).map((vocabulary) => ({ vocabulary, share: pick(random, [0, 0.5, 1]) }));
    const inUse = some(KEYBOARDS, 2).map((keyboard): InUse => ({
      keyboard,
      share: pick(random, [1, 100]),
      pace: pick(random, [0.2, 1, 5]),
      device: pick(random, PROFILES),
    }));
    const uses = new Map(shortcuts.map(({ id }) => [id, pick(random, KNOWN)]));
    const ownText = pick(random, OWN);
    const audit = Audit.run({ list, profiles: some(PROFILES, 3), languages });
    const answers = {
      findings: audit.findings,
      figures: audit.figures,
      preview: audit.tryChange({ put: [shortcut('0', pick(random, CODES), pick(random, TEXTS))] }, '0'),
      ownText: { ...scanOwnText(ownText, compile(list, pick(random, PROFILES))), places: null },
      marks: compareMarks({
        list,
        scope: { of: 'list' },
        inUse,
        languages,
        usesAWeek: (id) => uses.get(id)?.aWeek ?? 0,
        ownText,
        wordsAWeek: pick(random, [0, 1, 5_000]),
      }),
      savings: savingsOf(
        settleRules(list),
        (id) => uses.get(id) ?? null,
        () => null,
        inUse,
      ),
    };
    expect([seed, withoutValue(answers)]).toEqual([seed, []]);
  }
}, 60_000);

test.each([
  ['', 0],
  ['', 30],
  ['x'.repeat(40), 0],
  [' '.repeat(40), 30],
  ['♯'.repeat(40), 30],
])('a pace of %j in %d seconds is none or a figure', (typed, seconds) => {
  expect(withoutValue(paceFrom(typed, seconds, KEYBOARDS[0]!))).toEqual([]);
});
