import { plural, t } from '@lingui/core/macro';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { shownExpansion } from '@/answers/audit/sentences';
import { CodePlate } from '@/look/CodePlate';
import { STRONG } from '@/look/fonts';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';
import { tellDuration } from '@/wording/format';

import { WEEKS_A_MONTH, type PlanItem } from './groups';

interface PlanRowProps {
  item: PlanItem;
  onToggle: () => void;
}

/** A set of the plan, or a code and what it would become; ticked out it stays. */
export function PlanRow({ item, onToggle }: PlanRowProps) {
  const palette = usePalette();
  if (item.type === 'set') {
    const name = item.name ?? t`No set`;
    const count = plural(item.changing, { one: '# code', other: '# codes' });
    return (
      <Tick role="checkbox" isOn={item.changing > 0} label={t`${name}, ${count}`} onPress={onToggle} style={styles.set}>
        <Text variant="titleMedium" style={[STRONG, styles.words]}>
          {name}
        </Text>
        <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
          {count}
        </Text>
      </Tick>
    );
  }
  const { from, move, text } = item;
  const shown = shownExpansion(text, 60);
  const to = move?.to ?? from;
  const gain = move ? tellGain(move.gain) : t`stays`;
  return (
    <View style={[styles.row, { borderColor: palette.line }]}>
      <Tick
        role="checkbox"
        isOn={move !== null}
        label={move ? t`“${from}” becomes “${to}”, ${gain}: ${shown}` : t`“${from}” stays: ${shown}`}
        onPress={onToggle}
        style={styles.tick}
      >
        <View style={styles.words}>
          <View style={styles.codes}>
            <CodePlate code={from} />
            {move && <Text style={{ color: palette.inkSoft }}>→</Text>}
            {move && <CodePlate code={to} />}
          </View>
          <Text variant="bodySmall" numberOfLines={1} style={{ color: palette.inkSoft }}>
            {shown}
          </Text>
        </View>
        <Text variant="bodySmall" style={styles.gain}>
          {gain}
        </Text>
      </Tick>
    </View>
  );
}

/** What a change saves; one that saves nothing is there for another reason. */
function tellGain(gain: number): string {
  const month = gain * WEEKS_A_MONTH;
  return month >= 1 ? t`${{ time: tellDuration(month) }} a month` : t`no longer clashes`;
}

const styles = StyleSheet.create({
  set: { minHeight: 52, marginHorizontal: 16, marginTop: 8 },
  row: { borderTopWidth: 1, marginHorizontal: 16 },
  tick: { minHeight: 64, paddingVertical: 6 },
  words: { flex: 1, minWidth: 0, gap: 4 },
  codes: { flexDirection: 'row', alignItems: 'center', flexWrap: 'wrap', gap: 10 },
  gain: { textAlign: 'right', maxWidth: 96 },
});
