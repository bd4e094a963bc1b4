import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

import { compile, CompiledList, keysOf, settleRules, simulate } from '../fire';
import { pick, randomFrom } from '../fire/testing';
import { DEVICE_PROFILES } from '../profile';
import { Audit } from './audit';
import { ContextCorpus } from './contextCorpus';
import { CLAIMS } from './claims';
import { CONTEXT_COUNT, CONTEXTS } from './contexts';
import { RISKY_CONTEXTS, severityOfMisfires } from './finding';
import { audit, find, listOf, NO_WORDS, PROFILES, shortcut, vocabularyOf } from './testing';

const instant = { rules: { fires: 'instant' } } as const;
const phone = [DEVICE_PROFILES['phone-list']];
const computer = [DEVICE_PROFILES.expander];

describe('codes and codes', () => {
  test('the younger of two equal codes loses; the older is told as the winner', () => {
    const checked = audit([shortcut('2', ';WS'), shortcut('1', ';ws')]);
    expect(find(checked, '2', 'same code')).toMatchObject({
      severity: 'breaks',
      shortcuts: ['2', '1'],
      // A device that asks for equal capitals tells them apart.
      devices: ['phone-list', 'app'],
      evidence: { winner: '1' },
    });
    expect(find(checked, '1', 'same code')).toBeUndefined();
  });
  test('a code that begins another hides it where a device fires at once, and waits elsewhere', () => {
    const checked = audit([shortcut('1', ';ten', 'ten', instant), shortcut('2', ';tenp', 'ten, parking', instant)]);
    const hidden = find(checked, '2', 'unreachable')!;
    expect(hidden).toMatchObject({ severity: 'breaks', shortcuts: ['2', '1'], devices: ['expander'] });
    expect(hidden.evidence).toMatchObject({ typed: ';tenp', result: 'tenp' });
    expect(hidden.evidence.trace[0]).toMatchObject({ rule: 'fired-by-instant', id: '1', at: 3 });
    expect(find(checked, '1', 'delayed')).toMatchObject({ severity: 'note', devices: ['app'], shortcuts: ['1', '2'] });
  });
  test('a code that thirty others go on from: all are counted, 20 are named', () => {
    const longer = Array.from({ length: 30 }, (_, i) =>
      shortcut(`longer ${i}`, `;a${String.fromCharCode(97 + (i % 26))}${i}`, `text ${i}`, {
        rules: { fires: 'instant' },
      }),
    );
    const checked = audit([shortcut('1', ';a', 'first', { rules: { fires: 'instant' } }), ...longer]);
    const delayed = find(checked, '1', 'delayed')!;
    expect([delayed.count, delayed.shortcuts.length]).toEqual([30, 20]);
  });
  test('five thousand equal codes: one finding for each that loses, at most 20 named, the count told', () => {
    const many = Array.from({ length: 5_000 }, (_, i) =>
      shortcut(String(i).padStart(5, '0'), ';same', `expansion ${i}`),
    );
    const checked = audit(many);
    const losers = checked.findings.filter(({ type }) => type === 'same code');
    expect(losers).toHaveLength(4_999);
    expect(find(checked, '04999', 'same code')).toMatchObject({ count: 4_999 });
    expect(losers.every(({ shortcuts }) => shortcuts.length <= 20)).toBe(true);
  }, 30_000);
});

describe('texts as a device makes them', () => {
  const vocabulary = vocabularyOf(["don't", 'so', "o'clock"]);
  const straight = shortcut('1', "don't");
  const bent = shortcut('2', 'don’t');
  const dash = shortcut('3', 'wait—', 'x', { rules: { edge: 'anywhere' } });
  const speech = shortcut('4', ';sp', "So wait-- he said 'no'... and  so on.");
  const wordsOf = (shortcuts: readonly ReturnType<typeof shortcut>[], profiles: typeof phone | typeof computer) => {
    const checked = audit(shortcuts, { languages: [{ vocabulary }], profiles });
    return checked.findings.flatMap((finding) =>
      finding.type === 'word' ? [[finding.shortcuts[0], finding.evidence.perTenThousand]] : [],
    );
  };
  test('a straight apostrophe never fires where it is bent, and a bent one does', () => {
    expect(wordsOf([straight, bent], phone)).toEqual([['2', 100]]);
    expect(wordsOf([straight, bent], [DEVICE_PROFILES.app] as never)).toEqual([['1', 100]]);
    expect(find(audit([straight], { profiles: phone }), '1', 'device trap')).toMatchObject({ severity: 'breaks' });
  });
  test('texts of the list are typed out as well', () => {
    const checked = audit([dash, speech], {
      profiles: [
        { ...DEVICE_PROFILES['phone-list'], ways: ['instant'], otherwise: 'instant', edge: 'own', builtIn: [] },
      ],
    });
    expect(find(checked, '3', 'own expansion')!.evidence.examples).toEqual([
      { text: speech.content.expansion, start: 3, end: 9, of: '4' },
    ]);
  });
  test('an edit finds what a new audit finds', () => {
    const codes = ['don’t', 'wait—', 'no’…', 'and.', '‘no', 'So', "don't", '--'];
    for (const code of codes) {
      const edited = audit([speech, shortcut('5', ';none')], { languages: [{ vocabulary }], profiles: PROFILES });
      const put = shortcut('5', code, 'x', { rules: { fires: 'instant', edge: 'anywhere' } });
      edited.change({ put: [put] });
      const anew = audit([speech, put], { languages: [{ vocabulary }], profiles: PROFILES });
      expect([code, edited.findings]).toEqual([code, anew.findings]);
    }
  });
});

