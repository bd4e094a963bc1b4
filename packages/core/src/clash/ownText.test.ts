import { CompiledList, settleRules } from '../fire';
import { DEVICE_PROFILES } from '../profile';
import { decodeText } from '../exchange/decode';
import { LARGEST_TEXT } from '../exchange/encodings';
import { scanOwnText } from './ownText';
import { readOwnText, type OwnTextFormat } from '../sent/ownText';
import { listOf, shortcut } from './testing';

const list = CompiledList.compile(
  settleRules(
    listOf([shortcut('so', 'so'), shortcut('two', 'so that'), shortcut('hash', '#so'), shortcut('cafe', 'café')]),
  ),
  DEVICE_PROFILES['phone-list'],
);

describe('every place where a code would have fired', () => {
  const text = 'So it is.\nI know #so, so that\r\nwas the Café, so!'.replaceAll('\r\n', '\n');
  const report = scanOwnText(text, list);
  test('is told with its stretch, in order', () => {
    const places = Array.from({ length: report.places.length / 3 }, (_, i) => [
      ...report.places.subarray(i * 3, i * 3 + 3),
    ]);
    expect(places.map(([start, end, id]) => `${report.ids[id!]}: ${text.slice(start, end)}`)).toEqual([
      'so: So',
      'hash: #so',
      'so: so',
      'two: so that',
      'cafe: Café',
      'so: so',
    ]);
  });
  test('is counted, with a figure of this text that is no estimate', () => {
    expect(report.words).toBe(12);
    expect(report.findings[0]).toMatchObject({ id: 'so', count: 3, perTenThousand: 2_500, severity: 'breaks' });
  });
  test('examples have their line and the spot in it', () => {
    const { examples } = report.findings.find(({ id }) => id === 'cafe')!;
    expect(examples).toHaveLength(1);
    const [{ text: around, start, end, line }] = examples as [(typeof examples)[0]];
    expect([line, around, around.slice(start, end)]).toEqual([3, 'was the Café, so!', 'Café']);
  });
  test('one line of ten megabytes is read, its examples kept short', () => {
    const long = 'something else, so '.repeat(540_000);
    const { findings } = scanOwnText(long, list);
    expect(findings[0]!.count).toBe(540_000);
    expect(findings[0]!.examples.every((example) => example.text.length <= 130)).toBe(true);
  });
  test('no text, no words, nothing found', () => {
    expect(scanOwnText('', list)).toMatchObject({ words: 0, findings: [] });
  });
});

describe('encodings', () => {
  const text = 'Grüße, “so” war’s: 50 €\n';
  // Made by Node's own encoder, but for Windows-1252, whose bytes are those of the WHATWG index.
  const utf16be = Buffer.from(text, 'utf16le').swap16();
  test.each([
    ['utf-8', Buffer.from(text)],
    ['utf-8', Buffer.concat([Buffer.from([0xef, 0xbb, 0xbf]), Buffer.from(text)])],
    ['utf-16le', Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(text, 'utf16le')])],
    ['utf-16le', Buffer.from(text, 'utf16le')],
    ['utf-16be', Buffer.concat([Buffer.from([0xfe, 0xff]), utf16be])],
    ['utf-16be', utf16be],
    ['windows-1252', Buffer.from('Gr\xfc\xdfe, \x93so\x94 war\x92s: 50 \x80\n', 'latin1')],
  ])('%s', (encoding, bytes) => {
    expect(decodeText(bytes)).toEqual({ text, encoding, unread: 0, isGuess: encoding === 'windows-1252' });
  });
  test('lines of every kind end in a newline', () => {
    expect(decodeText(Buffer.from('a\r\nb\rc\n'))).toMatchObject({ text: 'a\nb\nc\n' });
  });
  test('a picture is no text', () => {
    const png = Buffer.from('89504e470d0a1a0a0000000d49484452', 'hex');
    expect(decodeText(png)).toEqual({ type: 'binary', at: 0, looksLike: 'a picture' });
  });
  test('50 MB are read, what is beyond the limit is not', () => {
    expect(decodeText(new Uint8Array(50 * 1024 * 1024).fill(0x61))).toMatchObject({ encoding: 'utf-8' });
    expect(decodeText(new Uint8Array(LARGEST_TEXT + 1))).toEqual({
      type: 'too-large',
      limit: LARGEST_TEXT,
      found: LARGEST_TEXT + 1,
    });
  });
});

describe('files', () => {
  const read = (text: string, format: OwnTextFormat) => readOwnText(Buffer.from(text), format);
  test('a column of a table, by its heading or number', () => {
    const table = 'when,text\n1,"so, it is"\n2,"two\nlines"\n3\n';
    expect(read(table, { type: 'csv', column: 'text' })).toMatchObject({
      text: 'so, it is\ntwo\nlines',
      rowOfLine: Uint32Array.from([2, 3, 3]),
      skipped: [{ row: 4, why: 'has 1 columns' }],
    });
    expect(read('a;so\nb;oh\n', { type: 'csv', column: 1 })).toMatchObject({ text: 'so\noh' });
  });
  test('a column that is not there is named, with those that are', () => {
    expect(read('when,text\n1,so\n', { type: 'csv', column: 'body' })).toEqual({
      type: 'no-column',
      wanted: 'body',
      found: ['when', 'text'],
    });
  });
  test('a field of JSON lines; lines that are none are told', () => {
    const lines = '{"a":{"b":"so"}}\nnot json\n{"a":{}}\n{"a":{"b":"oh"}}';
    expect(read(lines, { type: 'json-lines', field: 'a.b' })).toMatchObject({
      text: 'so\noh',
      rowOfLine: Uint32Array.from([1, 4]),
      skipped: [
        { row: 2, why: 'is no JSON' },
        { row: 3, why: 'has no text in “a.b”' },
      ],
    });
    expect(read('plain text', { type: 'json-lines', field: 'a' })).toMatchObject({ type: 'no-column' });
  });
  test('an empty file has no text', () => expect(read(' \n', { type: 'text' })).toEqual({ type: 'no-text' }));
});
