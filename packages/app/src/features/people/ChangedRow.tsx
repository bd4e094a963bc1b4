import { t } from '@lingui/core/macro';
import type { CardUpdate } from '@yellow-latch/core/people';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { shortened } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

interface ChangedRowProps {
  update: CardUpdate;
  code: string;
  isTicked: boolean;
  onToggle: () => void;
}

/** A shortcut whose text is another on the card of now: what it was, and what it would be. */
export function ChangedRow({ update, code, isTicked, onToggle }: ChangedRowProps) {
  const palette = usePalette();
  const [was, now] = [shortened(update.was), shortened(update.part!.text)];
  const { name } = update.card;
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <Tick
        role="checkbox"
        isOn={isTicked}
        label={t`${name}, ${code}: “${was}” becomes “${now}”`}
        onPress={onToggle}
        style={styles.tick}
      >
        <View style={styles.words}>
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {name}
          </Text>
          <Text style={[styles.was, { color: palette.inkSoft }]}>{was}</Text>
          <Text style={styles.now}>{now}</Text>
        </View>
        <View>
          <CodePlate code={code} />
        </View>
      </Tick>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderTopWidth: 1, marginHorizontal: 16, maxWidth: 760 },
  tick: { minHeight: 72, paddingVertical: 6 },
  words: { flex: 1, minWidth: 0 },
  was: { fontSize: 15, lineHeight: 20, textDecorationLine: 'line-through' },
  now: { fontSize: 16, lineHeight: 22 },
});
