import { useEffect, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { LARGEST_FILE } from '@/answers/exchange/limits';
import { takeIncoming } from '@/parts/incoming';
import { FileButton } from '@/look/FileButton';
import { DetailPage } from '@/frame/DetailPage';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { useMay } from '@/frame/replica/ReplicaProvider';

import { DropZone } from './DropZone';
import { PreviewList } from './PreviewList';
import { ReadAsSheet } from './ReadAsSheet';
import { useImport, type Importer } from './useImport';
import { DELIMITER_WORDS, ENCODING_WORDS, FORM_WORDS, tellFileProblem } from './words';

/** What can be opened, by the ends of their names and their types. */
const ACCEPT = '.csv,.tsv,.txt,.md,.json,text/*,application/json';

/** Files and pasted lists on their way in: nothing is written until one has seen what would become of every row. */
export function ImportPage() {
  const palette = usePalette();
  const importer = useImport();
  const canEdit = useMay() === 'edit';
  const { source, openText, openFile } = importer;
  const hasBegun = useRef(false);
  useEffect(() => {
    if (hasBegun.current) return;
    hasBegun.current = true;
    const incoming = takeIncoming();
    if (incoming?.type === 'text') void openText(incoming.text);
    else if (incoming?.type === 'file') void openFile(incoming.file);
  }, [openText, openFile]);
  return (
    <DropZone onFile={(file) => void openFile(file)}>
      <DetailPage
        title="Bring in"
        about="import"
        back={{ label: 'Back to the list', href: '/' }}
        actions={
          source && (
            <Button mode="text" onPress={importer.close} contentStyle={styles.tall}>
              Another file
            </Button>
          )
        }
        hasOwnScroll
      >
        {!canEdit && (
          <Text variant="bodyMedium" style={styles.told}>
            This device may use the list, not change it.
          </Text>
        )}
        {canEdit && source === null && <Start importer={importer} />}
        {canEdit && source && (
          <View style={styles.page}>
            <Understanding importer={importer} />
            {importer.result === null && (
              <Text role="status" variant="bodyMedium" style={styles.told}>
                Reading {source.name}…
              </Text>
            )}
            {importer.result && 'type' in importer.result && (
              <Text role="alert" variant="bodyLarge" style={[styles.told, { color: palette.alarm }]}>
                {importer.result.type === 'failed'
                  ? 'Reading it has failed on this device. Nothing was brought in; your list is as it was. Try again, or cut the file in parts.'
                  : tellFileProblem(importer.result)}
              </Text>
            )}
            {importer.result && !('type' in importer.result) && (
              <PreviewList key={source.serial} importer={importer} preview={importer.result} />
            )}
          </View>
        )}
      </DetailPage>
    </DropZone>
  );
}

/** Where a file is opened or a list pasted. */
function Start({ importer }: { importer: Importer }) {
  const palette = usePalette();
  const [pasted, setPasted] = useState('');
  const isFilled = pasted.trim() !== '';
  return (
    <ScrollView style={styles.page} contentContainerStyle={styles.parts}>
      <Text variant="bodyMedium">
        A table with codes and texts, a list of Yellow Latch, a table of Markdown, notes with a code and a text in each
        line, or just texts, one a line: then codes are made for them. You see what would become of every row before
        anything is written.
      </Text>
      <View style={styles.actions}>
        <FileButton label="Open a file" accept={ACCEPT} onFile={(file) => void importer.openFile(file)} />
        <Text variant="bodySmall" style={[styles.words, { color: palette.inkSoft }]}>
          Up to {LARGEST_FILE / 1024 / 1024} MB and 50,000 rows.
        </Text>
      </View>
      <Field
        label="Or paste a list"
        multiline
        value={pasted}
        onChangeText={setPasted}
        onBlur={() => {}}
        onSubmit={() => isFilled && void importer.openText(pasted)}
      />
      {isFilled && (
        <View style={styles.actions}>
          <LatchButton label="Look at it" icon="scan" onPress={() => void importer.openText(pasted)} />
        </View>
      )}
    </ScrollView>
  );
}

/** How the file was understood, and the way to say otherwise. */
function Understanding({ importer }: { importer: Importer }) {
  const palette = usePalette();
  const [isOpen, setOpen] = useState(false);
  const { source, preview, result } = importer;
  const table = preview?.table;
  const words = preview
    ? [
        preview.made === null
          ? FORM_WORDS[preview.form]
          : `${preview.rest ? 'a backup' : 'a list'} of ${new Date(preview.made).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })}`,
        ...(table?.delimiter ? [`with ${DELIMITER_WORDS[table.delimiter]}`] : []),
        ...(table?.hasHeading ? ['its first row a heading'] : []),
        ENCODING_WORDS[preview.encoding],
      ].join(', ')
    : '';
  return (
    <View style={[styles.understanding, { borderColor: palette.line }]}>
      <View style={styles.words}>
        <Text variant="bodyLarge" numberOfLines={1}>
          {source!.name}
        </Text>
        {words !== '' && (
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            Read as {words}
          </Text>
        )}
        {preview?.isGuess && preview.unread === 0 && (
          <Text variant="bodySmall">
            The file does not say its encoding. Do some letters look wrong? Choose another.
          </Text>
        )}
        {preview !== null && preview.unread > 0 && (
          <Text role="alert" variant="bodySmall" style={{ color: palette.alarm }}>
            {preview.unread === 1 ? 'One sign' : `${preview.unread.toLocaleString('en')} signs`} could not be read.
            Choose another encoding.
          </Text>
        )}
      </View>
      {result !== null && (
        <Button mode="outlined" onPress={() => setOpen(true)} style={styles.button} contentStyle={styles.tall}>
          Read otherwise
        </Button>
      )}
      <ReadAsSheet isOpen={isOpen} onClose={() => setOpen(false)} importer={importer} />
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, minHeight: 0 },
  title: { flex: 1 },
  tall: { minHeight: 48 },
  button: { borderRadius: 6 },
  told: { padding: 16, maxWidth: 760 },
  parts: { paddingHorizontal: 16, paddingBottom: 24, gap: 14, maxWidth: 760 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 12 },
  words: { flexShrink: 1, flexGrow: 1, minWidth: 0, flexBasis: 160 },
  understanding: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 16,
    paddingBottom: 8,
    borderBottomWidth: 1,
  },
});
