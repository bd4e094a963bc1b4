import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { usePalette } from '@/look/useLook';

/** Beside the devices while nothing of them is open: how one list stays one. */
export function NothingOpen() {
  const palette = usePalette();
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={2}>
        One list on every device
      </Text>
      {[
        'Each device has the whole list and works without a network. What is written is kept on the device first, then sent.',
        'Written on two devices at once, both versions are kept until you choose. A text that was changed outlives a delete that had not seen it.',
        'Everything done in the last ninety days can be taken back, on any device.',
      ].map((line) => (
        <Text key={line} variant="bodyLarge" style={{ color: palette.inkSoft }}>
          {line}
        </Text>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ page: { padding: 32, gap: 16, maxWidth: 560 } });
