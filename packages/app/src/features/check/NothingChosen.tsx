import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';

const VERDICTS = [
  ['breaks', 'It does not expand on one of your devices, or expands by mistake every few pages.'],
  ['risky', 'It fires by mistake now and then, or gives something away.'],
  ['note', 'It works; there is something worth knowing.'],
  ['safe', 'No word, link, device or other code gets in its way.'],
] as const;

/** Beside the findings while none is open: what the glyphs mean. */
export function NothingChosen() {
  const palette = usePalette();
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={2}>
        Choose a finding
      </Text>
      <Text variant="bodyLarge">You see why it was found, and what would cure it, tried before you decide.</Text>
      {VERDICTS.map(([verdict, meaning]) => (
        <View key={verdict} style={styles.line}>
          <LatchGlyph verdict={verdict} size={32} />
          <Text variant="bodyMedium" style={[styles.meaning, { color: palette.inkSoft }]}>
            {meaning}
          </Text>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  page: { padding: 32, gap: 16, maxWidth: 560 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 16 },
  meaning: { flex: 1 },
});
