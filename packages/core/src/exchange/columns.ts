import { clustersOf, countClusters, LIMITS, splitMarker } from '../model';

/** What a column of a table can hold. The names are those of the headings we write. */
export const COLUMNS = [
  'code',
  'expansion',
  'kind',
  'set',
  'note',
  'language',
  'fires',
  'edge',
  'capitals',
  'delimiter',
  'form',
] as const;
export type Column = (typeof COLUMNS)[number];

/** Headings under which people keep each, in their own words; compared without capitals. Common practice, no source. */
const HEADINGS: Readonly<Partial<Record<Column, readonly string[]>>> = {
  code: [
    'code',
    'shortcut',
    'you type',
    'type',
    'typed',
    'abbreviation',
    'abbr',
    'abbrev',
    'short',
    'short form',
    'key',
    'keyword',
    'replace',
    'from',
    'kürzel',
    'abkürzung',
    'raccourci',
    'abréviation',
    'atajo',
    'abreviatura',
  ],
  expansion: [
    'expansion',
    'you get',
    'phrase',
    'text',
    'full text',
    'long',
    'long form',
    'with',
    'to',
    'becomes',
    'replacement',
    'value',
    'content',
    'textbaustein',
    'ersetzung',
    'texte',
    'phrase complète',
    'texto',
    'frase',
  ],
  kind: ['kind', 'art', 'genre', 'clase'],
  set: ['set', 'group', 'folder', 'category', 'gruppe', 'ordner', 'groupe', 'dossier', 'grupo', 'carpeta'],
  note: ['note', 'notes', 'comment', 'remark', 'description', 'notiz', 'bemerkung', 'remarque', 'nota'],
  language: ['language', 'lang', 'locale', 'sprache', 'langue', 'idioma'],
  fires: ['fires'],
  edge: ['edge'],
  capitals: ['capitals'],
  delimiter: ['delimiter'],
  form: ['form'],
};

const MEANING = new Map(
  Object.entries(HEADINGS).flatMap(([column, names]) => names.map((name) => [name, column as Column])),
);

/** What the columns of a table hold, one for each; null: nothing that is read. */
export type Columns = readonly (Column | null)[];

/** How a table was understood. */
export interface Understood {
  readonly hasHeading: boolean;
  readonly columns: Columns;
  /** Whether a person should look: it may be meant otherwise. */
  readonly isUnclear: boolean;
}

/** So many rows are looked at. */
const SAMPLE = 200;

/**
 * Reads the heading of a table, if it has one, and says what its columns hold. Without a heading the first of two columns is
 * taken for the codes, unless only the second can be, or has more markers; of more, the code is where short and different texts stand, the
 * expansion where the longest do. A person is asked wherever it could be otherwise.
 */
export function understandColumns(rows: readonly (readonly string[])[]): Understood {
  const first = rows[0] ?? [];
  const named = readHeading(first);
  if (named.includes('code') && named.includes('expansion'))
    return { hasHeading: true, columns: named, isUnclear: false };
  const isHeading = named.some((column) => column !== null) && rows.length > 1;
  const sample = rows.slice(isHeading ? 1 : 0, SAMPLE);
  const width = Math.max(0, ...sample.map((row) => row.length));
  const columns: (Column | null)[] = Array.from({ length: width }, (_, index) =>
    isHeading ? (named[index] ?? null) : null,
  );
  const free = columns.flatMap((column, index) => (column === null ? [index] : []));
  const figures = free.map((index) => figureOf(sample, index));
  const isBarePair = !isHeading && width === 2;
  if (isBarePair) {
    const [first, second] = figures as [Figure, Figure];
    if (second.canBeCode && second.marked > first.marked) columns[1] = 'code';
    else if (first.canBeCode) columns[0] = 'code';
  }
  if (!columns.includes('code')) {
    const code = figures
      .filter(({ canBeCode }) => canBeCode)
      .sort((a, b) => b.different - a.different || a.length - b.length || a.index - b.index)[0];
    if (code) columns[code.index] = 'code';
  }
  if (!columns.includes('expansion')) {
    const expansion = figures
      .filter(({ index }) => columns[index] === null)
      .sort((a, b) => b.length - a.length || a.index - b.index)[0];
    if (expansion) columns[expansion.index] = 'expansion';
  }
  const isPlain =
    isBarePair && columns[0] === 'code' && columns[1] === 'expansion' && areCodes(figures[0]!, figures[1]!);
  return { hasHeading: isHeading, columns, isUnclear: !isPlain };
}

/** What the cells of a heading name, as far as they are known; each once. */
export function readHeading(cells: readonly string[]): (Column | null)[] {
  const seen = new Set<Column>();
  return cells.map((cell) => {
    const column = MEANING.get(cell.trim().toLowerCase()) ?? null;
    if (column === null || seen.has(column)) return null;
    seen.add(column);
    return column;
  });
}

/** Whether of two columns the first holds the codes for certain: the other cannot, or looks much less like it. */
function areCodes(first: Figure, second: Figure): boolean {
  if (!second.canBeCode) return true;
  if (first.oneWord < 100) return false;
  return first.marked > second.marked || (second.oneWord < 100 && second.length >= 2 * first.length);
}

interface Figure {
  index: number;
  /** Mean length in clusters, and how many in a hundred differ from all others. */
  length: number;
  different: number;
  canBeCode: boolean;
  /** How many in a hundred are one word, and how many have a marker beside letters or figures. */
  oneWord: number;
  marked: number;
}

function figureOf(sample: readonly (readonly string[])[], index: number): Figure {
  const cells = sample.map((row) => row[index] ?? '').filter((cell) => cell !== '');
  const lengths = cells.map((cell) => (cell.length > 4 * LIMITS.codeClusters ? cell.length : countClusters(cell)));
  const fit = lengths.filter((length) => length <= LIMITS.codeClusters).length;
  const inHundred = (is: (cell: string) => boolean) =>
    Math.round((100 * cells.filter(is).length) / Math.max(1, cells.length));
  return {
    index,
    length: lengths.reduce((sum, length) => sum + length, 0) / Math.max(1, cells.length),
    different: Math.round((100 * new Set(cells).size) / Math.max(1, cells.length)),
    oneWord: inHundred((cell) => !/\s/u.test(cell.trim())),
    marked: inHundred(isMarked),
    canBeCode: cells.length > 0 && fit >= cells.length * 0.9 && cells.every((cell) => !cell.includes('\n')),
  };
}

/** The first clusters of a text, for the eye: cut between two words where one is near, with … for the rest. */
export function beginningOf(text: string, clusters: number): string {
  const cut = text.slice(0, clusters * 8);
  const found = clustersOf(cut);
  if (found.length <= clusters && cut.length === text.length) return text;
  const whole = found
    .slice(0, clusters - 1)
    .map((cluster) => cluster.text)
    .join('');
  const blank = whole.lastIndexOf(' ');
  return `${(blank > whole.length * 0.6 ? whole.slice(0, blank) : whole).trimEnd()}…`;
}

function isMarked(cell: string): boolean {
  const { before, mnemonic, after } = splitMarker(cell.trim());
  return /^[\p{L}\p{N}]+$/u.test(mnemonic) && (before !== '' || after !== '');
}
