import { promisify } from 'node:util';

import { parse as csvParse } from 'csv-parse/sync';
import spectrum from 'csv-spectrum';
import fc from 'fast-check';
import Papa from 'papaparse';

import { decodeText, type DecodedText } from './decode';
import { findDelimiter } from './csvDelimiter';
import { guardCell, readTable, unguardCell, writeTable } from './table';

const cellsOf = (text: string, delimiter: Parameters<typeof readTable>[1] = ',') =>
  readTable(text, delimiter).rows.map(({ cells }) => cells);

describe('tables by RFC 4180', () => {
  // The examples of RFC 4180, section 2, rules 1 to 7.
  test.each([
    [
      'aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      'aaa,bbb,ccc\r\nzzz,yyy,xxx',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      'field_name,field_name,field_name\r\naaa,bbb,ccc\r\nzzz,yyy,xxx\r\n',
      [
        ['field_name', 'field_name', 'field_name'],
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      '"aaa","bbb","ccc"\r\nzzz,yyy,xxx',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      '"aaa","b\r\nbb","ccc"\r\nzzz,yyy,xxx',
      [
        ['aaa', 'b\nbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    ['"aaa","b""bb","ccc"', [['aaa', 'b"bb', 'ccc']]],
  ])('%j', (text, rows) => expect(cellsOf(text.replaceAll('\r\n', '\n'))).toEqual(rows));

  test('the files of csv-spectrum', async () => {
    const files = await promisify(spectrum)();
    expect(files.length).toBeGreaterThanOrEqual(12);
    for (const { name, csv, json } of files) {
      const [heading = [], ...rows] = cellsOf((decodeText(csv) as DecodedText).text);
      const found = rows.map((row) => Object.fromEntries(heading.map((key, index) => [key, row[index]])));
      const wanted = JSON.parse(json.toString().replaceAll('\\r\\n', '\\n')) as unknown;
      // Of this file the package's own answer has another telephone number, and no list around it.
      if (name === 'location_coordinates') expect(found).toMatchObject([{ Cities: 'Modesto', Counties: 'Stanislaus' }]);
      else expect({ name, found }).toEqual({ name, found: wanted });
    }
  });

  const cell = fc
    .oneof(fc.string({ unit: 'binary' }), fc.stringMatching(/^[",;\n\t'=+@ ab|-]{0,8}$/))
    .map((text) => text.replace(/\r\n?/g, '\n'));
  const rows = (width: number) =>
    fc.array(fc.array(cell, { minLength: width, maxLength: width }), { minLength: 1, maxLength: 8 });

  test('what is written here another package reads, and the other way round', () => {
    fc.assert(
      fc.property(rows(3), fc.constantFrom(',' as const, '\t' as const, ';' as const), (table, delimiter) => {
        const full = table.filter((row) => row.some((one) => one.trim() !== ''));
        const read: string[][] = csvParse(writeTable(full, delimiter), {
          delimiter,
          record_delimiter: '\r\n',
          relax_column_count: true,
          skip_empty_lines: false,
        });
        expect(read.map((row) => row.map(unguardCell))).toEqual(full);
        const written = Papa.unparse(full, { delimiter, newline: '\n', quotes: true });
        expect(cellsOf(written, delimiter)).toEqual(full);
      }),
      { numRuns: 300, examples: [[[['', '', '']], ',']] },
    );
  });
});

describe('what is wrong in a table', () => {
  test('a quote that is never closed costs its own line, which is told with the place', () => {
    const { rows } = readTable('a,1\nb,"open\nc,3\nd,4\n', ',');
    expect(rows).toEqual([
      { line: 1, cells: ['a', '1'] },
      { line: 2, position: 3, problem: 'open-quote', cells: ['b', '"open'] },
      { line: 3, cells: ['c', '3'] },
      { line: 4, cells: ['d', '4'] },
    ]);
  });

  test('what stands after a closing quote is told with the place, and lines go on being counted', () => {
    const { rows } = readTable('a,"1\n1"\nb,"two" x\nc,3\n', ',');
    expect(rows).toMatchObject([
      { line: 1, cells: ['a', '1\n1'] },
      { line: 3, position: 8, problem: 'text-after-quote' },
      { line: 4, cells: ['c', '3'] },
    ]);
  });

  test('with tabs, quotes that make no sense are just quotes', () => {
    expect(readTable(';in\t5" pipe\n;q\t"Quite" so\n', '\t')).toMatchObject({
      hasPlainQuotes: true,
      rows: [{ cells: [';in', '5" pipe'] }, { cells: [';q', '"Quite" so'] }],
    });
  });

  test('many open quotes are followed no longer than pays', () => {
    const text = Array.from({ length: 2_001 }, (_, index) => `c${index},"open`).join('\n');
    const { rows } = readTable(text, ',');
    expect(rows.map(({ line }) => line)).toEqual(Array.from({ length: 2_001 }, (_, index) => index + 1));
  });
});

test.each([
  ['code,expansion\n;a,b\n', ','],
  [';ws,Mill Lane\n;ten,in ten minutes\n', ','],
  ['ws;Mill Lane, Corrie\nten;soon, very\n', ';'],
  [';a\tx, y\n;b\tz, w\n', '\t'],
  ['a|b\nc|d\n', '|'],
  ['just a line, that is all\nand another\n', null],
  ['', null],
])('the delimiter of %j is %j', (text, delimiter) => expect(findDelimiter(text)).toBe(delimiter));

test('cells that a spreadsheet would run are guarded and come back as they were', () => {
  for (const cell of ['=1+1', "'=1", "''@x", '+44', '-x', '@@', '\tx', '＝1']) {
    expect(guardCell(cell)).toBe(`'${cell}`);
    expect(unguardCell(guardCell(cell))).toBe(cell);
  }
  fc.assert(
    fc.property(
      fc.string({ unit: fc.constantFrom("'", '=', 'a', '@', ' ') }),
      (cell) => unguardCell(guardCell(cell)) === cell,
    ),
  );
  expect(guardCell("it's")).toBe("it's");
});
