import { DEVICE_PROFILES, type DeviceProfile } from '../profile';
import { delimiterTest } from './delimiter';
import { hasEdgeBefore } from './edge';
import { madeOf } from './madeText';
import type { FiringEntry } from './rules';
import { keysOf, simulate } from './simulate';
import { device, entry, listOf, pick, randomFrom } from './testing';

const ALL = { sentenceCapitals: true, smartQuotes: true, smartDashes: true, smartDots: true, doubleSpaceStop: true };

/** A character that stands in the field, and the keys that put it there. */
interface Cell {
  readonly character: string;
  readonly from: number;
  readonly to: number;
}

/** One key after the other, by rules 9 of docs/firing.md; `look` is told of the field after each character that appears. */
function typeByKey(typed: string, profile: DeviceProfile, look: (cells: readonly Cell[]) => void): Cell[] {
  const cells: Cell[] = [];
  let at = 0;
  for (const key of typed) {
    const before = cells.map(({ character }) => character).join('');
    const put = (character: string, from = at) => {
      cells.push({ character, from, to: at + key.length });
      look(cells);
    };
    if (
      profile.sentenceCapitals &&
      /\p{Ll}/u.test(key) &&
      (before === '' || before.endsWith('\n') || /[.!?]["')\]”’]*\s+$/u.test(before))
    )
      put(key.toUpperCase());
    else if (profile.smartQuotes && /["']/.test(key)) {
      const opens = before === '' || /[\s([{“‘]$/u.test(before);
      const [opening, closing] = key === '"' ? ['“', '”'] : ['‘', '’'];
      put(opens ? opening : closing);
    } else if (profile.smartDashes && key === '-' && before.endsWith('-') && !before.endsWith('--'))
      put('—', cells.pop()!.from);
    else if (profile.smartDots && key === '.' && before.endsWith('..') && !before.endsWith('...')) {
      cells.pop();
      put('…', cells.pop()!.from);
    } else if (profile.doubleSpaceStop && key === ' ' && /[\p{L}\p{N}\p{M})\]"'”’] $/u.test(before)) {
      const space = cells.pop()!;
      cells.push({ ...space, character: '.' });
      look(cells);
      put(' ');
    } else put(key);
    at += key.length;
  }
  return cells;
}

type Found = readonly [start: number, end: number, code: string];

/** Every place at which one of the codes would have fired, asked of each code after each key. */
function firedByKey(typed: string, entries: readonly FiringEntry[], profile: DeviceProfile): Found[] {
  const isEnd = delimiterTest(profile.delimiters);
  const found = new Map<string, Found>();
  const ask = (cells: readonly Cell[], way: FiringEntry['fires']) => {
    const text = cells.map(({ character }) => character).join('');
    const fits = entries.filter(({ code, fires, edge, capitals }) => {
      if (fires !== way || !text.toLowerCase().endsWith(code.toLowerCase())) return false;
      const start = text.length - code.length;
      return hasEdgeBefore(text, start, edge) && (capitals === 'ignore' || text.endsWith(code));
    });
    const [first] = fits.sort((a, b) => b.code.length - a.code.length || (a.id < b.id ? -1 : 1));
    if (!first) return;
    // All of these texts is in the basic plane: one unit a character.
    const range = cells.slice(text.length - first.code.length);
    const end = range.at(-1)!.to;
    found.set(`${end} ${way}`, found.get(`${end} ${way}`) ?? [range[0]!.from, end, first.code]);
  };
  const cells = typeByKey(typed, profile, (now) => {
    ask(now, 'instant');
    if (isEnd(now.at(-1)!.character)) ask(now.slice(0, -1), 'delimiter');
  });
  ask(cells, 'delimiter');
  return [...found.values()].sort(inOrder);
}

const inOrder = (a: Found, b: Found) => a[1] - b[1] || a[0] - b[0] || (a[2] < b[2] ? -1 : 1);

const PIECES = [
  'a',
  'b',
  'A',
  'ab',
  "'",
  '"',
  '-',
  '--',
  '.',
  '..',
  '...',
  ' ',
  '  ',
  '\n',
  '. ',
  "a'b",
  '!',
  '?',
  ')',
  '(',
  ',',
  ';',
  '1',
  '’',
  '—',
  '…',
  'é',
];

function randomText(random: () => number, most: number): string {
  return Array.from({ length: 1 + Math.floor(random() * most) }, () => pick(random, PIECES)).join('');
}

function randomEntries(random: () => number): FiringEntry[] {
  const codes = new Set(Array.from({ length: 8 }, () => randomText(random, 3).replaceAll('\n', '').trim()));
  codes.delete('');
  return [...codes].map((code) =>
    entry(code, 'x', {
      fires: pick(random, ['delimiter', 'instant']),
      edge: pick(random, ['word', 'anywhere']),
      capitals: pick(random, ['ignore', 'match']),
    }),
  );
}

/** Every profile with all it changes, and made-up ones that end codes otherwise. */
const PROFILES: readonly DeviceProfile[] = [
  ...Object.values(DEVICE_PROFILES),
  ...(['standard', [' ', '-'], ['.', '—'], []] as const).map((delimiters) =>
    device({
      ...ALL,
      id: `all, ended by ${String(delimiters)}`,
      delimiters: delimiters === 'standard' ? delimiters : [...delimiters],
    }),
  ),
  ...Object.keys(ALL).map((change) => device({ id: change, [change]: true })),
];

describe.each(PROFILES)('on $id', (profile) => {
  // What a device brings along is none of ours.
  const bare = { ...profile, builtIn: [] };

  test('a whole text becomes what it becomes key by key', () => {
    for (let seed = 1; seed <= 300; seed += 1) {
      const typed = randomText(randomFrom(seed), 40);
      const made = madeOf(typed, profile)?.text ?? typed;
      expect([typed, made]).toEqual([typed, simulate(keysOf(typed), listOf([], bare), bare).text]);
      expect([typed, made]).toEqual([
        typed,
        typeByKey(typed, profile, () => undefined)
          .map(({ character }) => character)
          .join(''),
      ]);
    }
  });

  test('a scan finds each place at which a code fires key by key, and no other', () => {
    let found = 0;
    for (let seed = 1; seed <= 400; seed += 1) {
      const random = randomFrom(seed);
      const held = { ...bare, ways: profile.ways, edge: 'own', capitals: 'own', spacesInCodes: true } as const;
      const entries = randomEntries(random).filter(({ fires }) => held.ways.includes(fires));
      const typed = randomText(random, 40);
      const scanned = listOf(entries, held)
        .scan(typed)
        .map(({ start, end, entry: { code } }): Found => [start, end, code])
        .sort(inOrder);
      expect([seed, typed, scanned]).toEqual([seed, typed, firedByKey(typed, entries, held)]);
      found += scanned.length;
    }
    if (profile.ways.some((way) => way !== 'offer')) expect(found).toBeGreaterThan(250);
  });
});

test('an apostrophe is typed straight and found as the device makes it', () => {
  const entries = [entry("don't", 'x'), entry('don’t', 'y'), entry('so--', 'z'), entry('so…', 'w')];
  const codesIn = (text: string, profile: Partial<DeviceProfile>) =>
    listOf(entries, profile)
      .scan(text)
      .map(({ entry: { code } }) => code);
  expect(codesIn("I don't, so-- so...", {})).toEqual(["don't", 'so--']);
  expect(codesIn("I don't, so-- so...", ALL)).toEqual(['don’t', 'so…']);
});

test('a letter that is raised to two was typed at one place', () => {
  const found = listOf([entry('ssa', 'x')], ALL)
    .scan('ßa b')
    .map(({ start, end }) => [start, end]);
  expect(found).toEqual([[0, 2]]);
});

test('white space of every kind, as ECMAScript has it, stands between two sentences', () => {
  for (let unit = 0; unit < 0x10000; unit += 1) {
    const character = String.fromCharCode(unit);
    if (!/\s/u.test(character)) continue;
    const made = madeOf(`A.${character}b`, device(ALL))?.text ?? null;
    expect([unit, made]).toEqual([unit, `A.${character}B`]);
  }
});
