import { Audit } from './audit';
import { briefOf, fingerprint } from './brief';
import type { FindingType } from './finding';
import { changeOf, fixesFor, safeFix, type TriedFix } from './fixes';
import type { AuditedShortcut } from './item';
import { audit, find, listOf, PROFILES, shortcut, vocabularyOf } from './testing';

const WORDS = vocabularyOf(['so', 'sound', 'boss', 'tomorrow', 'there']);

const check = (...shortcuts: AuditedShortcut[]) =>
  audit(shortcuts, {
    profiles: PROFILES,
    languages: [{ vocabulary: WORDS }],
    skeletonOf: (key) => key.replaceAll('0', 'o'),
  });

/** A list, and the type of finding about its first shortcut. */
const PLANTED: [FindingType, AuditedShortcut[]][] = [
  ['same code', [shortcut('b', ';PK', 'By permit'), shortcut('a', ';pk', 'In the yard')]],
  ['look-alike', [shortcut('a', ';fo0', 'Felt order'), shortcut('b', ';foo', 'Foot rail')]],
  ['unreachable', [shortcut('b', ';tenp', 'Ten, and a place for the van'), shortcut('a', ';ten', 'Ten minutes')]],
  ['broken inside', [shortcut('b', ';a;txq', 'Another text of ours'), shortcut('a', ';tx', 'Taxes')]],
  [
    'delayed',
    [shortcut('a', ';ten', 'Ten minutes', { rules: { fires: 'instant' } }), shortcut('b', ';tenp', 'Ten, and a place')],
  ],
  ['word', [shortcut('a', 'so', 'Sent from the road')]],
  ['beginning of words', [shortcut('a', 'so', 'Sent from the road')]],
  ['inside words', [shortcut('a', 'os', 'Order of service')]],
  ['context', [shortcut('a', '->', '→', { kind: 'symbol' })]],
  ['own expansion', [shortcut('a', 'felt', 'Hammer felt'), shortcut('b', ';w', 'New felt is on its way')]],
  ['loop', [shortcut('a', ';aa', 'see ;bb'), shortcut('b', ';bb', 'see ;aa')]],
  ['claimed', [shortcut('a', '/due', 'Payable within two weeks')]],
  ['device trap', [shortcut('a', '-----', 'A long line', { kind: 'symbol' })]],
  ['near miss', [shortcut('a', ';gat', 'Good afternoon to all'), shortcut('b', ';hat', 'Payable within two weeks')]],
  ['faulty expansion', [shortcut('a', ';tm', 'See you  tommorow ')]],
  ['secret', [shortcut('a', ';ib', 'GB82 WEST 1234 5698 7654 32')]],
];

describe('every fix that is given does what it says', () => {
  test.each(PLANTED)('%s', (type, shortcuts) => {
    const list = check(...shortcuts);
    const [{ id }] = shortcuts as [AuditedShortcut];
    const finding = find(list, id, type)!;
    const before = told(list);
    const fixes = fixesFor(list, [finding]);
    expect(fixes.length).toBeGreaterThan(0);
    expect(told(list)).toEqual(before);
    for (const tried of fixes) {
      const after = applied(shortcuts, tried);
      const found = find(after, id, type);
      if (tried.cures === 'wholly') expect({ fix: tried.fix, found }).toEqual({ fix: tried.fix, found: undefined });
      else expect(found).toBeDefined();
      // What the comparison promises is what an audit of the new list says.
      expect(figuresOf(after)).toEqual(rounded(tried.comparison.after));
      for (const came of tried.comparison.came)
        expect(find(after, came.shortcuts[0]!, came.type)?.severity).toBe(came.severity);
    }
    // The best go first.
    expect(fixes[0]!.cures).toBe('wholly');
  });
});

test('where a device knows offers, offering a word alone helps in part; where it tests edges, an edge cures', () => {
  const word = fixesFor(check(shortcut('a', 'so', 'Sent from the road')), [
    find(check(shortcut('a', 'so')), 'a', 'word')!,
  ]);
  expect(word.find(({ fix }) => fix.type === 'other rules')).toMatchObject({ fix: { asks: 'offer' }, cures: 'partly' });
  const app = (more: object) =>
    Audit.run({
      list: listOf([shortcut('a', 'os', 'Order of service', { rules: { edge: 'anywhere' } })]),
      profiles: PROFILES.filter(({ id }) => id === 'app'),
      languages: [{ vocabulary: vocabularyOf(['albatros', 'there']) }],
      ...more,
    });
  const edge = fixesFor(app({}), [find(app({}), 'a', 'inside words')!]);
  expect(edge).toContainEqual(
    expect.objectContaining({
      fix: { type: 'other rules', id: 'a', rules: { edge: 'word' }, asks: 'edge' },
      cures: 'wholly',
    }),
  );
});

test('two with one code may be merged either way', () => {
  const list = check(...PLANTED[0]![1]);
  const merges = fixesFor(list, [find(list, 'b', 'same code')!]).flatMap(({ fix }) =>
    fix.type === 'merge' ? [fix] : [],
  );
  expect(merges.map(({ keep, drop }) => [keep, drop])).toEqual([
    ['b', ['a']],
    ['a', ['b']],
  ]);
});

