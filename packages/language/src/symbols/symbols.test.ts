import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

import { nameByRule, SymbolFinder, symbolsOfUse, USES, usualSymbols, STARTERS } from '@yellow-latch/core/symbols';

import { LANGUAGES, type LanguageCode } from '../languages';
import { buildSlips } from '../slips/build';
import { parseSlips } from '../slips/file';
import { buildSymbols, buildSymbolWords } from './build';
import { facesSheet, shippedFaces } from './faces';
import { asRuns, parseSymbols, parseSymbolWords, type SymbolsFile } from './file';

const CODES = Object.keys(LANGUAGES) as LanguageCode[];
/** Debian's package unicode-data, Unicode 15.0: names and sequences are never changed, only added. */
const UNICODE = '/usr/share/unicode';

let file: SymbolsFile;
let finder: SymbolFinder;
const table = () => parseSymbols(file);

beforeAll(async () => {
  file = await buildSymbols();
  finder = new SymbolFinder(
    table(),
    CODES.map((code) => parseSymbolWords(buildSymbolWords(code))),
  );
});

const found = (query: string) => finder.search(query).symbols.map(({ text }) => text);

describe('against Unicode’s own files', () => {
  test('every character has its name', () => {
    const { characters, names, numbered } = table();
    const byCharacter = new Map(characters.map((character, index) => [character, names[index]!]));
    const lines = readFileSync(`${UNICODE}/UnicodeData.txt`, 'latin1').split('\n');
    let checked = 0;
    lines.forEach((line, at) => {
      const [hex = '', name = ''] = line.split(';');
      const codePoint = Number.parseInt(hex, 16);
      // Controls and surrogates have no name; a range stands on two lines, its first and its last.
      if (name === '' || name === '<control>' || /Private Use|Surrogate/u.test(name)) return;
      const isRange = name.endsWith(', First>');
      const last = isRange ? Number.parseInt(lines[at + 1]!.split(';')[0]!, 16) : codePoint;
      if (name.endsWith(', Last>')) return;
      for (let one = codePoint; one <= last; one += 1) {
        checked += 1;
        const ours = byCharacter.get(String.fromCodePoint(one)) ?? nameByRule(one, numbered);
        if (!isRange) {
          if (ours !== name.toLowerCase()) expect([hex, ours]).toEqual([hex, name.toLowerCase()]);
        } else if (ours === null) throw new Error(`${one.toString(16)} has no name`);
      }
    });
    expect(checked).toBeGreaterThan(149_000);
    // Unicode 15.0, section 3.12, worked example of rule NR1.
    expect(nameByRule(0xd4_db, numbered)).toBe('hangul syllable pwilh');
    expect(nameByRule(0x4e_00, numbered)).toBe('cjk unified ideograph-4e00');
    expect(nameByRule(0x41, numbered)).toBeNull();
  });

  test('every emoji of emoji-test.txt is there, those with skin tones behind the one without', () => {
    const { emoji, tones } = table();
    const all = new Set([...emoji.flatMap((group) => group.emoji), ...[...tones.values()].flat()]);
    const wanted = [
      ...readFileSync(`${UNICODE}/emoji/emoji-test.txt`, 'utf8').matchAll(/^([\dA-F ]+?)\s*; fully-qualified/gmu),
    ];
    const missing = wanted
      .map(([, hex]) => String.fromCodePoint(...hex!.split(' ').map((one) => Number.parseInt(one, 16))))
      .filter((text) => !all.has(text));
    expect(wanted.length).toBeGreaterThan(3_600);
    expect(missing).toEqual([]);
    expect(tones.get('👋')).toHaveLength(5);
    // All of those with tones in our own, later data stand behind one without.
    expect([...tones.values()].flat()).toHaveLength(file.tones.split(' ').length);
  });

  test('blocks are those of Blocks.txt', () => {
    const blocks = new Map(table().blocks.map(({ first, last }) => [first, last]));
    const lines = [...readFileSync(`${UNICODE}/Blocks.txt`, 'utf8').matchAll(/^([\dA-F]+)\.\.([\dA-F]+); (.+)$/gmu)];
    for (const [, first, last, name] of lines) {
      if (/Surrogates|Private Use/u.test(name!)) continue;
      expect([name, blocks.get(Number.parseInt(first!, 16))]).toEqual([name, Number.parseInt(last!, 16)]);
    }
    expect(lines.length).toBeGreaterThan(320);
  });
});

describe('keywords', () => {
  test.each(CODES)('%s: CLDR’s names and keywords come back as they are', (code) => {
    const { names, keywords } = parseSymbolWords(buildSymbolWords(code));
    const shipped = JSON.parse(
      readFileSync(require.resolve(`cldr-annotations-full/annotations/${code}/annotations.json`), 'utf8'),
    ) as { annotations: { annotations: Record<string, { default?: string[]; tts?: string[] }> } };
    const all = Object.entries(shipped.annotations.annotations).filter(([text]) => names.has(text));
    expect(all.length).toBeGreaterThan(1_900);
    for (const [text, { default: words = [], tts }] of all) {
      expect([text, names.get(text), keywords.get(text)]).toEqual([text, tts?.[0] ?? '', words]);
    }
  });
});

