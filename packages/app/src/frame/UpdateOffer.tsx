import { t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { usePalette } from '@/look/useLook';
import { useUpdate } from './useUpdate';

/** One line above the screen when a later version of the app is ready, for as long as it is. `settled`: what it waits for, so that nothing typed is lost. */
export function UpdateOffer({ settled = () => Promise.resolve() }: { settled?: () => Promise<void> }) {
  const palette = usePalette();
  const take = useUpdate();
  if (!take) return null;
  return (
    <View role="status" style={[styles.line, { backgroundColor: palette.surface, borderColor: palette.line }]}>
      <Text variant="bodyMedium" style={styles.text}>{t`A new version is ready.`}</Text>
      <Button
        mode="text"
        icon="refresh"
        onPress={() => void settled().then(take)}
        contentStyle={styles.tall}
      >{t`Update`}</Button>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', paddingLeft: 16, paddingRight: 4, borderBottomWidth: 1 },
  text: { flex: 1 },
  tall: { minHeight: 48 },
});
