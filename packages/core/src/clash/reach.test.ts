/** What is said of codes that get in each other's way is held to what comes of typing: by every stream of a few keys. */
import { keysOf, simulate, type AskedRules } from '../fire';
import { pick, randomFrom } from '../fire/testing';
import { DEVICE_PROFILES, type DeviceProfile } from '../profile';
import { findSecrets } from '../guard';
import type { AuditedShortcut } from './item';
import { Audit } from './audit';
import { audit, find, listOf, NO_WORDS, shortcut, vocabularyOf } from './testing';

const KEYS = ['a', 'b', '.', ' ', 'A'];
const LONGEST = 5;
const DEVICES: readonly DeviceProfile[] = Object.values(DEVICE_PROFILES).map((profile) => ({
  ...profile,
  builtIn: [],
}));

/** Every stream of up to so many keys. */
function streams(length: number): string[] {
  return length === 0
    ? ['']
    : streams(length - 1).flatMap((stream) =>
        stream.length === length - 1 ? [stream, ...KEYS.map((key) => stream + key)] : [stream],
      );
}
const STREAMS = streams(LONGEST).filter((stream) => stream !== '');

function randomList(random: () => number): AuditedShortcut[] {
  const codes = Array.from({ length: 2 + Math.floor(random() * 3) }, () =>
    Array.from({ length: 1 + Math.floor(random() * 3) }, () => pick(random, ['a', 'b', 'b', '.', 'A'])).join(''),
  );
  return codes.map((code, i) => {
    const rules: AskedRules = {
      fires: pick(random, ['delimiter', 'instant'] as const),
      edge: pick(random, ['word', 'anywhere'] as const),
      capitals: pick(random, ['ignore', 'match'] as const),
    };
    return shortcut(String(i), code, `text ${i}`, { rules });
  });
}

/** Where a word begins in a stream: at its start, and behind a space. */
const beginsWord = (stream: string, at: number) => at === 0 || stream[at - 1] === ' ';

test('no stream of keys contradicts that a code does not expand where a word begins', () => {
  let claims = 0;
  for (let seed = 1; seed <= 40; seed += 1) {
    const shortcuts = randomList(randomFrom(seed));
    const checked = audit(shortcuts, { profiles: DEVICES, languages: [{ vocabulary: NO_WORDS }] });
    for (const finding of checked.findings) {
      if (finding.type !== 'unreachable' && finding.type !== 'broken inside') continue;
      const id = finding.shortcuts[0]!;
      const { code } = shortcuts[Number(id)]!;
      for (const device of finding.devices) {
        claims += 1;
        const profile = DEVICES.find((one) => one.id === device)!;
        for (const stream of STREAMS) {
          const at = stream.indexOf(code);
          if (at < 0 || stream.indexOf(code, at + 1) >= 0 || !beginsWord(stream, at)) continue;
          // What the sentence leaves out where it says so: the first word of a sentence.
          if (finding.evidence.firesAtStart && /^$|\.\s+$/u.test(stream.slice(0, at))) continue;
          // A text before it that fires itself, or is waited for, is no text in which the code stands by itself.
          if (
            simulate(keysOf(stream.slice(0, at)), listOf(shortcuts), profile).trace.some(({ rule }) =>
              rule.startsWith('fired'),
            )
          )
            continue;
          const { trace } = simulate(keysOf(stream), listOf(shortcuts), profile);
          const fires = trace.some((line) => line.id === id && line.rule.startsWith('fired') && line.at >= at);
          expect({ seed, stream, code, device, fires, list: fires ? shortcuts : null }).toMatchObject({ fires: false });
        }
      }
    }
  }
  expect(claims).toBeGreaterThan(40);
}, 120_000);