describe('words and texts', () => {
  const vocabulary = vocabularyOf(['so', 'sound', 'also', 'ham']);
  test('a word, the beginning of words, and words around', () => {
    const checked = audit([shortcut('1', 'so', 'x', instant)], {
      languages: [{ vocabulary }],
      profiles: [...phone, ...computer],
    });
    expect(find(checked, '1', 'word')!.evidence).toMatchObject({
      perTenThousand: 100,
      byDevice: { 'phone-list': 100, expander: 100 },
    });
    expect(find(checked, '1', 'beginning of words')!.evidence).toMatchObject({ byDevice: { expander: 50 } });
    expect(find(checked, '1', 'inside words')!.evidence.examples).toEqual([
      { word: 'also', language: 'en', perTenThousand: 25 },
    ]);
    expect(checked.figures.expander!.perTenThousand).toBe(175);
  });
  test('two languages count by their shares', () => {
    const french = vocabularyOf(['ham', 'oui'], 'fr');
    const checked = audit([shortcut('1', 'ham')], {
      languages: [
        { vocabulary, share: 0.75 },
        { vocabulary: french, share: 0.25 },
      ],
      profiles: phone,
    });
    expect(find(checked, '1', 'word')!.evidence.perTenThousand).toBeCloseTo(12.5 * 0.75 + 100 * 0.25, 9);
  });
  test('an offer does not misfire', () => {
    const checked = audit([shortcut('1', 'so')], {
      languages: [{ vocabulary }],
      profiles: [DEVICE_PROFILES['keyboard-with-offers']],
    });
    expect(checked.findings).toEqual([]);
    expect(checked.figures['keyboard-with-offers']!.perTenThousand).toBe(0);
  });
  test('a code of several words is said not to be estimated', () => {
    expect(audit([shortcut('1', 'so what'), shortcut('2', ';ok')]).notEstimated).toEqual(['1']);
  });
  test('severities have their bounds', () => {
    expect([0.5, 0.4999, 0.039, 0.038].map(severityOfMisfires)).toEqual(['breaks', 'risky', 'risky', 'note']);
  });
  test('what comes less than once a year is in the figures and no finding', () => {
    const seldom = (perTenThousand: number) =>
      audit([shortcut('1', 'so')], {
        languages: [{ vocabulary: { ...vocabularyOf(['so']), perTenThousand: Float64Array.of(perTenThousand) } }],
      });
    expect(find(seldom(0.039), '1', 'word')).toMatchObject({ severity: 'risky' });
    expect(find(seldom(0.038), '1', 'word')).toBeUndefined();
    expect(seldom(0.038).figures.app!.perTenThousand).toBeCloseTo(0.038);
  });
  test('the corpus has 400 contexts in 12 classes, each with its source, and 40 claimed beginnings', () => {
    expect(CONTEXT_COUNT).toBeGreaterThanOrEqual(400);
    expect(new Set(CONTEXTS.flatMap(({ texts }) => texts)).size).toBe(CONTEXT_COUNT);
    expect(CONTEXTS.length).toBeGreaterThanOrEqual(12);
    expect(CONTEXTS.every(({ source }) => source.length > 10)).toBe(true);
    expect(new Set(CLAIMS.map(({ beginning }) => beginning)).size).toBeGreaterThanOrEqual(40);
  });
  test('a code that lives in links and handles is told with its places', () => {
    const { evidence, severity, count } = find(audit([shortcut('1', 'so')], { profiles: phone }), '1', 'context')!;
    expect(severity).toBe(evidence.per100 >= RISKY_CONTEXTS ? 'risky' : 'note');
    expect(Object.values(evidence.byClass).reduce((sum, one) => sum + one)).toBe(count);
    for (const { text, start, end } of evidence.examples) expect(text.slice(start, end).toLowerCase()).toBe('so');
  });
  test('in the TypeScript sources of a package the scan finds what a plain look finds', () => {
    const folder = join(dirname(require.resolve('zod/package.json')), 'src/v4/core');
    const files = readdirSync(folder)
      .filter((name) => name.endsWith('.ts'))
      .slice(0, 8);
    const lines = files.flatMap((name) => readFileSync(join(folder, name), 'utf8').split('\n'));
    const list = CompiledList.compile(
      settleRules(listOf(['if', 'def', '//', 'ctx', '=>'].map((code) => shortcut(code, code)))),
      DEVICE_PROFILES['phone-list'],
    );
    const found = new Map<string, number>();
    new ContextCorpus(lines).scan(list, (_text, _start, _end, { code }) => found.set(code, (found.get(code) ?? 0) + 1));
    const plain = (code: string, before: string) =>
      lines.reduce(
        (sum, line) =>
          sum + (line.match(new RegExp(`(?<=${before})${code}(?=$|[\\s.,;:!?)\\]}"])`, 'giu'))?.length ?? 0),
        0,
      );
    for (const word of ['if', 'def', 'ctx']) {
      const counted = plain(word, "(?:^|[^\\p{L}\\p{N}_])(?<!\\p{L}[.':])");
      expect([word, found.get(word) ?? 0]).toEqual([word, counted]);
    }
    for (const mark of ['//', '=>'])
      expect([mark, found.get(mark) ?? 0]).toEqual([mark, plain(mark, '^|[\\s(\\[{"\']')]);
    expect(found.get('if')! + found.get('//')!).toBeGreaterThan(100);
  });
});

