import type { WrittenForm } from '@yellow-latch/core/exchange';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { counted } from '@/answers/audit/sentences';
import { useExchange } from '@/answers/exchange/useExchange';
import { useChosen } from '@/parts/choosing';
import { copyText, NOT_COPIED } from '@/frame/clipboard';
import { DetailPage } from '@/frame/DetailPage';
import { useNotice } from '@/frame/Notices';
import { saveFile } from '@/frame/saveFile';
import { LatchButton } from '@/look/LatchButton';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

import { Backup } from './Backup';
import { fileName, partOf, type What } from '@/parts/leaving/what';
import { useFirstWhat, WhatChoice } from '@/parts/leaving/WhatChoice';

const FORMS: readonly { form: WrittenForm; label: string; about: string; ending: string; type: string }[] = [
  {
    form: 'csv',
    label: 'Table (CSV)',
    about: 'For spreadsheets. What they would run as a formula is guarded.',
    ending: 'csv',
    type: 'text/csv',
  },
  {
    form: 'tsv',
    label: 'Table with tabs',
    about: 'The same, to be pasted into a spreadsheet.',
    ending: 'tsv',
    type: 'text/tab-separated-values',
  },
  {
    form: 'json',
    label: 'List of Yellow Latch (JSON)',
    about: 'Everything of each shortcut, to be brought in again as it was.',
    ending: 'json',
    type: 'application/json',
  },
  { form: 'markdown', label: 'Table of Markdown', about: 'For notes and pages.', ending: 'md', type: 'text/markdown' },
  {
    form: 'lines',
    label: 'Code, tab, text',
    about: 'One on each line, under a heading.',
    ending: 'txt',
    type: 'text/plain',
  },
];

/** The list, a set or a choice as a file or on the clipboard; and a backup of everything. */
export function ExportPage() {
  const palette = usePalette();
  const notify = useNotice();
  const ask = useExchange();
  const list = useList();
  const chosen = useChosen();
  const first = useFirstWhat();
  const [what, setWhat] = useState<What>(first);
  const [form, setForm] = useState<WrittenForm>('csv');
  const part = partOf(what, list, chosen);
  const own = part.shortcuts.filter((shortcut) => shortcut.private).length;
  const going = part.shortcuts.length - own;
  const { ending, type } = FORMS.find((one) => one.form === form)!;
  const names: Partial<Record<What, string>> = { all: 'shortcuts', chosen: 'chosen shortcuts' };
  const name = names[what] ?? list.sets.find(({ id }) => what.endsWith(id))?.name ?? 'set';
  const written = () => ask((api) => api.write(part, form, new Date().toISOString()));
  const failed = () =>
    notify({ text: 'Writing it has failed on this device. Your list is as it was; try a part of it.' });
  const save = () => void written().then((text) => saveFile(fileName(name, new Date(), ending), text, type), failed);
  const copy = () =>
    void written().then(async (text) => {
      notify({ text: (await copyText(text)) ? `${counted(going, 'shortcut')} copied.` : NOT_COPIED });
    }, failed);
  return (
    <DetailPage title="Files and backup" about="export" back={{ label: 'Back to the list', href: '/' }}>
      <WhatChoice value={what} onChange={setWhat} />
      <View role="radiogroup" aria-label="Written as">
        {FORMS.map((one) => (
          <Tick
            key={one.form}
            role="radio"
            isOn={one.form === form}
            onPress={() => setForm(one.form)}
            style={styles.form}
          >
            <View style={styles.words}>
              <Text variant="bodyLarge">{one.label}</Text>
              <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
                {one.about}
              </Text>
            </View>
          </Tick>
        ))}
      </View>
      {own > 0 && (
        <Text variant="bodySmall">
          {counted(own, 'shortcut')} that {own === 1 ? 'is' : 'are'} only on this device {own === 1 ? 'is' : 'are'} not
          in it.
        </Text>
      )}
      <View style={styles.actions}>
        <LatchButton label={`Save ${going.toLocaleString('en')}`} icon="download" onPress={save} />
        <Button mode="outlined" icon="copy" onPress={copy} style={styles.button} contentStyle={styles.tall}>
          Copy
        </Button>
      </View>
      <Backup ask={ask} />
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  form: { minHeight: 56 },
  words: { flex: 1, minWidth: 0 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
});
