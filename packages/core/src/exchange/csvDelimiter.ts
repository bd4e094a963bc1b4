/** What stands between the cells of a table that says nothing of it. */
import { readHeading } from './columns';
import { DELIMITERS, readTable, type Delimiter, type TableRow } from './table';

/** So much of a text is looked at to find out what stands between its cells. */
const SAMPLE_SIGNS = 64 * 1024;
const SAMPLE_ROWS = 100;

/** Whether the first line names the columns of code and expansion; those of Markdown, between bars, are looked for elsewhere. */
export function isNamedTable(text: string): boolean {
  const [first] = text.split('\n', 1);
  return DELIMITERS.some((delimiter) => {
    if (delimiter === '|') return false;
    const [row] = readTable(first!, delimiter, 1).rows;
    const heading = readHeading(row?.cells ?? []);
    return heading.includes('code') && heading.includes('expansion');
  });
}

/**
 * What stands between the cells of a table; null: it is none. The delimiter that gives most rows the same number of cells, two
 * or more, with something in the first: codes often begin with `;`, which then is none.
 */
export function findDelimiter(text: string): Delimiter | null {
  const cut = text.slice(0, SAMPLE_SIGNS);
  const sample = cut.length < text.length ? cut.slice(0, cut.lastIndexOf('\n') + 1) || cut : cut;
  let best: { delimiter: Delimiter; score: number } | null = null;
  for (const delimiter of DELIMITERS) {
    if (!sample.includes(delimiter)) continue;
    const score = scoreOf(readTable(sample, delimiter, SAMPLE_ROWS).rows, delimiter);
    if (score > 0.5 && score > (best?.score ?? 0)) best = { delimiter, score };
  }
  return best?.delimiter ?? null;
}

/**
 * From 0 to 1: the share of rows that have as many cells as most, and in the first what could be a code, so that sentences
 * with a comma are no table. Of two that are alike the one with the shorter first cells is the better; a heading that says
 * what stands below it beats all.
 */
function scoreOf(rows: readonly TableRow[], delimiter: Delimiter): number {
  const counts = new Map<number, number>();
  const firsts = new Set<string>();
  let signs = 0;
  for (const { cells } of rows) {
    const first = cells[0]!.trim();
    signs += first.length;
    firsts.add(first);
    if (cells.length < 2 || first === '' || (delimiter !== '\t' && first.split(/\s+/u).length > 2)) continue;
    counts.set(cells.length, (counts.get(cells.length) ?? 0) + 1);
  }
  const of = Math.max(1, rows.length);
  const heading = readHeading(rows[0]?.cells ?? []);
  const isNamed = heading.includes('code') && heading.includes('expansion');
  if (!isNamed && rows.length > 1 && firsts.size <= rows.length / 2) return 0;
  return Math.max(0, ...counts.values()) / of + (isNamed ? 1 : 0) - Math.min(0.1, signs / of / 10_000);
}
