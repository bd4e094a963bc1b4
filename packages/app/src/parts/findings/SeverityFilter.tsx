import { i18n } from '@lingui/core';
import { t } from '@lingui/core/macro';
import type { Severity } from '@yellow-latch/core/clash/finding';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { SEVERITY_WORDS } from '@/answers/audit/sentences';
import { STRONG } from '@/look/fonts';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';
import { tellCount } from '@/wording/format';

const SEVERITIES: readonly Severity[] = ['breaks', 'risky', 'note'];

interface SeverityFilterProps {
  /** Null: not known yet; the place is kept, so that nothing below it moves under a finger. */
  counts: Readonly<Record<Severity, number>> | null;
  /** Null: all are shown. */
  value: Severity | null;
  onChange: (value: Severity | null) => void;
}

/** How many there are of each verdict; a tap shows these alone, another all again. */
export function SeverityFilter({ counts, value, onChange }: SeverityFilterProps) {
  const palette = usePalette();
  return (
    <View style={styles.row} role="group" aria-label={t`Filter`}>
      {SEVERITIES.map((severity) => {
        const isOn = value === severity;
        return (
          <Pressable
            key={severity}
            role="button"
            aria-pressed={isOn}
            aria-label={`${i18n._(SEVERITY_WORDS[severity])}: ${counts ? tellCount(counts[severity]) : '–'}`}
            onPress={() => onChange(isOn ? null : severity)}
            style={[
              styles.chip,
              {
                borderColor: isOn ? palette.ink : palette.line,
                backgroundColor: isOn ? palette.surface : 'transparent',
              },
            ]}
          >
            <LatchGlyph verdict={severity} size={22} />
            <Text style={[styles.count, isOn && STRONG]}>{counts ? tellCount(counts[severity]) : '–'}</Text>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 4 },
  chip: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
    minHeight: 48,
    minWidth: 48,
    paddingHorizontal: 7,
    borderWidth: 1.5,
    borderRadius: 6,
  },
  count: { fontSize: 16 },
});