describe('devices, expansions', () => {
  test('a code that must match exactly fails at the start of a sentence', () => {
    const exact = { rules: { capitals: 'match' } } as const;
    const device = { ...DEVICE_PROFILES['phone-list'], capitals: 'own' as const };
    const { severity, evidence } = find(
      audit([shortcut('1', 'hrp', 'x', exact)], { profiles: [device] }),
      '1',
      'device trap',
    )!;
    expect(severity).toBe('risky');
    expect(evidence.traps).toEqual([{ trap: 'sentence capital', device: 'phone-list', result: 'Hrp' }]);
  });
  test('dashes that a device makes of a code are shown as they come out', () => {
    const { evidence } = find(audit([shortcut('1', '-----', 'line')], { profiles: phone }), '1', 'device trap')!;
    expect(evidence.traps[0]).toMatchObject({ trap: 'smart dashes', result: '——-' });
  });
  test('a space in a code, a built-in entry, an entry of another language', () => {
    const tablet = [DEVICE_PROFILES['tablet-list']];
    const trapOf = (code: string, profiles: typeof tablet | typeof phone, language?: string) =>
      Audit.run({
        list: { ...listOf([shortcut('1', code)]), ...(language ? { language } : {}) },
        profiles,
        languages: [{ vocabulary: NO_WORDS }],
      }).findings.flatMap((finding) =>
        finding.type === 'device trap' ? [`${finding.severity}: ${finding.evidence.traps[0]!.trap}`] : [],
      );
    expect(trapOf('big oar', tablet)).toEqual(['breaks: space in code']);
    expect(trapOf('asap', phone)).toEqual(['note: built-in entry']);
    expect(trapOf(';☕', tablet)).toEqual(['risky: emoji in code']);
    expect(trapOf(';❤️', phone)).toEqual(['risky: emoji in code']);
    expect(trapOf(';©', tablet)).toEqual([]);
    expect(trapOf(';w', tablet, 'pl')).toEqual(['breaks: language of the entry']);
    expect(trapOf(';w', tablet, 'en-GB')).toEqual([]);
  });
  test('faults of expansions: what, where, and what would be better', () => {
    const english = vocabularyOf(['tomorrow', 'received', 'payment', 'thanks', 'come', 'with']);
    const faults = (expansion: string, kind: 'message' | 'link' = 'message') =>
      find(
        audit([shortcut('1', ';f', expansion, { kind })], { languages: [{ vocabulary: english }] }),
        '1',
        'faulty expansion',
      )?.evidence.faults.map(({ fault, start, end, better }) => [fault, expansion.slice(start, end), better]) ?? [];
    expect(faults('come tommorow')).toEqual([['likely misspelling', 'tommorow', 'tomorrow']]);
    expect(faults('Payment recieved with thanks.')).toEqual([['likely misspelling', 'recieved', 'received']]);
    expect(faults('one  two \n')).toEqual([
      ['double space', '  ', ' '],
      ['blank at the end', ' \n', ''],
    ]);
    expect(faults('a (b [c) d')).toEqual([['unbalanced bracket', ')', undefined]]);
    expect(faults('a) first :) b) second (fine)')).toEqual([]);
    expect(faults('https://hall', 'link')).toEqual([['link that does not parse', 'https://hall', undefined]]);
    for (const fine of ['https://a.example/x?y=1#z', 'www.a.example', 'http://192.0.2.1:80/', 'mailto:me@a.example']) {
      expect(faults(fine, 'link')).toEqual([]);
    }
  });
  test('one expansion under two codes is told on both', () => {
    const checked = audit([shortcut('1', ';a', 'same'), shortcut('2', ';bcd', 'same')]);
    for (const id of ['1', '2'])
      expect(find(checked, id, 'faulty expansion')!.evidence.faults).toMatchObject([{ fault: 'same expansion' }]);
  });
});

