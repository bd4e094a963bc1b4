import { t } from '@lingui/core/macro';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';

import { inserts, type Insert } from './template/inserts';

/** What can be put into the text where its cursor stands: one button, and a sheet that says what each is for. */
export function InsertButton({ onInsert }: { onInsert: (insert: Insert) => void }) {
  const palette = usePalette();
  const [isOpen, setOpen] = useState(false);
  return (
    // What is put in next may want the space at the end of the text.
    <View {...({ dataSet: { inserts: '' } } as object)}>
      <Button icon="plus" mode="text" compact onPress={() => setOpen(true)} contentStyle={styles.tall}>
        {t`Insert…`}
      </Button>
      <Sheet title={t`Insert`} isOpen={isOpen} onClose={() => setOpen(false)}>
        <ScrollView {...({ dataSet: { inserts: '' } } as object)}>
          {inserts().map(({ insert, label, hint }) => (
            <Pressable
              key={insert}
              role="button"
              aria-label={`${label}: ${hint}`}
              style={styles.line}
              onPress={() => {
                setOpen(false);
                onInsert(insert);
              }}
            >
              <Text variant="bodyLarge">{label}</Text>
              <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
                {hint}
              </Text>
            </Pressable>
          ))}
        </ScrollView>
      </Sheet>
    </View>
  );
}

const styles = StyleSheet.create({
  tall: { minHeight: 48 },
  line: { minHeight: 60, justifyContent: 'center', paddingHorizontal: 20, paddingVertical: 6 },
});
