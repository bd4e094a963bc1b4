import { t } from '@lingui/core/macro';
import type { OwnTextFormat } from '@yellow-latch/core/sent/ownText';

import { useEffect } from 'react';

import { ChoiceChip } from '@/look/ChoiceChip';
import { ColumnChoice } from '@/parts/ColumnChoice';

import { formatOf, likelyField, type OwnTextSource, type ReadAs } from '@/answers/ownText/source';
import { useColumns } from '@/answers/ownText/useOwnText';

const ways = (): readonly { value: ReadAs; label: string }[] => [
  { value: 'text', label: t`Plain text` },
  { value: 'csv', label: t`Table (CSV)` },
  { value: 'json-lines', label: t`JSON lines` },
];

interface ReadAsChoiceProps {
  source: OwnTextSource;
  onChange: (source: OwnTextSource) => void;
}

/** How a text is read, and of a table or JSON lines which column or field. */
export function ReadAsChoice({ source, onChange }: ReadAsChoiceProps) {
  const columns = useColumns(source);
  const { format } = source;
  const readAs = (next: OwnTextFormat) => onChange({ ...source, format: next });
  // Until a person chooses, the field that most likely holds what was said.
  const isUnknown = format.type === 'json-lines' && columns.length > 0 && !columns.includes(format.field);
  useEffect(() => {
    if (isUnknown) onChange({ ...source, format: { type: 'json-lines', field: likelyField(columns) } });
  }, [isUnknown, columns, source, onChange]);
  return (
    <>
      <ChoiceChip
        label={t`Read as`}
        value={format.type}
        choices={ways()}
        onChange={(type) => readAs(formatOf(type, likelyField(columns)))}
      />
      {format.type !== 'text' && columns.length > 0 && (
        <ColumnChoice
          type={format.type}
          value={format.type === 'csv' ? String(format.column) : format.field}
          columns={columns}
          onChange={readAs}
        />
      )}
    </>
  );
}
