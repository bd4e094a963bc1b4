import { t } from '@lingui/core/macro';
import { tellCount, tellDuration } from '@/wording/format';
import type { Saved, Savings } from '@yellow-latch/core/effort';
import { WEEKS_A_YEAR } from '@yellow-latch/core/effort/assumptions';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { tellTaps } from '@/answers/effort/words';
import { Bar } from '@/look/Bar';
import { STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';

interface SumsProps {
  savings: Savings;
  /** Whether use has been counted for less than a week, so that nothing can be said of a year. */
  isYoung: boolean;
  nameOfKeyboard: (id: string) => string;
  nameOfSet: (id: string) => string;
}

/** What the list saves in a week and a year, and where. */
export function Sums({ savings: { week, byKeyboard, bySet, each }, isYoung, nameOfKeyboard, nameOfSet }: SumsProps) {
  const palette = usePalette();
  const known = each.filter(({ uses }) => uses !== null).length;
  return (
    <View style={styles.sums}>
      <Text variant="headlineSmall" style={STRONG}>
        {isYoung
          ? t`You’ve saved ${{ week: tellDuration(week.seconds) }} so far`
          : t`You save ${{ week: tellDuration(week.seconds) }} a week, ${{ year: tellDuration(week.seconds * WEEKS_A_YEAR) }} a year`}
      </Text>
      {isYoung && <Text variant="bodyLarge">{t`After a week of use, you see what that makes in a year.`}</Text>}
      <Text variant="bodyMedium" style={{ color: palette.inkSoft }}>
        {isYoung
          ? t`And ${{ taps: tellTaps(week.taps) }}. Counted for the ${{ known: tellCount(known) }} of ${{ all: tellCount(each.length) }} shortcuts whose use is known, with predictive text off.`
          : t`And ${{ taps: tellTaps(week.taps) }} a week. Counted for the ${{ known: tellCount(known) }} of ${{ all: tellCount(each.length) }} shortcuts whose use is known, with predictive text off.`}
      </Text>
      <Split title={t`By keyboard`} sums={byKeyboard} nameOf={nameOfKeyboard} />
      <Split title={t`By set`} sums={bySet} nameOf={nameOfSet} />
    </View>
  );
}

function Split({
  title,
  sums,
  nameOf,
}: {
  title: string;
  sums: Readonly<Record<string, Saved>>;
  nameOf: (id: string) => string;
}) {
  const entries = Object.entries(sums).sort(([, a], [, b]) => b.seconds - a.seconds);
  const most = Math.max(...entries.map(([, { seconds }]) => seconds), 1e-9);
  if (entries.length === 0) return null;
  return (
    <View role="group" aria-label={title} style={styles.split}>
      <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
        {title}
      </Text>
      {entries.map(([id, { seconds }]) => (
        <View key={id} style={styles.line}>
          <Text variant="bodyMedium" numberOfLines={2} style={styles.name}>
            {nameOf(id)}
          </Text>
          <Bar part={seconds / most} />
          <Text style={[STRONG, styles.figure]}>{tellDuration(seconds)}</Text>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  sums: { paddingHorizontal: 16, gap: 8, maxWidth: 760 },
  split: { gap: 6, paddingTop: 8 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  name: { width: 140 },
  figure: { minWidth: 56, textAlign: 'right' },
});
