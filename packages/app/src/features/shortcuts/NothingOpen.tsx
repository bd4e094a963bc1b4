import { t } from '@lingui/core/macro';
import { Suspense } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { fetched } from '@/frame/fetched';
import { LatchMark } from '@/look/LatchMark';
import { usePalette } from '@/look/useLook';
import { useList } from '@/frame/replica/ReplicaProvider';

// A phone never shows it.
const Overview = fetched(() => import('./Overview'));

/** The detail side while no shortcut is open. */
export function NothingOpen() {
  const palette = usePalette();
  const { shortcuts } = useList();
  if (shortcuts.length > 0) {
    return (
      <Suspense fallback={null}>
        <Overview />
      </Suspense>
    );
  }
  return (
    <View style={styles.page}>
      <LatchMark size={64} />
      <Text
        variant="bodyLarge"
        style={[styles.text, { color: palette.inkSoft }]}
      >{t`Your first shortcut opens here.`}</Text>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, alignItems: 'center', justifyContent: 'center', gap: 16, padding: 32 },
  text: { textAlign: 'center', maxWidth: 320 },
});
