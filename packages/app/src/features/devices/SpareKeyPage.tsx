import { t } from '@lingui/core/macro';
import { inGroups } from '@yellow-latch/core/join';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { copyText, tellNotCopied } from '@/frame/clipboard';
import { useNotice } from '@/frame/Notices';
import { saveFile } from '@/frame/saveFile';
import { FACES, STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';
import { useMay, useOpened } from '@/frame/replica/ReplicaProvider';
import { server } from '@yellow-latch/replica/sync/server';
import { tellNotDone } from '@/frame/refusals';
import { tellDay } from '@/wording/format';

import { paperOf, printPaper } from './paper';
import { useDirectory } from '@/parts/directory';

/** The key that gets the list back when every device is lost: why, made, printed, saved. */
export function SpareKeyPage() {
  const palette = usePalette();
  const { replica } = useOpened();
  const notify = useNotice();
  const { directory, isAway } = useDirectory();
  const may = useMay();
  const [key, setKey] = useState<string | null>(null);
  const origin = directory?.address ?? location.origin;
  const make = async () => {
    try {
      setKey(await server.makeSpareKey(replica.state.id));
    } catch (error) {
      notify({ text: tellNotDone(error) });
    }
  };
  const madeAt = directory?.spareKey ?? null;
  if (key === null) {
    return (
      <DetailPage title={t`Spare key`} about="spare-key">
        <Text variant="bodyLarge">{t`If you lose all your devices, a spare key gets your list back. Nothing else can: there’s no account and no password. Keep it on paper, away from your devices.`}</Text>
        {madeAt !== null && (
          <Text variant="bodyLarge">{t`You made one on ${{ day: tellDay(madeAt) }}. If you make another, the old one stops working.`}</Text>
        )}
        {may === 'use' ? (
          <Text variant="bodyLarge">{t`This device can only use the list. Make a spare key on one that can edit it.`}</Text>
        ) : (
          <View style={styles.row}>
            <LatchButton
              icon="key"
              label={madeAt === null ? t`Make a spare key` : t`Make another`}
              onPress={() => void make()}
            />
          </View>
        )}
        {isAway && <Text variant="bodyMedium">{t`You’re offline. Connect to make one.`}</Text>}
      </DetailPage>
    );
  }
  const paper = paperOf({ key, address: origin, list: directory?.list.name ?? t`My list`, day: new Date() });
  return (
    <DetailPage title={t`Your spare key`} about="made">
      <Text variant="bodyLarge">{t`Print it or write it down now. You won’t see it again.`}</Text>
      <View
        role="img"
        aria-label={t`Spare key ${{ key: inGroups(key) }}`}
        style={[styles.key, { borderColor: palette.ink, backgroundColor: palette.surface }]}
      >
        {inGroups(key)
          .split('-')
          .map((group, index) => (
            <Text key={index} selectable style={[styles.group, { color: palette.ink }]}>
              {group}
            </Text>
          ))}
      </View>
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        {t`To use it, open ${origin} on any device and choose “I have a spare key”. It works until you make another.`}
      </Text>
      <View style={styles.row}>
        <Button
          icon="printer"
          mode="outlined"
          contentStyle={styles.tall}
          onPress={() => printPaper(paper)}
        >{t`Print`}</Button>
        <Button
          icon="download"
          mode="outlined"
          contentStyle={styles.tall}
          onPress={() => saveFile('yellow-latch-spare-key.txt', paper.join('\n'), 'text/plain')}
        >{t`Save as a file`}</Button>
        <Button
          icon="copy"
          mode="text"
          contentStyle={styles.tall}
          onPress={() =>
            void copyText(inGroups(key)).then((isDone) =>
              notify({ text: isDone ? t`Copied the key.` : tellNotCopied() }),
            )
          }
        >{t`Copy`}</Button>
      </View>
      <Text variant="bodyMedium" style={STRONG}>{t`Anyone with this key can get your list.`}</Text>
    </DetailPage>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 },
  key: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    columnGap: 18,
    rowGap: 6,
    borderWidth: 1.5,
    borderRadius: 8,
    padding: 16,
  },
  group: { fontFamily: FACES.code, fontSize: 26, lineHeight: 34, letterSpacing: 1 },
  tall: { minHeight: 48 },
});
