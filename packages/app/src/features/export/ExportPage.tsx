import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import { tellCount } from '@/wording/format';
import type { WrittenForm } from '@yellow-latch/core/exchange';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useExchange } from '@/answers/exchange/useExchange';
import { useChosen } from '@/parts/choosing';
import { copyText, tellNotCopied } from '@/frame/clipboard';
import { useLearningNow } from '@/answers/learn/useLearningNow';
import { DetailPage } from '@/frame/DetailPage';
import { useNotice } from '@/frame/Notices';
import { saveFile } from '@/frame/saveFile';
import { LatchButton } from '@/look/LatchButton';
import { RadioGroup } from '@/look/RadioGroup';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

import { Backup } from './Backup';
import { fileName, partOf, type What } from '@/parts/leaving/what';
import { useFirstWhat, WhatChoice } from '@/parts/leaving/WhatChoice';

interface FormChoice {
  readonly form: WrittenForm;
  readonly label: MessageDescriptor;
  readonly about: MessageDescriptor;
  readonly ending: string;
  readonly type: string;
}

const FORMS: readonly FormChoice[] = [
  {
    form: 'csv',
    label: msg`Table (CSV)`,
    about: msg`For spreadsheets and other apps. Nothing in it runs as a formula.`,
    ending: 'csv',
    type: 'text/csv',
  },
  {
    form: 'tsv',
    label: msg`Table with tabs`,
    about: msg`To paste into a spreadsheet.`,
    ending: 'tsv',
    type: 'text/tab-separated-values',
  },
  {
    form: 'json',
    label: msg`Yellow Latch list (JSON)`,
    about: msg`Keeps everything, to import again.`,
    ending: 'json',
    type: 'application/json',
  },
  {
    form: 'markdown',
    label: msg`Markdown table`,
    about: msg`For notes and web pages.`,
    ending: 'md',
    type: 'text/markdown',
  },
  {
    form: 'lines',
    label: msg`Plain text`,
    about: msg`One per line: code, tab, text.`,
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
  const part = partOf(what, list, chosen, useLearningNow());
  const own = part.shortcuts.filter((shortcut) => shortcut.private).length;
  const going = part.shortcuts.length - own;
  const { ending, type } = FORMS.find((one) => one.form === form)!;
  const names: Partial<Record<What, string>> = { all: t`shortcuts`, chosen: t`selected shortcuts` };
  const name = names[what] ?? list.sets.find(({ id }) => what.endsWith(id))?.name ?? t`set`;
  const written = () => ask((api) => api.write(part, form, new Date().toISOString()));
  const failed = () => notify({ text: t`The file couldn’t be made. Your list is safe: try with fewer shortcuts.` });
  const save = () => void written().then((text) => saveFile(fileName(name, new Date(), ending), text, type), failed);
  const copy = () =>
    void written().then(async (text) => {
      const copied = plural(going, { one: 'Copied # shortcut.', other: 'Copied # shortcuts.' });
      notify({ text: (await copyText(text)) ? copied : tellNotCopied() });
    }, failed);
  return (
    <DetailPage title={t`Export and back up`} about="export" back={{ label: t`Back to the list`, href: '/' }}>
      <WhatChoice value={what} onChange={setWhat} />
      <RadioGroup label={t`Format`} hasChosen>
        {FORMS.map((one) => (
          <Tick
            key={one.form}
            role="radio"
            isOn={one.form === form}
            onPress={() => setForm(one.form)}
            style={styles.form}
          >
            <View style={styles.words}>
              <Text variant="bodyLarge">{i18n._(one.label)}</Text>
              <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
                {i18n._(one.about)}
              </Text>
            </View>
          </Tick>
        ))}
      </RadioGroup>
      {own > 0 && (
        <Text variant="bodySmall">
          {plural(own, {
            one: '# private shortcut isn’t included.',
            other: '# private shortcuts aren’t included.',
          })}
        </Text>
      )}
      <View style={styles.actions}>
        <LatchButton label={t`Save ${{ count: tellCount(going) }}`} icon="download" onPress={save} />
        <Button
          mode="outlined"
          icon="copy"
          onPress={copy}
          style={styles.button}
          contentStyle={styles.tall}
        >{t`Copy`}</Button>
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
