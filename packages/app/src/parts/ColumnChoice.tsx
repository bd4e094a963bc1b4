import { t } from '@lingui/core/macro';

import { ChoiceChip } from '@/look/ChoiceChip';

/** Which column of a table or which field of JSON lines holds what was said. */
export type Column =
  { readonly type: 'csv'; readonly column: number } | { readonly type: 'json-lines'; readonly field: string };

interface ColumnChoiceProps {
  /** What is chosen now: a column by its number from 0. */
  type: Column['type'];
  value: string;
  columns: readonly string[];
  onChange: (column: Column) => void;
}

/** Columns or fields by their names, to choose one of. */
export function ColumnChoice({ type, value, columns, onChange }: ColumnChoiceProps) {
  return type === 'csv' ? (
    <ChoiceChip
      label={t`Column`}
      value={value}
      choices={columns.map((name, index) => ({
        value: String(index),
        label: name || t`Column ${{ number: index + 1 }}`,
      }))}
      onChange={(column) => onChange({ type, column: Number(column) })}
    />
  ) : (
    <ChoiceChip
      label={t`Field`}
      value={value}
      choices={columns.map((name) => ({ value: name, label: name }))}
      onChange={(field) => onChange({ type, field })}
    />
  );
}
