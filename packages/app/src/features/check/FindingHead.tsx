import { i18n } from '@lingui/core';
import type { Brief, Finding } from '@yellow-latch/core/clash';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { SEVERITY_WORDS, tellFinding } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';

import type { Codes } from '@/parts/findings/useCodes';

/** What was found, at a glance: the verdict, the code, one sentence with its figure. */
export function FindingHead({ finding, codes }: { finding: Finding | Brief; codes: Codes }) {
  const palette = usePalette();
  const { severity } = finding;
  const code = codes.codeOf(finding.shortcuts[0]!);
  return (
    <View style={styles.what}>
      <LatchGlyph verdict={severity} size={36} />
      <View style={styles.words}>
        <View style={styles.plate}>
          <CodePlate code={code} size="large" />
          <Text variant="titleMedium" style={[STRONG, { color: severity === 'breaks' ? palette.alarm : palette.ink }]}>
            {i18n._(SEVERITY_WORDS[severity])}
          </Text>
        </View>
        <Text variant="bodyLarge">{tellFinding(finding, code, codes.codeOf)}</Text>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  what: { flexDirection: 'row', gap: 14, alignItems: 'flex-start' },
  words: { flex: 1, gap: 8 },
  plate: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 12 },
});
