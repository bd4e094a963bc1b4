import { i18n } from '@lingui/core';
import type { Brief } from '@yellow-latch/core/clash';
import { useRouter } from 'expo-router';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { SEVERITY_WORDS, tellFinding } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { LatchGlyph } from '@/look/LatchGlyph';
import { PressLink } from '@/look/PressLink';
import { usePalette } from '@/look/useLook';

import { pathOf } from '@/parts/findings/path';

interface FindingRowProps {
  finding: Brief;
  codeOf: (id: string) => string;
  isOpen: boolean;
  /** Said below the sentence. */
  note?: string;
}

/** A finding at a glance: its glyph, the code on its plate, one sentence with its figure. */
export const FindingRow = memo(function FindingRow({ finding, codeOf, isOpen, note }: FindingRowProps) {
  const palette = usePalette();
  const router = useRouter();
  const code = codeOf(finding.shortcuts[0]!);
  const sentence = tellFinding(finding, code, codeOf);
  return (
    <PressLink
      aria-label={[`${code}, ${i18n._(SEVERITY_WORDS[finding.severity])}: ${sentence}`, note].filter(Boolean).join(' ')}
      aria-current={isOpen ? 'true' : undefined}
      onPress={() => router.navigate(pathOf(finding))}
      style={[styles.row, isOpen && { backgroundColor: palette.surface }]}
    >
      <View style={styles.glyph}>
        <LatchGlyph verdict={finding.severity} size={26} />
      </View>
      <View style={styles.words}>
        <CodePlate code={code} />
        <Text variant="bodyMedium" numberOfLines={3} style={styles.sentence}>
          {sentence}
        </Text>
        {note && (
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {note}
          </Text>
        )}
      </View>
      <Text aria-hidden style={[styles.more, { color: palette.inkSoft }]}>
        ›
      </Text>
    </PressLink>
  );
});

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 12, paddingHorizontal: 16, paddingVertical: 10, minHeight: 72 },
  glyph: { paddingTop: 2 },
  words: { flex: 1, gap: 4, minWidth: 0 },
  sentence: { fontSize: 15, lineHeight: 20 },
  more: { fontSize: 22, lineHeight: 26 },
});
