import { t } from '@lingui/core/macro';
import { countClusters, clustersOf, LIMITS } from '@yellow-latch/core/model';
import { newPlace } from '@yellow-latch/replica/storage/unsaved';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { fetchShared } from '@/offline/shared';

import { handOver } from '@/parts/incoming';
import { usePageTitle } from '@/look/usePageTitle';

/** Where what was shared to the app arrives: a text goes on into a new shortcut, a file into the list. */
export function SharedPage() {
  const router = useRouter();
  usePageTitle(t`New shortcut`);
  const { of } = useLocalSearchParams<{ of?: string }>();
  const [isMissing, setMissing] = useState(of === undefined);
  useEffect(() => {
    if (of === undefined) return;
    fetchShared(of).then(
      (shared) => {
        if (shared === null) setMissing(true);
        else if (shared.type === 'file') {
          handOver(shared);
          router.replace('/import');
        } else {
          handOver({ type: 'text', text: shared.text, note: noteOf(shared) });
          router.replace({ pathname: '/new', params: { at: newPlace() } });
        }
      },
      () => setMissing(true),
    );
  }, [of, router]);
  if (!isMissing) return null;
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={1}>{t`Nothing was shared`}</Text>
      <Text variant="bodyMedium">{t`The app wasn’t ready yet. Share it again, or paste it.`}</Text>
      <Button
        mode="outlined"
        onPress={() => router.replace({ pathname: '/new', params: { at: newPlace() } })}
        style={styles.button}
        contentStyle={styles.tall}
      >{t`New shortcut`}</Button>
    </View>
  );
}

/** What it was called is worth a note, where the text does not say it itself. */
function noteOf({ text, title }: { text: string; title: string }): string {
  const line = title.replace(/\s+/g, ' ').trim();
  if (line === '' || text.includes(line)) return '';
  return countClusters(line) <= LIMITS.noteClusters
    ? line
    : clustersOf(line)
        .slice(0, LIMITS.noteClusters)
        .map((cluster) => cluster.text)
        .join('');
}

const styles = StyleSheet.create({
  page: { padding: 16, gap: 14, maxWidth: 520 },
  button: { alignSelf: 'flex-start', borderRadius: 6 },
  tall: { minHeight: 48 },
});
