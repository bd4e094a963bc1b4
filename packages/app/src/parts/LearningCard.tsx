import { t } from '@lingui/core/macro';
import type { Shortcut } from '@yellow-latch/core/model';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { shownExpansion } from '@/answers/audit/sentences/mask';
import { CodePlate } from '@/look/CodePlate';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';

interface LearningCardProps {
  shortcuts: readonly Shortcut[];
  onPress: () => void;
}

/** So many are in sight; the rest are counted. */
const IN_SIGHT = 3;
const LONGEST = 40;

/** The codes that somebody is learning, in sight above the list until the fingers know them. */
export function LearningCard({ shortcuts, onPress }: LearningCardProps) {
  const palette = usePalette();
  if (shortcuts.length === 0) return null;
  const shown = shortcuts.slice(0, IN_SIGHT);
  const rest = shortcuts.length - shown.length;
  return (
    <PressLink
      onPress={onPress}
      aria-label={t`Learning now: ${{ codes: shown.map(({ code }) => code).join(', ') }}. Open Learn`}
      style={[styles.card, { borderColor: palette.line, backgroundColor: palette.surface }]}
    >
      <Text variant="labelMedium" style={{ color: palette.inkSoft }}>{t`Learning now`}</Text>
      {shown.map((shortcut) => (
        <View key={shortcut.id} style={styles.line}>
          <CodePlate code={shortcut.code} />
          <Text variant="bodyMedium" numberOfLines={1} style={styles.text}>
            {shownExpansion(shortcut, LONGEST)}
          </Text>
        </View>
      ))}
      {rest > 0 && <Text variant="bodySmall" style={{ color: palette.inkSoft }}>{t`and ${rest} more`}</Text>}
    </PressLink>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 1, borderRadius: 8, marginHorizontal: 10, marginTop: 6, padding: 10, gap: 6, minHeight: 48 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, minWidth: 0 },
  text: { flex: 1, minWidth: 0 },
});