test('all that has a better form in a text is set right at once', () => {
  const list = check(shortcut('a', ';tm', 'See you  tommorow '));
  expect(fixesFor(list, [find(list, 'a', 'faulty expansion')!])[0]!.fix).toEqual({
    type: 'correct text',
    id: 'a',
    expansion: 'See you tomorrow',
  });
});

test('a fix that brings another clash says so, and stands behind those that do not', () => {
  const list = check(
    shortcut('a', '#res', 'Pianos restored', { kind: 'tags' }),
    shortcut('b', ';resch', 'I cannot come after all'),
    shortcut('c', ';w', 'Workshop'),
  );
  const fixes = fixesFor(list, [find(list, 'a', 'claimed')!]);
  const bringing = fixes.findIndex(({ comparison }) => comparison.came.some(({ severity }) => severity === 'breaks'));
  expect(fixes[bringing]).toMatchObject({
    fix: { code: ';res' },
    comparison: { came: [{ type: 'unreachable', shortcuts: ['b', 'a'] }] },
  });
  expect(bringing).toBeGreaterThan(0);
  expect(
    fixes.slice(0, bringing).every(({ comparison }) => comparison.came.every(({ severity }) => severity === 'note')),
  ).toBe(true);
});

describe('fixes of all that is wrong with a shortcut', () => {
  const list = check(
    shortcut('a', 'so', 'GB82 WEST 1234 5698 7654 32'),
    shortcut('b', ';w', 'The workshop is open until five.'),
  );
  const wrong = list.findingsOf('a').filter(({ severity }) => severity !== 'note');

  test('say what each leaves, and that which leaves least goes first', () => {
    expect(wrong.map(({ type }) => type)).toEqual(expect.arrayContaining(['word', 'beginning of words', 'secret']));
    const fixes = fixesFor(list, wrong);
    expect(fixes[0]).toMatchObject({ fix: { type: 'other code' }, cures: 'partly', left: [{ type: 'secret' }] });
    const privately = fixes.find(({ fix }) => fix.type === 'make private')!;
    expect(privately.left.map(({ type }) => type)).not.toContain('secret');
    // None stands there twice, though several problems ask for it.
    const names = fixes.map(({ fix }) => JSON.stringify(fix));
    expect(new Set(names).size).toBe(names.length);
  });

  test('the one to offer without a closer look brings nothing worse than a note', () => {
    expect(safeFix(list, wrong)).toEqual(fixesFor(list, wrong)[0]!.fix);
    expect(safeFix(list, [])).toBeNull();
    const risky = check(
      shortcut('a', '#res', 'Pianos restored', { kind: 'tags' }),
      shortcut('b', ';resch', 'I cannot come after all'),
      shortcut('c', ';w', 'Workshop'),
    );
    expect(safeFix(risky, [find(risky, 'a', 'claimed')!])).not.toMatchObject({ code: ';res' });
  });
});

describe('a brief', () => {
  test('names what a finding is about: it changes with the code, the text or how bad it is', () => {
    const about = (type: FindingType, ...shortcuts: AuditedShortcut[]) => {
      const list = check(...shortcuts);
      return briefOf(find(list, shortcuts[0]!.id, type)!, list).about;
    };
    expect(about('word', shortcut('a', 'SO'))).toBe('breaks so');
    expect(about('near miss', shortcut('a', ';gat', 'Good'), shortcut('b', ';hat', 'Payable within two weeks'))).toBe(
      'note ;gat ;hat',
    );
    const slip = (text: string) => about('faulty expansion', shortcut('a', ';t', text));
    expect(slip('tommorow')).toBe(slip('tommorow'));
    expect(slip('tommorow')).not.toBe(slip('tommorow then'));
    expect(slip('tommorow')).not.toContain('tomm');
  });

  test('is small, whatever the finding holds', () => {
    const list = check(
      shortcut('a', 'os', 'Order of service'),
      ...PLANTED.flatMap(([, shortcuts], i) => shortcuts.map((one) => ({ ...one, id: `${i}${one.id}` }))),
    );
    for (const finding of list.findings) expect(JSON.stringify(briefOf(finding, list)).length).toBeLessThan(1_500);
  });
});

// Test values of FNV-1a, 32 bits: draft-eastlake-fnv, appendix C, from memory ("", "a", "foobar").
test.each([
  ['', '811c9dc5'],
  ['a', 'e40c292c'],
  ['foobar', 'bf9cf968'],
])('the fingerprint of %j', (text, hash) => expect(fingerprint(text)).toBe(hash));

function applied(shortcuts: readonly AuditedShortcut[], { fix }: TriedFix): Audit {
  const { put = [], remove = [] } = changeOf(fix, (id) => shortcuts.find((one) => one.id === id));
  const changed = new Map(put.map((one) => [one.id, one]));
  return check(...shortcuts.filter(({ id }) => !remove.includes(id)).map((one) => changed.get(one.id) ?? one));
}

function told(of: Audit) {
  return { findings: of.findings, figures: figuresOf(of) };
}

const figuresOf = (of: Audit) => rounded(of.figures);

function rounded(figures: Audit['figures']) {
  return Object.fromEntries(Object.entries(figures).map(([id, { perTenThousand }]) => [id, perTenThousand.toFixed(6)]));
}
