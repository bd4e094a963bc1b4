import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { usePalette } from '@/look/useLook';

/** Beside the devices while nothing of them is open: how one list stays one. */
export function NothingOpen() {
  const palette = usePalette();
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={2}>{t`One list on every device`}</Text>
      {[
        t`Every device has your list and works offline.`,
        t`If you change the same thing on two devices, both versions stay until you choose.`,
        t`You can undo anything from the last 90 days, on any device.`,
      ].map((line) => (
        <Text key={line} variant="bodyLarge" style={{ color: palette.inkSoft }}>
          {line}
        </Text>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ page: { padding: 32, gap: 16, maxWidth: 560 } });
