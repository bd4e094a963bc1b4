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
        {shortcuts.length === 0
          ? 'Your first shortcut will open here.'
          : 'Open a shortcut on the left, or go to Write and type its code.'}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, alignItems: 'center', justifyContent: 'center', gap: 16, padding: 32 },
  text: { textAlign: 'center', maxWidth: 320 },
});
