import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { LatchGlyph } from '@/look/LatchGlyph';

/** Where a finding is no longer: it was mended, here or on another device. */
export function Gone({ isWaiting, onBack }: { isWaiting: boolean; onBack: () => void }) {
  if (isWaiting) {
    return (
      <View style={styles.page}>
        <Text variant="titleLarge" role="heading" aria-level={1}>
          Looking it up…
        </Text>
        <Button mode="outlined" onPress={onBack} contentStyle={styles.tall}>
          Back to the findings
        </Button>
      </View>
    );
  }
  return (
    <View style={styles.page}>
      <LatchGlyph verdict="safe" size={48} />
      <Text variant="titleLarge" role="heading" aria-level={1}>
        This is not found any more
      </Text>
      <Text variant="bodyLarge">It was mended, here or on another device.</Text>
      <Button mode="outlined" onPress={onBack} contentStyle={styles.tall}>
        Back to the findings
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { padding: 24, gap: 16, alignItems: 'flex-start' },
  tall: { minHeight: 48 },
});
