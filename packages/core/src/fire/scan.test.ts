import AhoCorasick from 'modern-ahocorasick';

import { brownText } from '../../../../bench/brown';
import { isDelimiter } from './delimiter';
import { hasEdgeBefore } from './edge';
import type { FiringEntry } from './rules';
import { entry, listOf, pick, randomFrom } from './testing';

type Found = [start: number, end: number, code: string];

const inOrder = (a: Found, b: Found) => a[1] - b[1] || a[0] - b[0];

const ours = (text: string, entries: FiringEntry[]): Found[] =>
  listOf(entries)
    .scan(text)
    .map(({ start, end, entry: { code } }): Found => [start, end, code])
    .sort(inOrder);

/** From all places where a code stands, those where it fires: edges, ends, the longest of each end and way. */
function firing(all: Found[], text: string, entries: FiringEntry[]): Found[] {
  const byCode = new Map(entries.map((item) => [item.code, item]));
  const byEnd = new Map<string, Found>();
  for (const found of all) {
    const [start, end, code] = found;
    const { edge, fires } = byCode.get(code)!;
    if (!hasEdgeBefore(text, start, edge)) continue;
    if (fires === 'delimiter' && end < text.length && !isDelimiter(text[end]!)) continue;
    const rival = byEnd.get(`${end} ${fires}`);
    if (!rival || start < rival[0]) byEnd.set(`${end} ${fires}`, found);
  }
  return [...byEnd.values()].sort(inOrder);
}

function byPackage(text: string, entries: FiringEntry[]): Found[] {
  const automaton = new AhoCorasick(entries.map(({ code }) => code.toLowerCase()));
  const all = automaton
    .search(text.toLowerCase(), { strategy: 'all' })
    .map(({ start, end, patternIndex }): Found => [start, end, entries[patternIndex]!.code]);
  return firing(all, text, entries);
}

function byLoop(text: string, entries: FiringEntry[]): Found[] {
  const low = text.toLowerCase();
  const all = entries.flatMap(({ code }) => {
    const places: Found[] = [];
    const key = code.toLowerCase();
    for (let at = low.indexOf(key); at >= 0; at = low.indexOf(key, at + 1)) {
      places.push([at, at + key.length, code]);
    }
    return places;
  });
  return firing(all, text, entries);
}

function randomEntries(random: () => number, letters: readonly string[], count: number): FiringEntry[] {
  const codes = new Set<string>();
  for (let i = 0; i < count; i += 1) {
    const length = 1 + Math.floor(random() * 4);
    codes.add(
      Array.from({ length }, () => pick(random, letters))
        .join('')
        .trim(),
    );
  }
  codes.delete('');
  return [...codes].map((code) =>
    entry(code, 'x', {
      fires: pick(random, ['delimiter', 'instant']),
      edge: pick(random, ['word', 'word', 'anywhere']),
    }),
  );
}

test('scanning random text finds what an Aho–Corasick package and a plain loop find', () => {
  const letters = ['a', 'b', 'c', ';', '.', ' ', "'", '1'];
  let found = 0;
  for (let seed = 1; seed <= 300; seed += 1) {
    const random = randomFrom(seed);
    const entries = randomEntries(random, letters, 12);
    const text = Array.from({ length: 200 }, () => pick(random, [...letters, 'A', '\n'])).join('');
    const scanned = ours(text, entries);
    expect(scanned).toEqual(byPackage(text, entries));
    expect(scanned).toEqual(byLoop(text, entries));
    found += scanned.length;
  }
  expect(found).toBeGreaterThan(5_000);
});

test('scanning running English (Brown Corpus) finds what they find', () => {
  const text = brownText(300_000, __filename);
  expect(text.length).toBe(300_000);
  const words = [...new Set(text.toLowerCase().match(/[a-z]{2,7}/g))];
  const random = randomFrom(7);
  const entries = Array.from({ length: 500 }, () => pick(random, words))
    .concat(['in the', "it's", 'mr.', 'e', 'u.s.'])
    .filter((code, index, all) => all.indexOf(code) === index)
    .map((code) => entry(code, 'x', { fires: pick(random, ['delimiter', 'instant']) }));
  const scanned = ours(text, entries);
  expect(scanned.length).toBeGreaterThan(4_000);
  expect(scanned).toEqual(byPackage(text, entries));
  expect(scanned).toEqual(byLoop(text, entries));
}, 60_000);

test('a scan finds each place where typing the text would fire', () => {
  const entries = [entry('straße', 'x'), entry('café', 'y'), entry('👩‍👩‍👧', 'z'), entry('क्षि', 'w')];
  const text = 'STRASSE cafe\u0301, 👩‍👩‍👧 👩 क्षि क्ष Café!';
  expect(ours(text, entries).map(([start, end]) => text.slice(start, end))).toEqual([
    'STRASSE',
    'cafe\u0301',
    '👩‍👩‍👧',
    'क्षि',
    'Café',
  ]);
});
