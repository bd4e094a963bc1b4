import { t } from '@lingui/core/macro';
import { markCode } from '@yellow-latch/core/convention/mark';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useNewMark } from '@/answers/effort/useNewMark';
import { CodePlate } from '@/look/CodePlate';
import { usePalette } from '@/look/useLook';
import { WhereLink } from '@/parts/where/WhereLink';
import { useMay } from '@/frame/replica/ReplicaProvider';
import { standInTab, trySample } from '@/frame/standIn/tab';
import { guessDevice } from '@yellow-latch/replica/storage/device';

/** An empty list teaches its first step. */
export function EmptyList() {
  const palette = usePalette();
  const router = useRouter();
  const canEdit = useMay() === 'edit';
  const mark = useNewMark();
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={2}>{t`What do you type again and again?`}</Text>
      <Text
        variant="bodyLarge"
        style={styles.text}
      >{t`An address, a booking link, “I’m ten minutes away”? Copy it, tap Paste below and give it a short code.`}</Text>
      <View style={[styles.sample, { borderColor: palette.line }]}>
        <CodePlate code={markCode('ten', mark)} size="large" />
        <Text variant="bodyLarge" style={{ color: palette.inkSoft }}>
          {t`becomes`}
        </Text>
        <Text variant="bodyLarge" style={styles.text}>{t`I’ll be there in about ten minutes.`}</Text>
      </View>
      <Text
        variant="bodyMedium"
        style={{ color: palette.inkSoft }}
      >{t`Start with one or two. Add more once your fingers know them.`}</Text>
      <WhereLink />
      {canEdit && (
        <Button
          mode="outlined"
          icon="inbox"
          onPress={() => router.navigate('/phrases')}
          style={styles.button}
          contentStyle={styles.tall}
        >{t`Find phrases in messages you sent`}</Button>
      )}
      {canEdit && (
        <Button
          mode="outlined"
          icon="file-up"
          onPress={() => router.navigate('/import')}
          style={styles.button}
          contentStyle={styles.tall}
        >{t`Import a list you have`}</Button>
      )}
      {!standInTab() && (
        <Button
          mode="text"
          onPress={() => trySample(guessDevice().kind)}
          style={styles.button}
          contentStyle={styles.tall}
        >{t`Try it with a sample list`}</Button>
      )}
    </View>
  );
}

export function NothingFound({
  query,
  isFiltered,
  onClear,
}: {
  query: string;
  isFiltered: boolean;
  onClear: () => void;
}) {
  return (
    <View style={styles.page}>
      <Text variant="bodyLarge">
        {query === '' ? t`No shortcuts match these filters.` : tellNone(query, isFiltered)}
      </Text>
      <Button mode="outlined" onPress={onClear} style={styles.button}>{t`Show all`}</Button>
    </View>
  );
}

function tellNone(query: string, isFiltered: boolean): string {
  return isFiltered ? t`Nothing found for “${query}” with these filters.` : t`Nothing found for “${query}”.`;
}

const styles = StyleSheet.create({
  page: { padding: 16, gap: 16, maxWidth: 520 },
  text: { fontSize: 17, lineHeight: 25 },
  sample: { borderTopWidth: 1, borderBottomWidth: 1, paddingVertical: 16, gap: 8 },
  button: { alignSelf: 'flex-start', borderRadius: 6 },
  tall: { minHeight: 48 },
});
