import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { LatchMark } from '@/look/LatchMark';
import { usePalette } from '@/look/useLook';

import { useShellGone } from './shell';

/** Where the browser refuses to keep data, nothing here could be trusted: say so and why. */
export function NoKeeping({ error }: { error: Error }) {
  useShellGone();
  const palette = usePalette();
  return (
    <View role="main" style={[styles.page, { backgroundColor: palette.ground }]}>
      <LatchMark size={48} />
      <Text variant="headlineSmall" role="heading">{t`This browser isn’t saving anything`}</Text>
      <Text variant="bodyLarge">{t`Yellow Latch needs to save your list on this device. Allow this page to store data, or leave private browsing, then reload it.`}</Text>
      <Text variant="bodySmall">{error.message}</Text>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, justifyContent: 'center', padding: 32, gap: 16, maxWidth: 560 },
});
