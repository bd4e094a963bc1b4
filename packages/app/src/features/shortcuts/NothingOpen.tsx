import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { LatchMark } from '@/look/LatchMark';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

/** The detail side while no shortcut is open. */
export function NothingOpen() {
  const palette = usePalette();
  const { shortcuts } = useList();
  return (
    <View style={styles.page}>
      <LatchMark size={64} />
      <Text variant="bodyLarge" style={[styles.text, { color: palette.inkSoft }]}>
        {shortcuts.length === 0 ? t`Your first shortcut opens here.` : t`Pick a shortcut on the left to change it.`}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, alignItems: 'center', justifyContent: 'center', gap: 16, padding: 32 },
  text: { textAlign: 'center', maxWidth: 320 },
});
