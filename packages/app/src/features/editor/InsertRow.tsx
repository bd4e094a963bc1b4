import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { usePalette } from '@/look/useLook';

import { INSERTS, type Insert } from './template/inserts';

/** What can be put into the text: blanks, dates and the like. */
export function InsertRow({ onInsert }: { onInsert: (insert: Insert) => void }) {
  const palette = usePalette();
  return (
    <View {...({ dataSet: { inserts: '' } } as object)}>
      <ScrollView
        horizontal
        style={styles.row}
        contentContainerStyle={styles.inserts}
        role="group"
        aria-label="Put into the text"
      >
        <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
          Put in:
        </Text>
        {INSERTS.map(([insert, label]) => (
          <Button
            key={insert}
            mode="outlined"
            onPress={() => onInsert(insert)}
            accessibilityLabel={`Put in: ${label}`}
            style={styles.insert}
            contentStyle={styles.tall}
            compact
          >
            {label}
          </Button>
        ))}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexGrow: 0 },
  inserts: { alignItems: 'center', gap: 8, paddingBottom: 10 },
  insert: { borderRadius: 6 },
  tall: { minHeight: 48, paddingHorizontal: 6 },
});
