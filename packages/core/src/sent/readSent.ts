import { decodeText, type DecodeProblem } from '../exchange/decode';
import { looksLikeMail, readMails } from './mail';
import type { SentMessage, SentMessages } from './message';
import { readColumn, readColumns, readFields, WHEN, type OwnTextFormat, type Values } from './ownText';

/** How a file of messages is read. A column or field that is not given is the one that most likely holds what was said. */
export type SentFormat =
  | { readonly type: 'mail' }
  | { readonly type: 'text' }
  | { readonly type: 'csv'; readonly column?: number }
  | { readonly type: 'json-lines'; readonly field?: string };

export interface SentFile {
  readonly format: SentFormat;
  /** The columns or fields there are to choose from. */
  readonly columns: readonly string[];
  readonly sent: SentMessages;
}

export type SentProblem = DecodeProblem | { readonly type: 'no-text' };

/** The column or field of what was said is called so; else it is the one with most text in it. */
const SAID = /(?:^|\.)(?:text|body|message|content|nachricht|mensaje|texte)$/iu;
/** So much of a table is looked at. */
const SAMPLE = 200;
/** A line of plain text that begins with a date begins a message (ISO 8601, a space or T, the time). */
const DATED = /^\[?(\d{4}-\d\d-\d\d)(?:[T ](\d\d:\d\d(?::\d\d)?)Z?)?\]?[:,]?\s+(?=\S)/u;

/** How a file is read unless a person says otherwise: by its name, and mail by its looks. */
export function formatOf(name: string, bytes: Uint8Array): SentFormat {
  if (/\.(?:csv|tsv)$/iu.test(name)) return { type: 'csv' };
  if (/\.(?:jsonl|ndjson|jsonlines)$/iu.test(name)) return { type: 'json-lines' };
  return /\.(?:eml|mbox|mbx)$/iu.test(name) || looksLikeMail(bytes) ? { type: 'mail' } : { type: 'text' };
}

/**
 * The messages of a file. Plain text is cut at blank lines, and at lines that begin with a date; a row of a table and a line of
 * JSON are each a message. `pause` lets other things in between steps, and says how much is read, from 0 to 1. Linear.
 */
export async function readSent(
  bytes: Uint8Array,
  format: SentFormat,
  pause: (done: number) => Promise<void> = () => Promise.resolve(),
): Promise<SentFile | SentProblem> {
  if (format.type === 'mail') {
    const sent = await readMails(bytes, pause);
    return sent.messages.length === 0 ? { type: 'no-text' } : { format, columns: [], sent };
  }
  const decoded = decodeText(bytes);
  if ('type' in decoded) return decoded;
  const { text } = decoded;
  if (format.type === 'text') {
    const messages = messagesOf(text);
    return messages.length === 0 ? { type: 'no-text' } : { format, columns: [], sent: { messages, skipped: [] } };
  }
  const columns = readColumns(text, format.type);
  const chosen: OwnTextFormat =
    format.type === 'csv'
      ? { type: 'csv', column: format.column ?? fullestColumn(text, columns) }
      : { type: 'json-lines', field: format.field ?? fullestField(text, columns) };
  const read = chosen.type === 'csv' ? readColumn(text, named(columns, chosen.column)) : readFields(text, chosen.field);
  if ('type' in read || read.values.length === 0) return { type: 'no-text' };
  const messages = read.values.map(({ value, at }): SentMessage => ({ text: value, at, from: null }));
  return { format: chosen as SentFormat, columns, sent: { messages, skipped: read.skipped } };
}

/** The messages of a plain text, with their dates where each begins with one. */
function messagesOf(text: string): SentMessage[] {
  const messages: SentMessage[] = [];
  let lines: string[] = [];
  let at: number | null = null;
  const end = () => {
    const whole = lines.join('\n').trim();
    if (whole !== '') messages.push({ text: whole, at, from: null });
    lines = [];
  };
  for (const line of text.split('\n')) {
    const dated = DATED.exec(line);
    if (line.trim() === '' || dated) end();
    // Days of different places are compared: the zone does not matter.
    if (dated) at = Date.parse(`${dated[1]}T${dated[2] ?? '12:00'}Z`) || null;
    lines.push(dated ? line.slice(dated[0].length) : line);
  }
  end();
  return messages;
}

/** A column by its name where the first row has names, so that they are no message. */
function named(columns: readonly string[], column: string | number): string | number {
  const hasNames = columns.some((name) => SAID.test(name.trim()) || WHEN.test(name.trim()));
  return hasNames && typeof column === 'number' ? (columns[column] ?? column) : column;
}

function fullestColumn(text: string, columns: readonly string[]): number {
  const named = columns.findIndex((name) => SAID.test(name.trim()));
  return named >= 0 ? named : fullest(columns, (column) => readColumn(text.slice(0, 100_000), column));
}

function fullestField(text: string, fields: readonly string[]): string {
  const sample = text.split('\n', SAMPLE).join('\n');
  const at = fields.findIndex((name) => SAID.test(name));
  return fields[at >= 0 ? at : fullest(fields, (column) => readFields(sample, fields[column]!))] ?? 'text';
}

/** Which column has most letters in it. */
function fullest(columns: readonly string[], read: (column: number) => Values | { readonly type: string }): number {
  let [best, most] = [0, -1];
  for (let column = 0; column < columns.length; column += 1) {
    const values = read(column);
    if ('type' in values) continue;
    const letters = lettersOf(values);
    if (letters > most) [best, most] = [column, letters];
  }
  return best;
}

function lettersOf({ values }: Values): number {
  return values.slice(0, SAMPLE).reduce((sum, { value }) => sum + (value.match(/\p{L}/gu)?.length ?? 0), 0);
}
