import { plural, t } from '@lingui/core/macro';
import { tellDate } from '@/wording/format';
import type { Paper, SheetLayout } from '@yellow-latch/core/exchange';

import { useLocalSearchParams } from 'expo-router';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { useLearningNow } from '@/answers/learn/useLearningNow';
import { useExchange } from '@/answers/exchange/useExchange';
import { fileName, partOf, type What } from '@/parts/leaving/what';
import { useFirstWhat, WhatChoice } from '@/parts/leaving/WhatChoice';
import { useChosen } from '@/parts/choosing';
import { useNotice } from '@/frame/Notices';
import { saveFile } from '@/frame/saveFile';
import { ChoiceChip } from '@/look/ChoiceChip';
import { LatchButton } from '@/look/LatchButton';
import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { useKept } from '@/frame/replica/useKept';

import { facesForSheet } from './faces';
import { printSheet, SheetView } from './SheetView';

const layouts = (): readonly { value: SheetLayout; label: string }[] => [
  { value: 'one', label: t`One column` },
  { value: 'two', label: t`Two columns` },
  { value: 'wallet', label: t`Wallet cards` },
];
const papers = (): readonly { value: Paper; label: string }[] => [
  { value: 'A4', label: t`A4` },
  { value: 'Letter', label: t`Letter` },
];

/** The codes on paper or in a file, to be kept in sight until the fingers know them. */
export function SheetPage() {
  const notify = useNotice();
  const ask = useExchange();
  const list = useList();
  const { state } = useOpened().replica;
  const chosen = useChosen();
  const first = useFirstWhat();
  const learning = useLearningNow();
  // Opened from Learn it is a card for the wallet with the codes that are being learnt.
  const isForLearning = useLocalSearchParams<{ of?: string }>().of === 'learning';
  const [what, setWhat] = useState<What>(isForLearning ? 'learning' : first);
  const [kept, keepLayout] = useKept<SheetLayout>('sheet-layout', 'two');
  const [asked, setAsked] = useState<SheetLayout | null>(isForLearning ? 'wallet' : null);
  const layout = asked ?? kept;
  const setLayout = (next: SheetLayout) => {
    setAsked(null);
    keepLayout(next);
  };
  const [paper, setPaper] = useKept<Paper>('sheet-paper', 'A4');
  const [html, setHtml] = useState<string | null>(null);
  const title = state.listName === '' ? t`Shortcuts` : state.listName;
  const { shortcuts, sets } = list;
  useEffect(() => {
    let isOver = false;
    const part = partOf(what, { shortcuts, sets }, chosen, learning);
    const count = plural(part.shortcuts.length, { one: '# shortcut', other: '# shortcuts' });
    const about = `${count}, ${tellDate(Date.now())}`;
    void facesForSheet()
      .then((faces) => ask((api) => api.sheet(part, { title, about, layout, paper, faces, inNoSet: t`No set` })))
      .then(
        (next) => {
          if (!isOver) setHtml(next);
        },
        () => notify({ text: t`The sheet couldn’t be made. Try with fewer shortcuts.` }),
      );
    return () => {
      isOver = true;
    };
  }, [ask, notify, what, shortcuts, sets, chosen, learning, title, layout, paper]);
  return (
    <DetailPage title={t`Print a sheet`} about="sheet" back={{ label: t`Back to the list`, href: '/' }} hasOwnScroll>
      <View style={styles.tools}>
        <WhatChoice value={what} onChange={setWhat} />
        <View style={styles.line}>
          <ChoiceChip label={t`Layout`} value={layout} choices={layouts()} onChange={setLayout} />
          <ChoiceChip label={t`Paper`} value={paper} choices={papers()} onChange={setPaper} />
          <Text variant="bodySmall" style={styles.words}>
            {layout === 'wallet'
              ? t`Cut along the lines. Each card fits a wallet.`
              : t`Long texts are shortened, private ones hidden.`}
          </Text>
        </View>
      </View>
      <View style={styles.view}>{html !== null && <SheetView html={html} />}</View>
      <View style={styles.foot}>
        <Button
          mode="outlined"
          icon="download"
          onPress={() => html !== null && saveFile(fileName(t`${title} sheet`, new Date(), 'html'), html, 'text/html')}
          style={styles.button}
          contentStyle={styles.tall}
        >{t`Save as a file`}</Button>
        <LatchButton label={t`Print`} icon="printer" onPress={printSheet} />
      </View>
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  tools: { paddingHorizontal: 16, paddingBottom: 10, gap: 10 },
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
  words: { flexShrink: 1 },
  view: { flex: 1, minHeight: 0 },
  foot: { flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'flex-end', gap: 8, padding: 10 },
  button: { borderRadius: 6 },
  tall: { minHeight: 48 },
});
