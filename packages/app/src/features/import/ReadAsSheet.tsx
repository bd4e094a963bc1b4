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
      <Sheet title="Read it as" isOpen={isOpen && !isColumns} onClose={onClose}>
        <ScrollView contentContainerStyle={styles.body}>
          <Choice
            label="It is"
            value={form}
            choices={(Object.keys(FORM_WORDS) as ListForm[]).map((value) => ({ value, label: FORM_WORDS[value] }))}
            onChange={(next: ListForm | null) => readOtherwise({ encoding: readAs.encoding, form: next ?? undefined })}
          />
          {form === 'table' && (
            <Choice
              label="Between the cells stand"
              value={readAs.delimiter ?? table?.delimiter ?? null}
              choices={Object.entries(DELIMITER_WORDS).map(([value, label]) => ({ value: value as Delimiter, label }))}
              onChange={(delimiter: Delimiter | null) =>
                readOtherwise({ encoding: readAs.encoding, form: 'table', delimiter: delimiter ?? undefined })
              }
            />
          )}
          <Choice
            label="Encoding"
            value={readAs.encoding ?? preview?.encoding ?? 'utf-8'}
            choices={ENCODINGS.map((value) => ({ value, label: ENCODING_WORDS[value] }))}
            onChange={(encoding: Encoding) => set({ encoding })}
          />
          {isTable && table && (
            <Tick
              role="checkbox"
              isOn={table.hasHeading}
              onPress={() => set({ form, hasHeading: !table.hasHeading, columns: undefined })}
            >
              <Text variant="bodyLarge">The first row is a heading</Text>
            </Tick>
          )}
        </ScrollView>
        <View style={styles.foot}>
          {table && <LatchButton label="Say what the columns hold" isQuiet onPress={() => setColumns(true)} />}
          <LatchButton label="Done" onPress={onClose} />
        </View>
      </Sheet>
      {table && (
        <Sheet title="The columns" isOpen={isOpen && isColumns} onClose={() => setColumns(false)}>
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