describe('what a search finds', () => {
  test.each([
    ['half', '½'],
    ['right arrow', '→'],
    ['->', '→'],
    ['(c)', '©'],
    ['1/2', '½'],
    ['3/4', '¾'],
    ['+-', '±'],
    ['!=', '≠'],
    ['^2', '²'],
    ['_2', '₂'],
    ['°C', '℃'],
    ["e'", 'é'],
    [':)', '🙂'],
    ['x', '×'],
    ['music', '♯'],
    ['money', '💰'],
    ['hand', '👋'],
    ['U+2192', '→'],
    ['2192', '→'],
    ['&#8594;', '→'],
    ['\\u2192', '→'],
    ['♯', '♯'],
    ['quarter note', '♩'],
    ['thumbs up', '👍'],
    // In German, French and Spanish, with and without marks.
    ['herz', '♥'],
    ['pfeil', '→'],
    ['flèche', '→'],
    ['fleche', '→'],
    ['dinero', '💰'],
    ['4e00', '一'],
    ['가', '가'],
  ])('%s finds %s among the first', (query, text) => {
    expect(found(query).slice(0, 12)).toContain(text);
  });

  test('a fraction that is begun shows those that begin so', () => {
    expect(found('1/')).toEqual(expect.arrayContaining(['½', '¼', '⅓', '⅛']));
  });

  test('a slip is told, and what was meant is shown', () => {
    const search = finder.search('arow');
    expect(search.meant).toBe('arrow');
    expect(search.symbols[0]?.text).toBe('→');
    expect(finder.search('qzxv').symbols).toEqual([]);
  });

  test('what can be no symbol is told, and nothing fails', () => {
    expect(finder.search('')).toEqual({ symbols: [], count: 0, meant: null, none: null });
    expect(finder.search('   ').count).toBe(0);
    expect(finder.search('\u0007').none).toEqual({ why: 'control', codePoint: 'U+0007' });
    expect(finder.search('\ud800').none).toEqual({ why: 'surrogate', codePoint: 'U+D800' });
    expect(finder.search('U+FFFE').none?.why).toBe('noncharacter');
    const own = finder.search('U+E000');
    expect([own.none?.why, own.symbols[0]?.isDrawn]).toEqual(['private', false]);
    expect(finder.search('U+110000').none).toBeNull();
    expect(finder.search('x'.repeat(100_000)).symbols).toEqual([]);
  });

  test('variants: skin tones with their names, text and picture, letters with other marks', () => {
    const waving = finder.variantsOf('👋');
    expect(waving.map(({ text }) => text)).toContain('👋🏽');
    expect(waving.find(({ text }) => text === '👋🏽')?.name).toBe('waving hand, medium skin tone');
    expect(finder.variantsOf('☎').map(({ text }) => text)).toContain('☎️');
    expect(finder.variantsOf('é').map(({ text }) => text)).toEqual(expect.arrayContaining(['è', 'ê', 'ë']));
  });

  test('of all names, whole words and beginnings are found as by reading every one', () => {
    const { characters, names } = table();
    const wordsOf = names.map((name) => name.split(/[ -]+/u));
    const plain = new SymbolFinder(table(), []);
    for (const query of ['musical', 'arrow lef', 'circled dig', 'greek small', 'ogham', 'double arrow righ']) {
      const asked = query.split(' ');
      const wanted = characters.filter((_, index) =>
        asked.every((word) => wordsOf[index]!.some((one) => one.startsWith(word))),
      );
      const { symbols, count } = plain.search(query);
      // What people type for a symbol finds it as well: those have no word of these.
      expect(symbols.every(({ text }) => wanted.includes(text) || /\p{Emoji}/u.test(text))).toBe(true);
      expect(count).toBeGreaterThanOrEqual(wanted.length);
    }
  });
});

describe('faces', () => {
  test('what is shown before one has searched is drawn by a face that is shipped', () => {
    const shown = [...usualSymbols(), ...Object.values(STARTERS).flat()];
    expect(shown.filter((text) => !finder.describe(text).isDrawn)).toEqual([]);
    for (const use of USES) {
      expect(symbolsOfUse(use, table()).length).toBeGreaterThan(12);
    }
    expect(finder.describe('𐀀')).toMatchObject({ name: 'linear b syllable b008 a', isDrawn: false });
  });

  test('every emoji is drawn', () => {
    const all = table().emoji.flatMap(({ emoji }) => emoji);
    expect(all.filter((text) => !finder.describe(text).isDrawn)).toEqual([]);
  });

  test('the sheet names each file once; no two faces for text draw the same', () => {
    const { faces } = shippedFaces();
    const signs = faces.filter(({ family }) => family === 'Latch Symbols').flatMap(({ codePoints }) => codePoints);
    expect(new Set(signs).size).toBe(signs.length);
    const sheet = facesSheet(faces);
    for (const { file: name } of faces) expect(sheet.split(`url("${name}")`)).toHaveLength(2);
  });
});

describe('files', () => {
  test('the index and the words of four languages are at most 500 kB, compressed', () => {
    const files = [file, ...CODES.map(buildSymbolWords)];
    const size = files.reduce((sum, one) => sum + gzipSync(JSON.stringify(one)).length, 0);
    expect(size).toBeLessThanOrEqual(500_000);
  });

  test('names that do not belong to their characters are no file', () => {
    expect(() => parseSymbols({ ...file, names: 'one\ntwo' })).toThrow(/characters have 2 names/u);
    expect(() => parseSymbolWords({ ...buildSymbolWords('en'), names: '' })).toThrow(/names/u);
    expect(asRuns([1, 2, 3, 10, 40])).toBe('1 3 6 1 t 1');
  });

  test('slips: common ones of common words, none of them a word', () => {
    const slips = parseSlips(buildSlips());
    const meant = new Map(slips.map((slip) => [slip.typed, slip.meant]));
    expect([meant.get('recieve'), meant.get('teh'), meant.get('freind')]).toEqual(['receive', 'the', 'friend']);
    expect(meant.has('form')).toBe(false);
    expect(slips.length).toBeGreaterThan(2_000);
  });
});
