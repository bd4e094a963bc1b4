import { i18n } from '@lingui/core';
import { plural, t } from '@lingui/core/macro';
import { LIMITS } from '@yellow-latch/core/model';
import { useEffect, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { LARGEST_FILE } from '@/answers/exchange/limits';
import { takeIncoming } from '@/parts/incoming';
import { DropZone } from '@/look/DropZone';
import { FileButton } from '@/look/FileButton';
import { DetailPage } from '@/frame/DetailPage';
import { Field } from '@/look/Field';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { useMay } from '@/frame/replica/ReplicaProvider';
import { tellCount } from '@/wording/format';

import { PreviewList } from './PreviewList';
import { ReadAsSheet } from './ReadAsSheet';
import { useImport, type Importer } from './useImport';
import { DELIMITER_WORDS, ENCODING_WORDS, FORM_WORDS, tellFileProblem, tellMade } from './words';

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
        title={t`Import`}
        about="import"
        back={{ label: t`Back to the list`, href: '/' }}
        actions={
          source && <Button mode="text" onPress={importer.close} contentStyle={styles.tall}>{t`Another file`}</Button>
        }
        hasOwnScroll
      >
        {!canEdit && (
          <Text variant="bodyMedium" style={styles.told}>{t`This device can use the list but not change it.`}</Text>
        )}
        {canEdit && source === null && <Start importer={importer} />}
        {canEdit && source && (
          <View style={styles.page}>
            <Understanding importer={importer} />
            {importer.result === null && (
              <Text role="status" variant="bodyMedium" style={styles.told}>{t`Reading ${{ name: source.name }}…`}</Text>
            )}
            {importer.result && 'type' in importer.result && (
              <Text role="alert" variant="bodyLarge" style={[styles.told, { color: palette.alarm }]}>
                {importer.result.type === 'failed'
                  ? t`The file couldn’t be read, so nothing was imported. Try again, or split the file.`
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
      <Text variant="bodyMedium">{t`Open a file with your shortcuts: a table (CSV), a Yellow Latch list or backup, or plain text with one shortcut per line. You see what happens before anything changes.`}</Text>
      <View style={styles.actions}>
        <FileButton label={t`Open a file`} accept={ACCEPT} onFile={(file) => void importer.openFile(file)} />
        <Text variant="bodySmall" style={[styles.words, { color: palette.inkSoft }]}>
          {t`Up to ${{ size: tellCount(LARGEST_FILE / 1024 / 1024) }} MB and ${{ rows: tellCount(LIMITS.shortcutsPerList) }} rows.`}
        </Text>
      </View>
      <Field
        label={t`Or paste a list`}
        multiline
        value={pasted}
        onChangeText={setPasted}
        onBlur={() => {}}
        onSubmit={() => isFilled && void importer.openText(pasted)}
      />
      {isFilled && (
        <View style={styles.actions}>
          <LatchButton label={t`Preview`} icon="scan" onPress={() => void importer.openText(pasted)} />
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
          ? i18n._(FORM_WORDS[preview.form])
          : tellMade(Date.parse(preview.made), preview.rest !== null),
        ...(table?.delimiter ? [i18n._(DELIMITER_WORDS[table.delimiter])] : []),
        ...(table?.hasHeading ? [t`with a header`] : []),
        i18n._(ENCODING_WORDS[preview.encoding]),
      ].join(', ')
    : '';
  return (
    <View style={[styles.understanding, { borderColor: palette.line }]}>
      <View style={styles.words}>
        <Text variant="bodyLarge" numberOfLines={1}>
          {source!.name}
        </Text>
        {words !== '' && <Text variant="bodySmall" style={{ color: palette.inkSoft }}>{t`Read as: ${words}`}</Text>}
        {preview?.isGuess && preview.unread === 0 && (
          <Text variant="bodySmall">{t`Do some letters look wrong? Change how the file is read.`}</Text>
        )}
        {preview !== null && preview.unread > 0 && (
          <Text role="alert" variant="bodySmall" style={{ color: palette.alarm }}>
            {plural(preview.unread, {
              one: '# character couldn’t be read. Change how the file is read.',
              other: '# characters couldn’t be read. Change how the file is read.',
            })}
          </Text>
        )}
      </View>
      {result !== null && (
        <Button
          mode="outlined"
          onPress={() => setOpen(true)}
          style={styles.button}
          contentStyle={styles.tall}
        >{t`Change`}</Button>
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
