import { t } from '@lingui/core/macro';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useList } from '@/frame/replica/ReplicaProvider';
import { usePageTitle } from '@/look/usePageTitle';

import { EditorForm } from './EditorForm';

/** The editor over the shortcut with this id; null: over a new one. */
export function Editor({ id }: { id: string | null }) {
  const { shortcuts } = useList();
  const router = useRouter();
  const saved = shortcuts.find((shortcut) => shortcut.id === id) ?? null;
  usePageTitle(t`Shortcuts`);
  if (id === null || saved) return <EditorForm saved={saved} />;
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={1}>{t`This shortcut is gone`}</Text>
      <Text variant="bodyLarge">{t`It was deleted, here or on another device.`}</Text>
      <Button mode="outlined" onPress={() => router.navigate('/')}>{t`Back to the list`}</Button>
    </View>
  );
}

const styles = StyleSheet.create({ page: { padding: 24, gap: 16, alignItems: 'flex-start' } });
