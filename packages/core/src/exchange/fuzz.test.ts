import { execFileSync } from 'node:child_process';
import { promisify } from 'node:util';

import spectrum from 'csv-spectrum';

import { decodeText } from './decode';
import { planImport } from './plan';
import { readList, type ReadChoices } from './readList';
import { setOf, shortcutOf, NO_REST } from './testing';
import { DELIMITERS, readTable } from './table';
import { findDelimiter } from './csvDelimiter';
import { WRITTEN_FORMS, writeBackup, writeList } from './writeList';

const IS_SOAK = Boolean(process.env.YELLOW_LATCH_SOAK);
const CASES = IS_SOAK ? 100_000 : 2_000;
/** No reading of a small file may take longer, in ms. Looked at in the long run alone: tests share their machine. */
const LONGEST = 1_000;

/** Numbers from a seed (mulberry32, public domain). */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

const sets = [setOf('Visits', 1), setOf('Signs, and “quotes”', 2)];
const shortcuts = [
  shortcutOf(';ten', 'I am about ten minutes away.', { setId: sets[0]!.id }),
  shortcutOf(';park', 'Park behind the hall.\nThe door is on the left, “Stage”.', {
    setId: sets[0]!.id,
    note: 'for halls',
  }),
  shortcutOf(';sh', '♯', { kind: 'symbol', setId: sets[1]!.id }),
  shortcutOf('@@', '=SUM(A1:A2)', { language: 'de', rules: { fires: 'instant' } }),
  shortcutOf(';hello', 'Hello {$name :text label=|Name|},', {
    content: { expansion: 'Hello {$name :text label=|Name|},', template: true, format: 'plain' },
  }),
];

async function realFiles(): Promise<Buffer[]> {
  const all = await promisify(spectrum)();
  const ours = WRITTEN_FORMS.map((form) =>
    Buffer.from(writeList({ shortcuts, sets }, form, '2026-11-26T09:00:00.000Z')),
  );
  const backup = writeBackup(
    { shortcuts, sets },
    { ...NO_REST, list: { languages: ['en'], devices: ['app'], keyboards: [], hasDevices: true } },
    null,
    '2026-11-26T09:00:00.000Z',
  );
  const notes = Buffer.from(
    '- ;ws = Mill Lane\n- ;ten → Ten minutes\n\n1. Park there.\n| a | b |\n|---|---|\n| c | d |\n',
  );
  const utf16 = execFileSync('iconv', ['-f', 'UTF-8', '-t', 'UTF-16'], { input: ours[1] });
  return [...all.map(({ csv }) => csv), ...ours, Buffer.from(backup), notes, utf16];
}

const PIECES = [
  '"',
  '""',
  ',',
  '\t',
  ';',
  '|',
  '\n',
  '\r\n',
  '\r',
  '\0',
  '{',
  '}',
  '[',
  ']',
  '|---|---|\n',
  '\\',
  ':',
  "'=",
  '\ufeff',
  '\u200b',
  '‮',
  '{$',
  '<br>',
  '-----',
  '= ',
  ' = ',
  '\ud83d',
  'code',
  'expansion',
  '"id"',
  '9'.repeat(40),
].map((piece) => Buffer.from(piece));

/** A file with one to five things done to it: bytes changed, pieces put in, stretches cut, doubled or put elsewhere. */
function mutated(file: Buffer, random: () => number): Buffer {
  let bytes = file;
  const at = () => Math.floor(random() * (bytes.length + 1));
  for (let times = 1 + Math.floor(random() * 5); times > 0; times -= 1) {
    const [from, to] = [at(), at()].sort((a, b) => a - b) as [number, number];
    const what = random();
    if (what < 0.4)
      bytes = Buffer.concat([
        bytes.subarray(0, from),
        PIECES[Math.floor(random() * PIECES.length)]!,
        bytes.subarray(from),
      ]);
    else if (what < 0.6)
      bytes = Buffer.concat([
        bytes.subarray(0, from),
        Buffer.from([Math.floor(random() * 256)]),
        bytes.subarray(from + 1),
      ]);
    else if (what < 0.8) bytes = Buffer.concat([bytes.subarray(0, from), bytes.subarray(to)]);
    else if (what < 0.9 && bytes.length < 20_000)
      bytes = Buffer.concat([bytes.subarray(0, to), bytes.subarray(from, to), bytes.subarray(to)]);
    else bytes = Buffer.concat([bytes.subarray(to), bytes.subarray(0, to)]);
  }
  return bytes;
}

test(`${CASES} spoilt files: none crashes, and no row is without a line in the report`, async () => {
  const files = await realFiles();
  const random = seeded(20_261_126);
  const ends = new Map<string, number>();
  let longest = 0;
  for (let run = 0; run < CASES; run += 1) {
    const bytes = mutated(files[run % files.length]!, random);
    const choices: ReadChoices =
      random() < 0.1 ? { form: 'table', delimiter: DELIMITERS[Math.floor(random() * DELIMITERS.length)] } : {};
    const begun = performance.now();
    const decoded = decodeText(bytes, random() < 0.1 ? 'windows-1251' : undefined);
    if ('type' in decoded) {
      ends.set(decoded.type, (ends.get(decoded.type) ?? 0) + 1);
      continue;
    }
    const { text } = decoded;
    const list = readList(text, choices);
    const end = 'type' in list ? list.type : list.form;
    ends.set(end, (ends.get(end) ?? 0) + 1);
    if (!('type' in list)) {
      const planned = planImport(list.rows, { shortcuts, sets }, list.file?.sets);
      expect(planned.map(({ line }) => line)).toEqual(list.rows.map(({ line }) => line));
      if (list.form === 'table') accountForLines(text, choices, list.rows.length, list.table!.hasHeading);
      if (list.form === 'lines') expect(list.rows.length + list.blank).toBe(lineCount(text));
    }
    longest = Math.max(longest, performance.now() - begun);
  }
  if (IS_SOAK) expect(longest).toBeLessThan(LONGEST);
  // Every way to end was taken, so the files are spoilt in more than one way.
  expect(
    Math.min(...['table', 'json', 'markdown', 'lines', 'not-json', 'binary'].map((end) => ends.get(end) ?? 0)),
  ).toBeGreaterThan(0);
}, 600_000);

function lineCount(text: string): number {
  return text.split('\n').length - (text.endsWith('\n') ? 1 : 0);
}

/** Every line of a table is the heading's, a row's, or blank. */
function accountForLines(text: string, choices: ReadChoices, rows: number, hasHeading: boolean): void {
  const table = readTable(text, choices.delimiter ?? findDelimiter(text)!);
  const ofRows = table.rows.reduce((sum, { cells }) => sum + cells.join('').split('\n').length, 0);
  expect({ text: JSON.stringify([text, table]), lines: ofRows + table.blank }).toEqual({
    text: JSON.stringify([text, table]),
    lines: lineCount(text),
  });
  expect(rows + (hasHeading ? 1 : 0)).toBe(table.rows.length);
}