describe('what is given', () => {
  test('an empty list, no devices, no languages', () => {
    expect(audit([]).findings).toEqual([]);
    expect(audit([shortcut('1', 'so')], { profiles: [], languages: [] }).figures).toEqual({});
  });
  test('what could not be loaded is said', () => {
    expect(audit([], { languages: [], unchecked: ['German'] }).unchecked).toEqual(['German']);
  });
  test('codes of 40 clusters, of every script', () => {
    const codes = ['x'.repeat(40), '👩‍👩‍👧'.repeat(22), 'क्षि'.repeat(40), `;${'é'.repeat(39)}`, 'ﬃ'.repeat(40)];
    const checked = audit(codes.map((code, i) => shortcut(String(i), code)));
    expect(checked.findings.filter(({ severity }) => severity === 'breaks')).toEqual([]);
  });
  test('steps give progress from 0 to 1, so that a worker can tell and stop', () => {
    const steps = [
      ...Audit.steps({ list: listOf([shortcut('1', 'so')]), profiles: phone, languages: [{ vocabulary: NO_WORDS }] }),
    ];
    expect(steps.at(-1)).toBe(1);
    expect(steps.every((done, i) => i === 0 || done > steps[i - 1]!)).toBe(true);
  });
});

test('what the audit says can be reached, typing fires; what it says cannot, typing never does', () => {
  let hidden = 0;
  let reached = 0;
  for (let seed = 1; seed <= 120; seed += 1) {
    const random = randomFrom(seed);
    const shortcuts = Array.from({ length: 10 }, (_, i) =>
      shortcut(
        `s${i}`,
        Array.from({ length: 1 + Math.floor(random() * 4) }, () => pick(random, ['a', 'b', ';', '!', 'c', '.'])).join(
          '',
        ),
        `<${i}>`,
        {
          rules: { fires: pick(random, ['instant', 'delimiter']), edge: pick(random, ['word', 'anywhere']) },
        },
      ),
    );
    const checked = audit(shortcuts, { profiles: PROFILES });
    for (const profile of PROFILES) {
      const list = compile(listOf(shortcuts), profile);
      for (const { id, code } of shortcuts) {
        const isHidden = checked
          .findingsOf(id)
          .some(
            ({ type, severity, devices }) =>
              severity === 'breaks' &&
              ['same code', 'unreachable', 'broken inside', 'device trap'].includes(type) &&
              devices.includes(profile.id),
          );
        // Among other codes, at several places, followed by what ends it.
        const fires = ['— ', '— zz ', '9 — '].some((lead) => {
          const { trace } = simulate(keysOf(`${lead}${code} `), list, profile);
          return trace.some((line) => line.rule.startsWith('fired') && line.id === id);
        });
        const held = list.profile.ways.includes('instant') || list.profile.ways.includes('delimiter');
        if (held && isHidden) {
          hidden += 1;
          expect({ seed, device: profile.id, code, fires }).toEqual({ seed, device: profile.id, code, fires: false });
        } else if (held) {
          reached += 1;
          expect({ seed, device: profile.id, code, fires, id }).toEqual({
            seed,
            device: profile.id,
            code,
            fires: true,
            id,
          });
        }
      }
    }
  }
  expect(hidden).toBeGreaterThan(500);
  expect(reached).toBeGreaterThan(500);
}, 120_000);
