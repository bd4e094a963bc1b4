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

interface Values {
  values: { row: number; value: string }[];
  skipped: { row: number; why: string }[];
}

/** A column by its heading, or by its number from 0; then the first row counts as text too. */
function readColumn(text: string, column: string | number): Values | OwnTextProblem {
  const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' });
  const heading = data[0] ?? [];
  const index = typeof column === 'number' ? column : heading.indexOf(column);
  if (index < 0 || index >= Math.max(0, ...data.slice(0, 100).map((row) => row.length))) {
    return { type: 'no-column', wanted: String(column), found: heading };
  }
  const first = typeof column === 'number' ? 0 : 1;
  const skipped = errors.flatMap(({ row, message }) => (row === undefined ? [] : [{ row: row + 1, why: message }]));
  const values = data.slice(first).flatMap((row, i) => {
    const value = row[index];
    if (value === undefined) skipped.push({ row: i + first + 1, why: `has ${row.length} columns` });
    return value === undefined || value.trim() === '' ? [] : [{ row: i + first + 1, value }];
  });
  return { values, skipped };
}

/** A field of every line, a name or a path with dots. */
function readFields(text: string, field: string): Values | OwnTextProblem {
  const values: Values['values'] = [];
  const skipped: Values['skipped'] = [];
  const path = field.split('.');
  text.split('\n').forEach((line, i) => {
    if (line.trim() === '') return;
    try {
      const value = path.reduce<unknown>(
        (at, name) => (at as Record<string, unknown> | null)?.[name],
        JSON.parse(line),
      );
      if (typeof value === 'string') values.push({ row: i + 1, value });
      else skipped.push({ row: i + 1, why: `has no text in “${field}”` });
    } catch {
      skipped.push({ row: i + 1, why: 'is no JSON' });
    }
  });
  if (values.length === 0 && skipped.length > 0) return { type: 'no-column', wanted: field, found: [] };
  return { values, skipped };
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
