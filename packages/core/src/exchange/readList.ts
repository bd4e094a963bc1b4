import { LIMITS } from '../model';
import { COLUMNS, understandColumns, type Column, type Columns, type Understood } from './columns';
import { readListFile, type JsonProblem, type ReadJson } from './listFile';
import { readLines } from './lines';
import { findMarkdownTable, readMarkdownTable } from './markdownTable';
import type { Entry, ReadRow } from './row';
import { DELIMITERS, readTable, unguardCell, type Delimiter, type TableRow } from './table';
import { findDelimiter, isNamedTable } from './csvDelimiter';

/** How a text holds a list. `lines`: a text in each line, without codes. */
export type ListForm = 'json' | 'table' | 'markdown' | 'lines';

/** What a person says of how a text is to be read; what is missing is found out. */
export interface ReadChoices {
  readonly form?: ListForm;
  readonly delimiter?: Delimiter;
  readonly hasHeading?: boolean;
  readonly columns?: Columns;
}

/** A table as it was understood, with its first rows, so that a person can see and say otherwise. */
export interface ReadTable extends Understood {
  readonly delimiter: Delimiter | null;
  readonly heading: readonly string[];
  readonly sample: readonly (readonly string[])[];
  readonly hasPlainQuotes: boolean;
}

/** A list as a text holds it: every line of the text is a row, the heading, part of a row, or blank. */
export interface ReadList {
  readonly form: ListForm;
  readonly rows: readonly ReadRow[];
  /** Lines that hold nothing. */
  readonly blank: number;
  readonly table: ReadTable | null;
  /** Sets, and what else a file of ours holds. */
  readonly file: ReadJson['file'] | null;
}

/** Why there is no list in a text. */
export type ListProblem =
  | JsonProblem
  | { readonly type: 'no-rows' | 'heading-only' }
  | { readonly type: 'too-many-rows'; readonly limit: number };

/** So many rows are read at most: as many as a list holds. */
export const MOST_ROWS = LIMITS.shortcutsPerList;

/** So many rows are shown of a table whose columns are asked for. */
const SHOWN_ROWS = 5;

/**
 * Reads a list out of a text with LF line breaks: a file of ours, a table with commas, tabs, semicolons or bars, a table of
 * Markdown, lines with a sign between code and expansion, or just texts. Nothing is left out without a row that says
 * so. Linear.
 */
export function readList(text: string, choices: ReadChoices = {}): ReadList | ListProblem {
  if (text.trim() === '') return { type: 'no-rows' };
  const said = SEPARATOR.exec(text);
  if (said && (choices.form === undefined || choices.form === 'table'))
    return behindSeparator(text.slice(said[0].length), said[1]!, choices);
  const form = choices.form ?? findForm(text);
  switch (form) {
    case 'json': {
      const read = readListFile(text, MOST_ROWS);
      return 'type' in read ? read : { form, rows: read.rows, blank: 0, table: null, file: read.file };
    }
    case 'markdown': {
      const { rows, blank } = readMarkdownTable(text, MOST_ROWS + 1);
      return ofTable(
        form,
        rows,
        blank,
        rows.length > MOST_ROWS + 1,
        { delimiter: null, hasPlainQuotes: false },
        { hasHeading: true, ...choices },
      );
    }
    case 'lines':
    case 'table': {
      const delimiter = choices.delimiter ?? findDelimiter(text);
      if (form === 'lines' || delimiter === null) {
        const read = readLines(text, MOST_ROWS);
        return read.isCut
          ? { type: 'too-many-rows', limit: MOST_ROWS }
          : { form: 'lines', rows: read.rows, blank: read.blank, table: null, file: null };
      }
      const { rows, blank, isCut, hasPlainQuotes } = readTable(text, delimiter, MOST_ROWS + 1);
      return ofTable(form, rows, blank, isCut, { delimiter, hasPlainQuotes }, choices);
    }
  }
}

/** The first line by which spreadsheets tell what stands between the cells. Common practice, no source. */
const SEPARATOR = /^sep=(.)\n/iu;

/** What stands behind such a line, which is no row. */
function behindSeparator(text: string, separator: string, choices: ReadChoices): ReadList | ListProblem {
  const delimiter = DELIMITERS.find((one) => one === separator);
  const read = readList(text, { ...(delimiter ? { form: 'table', delimiter } : {}), ...choices });
  return 'type' in read ? read : { ...read, rows: read.rows.map((row) => ({ ...row, line: row.line + 1 })) };
}

