import { markCode } from '@yellow-latch/core/convention/mark';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { useNewMark } from '@/answers/effort/useNewMark';
import { CodePlate } from '@/look/CodePlate';
import { usePalette } from '@/look/useLook';
import { useMay } from '@/frame/replica/ReplicaProvider';

/** An empty list teaches its first step. */
export function EmptyList() {
  const palette = usePalette();
  const router = useRouter();
  const canEdit = useMay() === 'edit';
  const mark = useNewMark();
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={2}>
        What do you type again and again?
      </Text>
      <Text variant="bodyLarge" style={styles.text}>
        An address, a booking link, “I am ten minutes away”. Copy it, then press Paste below and give it a short code.
      </Text>
      <View style={[styles.sample, { borderColor: palette.line }]}>
        <CodePlate code={markCode('ten', mark)} size="large" />
        <Text variant="bodyLarge" style={{ color: palette.inkSoft }}>
          becomes
        </Text>
        <Text variant="bodyLarge" style={styles.text}>
          I am about ten minutes away.
        </Text>
      </View>
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        Begin a code with a mark that never stands before a letter in your own texts. Start with one or two, and add
        more when your fingers know them.
      </Text>
      {canEdit && (
        <Button
          mode="outlined"
          icon="file-up"
          onPress={() => router.navigate('/import')}
          style={styles.button}
          contentStyle={styles.tall}
        >
          Bring in what you have
        </Button>
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
        {query === ''
          ? 'No shortcut passes these filters.'
          : `No code, text, note or set holds “${query}”${isFiltered ? ' and passes the filters' : ''}.`}
      </Text>
      <Button mode="outlined" onPress={onClear} style={styles.button}>
        Show all
      </Button>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { padding: 16, gap: 16, maxWidth: 520 },
  text: { fontSize: 17, lineHeight: 25 },
  sample: { borderTopWidth: 1, borderBottomWidth: 1, paddingVertical: 16, gap: 8 },
  button: { alignSelf: 'flex-start', borderRadius: 6 },
  tall: { minHeight: 48 },
});
