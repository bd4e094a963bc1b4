import type { Nodes, TableCell } from 'mdast';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { gfmTableFromMarkdown } from 'mdast-util-gfm-table';
import { gfmTable } from 'micromark-extension-gfm-table';

import type { TableRow } from './table';

/** The row that makes lines with bars a table (GitHub Flavored Markdown, 4.10). */
const DELIMITER_ROW = /^ {0,3}\|?\s*:?-+:?\s*(\|\s*:?-+:?\s*)*\|?\s*$/u;

/** Whether a text holds a table of Markdown: two lines with bars, the second of dashes. */
export function findMarkdownTable(text: string): boolean {
  let before = '';
  for (const line of text.split('\n', 200)) {
    if (line.includes('|') && line.includes('-') && DELIMITER_ROW.test(line) && before.includes('|')) return true;
    before = line;
  }
  return false;
}

/**
 * The tables in a text of Markdown, as one: the first row is the heading. Cells give their text, `<br>` a line break; what
 * is formatted in them stays as it is written. What stands outside of tables is refused line by line.
 */
export function readMarkdownTable(text: string, most: number): { rows: TableRow[]; blank: number } {
  const lines = text.split('\n');
  if (lines.at(-1) === '') lines.pop();
  const rows: TableRow[] = [];
  let blank = 0;
  let hasHeading = false;
  for (let at = 0; at < lines.length; at += 1) {
    if (rows.length > most) break;
    if (lines[at]!.trim() === '') {
      blank += 1;
      continue;
    }
    // A table goes on to the next line without a bar. Each by itself: no other Markdown is followed.
    let end = at;
    while (end < lines.length && lines[end]!.includes('|')) end += 1;
    const cut = Math.min(end, at + most + 2);
    const table =
      end - at >= 2 && DELIMITER_ROW.test(lines[at + 1]!) ? parseTable(lines.slice(at, cut).join('\n')) : null;
    if (!table) {
      rows.push({ line: at + 1, position: 1, problem: 'outside-table', cells: [lines[at]!] });
      continue;
    }
    for (const { line, cells } of hasHeading ? table.slice(1) : table) rows.push({ line: at + line, cells });
    hasHeading = true;
    at += table.length;
  }
  return { rows, blank };
}

/** The rows of the table that a text is, with its heading; lines from 1. Null: it is none, or not only. */
function parseTable(source: string): { line: number; cells: string[] }[] | null {
  const { children } = fromMarkdown(source, { extensions: [gfmTable()], mdastExtensions: [gfmTableFromMarkdown()] });
  const table = children[0];
  if (children.length !== 1 || table?.type !== 'table') return null;
  return table.children.map((row) => ({
    line: row.position!.start.line,
    cells: row.children.map((cell) => textOf(cell, source)),
  }));
}

function textOf(cell: TableCell, source: string): string {
  return cell.children.map((node) => pieceOf(node, source)).join('');
}

function pieceOf(node: Nodes, source: string): string {
  if (node.type === 'text' || node.type === 'inlineCode') return node.value;
  if (node.type === 'break' || (node.type === 'html' && /^<br\s*\/?>$/iu.test(node.value))) return '\n';
  return source.slice(node.position!.start.offset, node.position!.end.offset).replaceAll('\\|', '|');
}

/** Rows as a table of Markdown; the first is the heading. What Markdown would read as formatting is escaped, a line break is `<br>`. */
export function writeMarkdownTable(rows: readonly (readonly string[])[]): string {
  const [heading, ...body] = rows.map((cells) => `| ${cells.map(writeCell).join(' | ')} |`);
  const dashes = `|${' --- |'.repeat(rows[0]!.length)}`;
  return `${[heading, dashes, ...body].join('\n')}\n`;
}

function writeCell(text: string): string {
  return text
    .replaceAll(/[\\`*_[\]<>&|~!#:@^$=+-]/gu, '\\$&')
    .replaceAll(/^[ \t]+|[ \t]+$/gmu, (blanks) =>
      Array.from(blanks, (blank) => (blank === ' ' ? '&#32;' : '&#9;')).join(''),
    )
    .replaceAll('\n', '<br>');
}