test('a code that waits for one more key does not expand at the end of a message, and one that does not wait does', () => {
  const told = (rules: AskedRules, codes: readonly string[], typed: string) => {
    const shortcuts = codes.map((code, i) => shortcut(String(i), code, 'x', { rules }));
    const { trace } = simulate(keysOf(typed), listOf(shortcuts), DEVICE_PROFILES.app);
    const finding = find(audit(shortcuts), '0', 'delayed');
    return { fires: trace.some(({ rule, id }) => id === '0' && rule.startsWith('fired')), on: finding?.devices ?? [] };
  };
  expect(told({ fires: 'instant' }, ['b', 'bc'], 'b')).toEqual({ fires: false, on: ['app'] });
  expect(told({ fires: 'instant' }, ['b', 'b a'], 'b')).toEqual({ fires: false, on: ['app'] });
  // Ended by a space it waits on, since a longer code goes on with one.
  expect(told({ fires: 'delimiter' }, ['b', 'b a'], 'b ')).toEqual({ fires: false, on: ['app'] });
  expect(told({ fires: 'delimiter' }, ['b', 'b.a'], 'b.')).toEqual({ fires: false, on: ['app'] });
  expect(told({ fires: 'delimiter' }, ['b', 'bc'], 'b ')).toEqual({ fires: true, on: [] });
  expect(told({ fires: 'instant' }, ['b', 'cb'], 'b')).toEqual({ fires: true, on: [] });
});

describe('a code that begins one of the list, before it is saved', () => {
  const instant = { rules: { fires: 'instant' } } as const;
  const checked = audit([shortcut('1', ';addr', 'an address', instant), shortcut('2', ';adieu', 'farewell', instant)]);
  const verdict = (code: string, more: typeof instant | object = instant) =>
    checked
      .previewFindings({ put: [shortcut('~new', code, 'an advertisement', more)] }, '~new')
      .find(({ type }) => type === 'hides');

  test('is told of, with all that would not expand and the devices on which they would not', () => {
    expect(verdict(';ad')).toMatchObject({
      severity: 'breaks',
      shortcuts: ['~new', '1', '2'],
      devices: ['expander'],
      count: 2,
    });
    const saved = audit([
      shortcut('1', ';addr', 'an address', instant),
      shortcut('3', ';ad', 'an advertisement', instant),
    ]);
    expect(find(saved, '1', 'unreachable')!.devices).toEqual(['expander']);
  });
  test('is not, where nothing is lost', () => {
    expect(verdict(';ae')).toBeUndefined();
    const byDelimiter = audit([shortcut('1', ';addr', 'an address')], { profiles: [DEVICE_PROFILES['phone-list']] });
    expect(byDelimiter.previewFindings({ put: [shortcut('~new', ';ad', 'x')] }, '~new')).toEqual([]);
  });
  test('leaves the audit as it was', () => {
    verdict(';ad');
    expect(checked.findings.filter(({ severity }) => severity === 'breaks')).toEqual([]);
  });
});

describe('a code whose text is the same word', () => {
  const vocabulary = vocabularyOf(['paris', 'so', 'comparison']);
  test.each([
    ['paris', 'Paris'],
    ['so', 'so'],
    ['PARIS', 'paris '],
  ])('%s → %s is never a misfire', (code, text) => {
    const checked = audit([shortcut('1', code, text), shortcut('2', ';x', 'So we met in Paris, so so.')], {
      languages: [{ vocabulary }],
    });
    expect(checked.findingsOf('1').filter(({ type }) => ['word', 'context', 'own expansion'].includes(type))).toEqual(
      [],
    );
    expect(checked.figures['phone-list']!.perTenThousand).toBe(0);
  });
  test('inside other words it is one all the same', () => {
    const list = [shortcut('1', 'paris', 'Paris', { rules: { fires: 'instant', edge: 'anywhere' } })];
    expect(find(audit(list, { languages: [{ vocabulary }] }), '1', 'inside words')!.evidence.examples[0]!.word).toBe(
      'comparison',
    );
  });
  test('an edit follows', () => {
    const checked = audit([shortcut('1', 'so', 'so long')], { languages: [{ vocabulary }] });
    expect(find(checked, '1', 'word')).toBeDefined();
    checked.change({ put: [shortcut('1', 'so', 'So')] });
    expect(find(checked, '1', 'word')).toBeUndefined();
  });
});

test('of one shortcut a text that looks secret is told first, then a code in use, then the rest', () => {
  const secret = '4111 1111 1111 1111';
  expect(findSecrets(secret)).toHaveLength(1);
  const list = [shortcut('1', 'so', 'so long'), shortcut('2', 'so', secret)];
  const checked = Audit.run({
    list: listOf(list),
    profiles: [DEVICE_PROFILES['phone-list']],
    languages: [{ vocabulary: vocabularyOf(['so']) }],
  });
  expect(
    checked
      .findingsOf('2')
      .map(({ type }) => type)
      .slice(0, 2),
  ).toEqual(['secret', 'same code']);
});
