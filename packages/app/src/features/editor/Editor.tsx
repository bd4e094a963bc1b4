import { t } from '@lingui/core/macro';
import { isNewPlace, newPlace } from '@yellow-latch/replica/storage/unsaved';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useList, useOpened } from '@/frame/replica/ReplicaProvider';
import { FocusHeading } from '@/look/FocusHeading';
import { usePageTitle } from '@/look/usePageTitle';

import { EditorForm } from './EditorForm';

/** The editor over a shortcut, by its id, or over a new one, by the place where it is kept until it is saved. */
export function Editor({ place }: { place: string }) {
  const { shortcuts } = useList();
  const saved = shortcuts.find((shortcut) => shortcut.id === place) ?? null;
  return isNewPlace(place) || saved ? <EditorForm saved={saved} place={place} /> : <Gone place={place} />;
}

/** Where a shortcut was until it was deleted: what was typed there can be made a new one. */
function Gone({ place }: { place: string }) {
  const router = useRouter();
  const { unsaved } = useOpened();
  const typed = unsaved.at(place);
  const title = t`This shortcut is gone`;
  usePageTitle(title);
  return (
    <View style={styles.page}>
      <FocusHeading focusOn={place} variant="titleLarge">
        {title}
      </FocusHeading>
      <Text variant="bodyLarge">{t`It was deleted, here or on another device.`}</Text>
      {typed && (
        <Button
          mode="outlined"
          contentStyle={styles.tall}
          onPress={() => {
            const at = newPlace();
            unsaved.keep({ place: at, values: typed.values, changed: Date.now() });
            unsaved.drop(place);
            router.replace({ pathname: '/new', params: { at } });
          }}
        >{t`Make a new one from what you typed`}</Button>
      )}
      <Button
        mode="outlined"
        onPress={() => router.navigate('/')}
        contentStyle={styles.tall}
      >{t`Back to the list`}</Button>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { padding: 24, gap: 16, alignItems: 'flex-start' },
  tall: { minHeight: 48 },
});
