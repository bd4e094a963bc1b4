import { t } from '@lingui/core/macro';
import type { CannotRecode, Recode } from '@yellow-latch/core/convention/plan';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { CodePlate } from '@/look/CodePlate';
import { LatchGlyph } from '@/look/LatchGlyph';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

interface RecodeRowProps {
  recode: Recode;
  /** Whether it is to change; false: ticked out. */
  isIncluded: boolean;
  onToggle: () => void;
}

/** A code, and what it would become; ticked out it stays. */
export function RecodeRow({ recode: { from, to, insteadOf }, isIncluded, onToggle }: RecodeRowProps) {
  const palette = usePalette();
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <Tick
        role="checkbox"
        isOn={isIncluded}
        label={isIncluded ? tellRecode(from, to, insteadOf) : t`“${from}” stays`}
        onPress={onToggle}
        style={styles.tick}
      >
        <View style={styles.plate}>
          <CodePlate code={from} />
        </View>
        <Text style={{ color: palette.inkSoft }}>→</Text>
        <View style={[styles.plate, !isIncluded && styles.out]}>
          <CodePlate code={isIncluded ? to : from} />
        </View>
      </Tick>
      {isIncluded && insteadOf && (
        <Text variant="bodySmall" style={[styles.note, { color: palette.inkSoft }]}>{t`“${insteadOf}” is in use`}</Text>
      )}
    </View>
  );
}

function tellRecode(from: string, to: string, insteadOf: string | null | undefined): string {
  return insteadOf ? t`“${from}” becomes “${to}”, because “${insteadOf}” is in use` : t`“${from}” becomes “${to}”`;
}

/** A code that cannot follow, and why. */
export function CannotRow({ cannot: { from, to, why } }: { cannot: CannotRecode }) {
  const palette = usePalette();
  return (
    <View style={[styles.row, styles.cannot, { borderColor: palette.line }]}>
      <LatchGlyph verdict="risky" size={24} />
      <View style={styles.plate}>
        <CodePlate code={from} />
      </View>
      <Text variant="bodyMedium" style={styles.why}>
        {why.type === 'in use'
          ? t`stays, because “${to}” is in use and nothing similar is free`
          : t`stays, because “${to}” would be too long`}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderTopWidth: 1, marginHorizontal: 16, flexDirection: 'row', alignItems: 'center', flexWrap: 'wrap' },
  tick: { minHeight: 52, flex: 1, minWidth: 240 },
  plate: { minWidth: 96 },
  out: { opacity: 0.45 },
  note: { paddingRight: 4 },
  cannot: { gap: 10, minHeight: 52 },
  why: { flex: 1, minWidth: 120 },
});
