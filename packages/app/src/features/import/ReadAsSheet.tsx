import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { Delimiter, ListForm } from '@yellow-latch/core/exchange';
import { ENCODINGS, type Encoding } from '@yellow-latch/core/exchange/encodings';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import type { Choices } from '@/answers/exchange/workerApi';
import { Choice } from '@/look/Choice';
import { LatchButton } from '@/look/LatchButton';
import { Sheet } from '@/look/Sheet';
import { Tick } from '@/look/Tick';

import { Columns } from './Columns';
import type { Importer } from './useImport';
import { DELIMITER_WORDS, ENCODING_WORDS, FORM_WORDS } from './words';

/** How the file is read, where that was not found out as it is meant. */
export function ReadAsSheet({
  isOpen,
  onClose,
  importer,
}: {
  isOpen: boolean;
  onClose: () => void;
  importer: Importer;
}) {
  const [isColumns, setColumns] = useState(false);
  const { readAs, readOtherwise, preview } = importer;
  const table = preview?.table ?? null;
  const set = (some: Partial<Choices>) => readOtherwise({ ...readAs, ...some });
  const form = readAs.form ?? preview?.form ?? null;
  const isTable = form === 'table' || form === 'markdown';
  return (
    <>
      <Sheet title={t`How to read the file`} isOpen={isOpen && !isColumns} onClose={onClose}>
        <ScrollView contentContainerStyle={styles.body}>
          <Choice
            label={t`Format`}
            value={form}
            choices={(Object.keys(FORM_WORDS) as ListForm[]).map((value) => ({
              value,
              label: i18n._(FORM_WORDS[value]),
            }))}
            onChange={(next: ListForm | null) => readOtherwise({ encoding: readAs.encoding, form: next ?? undefined })}
          />
          {form === 'table' && (
            <Choice
              label={t`Cells are separated by`}
              value={readAs.delimiter ?? table?.delimiter ?? null}
              choices={Object.entries(DELIMITER_WORDS).map(([value, label]) => ({
                value: value as Delimiter,
                label: i18n._(label),
              }))}
              onChange={(delimiter: Delimiter | null) =>
                readOtherwise({ encoding: readAs.encoding, form: 'table', delimiter: delimiter ?? undefined })
              }
            />
          )}
          <Choice
            label={t`Encoding`}
            value={readAs.encoding ?? preview?.encoding ?? 'utf-8'}
            choices={ENCODINGS.map((value) => ({ value, label: i18n._(ENCODING_WORDS[value]) }))}
            onChange={(encoding: Encoding) => set({ encoding })}
          />
          {isTable && table && (
            <Tick
              role="checkbox"
              isOn={table.hasHeading}
              onPress={() => set({ form, hasHeading: !table.hasHeading, columns: undefined })}
            >
              <Text variant="bodyLarge">{t`First row is a header`}</Text>
            </Tick>
          )}
        </ScrollView>
        <View style={styles.foot}>
          {table && <LatchButton label={t`Choose columns`} isQuiet onPress={() => setColumns(true)} />}
          <LatchButton label={t`Done`} onPress={onClose} />
        </View>
      </Sheet>
      {table && (
        <Sheet title={t`Choose columns`} isOpen={isOpen && isColumns} onClose={() => setColumns(false)}>
          <View style={styles.columns}>
            <Columns
              table={table}
              onDone={(columns, hasHeading) => {
                setColumns(false);
                onClose();
                set({ form: form ?? undefined, columns, hasHeading });
              }}
            />
          </View>
        </Sheet>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  body: { paddingHorizontal: 20, gap: 12 },
  columns: { height: 480, flexShrink: 1 },
  foot: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'flex-end',
    gap: 8,
    paddingHorizontal: 20,
    paddingTop: 12,
  },
});
