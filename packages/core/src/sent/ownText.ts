import Papa from 'papaparse';

import { decodeText, type DecodeProblem, type DecodedText } from '../exchange/decode';

/** How a file holds a person's text: as it is, in a column of a table, or in a field of JSON lines. */
export type OwnTextFormat =
  | { readonly type: 'text' }
  | { readonly type: 'csv'; readonly column: string | number }
  | { readonly type: 'json-lines'; readonly field: string };

export interface OwnText {
  readonly text: string;
  readonly encoding: DecodedText['encoding'];
  /** Rows that were passed over, with the reason; rows count from 1. */
  readonly skipped: readonly { readonly row: number; readonly why: string }[];
  /** The row in which each line of `text` stands; null where lines are rows. */
  readonly rowOfLine: Uint32Array | null;
}

export type OwnTextProblem =
  | DecodeProblem
  | { readonly type: 'no-column'; readonly wanted: string; readonly found: readonly string[] }
  | { readonly type: 'no-text' };

/** Reads a file of a person's own text: bytes in, text out, or the reason why not. Linear. */
export function readOwnText(bytes: Uint8Array, format: OwnTextFormat): OwnText | OwnTextProblem {
  const decoded = decodeText(bytes);
  if ('type' in decoded) return decoded;
  const { text, encoding } = decoded;
  if (format.type === 'text') {
    return text.trim() === '' ? { type: 'no-text' } : { text, encoding, skipped: [], rowOfLine: null };
  }
  const rows = format.type === 'csv' ? readColumn(text, format.column) : readFields(text, format.field);
  if ('type' in rows) return rows;
  const { values, skipped } = rows;
  if (values.length === 0) return { type: 'no-text' };
  const rowOfLine = values.flatMap(({ row, value }) => value.split('\n').map(() => row));
  return {
    text: values.map(({ value }) => value).join('\n'),
    encoding,
    skipped,
    rowOfLine: Uint32Array.from(rowOfLine),
  };
}

/** Values of a table's column or of a field, each with its row, from 1, and when it was sent (ms since 1970) if the row says. */
export interface Values {
  values: { row: number; value: string; at: number | null }[];
  skipped: { row: number; why: string }[];
}

/** How the columns and fields are called that say when something was sent. */
export const WHEN = /(?:^|[._ -])(?:date|time|timestamp|datetime|sent|sent_?at|when|created_?at)$/iu;
/** A moment as ISO 8601 or RFC 5322 write it, which every browser reads the same. */
const MOMENT = /^\d{4}-\d\d-\d\d(?:[T ]\d\d:\d\d|$)|^(?:\p{L}{3}, )?\d{1,2} \p{L}{3} \d{4} \d\d:\d\d/u;

/** When that was, in ms since 1970; numbers are seconds or milliseconds since then. Null: it cannot be told. */
function momentOf(value: unknown): number | null {
  if (typeof value === 'number' || /^\d{9,13}$/u.test(String(value))) {
    const number = Number(value);
    return number < 1e11 ? number * 1_000 : number;
  }
  if (typeof value !== 'string' || !MOMENT.test(value)) return null;
  const at = Date.parse(value);
  return Number.isNaN(at) ? null : at;
}

/** A column by its heading, or by its number from 0; then the first row counts as text too. */
export function readColumn(text: string, column: string | number): Values | OwnTextProblem {
  const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const heading = data[0] ?? [];
  const index = typeof column === 'number' ? column : heading.indexOf(column);
  if (index < 0 || index >= Math.max(0, ...data.slice(0, 100).map((row) => row.length))) {
    return { type: 'no-column', wanted: String(column), found: heading };
  }
  const first = typeof column === 'number' ? 0 : 1;
  const when = heading.findIndex((name, at) => at !== index && WHEN.test(name.trim()));
  const skipped = errors.flatMap(({ row, message }) => (row === undefined ? [] : [{ row: row + 1, why: message }]));
  const values = data.slice(first).flatMap((row, i) => {
    const value = row[index];
    if (value === undefined) skipped.push({ row: i + first + 1, why: `has ${row.length} columns` });
    return value === undefined || value.trim() === '' ? [] : [{ row: i + first + 1, value, at: momentOf(row[when]) }];
  });
  return { values, skipped };
}

/** A field of every line, a name or a path with dots. */
export function readFields(text: string, field: string): Values | OwnTextProblem {
  const values: Values['values'] = [];
  const skipped: Values['skipped'] = [];
  const path = field.split('.');
  text.split('\n').forEach((line, i) => {
    if (line.trim() === '') return;
    try {
      const whole = JSON.parse(line) as Record<string, unknown> | null;
      const value = path.reduce<unknown>((at, name) => (at as Record<string, unknown> | null)?.[name], whole);
      if (typeof value === 'string') values.push({ row: i + 1, value, at: momentIn(whole) });
      else skipped.push({ row: i + 1, why: `has no text in “${field}”` });
    } catch {
      skipped.push({ row: i + 1, why: 'is no JSON' });
    }
  });
  if (values.length === 0 && skipped.length > 0) return { type: 'no-column', wanted: field, found: [] };
  return { values, skipped };
}

/** When a line of JSON says that it was sent. */
function momentIn(line: Record<string, unknown> | null): number | null {
  for (const name of Object.keys(line ?? {})) if (WHEN.test(name)) return momentOf(line![name]);
  return null;
}

/** What columns or fields a file has to choose from: the first row of a table, the names in the first JSON lines. */
export function readColumns(text: string, type: 'csv' | 'json-lines'): string[] {
  if (type === 'csv') return Papa.parse<string[]>(text, { preview: 1, skipEmptyLines: 'greedy' }).data[0] ?? [];
  const names = new Set<string>();
  for (const line of text.split('\n', 20)) {
    try {
      for (const name of textFieldsOf(JSON.parse(line))) names.add(name);
    } catch {
      // A line that is no JSON is told of when the text is read.
    }
  }
  return [...names];
}

/** The fields of an object that hold text, those of inner objects with dots. */
function textFieldsOf(value: unknown, path = ''): string[] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([name, inner]) =>
    typeof inner === 'string' ? [path + name] : textFieldsOf(inner, `${path}${name}.`),
  );
}
