import { t } from '@lingui/core/macro';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { usePalette } from '@/look/useLook';

import { inserts, type Insert } from './template/inserts';

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
        aria-label={t`Insert`}
      >
        <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>{t`Insert:`}</Text>
        {inserts().map(([insert, label]) => (
          <Button
            key={insert}
            mode="outlined"
            onPress={() => onInsert(insert)}
            accessibilityLabel={t`Insert: ${label}`}
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
