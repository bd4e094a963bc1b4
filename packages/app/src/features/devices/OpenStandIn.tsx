import { t } from '@lingui/core/macro';
import { server } from '@yellow-latch/replica/sync/server';
import type { DeviceKind } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useNotice } from '@/frame/Notices';
import { useOpened } from '@/frame/replica/ReplicaProvider';
import { isStandInKnown, openStandInWindow, standInTab } from '@/frame/standIn/tab';
import { STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';

/** The list tried as it would be on another device, in a window beside this one. `isOpen`: the server lets in whoever comes. */
export function OpenStandIn({ isOpen }: { isOpen: boolean }) {
  const palette = usePalette();
  const { replica } = useOpened();
  const notify = useNotice();
  // On a stand-in one has the others in their own windows.
  if (standInTab()) return null;
  const open = (kind: DeviceKind) => {
    const codeFor = isOpen || isStandInKnown(kind) ? null : async () => (await server.invite(replica.state.id)).code;
    openStandInWindow(kind, codeFor).catch(() => notify({ text: t`You’re offline. Connect to open a stand-in.` }));
  };
  return (
    <View style={[styles.card, { borderColor: palette.line }]}>
      <Text variant="bodyLarge" style={STRONG}>{t`Open a stand-in`}</Text>
      <Text
        variant="bodyMedium"
        style={{ color: palette.inkSoft }}
      >{t`A simulated device in its own window. Try your list in a message, a mail or a form before you trust it.`}</Text>
      <View style={styles.kinds}>
        <Button
          icon="phone"
          mode="outlined"
          contentStyle={styles.tall}
          onPress={() => open('phone')}
        >{t`Phone`}</Button>
        <Button icon="tablet" mode="outlined" contentStyle={styles.tall} onPress={() => open('tablet')}>
          {t`Tablet`}
        </Button>
        <Button icon="computer" mode="outlined" contentStyle={styles.tall} onPress={() => open('computer')}>
          {t`Computer`}
        </Button>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1, borderRadius: 6, padding: 14, gap: 8 },
  kinds: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  tall: { minHeight: 48 },
});
