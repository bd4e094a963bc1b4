import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { Severity } from '@yellow-latch/core/clash/finding';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { STRONG } from '@/look/fonts';
import { LatchGlyph } from '@/look/LatchGlyph';
import { usePalette } from '@/look/useLook';
import { tellCount } from '@/wording/format';

/** Verdicts that ask for something; what is safe with a note asks for nothing. */
const ASKING = ['breaks', 'risky'] as const;

const WORDS: Readonly<Record<(typeof ASKING)[number], MessageDescriptor>> = {
  breaks: msg`Needs fixing`,
  risky: msg`Risky`,
};

interface SeverityFilterProps {
  /** Null: not known yet; the place is kept, so that nothing below it moves under a finger. */
  counts: Readonly<Record<Severity, number>> | null;
  /** Null: all are shown. */
  value: Severity | null;
  onChange: (value: Severity | null) => void;
}

/** How many there are of each verdict that there is; a tap shows these alone, another all again. */
export function SeverityFilter({ counts, value, onChange }: SeverityFilterProps) {
  const palette = usePalette();
  const shown = ASKING.filter((severity) => (counts?.[severity] ?? 0) > 0 || value === severity);
  return (
    <View style={[styles.row, counts === null && styles.coming]} role="group" aria-label={t`Filter`}>
      {shown.map((severity) => {
        const isOn = value === severity;
        const word = i18n._(WORDS[severity]);
        const count = tellCount(counts?.[severity] ?? 0);
        return (
          <Pressable
            key={severity}
            role="button"
            aria-pressed={isOn}
            aria-label={`${word}: ${count}`}
            onPress={() => onChange(isOn ? null : severity)}
            style={[
              styles.chip,
              {
                borderColor: isOn ? palette.ink : palette.line,
                backgroundColor: isOn ? palette.surface : 'transparent',
              },
            ]}
          >
            <LatchGlyph verdict={severity} size={20} />
            <Text style={[styles.word, isOn && STRONG]}>
              {word} {count}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', flexShrink: 1, gap: 4 },
  coming: { minHeight: 48 },
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
  word: { fontSize: 15 },
});
