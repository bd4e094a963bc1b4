import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { LatchGlyph } from '@/look/LatchGlyph';
import { usePageTitle } from '@/look/usePageTitle';

/** Where a finding is no longer: it was mended, here or on another device. */
export function Gone({ isWaiting, onBack }: { isWaiting: boolean; onBack: () => void }) {
  usePageTitle(t`Check`);
  if (isWaiting) {
    return (
      <View style={styles.page}>
        <Text variant="titleLarge" role="heading" aria-level={1}>{t`Loading…`}</Text>
        <Button mode="outlined" onPress={onBack} contentStyle={styles.tall}>{t`Back to Check`}</Button>
      </View>
    );
  }
  return (
    <View style={styles.page}>
      <LatchGlyph verdict="safe" size={48} />
      <Text variant="titleLarge" role="heading" aria-level={1}>{t`This is fixed`}</Text>
      <Text variant="bodyLarge">{t`It was fixed here or on another device.`}</Text>
      <Button mode="outlined" onPress={onBack} contentStyle={styles.tall}>{t`Back to Check`}</Button>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { padding: 24, gap: 16, alignItems: 'flex-start' },
  tall: { minHeight: 48 },
});
