import { t } from '@lingui/core/macro';
import { isNewPlace, newPlace } from '@yellow-latch/replica/storage/unsaved';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { usePageTitle } from '@/look/usePageTitle';

import { EditorForm } from './EditorForm';

/** The editor over a shortcut, by its id, or over a new one, by the place where it is kept until it is saved. */
export function Editor({ place }: { place: string }) {
  const { shortcuts } = useList();
  const router = useRouter();
  const { unsaved } = useOpened();
  const typed = unsaved.at(place);
  const saved = shortcuts.find((shortcut) => shortcut.id === place) ?? null;
  usePageTitle(t`Shortcuts`);
  if (isNewPlace(place) || saved) return <EditorForm saved={saved} place={place} />;
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={1}>{t`This shortcut is gone`}</Text>
      <Text variant="bodyLarge">{t`It was deleted, here or on another device.`}</Text>
      {typed && (
        <Button
          mode="outlined"
          onPress={() => {
            const at = newPlace();
            unsaved.keep({ place: at, values: typed.values, changed: Date.now() });
            unsaved.drop(place);
            router.replace({ pathname: '/new', params: { at } });
          }}
        >{t`Make a new one from what you typed`}</Button>
      )}
      <Button mode="outlined" onPress={() => router.navigate('/')}>{t`Back to the list`}</Button>
    </View>
  );
}

const styles = StyleSheet.create({ page: { padding: 24, gap: 16, alignItems: 'flex-start' } });