/** How a text most likely holds a list. */
function findForm(text: string): ListForm {
  // A table that says what its columns hold is one, whatever its cells look like.
  if (isNamedTable(text)) return 'table';
  if (/^\s*(?:\{\s*"[^"\n]*"\s*:|\[\s*\{\s*")/u.test(text.slice(0, 4_096))) return 'json';
  if (findMarkdownTable(text)) return 'markdown';
  return findDelimiter(text) === null ? 'lines' : 'table';
}

function ofTable(
  form: 'table' | 'markdown',
  all: readonly TableRow[],
  blank: number,
  isCut: boolean,
  { delimiter, hasPlainQuotes }: Pick<ReadTable, 'delimiter' | 'hasPlainQuotes'>,
  choices: ReadChoices,
): ReadList | ListProblem {
  const whole = all.flatMap((row) => ('problem' in row ? [] : [row.cells]));
  const found = understandColumns(whole);
  const hasHeading = choices.hasHeading ?? found.hasHeading;
  const understood: Understood = choices.columns
    ? { hasHeading, columns: choices.columns, isUnclear: false }
    : { ...found, hasHeading, isUnclear: found.isUnclear && !(choices.hasHeading === false && isPair(found.columns)) };
  const heading = hasHeading ? all.find((row) => !('problem' in row)) : undefined;
  const body = all.filter((row) => row !== heading);
  if (body.length === 0) return { type: heading ? 'heading-only' : 'no-rows' };
  if (isCut || body.length > MOST_ROWS) return { type: 'too-many-rows', limit: MOST_ROWS };
  const table: ReadTable = {
    ...understood,
    delimiter,
    hasPlainQuotes,
    heading: heading?.cells ?? [],
    sample: body
      .filter((row) => !('problem' in row))
      .slice(0, SHOWN_ROWS)
      .map(({ cells }) => cells),
  };
  const isGuarded = form === 'table';
  const width = heading?.cells.length ?? Infinity;
  return {
    form,
    rows: body.map((row) => readRow(fitted(row, width, understood.columns, delimiter), understood.columns, isGuarded)),
    blank,
    table,
    file: null,
  };
}

/**
 * A row with more cells than the heading names. A code without quotes that begins with the delimiter left the code's own cell
 * empty: it is put together again. Else what stands beyond the heading is no less the person's: the row is refused, and told.
 */
function fitted(row: TableRow, width: number, columns: Columns, delimiter: Delimiter | null): TableRow {
  if ('problem' in row || row.cells.length <= width) return row;
  const { line, cells } = row;
  const surplus = cells.length - width;
  const at = columns.indexOf('code');
  const isCut =
    delimiter !== null &&
    at >= 0 &&
    cells.slice(at, at + surplus).every((cell) => cell === '') &&
    cells[at + surplus] !== '';
  if (isCut)
    return {
      line,
      cells: [
        ...cells.slice(0, at),
        delimiter.repeat(surplus) + cells[at + surplus]!,
        ...cells.slice(at + surplus + 1),
      ],
    };
  if (cells.slice(width).every((cell) => cell.trim() === '')) return row;
  return { line, position: cells.slice(0, width).join(' ').length + 2, problem: 'too-many-cells', cells };
}

function isPair(columns: Columns): boolean {
  return columns.length === 2 && columns[0] === 'code' && columns[1] === 'expansion';
}

function readRow(row: TableRow, columns: Columns, isGuarded: boolean): ReadRow {
  const cell = (column: Column) => {
    const index = columns.indexOf(column);
    const written = index < 0 ? undefined : row.cells[index];
    return written !== undefined && isGuarded ? unguardCell(written) : written;
  };
  const code = cell('code') ?? '';
  const expansion = cell('expansion') ?? '';
  if ('problem' in row) {
    const { line, position, problem } = row;
    return { line, code, expansion, problem: { type: problem, position } };
  }
  const entry: Entry = { code: code.trim(), expansion };
  for (const column of COLUMNS) {
    if (column === 'code' || column === 'expansion') continue;
    const value = cell(column)?.trim();
    if (value) entry[column] = value;
  }
  return { line: row.line, entry };
}
