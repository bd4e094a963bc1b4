import Papa from 'papaparse';

/** What stands between the cells of a table. */
export const DELIMITERS = ['\t', ',', ';', '|'] as const;
export type Delimiter = (typeof DELIMITERS)[number];

/** A row of a table and the line it begins in, from 1; or why it is none. */
export type TableRow = { readonly line: number; readonly cells: readonly string[] } | RefusedTableRow;

export interface RefusedTableRow {
  readonly line: number;
  /** The character in that line, from 1. */
  readonly position: number;
  readonly problem: 'open-quote' | 'text-after-quote' | 'outside-table' | 'too-many-cells';
  readonly cells: readonly string[];
}

export interface Table {
  readonly rows: readonly TableRow[];
  /** Lines that hold nothing. */
  readonly blank: number;
  readonly delimiter: Delimiter;
  /** Whether quotes were taken as they stand, since as those of RFC 4180 they made no sense. */
  readonly hasPlainQuotes: boolean;
  /** Whether there are more rows than were asked for. */
  readonly isCut: boolean;
}

/** After so many quotes that are never closed, quotes are no longer followed. */
const MOST_OPEN_QUOTES = 20;

/**
 * Reads a table by RFC 4180, with any delimiter. A quote that is never closed costs its own line and nothing more: reading goes
 * on with the next one. Tables with tabs, as notes and lists have them, often hold quotes that are just quotes: where these
 * make no sense they are taken so. Reads `most` rows at most. Linear, and expects LF line breaks.
 */
export function readTable(text: string, delimiter: Delimiter, most = Infinity): Table {
  const quoted = readQuoted(text, delimiter, most);
  const hasPlainQuotes = delimiter === '\t' && quoted.rows.some((row) => 'problem' in row);
  return { ...(hasPlainQuotes ? readPlain(text, delimiter, most) : quoted), delimiter, hasPlainQuotes };
}

type Read = Pick<Table, 'rows' | 'blank' | 'isCut'>;

function readQuoted(text: string, delimiter: Delimiter, most: number): Read {
  const rows: TableRow[] = [];
  let blank = 0;
  let line = 1;
  let rest = text;
  for (let recoveries = 0; ; recoveries += 1) {
    if (recoveries > MOST_OPEN_QUOTES) {
      const last = readPlain(rest, delimiter, most - rows.length, line);
      return { rows: [...rows, ...last.rows], blank: blank + last.blank, isCut: last.isCut };
    }
    const { data, errors } = Papa.parse<string[]>(rest, {
      delimiter,
      newline: '\n',
      ...(most === Infinity ? {} : { preview: most - rows.length + 1 }),
    });
    const open = errors.find(({ code }) => code === 'MissingQuotes');
    const faults = new Map(
      errors.flatMap(({ code, row, index }) =>
        code === 'InvalidQuotes' && row !== undefined ? [[row, index ?? 0]] : [],
      ),
    );
    let at = 0;
    let isCut = false;
    for (const [index, cells] of data.entries()) {
      const isLast = index === data.length - 1;
      if (open && isLast) break;
      // What follows the last line break is no line.
      if (isLast && at >= rest.length) break;
      if (rows.length >= most) {
        isCut = true;
        break;
      }
      const lines = linesIn(cells);
      if (cells.every((cell) => cell.trim() === '')) blank += lines;
      else if (faults.has(index))
        rows.push({ line, ...placeIn(rest, at, faults.get(index)!), problem: 'text-after-quote', cells });
      else rows.push({ line, cells });
      line += lines;
      for (let i = 0; i < lines; i += 1) at = rest.indexOf('\n', at) + 1 || rest.length;
    }
    if (!open || isCut) return { rows, blank, isCut };
    // The line with the open quote is refused; what follows it is read anew.
    const end = rest.indexOf('\n', at);
    const refused = rest.slice(at, end < 0 ? undefined : end);
    rows.push({ line, ...faultOf(refused, delimiter), cells: refused.split(delimiter) });
    line += 1;
    if (end < 0) return { rows, blank, isCut: false };
    rest = rest.slice(end + 1);
  }
}

function linesIn(cells: readonly string[]): number {
  let lines = 1;
  for (const cell of cells) for (let at = cell.indexOf('\n'); at >= 0; at = cell.indexOf('\n', at + 1)) lines += 1;
  return lines;
}

function placeIn(text: string, rowStart: number, index: number): { position: number } {
  return { position: Math.max(1, index - Math.max(rowStart, text.lastIndexOf('\n', index - 1) + 1) + 1) };
}

/** What is wrong with the quotes of a line, and where, from 1: one is never closed, or something stands after one that is. */
function faultOf(line: string, delimiter: string): Pick<RefusedTableRow, 'problem' | 'position'> {
  for (let at = 0; at <= line.length;) {
    const opened = at;
    if (line[at] === '"') {
      at += 1;
      while (at < line.length && !(line[at] === '"' && line[at + 1] !== '"')) at += line[at] === '"' ? 2 : 1;
      if (at >= line.length) return { problem: 'open-quote', position: opened + 1 };
      at += 1;
      if (at < line.length && line[at] !== delimiter) return { problem: 'text-after-quote', position: at + 1 };
    } else {
      at = line.indexOf(delimiter, at);
    }
    if (at < 0 || at >= line.length) break;
    at += 1;
  }
  return { problem: 'open-quote', position: 1 };
}

/** Every line a row, every quote a quote. */
function readPlain(text: string, delimiter: Delimiter, most: number, firstLine = 1): Read {
  const rows: TableRow[] = [];
  let blank = 0;
  const lines = text.split('\n');
  if (lines.at(-1) === '') lines.pop();
  for (const [index, line] of lines.entries()) {
    if (rows.length >= most) return { rows, blank, isCut: true };
    const cells = line.split(delimiter);
    if (cells.every((cell) => cell.trim() === '')) blank += 1;
    else rows.push({ line: firstLine + index, cells });
  }
  return { rows, blank, isCut: false };
}

/**
 * Cells that a spreadsheet would run as a formula, behind an apostrophe; one that has apostrophes there already gets one more.
 * The signs are those of OWASP, "CSV Injection".
 */
export function guardCell(cell: string): string {
  return /^'*[=+\-@\t\r\n＝＋－＠]/u.test(cell) ? `'${cell}` : cell;
}

/** A guarded cell as it was. */
export function unguardCell(cell: string): string {
  return /^'+[=+\-@\t\r\n＝＋－＠]/u.test(cell) ? cell.slice(1) : cell;
}

/** Rows as a table by RFC 4180, with CRLF behind each; cells guarded. No rows are no text: a lone line break would be a row. */
export function writeTable(rows: readonly (readonly string[])[], delimiter: Delimiter): string {
  if (rows.length === 0) return '';
  return `${Papa.unparse(
    rows.map((row) => row.map(guardCell)),
    { delimiter, newline: '\r\n' },
  )}\r\n`;
}
