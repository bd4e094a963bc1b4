/** An import as the app would make it, told as text. */
import {
  decodeText,
  planImport,
  readList,
  type PlannedRow,
  type ReadList,
  type Refusal,
} from '@yellow-latch/core/exchange';
import { usualChoice, type ImportChoice } from '@yellow-latch/core/exchange/choice';
import { describeProblem } from '@yellow-latch/core/model';
import { importing, type Importing, type IsKnown } from '@yellow-latch/replica/commands/importing';
import type { ListView } from '@yellow-latch/replica/storage/view';

import type { Settings } from './settings';

export interface Plan {
  readonly rows: readonly PlannedRow[];
  readonly choices: ReadonlyMap<number, ImportChoice>;
  readonly importing: Importing;
}

/** The rows of a file; throws an error that says what is wrong with it. */
export function readRows(bytes: Uint8Array, file: string): ReadList {
  const decoded = decodeText(bytes);
  if ('type' in decoded) throw new Error(`${file} is no text (${decoded.type})`);
  const read = readList(decoded.text);
  if ('type' in read) throw new Error(`${file} holds no list (${read.type})`);
  return read;
}

export function planOf(
  read: ReadList,
  list: ListView,
  { into, replace, recode }: Pick<Settings, 'into' | 'replace' | 'recode'>,
  isKnown: IsKnown,
): Plan {
  const fileSets = read.file?.sets ?? [];
  const rows = planImport(read.rows, list, fileSets);
  const choices = new Map(rows.map((row, index) => [index, choiceFor(row, replace, recode)]));
  const what = {
    rows,
    choices,
    fileSets,
    into: into === undefined ? null : { name: into },
    keepsSecrets: false,
    rest: null,
    restParts: [],
  };
  return { rows, choices, importing: importing(what, list, isKnown) };
}

function choiceFor(row: PlannedRow, replace: boolean, recode: boolean): ImportChoice {
  if (row.status === 'changed' && replace) return { do: 'take' };
  if (row.status === 'in use' && recode) return { do: 'recode', code: row.free };
  if (row.status === 'in use' && replace) return { do: 'replace' };
  return usualChoice(row);
}

/** A line for each row that is not as it was, and one with the counts. */
export function tellPlan({ rows, choices }: Pick<Plan, 'rows' | 'choices'>): string {
  const lines = rows.flatMap((row, index) => (row.status === 'same' ? [] : [tellRow(row, choices.get(index))]));
  const counts = (['new', 'changed', 'same', 'in use', 'refused'] as const)
    .map((status) => [rows.filter((row) => row.status === status).length, status] as const)
    .filter(([count]) => count > 0)
    .map(([count, status]) => `${count} ${status}`);
  return [...lines, counts.join(', '), ''].join('\n');
}

const CHOICES: Readonly<Record<ImportChoice['do'], string>> = {
  leave: 'leave out',
  take: 'import',
  replace: 'replace it',
  recode: 'import as ',
};

function tellRow(row: PlannedRow, choice: ImportChoice | undefined): string {
  const head = `line ${row.line}`.padEnd(10) + row.status.padEnd(9);
  if (row.status === 'refused') return `${head}${row.code}  ${tellRefusal(row.refusal)}`;
  const { code } = row.wanted.fields;
  const secret = row.secret === null ? '' : `; looks like a ${row.secret}`;
  const what = choice ? CHOICES[choice.do] + (choice.do === 'recode' ? choice.code : '') : '';
  if (row.status === 'changed') return `${head}${code}  differs in ${row.differs.join(', ')}: ${what}${secret}`;
  if (row.status === 'in use')
    return `${head}${code}  ${row.by.in === 'list' ? 'on the list' : `on line ${row.by.line}`}; ${row.free} is free: ${what}${secret}`;
  return `${head}${code}  ${what}${secret}`;
}

function tellRefusal(refusal: Refusal): string {
  switch (refusal.type) {
    case 'code':
    case 'expansion':
      return `its ${refusal.type === 'code' ? 'code' : 'text'} ${describeProblem(refusal.problem)}`;
    case 'template':
      return `its template can’t be read from character ${refusal.problem.start + 1}`;
    case 'cell':
      return `“${refusal.value}” is no ${refusal.column}`;
    case 'list-full':
      return `the list is full: it holds ${refusal.limit}`;
    case 'not-a-shortcut':
      return `${refusal.field} ${refusal.message}`;
    default:
      return `${refusal.type.replaceAll('-', ' ')} at character ${refusal.position}`;
  }
}
