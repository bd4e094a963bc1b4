import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { Column, Columns as ColumnUses, ReadTable } from '@yellow-latch/core/exchange';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { Choice } from '@/look/Choice';
import { LatchButton } from '@/look/LatchButton';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

import { COLUMN_WORDS } from './words';

interface ColumnsProps {
  table: ReadTable;
  onDone: (columns: ColumnUses, hasHeading: boolean) => void;
}

const columnChoices = () => [
  { value: null, label: t`Ignore this column` },
  ...Object.entries(COLUMN_WORDS).map(([value, label]) => ({ value: value as Column, label: i18n._(label) })),
];

/** Asks what the columns of a table hold, each beside what stands in its first rows. */
export function Columns({ table, onDone }: ColumnsProps) {
  const palette = usePalette();
  const width = Math.max(table.columns.length, table.heading.length, ...table.sample.map((row) => row.length));
  const [uses, setUses] = useState<(Column | null)[]>(() =>
    Array.from({ length: width }, (_, index) => table.columns[index] ?? null),
  );
  const [hasHeading, setHasHeading] = useState(table.hasHeading);
  const [error, setError] = useState<string | null>(null);
  // What was taken for a heading is the first row again.
  const rows = table.hasHeading ? [table.heading, ...table.sample] : table.sample;
  const shown = hasHeading ? rows.slice(1) : rows;
  const heading = (hasHeading && rows[0]) || [];
  const use = (index: number, column: Column | null) => {
    const others = uses.map((one) => (one === column ? null : one));
    setUses(others.with(index, column));
  };
  const go = () => {
    if (uses.includes('expansion')) onDone(uses, hasHeading);
    else setError(t`Choose the column with the text you get.`);
  };
  return (
    <View style={styles.page}>
      <ScrollView style={styles.page} contentContainerStyle={styles.parts}>
        <Text variant="bodyMedium">{t`What’s in each column? If there are no codes, you get new ones.`}</Text>
        <Tick role="checkbox" isOn={hasHeading} onPress={() => setHasHeading(!hasHeading)}>
          <Text variant="bodyLarge">{t`First row is a header`}</Text>
        </Tick>
        {uses.map((column, index) => (
          <View key={index} style={[styles.column, { borderColor: palette.line }]}>
            <View style={styles.sample}>
              {shown.slice(0, 3).map((row, at) => (
                <Text key={at} variant="bodyMedium" numberOfLines={1}>
                  {(row[index] ?? '').trim().replaceAll('\n', ' ↵ ') || '–'}
                </Text>
              ))}
            </View>
            <Choice
              label={heading[index]?.trim() || t`Column ${{ number: index + 1 }}`}
              value={column}
              choices={columnChoices()}
              onChange={(next) => use(index, next)}
            />
          </View>
        ))}
        {error !== null && (
          <Text role="alert" style={{ color: palette.alarm }}>
            {error}
          </Text>
        )}
      </ScrollView>
      <View style={[styles.foot, { borderColor: palette.line }]}>
        <LatchButton label={t`Next`} icon="check" onPress={go} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  parts: { padding: 16, gap: 10, maxWidth: 760 },
  column: { flexDirection: 'row', alignItems: 'center', gap: 12, borderTopWidth: 1, paddingTop: 8 },
  sample: { flex: 1, minWidth: 0 },
  foot: { borderTopWidth: 1, padding: 10, alignItems: 'flex-end' },
});
