/**
 * Against the Unicode Consortium's data files (Debian's package unicode-data, Unicode 15.0):
 * CaseFolding.txt, auxiliary/GraphemeBreakTest.txt, auxiliary/WordBreakTest.txt. `npm test` installs
 * them; where they are not, these tests are skipped and say so.
 */
import { existsSync, readFileSync } from 'node:fs';

import { hasEdgeBefore } from '../fire';
import { clustersOf, foldCase } from '.';

const FOLDER = '/usr/share/unicode';
const withData = existsSync(`${FOLDER}/CaseFolding.txt`) ? test : test.skip;

const linesOf = (name: string) =>
  readFileSync(`${FOLDER}/${name}`, 'utf8')
    .split('\n')
    .map((line) => line.replace(/#.*/, '').trim())
    .filter((line) => line !== '');

const fromHex = (hex: string) =>
  String.fromCodePoint(
    ...hex
      .trim()
      .split(' ')
      .map((code) => Number.parseInt(code, 16)),
  );

/** A line of a break test: the text, and the offsets at which it breaks. */
function breakTest(line: string): { text: string; breaks: number[] } {
  const breaks: number[] = [];
  let text = '';
  for (const token of line.split(/\s+/)) {
    if (token === '÷') breaks.push(text.length);
    else if (token !== '×') text += fromHex(token);
  }
  return { text, breaks };
}

withData('codes fold together exactly as full case folding has it', () => {
  const standard = new Map<string, string>();
  for (const line of linesOf('CaseFolding.txt')) {
    const [code, status, mapping] = line.split('; ');
    if (status === 'C' || status === 'F') standard.set(fromHex(code!), fromHex(mapping!));
  }
  expect(standard.size).toBeGreaterThan(1_400);
  for (const [character, folding] of standard) expect(foldCase(character)).toBe(foldCase(folding));
  // And nothing else does: two characters of one folding of ours have one of the standard's.
  // Of the characters that this version of the data knows; later ones may fold as well.
  const known15 = linesOf('UnicodeData.txt').map((line) => line.split(';')[0]!);
  const seen = new Map<string, string>();
  for (const hex of known15) {
    if (/^D[89A-F]/.test(hex) && hex.length === 4) continue;
    const character = fromHex(hex);
    const own = foldCase(character);
    const theirs = Array.from(standard.get(character) ?? character, (c) => standard.get(c) ?? c).join('');
    const known = seen.get(own);
    if (known === undefined) seen.set(own, theirs);
    else expect({ character, theirs }).toEqual({ character, theirs: known });
  }
});

withData('grapheme clusters are cut as the break test has them', () => {
  // Since Unicode 15.1 a consonant joined by a virama stays with the next (GB9c), and U+2701 is no
  // pictograph any more; 15.0 has it otherwise.
  const isNewer =
    /\u2701|[\u0915-\u0939\u0958-\u095f\u0978-\u097f][\p{M}\u200d]*\u094d[\p{M}\u200d]*[\u0915-\u0939\u0958-\u095f\u0978-\u097f]/u;
  let tested = 0;
  for (const line of linesOf('auxiliary/GraphemeBreakTest.txt')) {
    const { text, breaks } = breakTest(line);
    if (isNewer.test(text)) continue;
    expect({ line, at: clustersOf(text).map(({ index }) => index) }).toEqual({ line, at: breaks.slice(0, -1) });
    tested += 1;
  }
  expect(tested).toBeGreaterThan(500);
});

withData('no code that is a word begins inside one, as the word break test has it', () => {
  let tested = 0;
  for (const line of linesOf('auxiliary/WordBreakTest.txt')) {
    const { text, breaks } = breakTest(line);
    for (const { index } of clustersOf(text)) {
      if (index === 0 || breaks.includes(index)) continue;
      // Where the standard joins a letter or digit to what stands right before it, there is no edge.
      const first = String.fromCodePoint(text.codePointAt(index)!);
      const before = text[index - 1]!;
      if (!/[\p{L}\p{Nd}]/u.test(first) || /[\u3031-\u30ff]/u.test(first + before)) continue;
      // Format characters between them are passed over by the standard, not by us.
      if (/[\u00ad\u200d]/u.test(text)) continue;
      const joinsLetters = /[\p{L}\p{Nd}_]['.:,\u00b7]?\p{M}*$/u.test(text.slice(0, index));
      if (!joinsLetters || /\p{M}$/u.test(text.slice(0, index))) continue;
      expect({ line, index, edge: hasEdgeBefore(text, index, 'word') }).toEqual({ line, index, edge: false });
      tested += 1;
    }
  }
  expect(tested).toBeGreaterThan(100);
});
