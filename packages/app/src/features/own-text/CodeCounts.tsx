import { t } from '@lingui/core/macro';
import type { OwnTextFinding } from '@yellow-latch/core/clash';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';
import { tellCount } from '@/wording/format';

interface CodeCountsProps {
  findings: readonly OwnTextFinding[];
  codeOf: (id: string) => string;
  /** The one code that is stepped through; null: all. */
  only: string | null;
  onOnly: (id: string | null) => void;
}

/** How often each code would have fired; a tap steps through it alone. */
export function CodeCounts({ findings, codeOf, only, onOnly }: CodeCountsProps) {
  const palette = usePalette();
  return (
    <ScrollView horizontal style={styles.row} contentContainerStyle={styles.codes} role="group" aria-label={t`By code`}>
      {findings.map(({ id, count, severity }) => {
        const isOn = only === id;
        const code = codeOf(id);
        return (
          <Pressable
            key={id}
            role="button"
            aria-pressed={isOn}
            aria-label={`${code}: ${count}`}
            onPress={() => onOnly(isOn ? null : id)}
            style={[
              styles.code,
              {
                borderColor: isOn ? palette.ink : palette.line,
                backgroundColor: isOn ? palette.surface : 'transparent',
              },
            ]}
          >
            <LatchGlyph verdict={severity} size={20} />
            <View>
              <CodePlate code={code} />
            </View>
            <Text style={isOn && STRONG}>{tellCount(count)}</Text>
          </Pressable>
        );
      })}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  row: { flexGrow: 0, flexShrink: 0 },
  codes: { gap: 8, paddingHorizontal: 16, paddingBottom: 8 },
  code: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    minHeight: 48,
    paddingHorizontal: 10,
    borderWidth: 1.5,
    borderRadius: 6,
  },
});
