import type { ShortcutFields, Used } from '../model';
import type { Column } from './columns';

/** A shortcut as a table tells it: words in cells, nothing of it checked. */
export type Entry = { code: string; expansion: string } & { [Cell in Exclude<Column, 'code' | 'expansion'>]?: string };

/** A shortcut as a file of ours tells it: checked, with its own id. */
export interface WholeEntry {
  readonly id: string;
  readonly fields: ShortcutFields;
  readonly used?: Used;
  /** It stays on the device it is brought into. */
  readonly isPrivate?: boolean;
}

/** Why a row cannot be brought in, before anything is asked of the model. `position`: in its line, from 1. */
export type RowProblem =
  | { readonly type: 'open-quote' | 'text-after-quote' | 'outside-table' | 'too-many-cells'; readonly position: number }
  /** A field of a file of ours that is not what it should be: where, and in plain English what should be there. */
  | { readonly type: 'not-a-shortcut'; readonly position: number; readonly field: string; readonly message: string };

/** A row of a list on its way in, and the line it begins in, from 1. */
export type ReadRow =
  | { readonly line: number; readonly entry: Entry }
  | { readonly line: number; readonly whole: WholeEntry }
  | { readonly line: number; readonly code: string; readonly expansion: string; readonly problem: RowProblem };

/** An entry of a list that holds nothing else, as a device's own list does. */
export interface Pair {
  readonly code: string;
  readonly text: string;
}

/** Rows as pairs, in their order; a row that is none is left out. */
export function pairsOf(rows: readonly ReadRow[]): Pair[] {
  return rows.flatMap((row): Pair[] => {
    if ('entry' in row) return [{ code: row.entry.code, text: row.entry.expansion }];
    return 'whole' in row ? [{ code: row.whole.fields.code, text: row.whole.fields.content.expansion }] : [];
  });
}
