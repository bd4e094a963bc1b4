import { t } from '@lingui/core/macro';
import type { Shortcut } from '@yellow-latch/core/model';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { shownExpansion } from '@/answers/audit/sentences/mask';
import { useLearningNow } from '@/answers/learn/useLearningNow';
import { CodePlate } from '@/look/CodePlate';
import { keepingFocus } from '@/look/keepingFocus';
import { usePalette } from '@/look/useLook';

const LONGEST = 28;

/** The codes that are being learnt, in sight while one writes. A tap puts the text in, where a code does not come to mind. */
export function LearningStrip({ onPut }: { onPut: (shortcut: Shortcut) => void }) {
  const palette = usePalette();
  const learning = useLearningNow();
  if (learning.length === 0) return null;
  return (
    <View role="group" aria-label={t`Learning now`} style={[styles.strip, { borderColor: palette.line }]}>
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        contentContainerStyle={styles.codes}
        {...keepingFocus}
      >
        {learning.map((shortcut) => (
          <Pressable
            key={shortcut.id}
            role="button"
            aria-label={t`Insert ${{ code: shortcut.code }}: ${{ text: shownExpansion(shortcut, LONGEST) }}`}
            onPress={() => onPut(shortcut)}
            style={styles.code}
          >
            <View>
              <CodePlate code={shortcut.code} />
            </View>
            <Text variant="bodySmall" numberOfLines={1} style={{ color: palette.inkSoft }}>
              {shownExpansion(shortcut, LONGEST)}
            </Text>
          </Pressable>
        ))}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { borderBottomWidth: 1 },
  codes: { paddingHorizontal: 12, gap: 14 },
  code: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 48 },
});
