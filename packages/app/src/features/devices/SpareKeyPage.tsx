import { inGroups } from '@yellow-latch/core/join';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { DetailPage } from '@/frame/DetailPage';
import { copyText, NOT_COPIED } from '@/frame/clipboard';
import { useNotice } from '@/frame/Notices';
import { saveFile } from '@/frame/saveFile';
import { FACES, STRONG } from '@/look/fonts';
import { LatchButton } from '@/look/LatchButton';
import { tellMoment } from '@/look/moment';
import { usePalette } from '@/look/useLook';
import { useMay, useOpened } from '@/frame/replica/ReplicaProvider';
import { isRefusal, server } from '@yellow-latch/replica/sync/server';

import { paperOf, printPaper } from './paper';
import { useDirectory } from './useDirectory';

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
      notify({ text: isRefusal(error) ? error.message : 'A key is made by the server, which is away.' });
    }
  };
  const madeAt = directory?.spareKey ?? null;
  if (key === null) {
    return (
      <DetailPage title="Spare key" about="spare-key">
        <Text variant="bodyLarge">
          There is no account and no password here, so nobody can let you in again when your last device is lost, broken
          or cleared. A spare key can. Keep it on paper, away from your devices, and where only you look.
        </Text>
        {madeAt !== null && (
          <Text variant="bodyLarge">{`One was made on ${tellMoment(madeAt)}. It is not shown again. Making another makes that one worthless.`}</Text>
        )}
        {may === 'use' ? (
          <Text variant="bodyLarge">This device may only use the list; a key is made on one that may edit it.</Text>
        ) : (
          <View style={styles.row}>
            <LatchButton
              icon="key"
              label={madeAt === null ? 'Make a spare key' : 'Make another'}
              onPress={() => void make()}
            />
          </View>
        )}
        {isAway && <Text variant="bodyMedium">The server is away now; it is needed for this.</Text>}
      </DetailPage>
    );
  }
  const paper = paperOf({ key, address: origin, list: directory?.list.name ?? 'My list', day: new Date() });
  return (
    <DetailPage title="Your spare key" about="made">
      <Text variant="bodyLarge">Print it or write it down now: it is not shown again.</Text>
      <View
        role="img"
        aria-label={`Spare key ${inGroups(key)}`}
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
        {`To use it: open ${origin} on a device that is in no list and choose “Get it back with the spare key”. It keeps working until you make another.`}
      </Text>
      <View style={styles.row}>
        <Button icon="printer" mode="outlined" contentStyle={styles.tall} onPress={() => printPaper(paper)}>
          Print
        </Button>
        <Button
          icon="download"
          mode="outlined"
          contentStyle={styles.tall}
          onPress={() => saveFile('yellow-latch-spare-key.txt', paper.join('\n'), 'text/plain')}
        >
          Save as a file
        </Button>
        <Button
          icon="copy"
          mode="text"
          contentStyle={styles.tall}
          onPress={() =>
            void copyText(inGroups(key)).then((isDone) => notify({ text: isDone ? 'The key is copied.' : NOT_COPIED }))
          }
        >
          Copy
        </Button>
      </View>
      <Text variant="bodyMedium" style={STRONG}>
        Whoever has the key has the list.
      </Text>
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
