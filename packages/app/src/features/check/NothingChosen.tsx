import { i18n } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';

const VERDICTS = [
  ['breaks', msg`Needs fixing: it doesn’t expand on one of your devices, or often expands by mistake.`],
  ['risky', msg`Risky: it expands by mistake now and then, or gives something away.`],
  ['note', msg`Safe, with a note: it works, and there’s something to know.`],
  ['safe', msg`Safe: no word, link, device or other code gets in the way.`],
] as const;

/** Beside the shortcuts with problems while none is open: what the glyphs mean. */
export function NothingChosen() {
  const palette = usePalette();
  return (
    <View style={styles.page}>
      <Text variant="titleLarge" role="heading" aria-level={2}>{t`Pick a shortcut`}</Text>
      <Text variant="bodyLarge">{t`You see what’s wrong with it and every way to fix it.`}</Text>
      {VERDICTS.map(([verdict, meaning]) => (
        <View key={verdict} style={styles.line}>
          <LatchGlyph verdict={verdict} size={32} />
          <Text variant="bodyMedium" style={[styles.meaning, { color: palette.inkSoft }]}>
            {i18n._(meaning)}
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
