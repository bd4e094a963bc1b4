import fc from 'fast-check';

import { readCards } from '.';

const IS_SOAK = Boolean(process.env.YELLOW_LATCH_SOAK);
const RUNS = IS_SOAK ? 20_000 : 2_000;

const LINES = [
  'BEGIN:VCARD',
  'END:VCARD',
  'VERSION:3.0',
  'VERSION:4.0',
  'VERSION:2.1',
  'FN:Ann Corrie',
  'N:Corrie;Ann;;;',
  'N;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:M=FCller;J=F6rg',
  'TEL;TYPE=CELL:+44 7700 900123',
  'TEL;CELL;WORK:01632 960123',
  'item1.EMAIL;TYPE=INTERNET:ann@corrie.example',
  'ADR;TYPE=home:;;Unit 3\\, The Ropewalk;Larkmouth;;ZZ1 2AB;UK',
  'PHOTO;ENCODING=b;TYPE=JPEG:AAAA',
  ' BBBB',
  'UID:1',
  'URL:https://corrieandvale.example',
  'NOTE;ENCODING=QUOTED-PRINTABLE:one=0Atwo=',
  '',
];

/** A line that was spoilt: cut, doubled, with a character put in or another in its place. */
const spoilt = fc
  .tuple(
    fc.constantFrom(...LINES),
    fc.nat(60),
    fc.constantFrom('cut', 'twice', 'put', 'none', 'fold'),
    fc.constantFrom('"', ';', ':', '=', '\\', ',', '\u0000', 'é', '\ud800', '\t'),
  )
  .map(([line, at, how, sign]) => {
    const place = Math.min(at, line.length);
    if (how === 'cut') return line.slice(0, place);
    if (how === 'twice') return line + line;
    if (how === 'put') return line.slice(0, place) + sign + line.slice(place);
    return how === 'fold' ? `${line.slice(0, place)}\r\n ${line.slice(place)}` : line;
  });

test(`${RUNS} spoilt files: none fails, none loses a card without a line in the report`, () => {
  fc.assert(
    fc.property(fc.array(spoilt, { maxLength: 40 }), fc.constantFrom('\n', '\r\n'), (lines, end) => {
      const text = lines.join(end);
      const before = Date.now();
      const { cards, problems, count } = readCards(text, 'GB');
      if (IS_SOAK) expect(Date.now() - before).toBeLessThan(1_000);
      const dropped = problems.filter(({ type }) => type === 'empty').length;
      expect(cards.length + dropped).toBe(count);
      expect(new Set(cards.map(({ uid }) => uid)).size).toBe(cards.length);
      const most = text.split('\n').length;
      for (const { line } of problems) expect(line).toBeLessThanOrEqual(most);
      for (const { parts } of cards) {
        expect(new Set(parts.map(({ id }) => id)).size).toBe(parts.length);
        for (const { id } of parts) expect(id).toMatch(/^[a-z][a-z-]{0,29}(?: \d{1,3})?$/u);
      }
    }),
    { numRuns: RUNS, ...(IS_SOAK ? {} : { seed: 29 }) },
  );
});
