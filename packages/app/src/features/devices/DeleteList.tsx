import { t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useNotice } from '@/frame/Notices';
import { STRONG } from '@/look/fonts';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';
import { useOpened } from '@/frame/replica/ReplicaProvider';
import { server } from '@yellow-latch/replica/sync/server';

import { tellNotDone } from '@/frame/refusals';

/** The way to delete the whole list, with a way to keep a copy first: it cannot be undone. */
export function DeleteList() {
  const palette = usePalette();
  const router = useRouter();
  const notify = useNotice();
  const { replica } = useOpened();
  const [isOpen, setOpen] = useState(false);
  const [isBusy, setBusy] = useState(false);
  const deleteIt = async () => {
    setBusy(true);
    try {
      await server.deleteList(replica.state.id);
      await replica.leave('deleted');
      location.replace('/');
    } catch (error) {
      notify({ text: tellNotDone(error) });
      setBusy(false);
    }
  };
  return (
    <>
      <Button
        mode="text"
        textColor={palette.alarm}
        style={styles.open}
        contentStyle={styles.tall}
        onPress={() => setOpen(true)}
      >{t`Delete this list…`}</Button>
      <Sheet title={t`Delete this list?`} isOpen={isOpen} onClose={() => setOpen(false)}>
        <View style={styles.sheet}>
          <Text variant="bodyLarge">{t`This deletes all shortcuts, sets and history from the server and every device.`}</Text>
          <Text variant="bodyLarge" style={STRONG}>{t`You can’t undo this.`}</Text>
          <Button
            mode="outlined"
            style={styles.first}
            contentStyle={styles.tall}
            onPress={() => router.navigate('/export')}
          >{t`Back up first`}</Button>
          <View style={styles.row}>
            <Button mode="text" contentStyle={styles.tall} onPress={() => setOpen(false)}>{t`Keep it`}</Button>
            <Button
              mode="outlined"
              disabled={isBusy}
              textColor={palette.alarm}
              contentStyle={styles.tall}
              onPress={() => void deleteIt()}
            >{t`Delete everywhere`}</Button>
          </View>
        </View>
      </Sheet>
    </>
  );
}

const styles = StyleSheet.create({
  // Its words stand where the text above them begins.
  open: { alignSelf: 'flex-start', marginLeft: -12 },
  first: { alignSelf: 'flex-start' },
  sheet: { paddingHorizontal: 20, paddingBottom: 8, gap: 12 },
  row: { flexDirection: 'row', justifyContent: 'flex-end', gap: 12 },
  tall: { minHeight: 48 },
});
