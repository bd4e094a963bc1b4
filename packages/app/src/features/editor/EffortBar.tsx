import { t } from '@lingui/core/macro';
import type { OnKeyboard } from '@yellow-latch/core/effort';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import type { EffortOfOne } from '@/answers/effort/workerApi';
import { tellTaps } from '@/answers/effort/words';
import { Bar } from '@/look/Bar';
import { STRONG } from '@/look/fonts';
import { useList } from '@/frame/replica/ReplicaProvider';
import { tellDuration } from '@/wording/format';

/** Code against text on the keyboards in use. Its place is kept while it is reckoned, so that nothing moves. Null: not reckoned (yet). */
export function EffortBar({ effort }: { effort: EffortOfOne | null }) {
  return <View style={styles.block}>{effort && <Bars effort={effort} />}</View>;
}

function Bars({ effort: { on, saved } }: { effort: EffortOfOne }) {
  const { keyboards } = useList();
  const codes = on.flatMap(({ code }) => (code.type === 'effort' ? [code.seconds] : []));
  const most = Math.max(...on.map(({ text }) => text.seconds), ...codes, 1e-9);
  const shares = keyboards.map(({ share }) => share);
  const mean = (of: (one: OnKeyboard) => number | null) => {
    const counted = on.flatMap((one, index) => {
      const value = of(one);
      return value === null ? [] : [{ value, share: shares[index] ?? 1 }];
    });
    const all = counted.reduce((sum, { share }) => sum + share, 0);
    return all === 0 ? null : counted.reduce((sum, { value, share }) => sum + value * share, 0) / all;
  };
  const code = {
    taps: mean((one) => (one.code.type === 'effort' ? one.code.taps : null)),
    seconds: mean((one) => (one.code.type === 'effort' ? one.code.seconds : null)),
  };
  const text = { taps: mean((one) => one.text.taps), seconds: mean((one) => one.text.seconds) };
  return (
    <View role="status" style={styles.bars}>
      <Line name={t`Code`} taps={code.taps} seconds={code.seconds} most={most} />
      <Line name={t`Whole text`} taps={text.taps} seconds={text.seconds} most={most} />
      <Text variant="bodyMedium" style={STRONG}>
        {tellSaved(saved)}
      </Text>
    </View>
  );
}

function tellSaved(saved: EffortOfOne['saved']): string {
  if (saved === null) return t`None of your keyboards can type this code.`;
  const time = tellDuration(Math.abs(saved.seconds));
  return saved.seconds >= 0 ? t`Saves ${time} each time` : t`Takes ${time} longer each time`;
}

function Line({
  name,
  taps,
  seconds,
  most,
}: {
  name: string;
  taps: number | null;
  seconds: number | null;
  most: number;
}) {
  return (
    <View style={styles.line}>
      <Text variant="bodyMedium" style={styles.name}>
        {name}
      </Text>
      <Bar part={(seconds ?? 0) / most} />
      <Text variant="bodyMedium" style={styles.figure}>
        {taps === null || seconds === null ? t`can’t be typed` : `${tellTaps(taps)}, ${tellDuration(seconds)}`}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { minHeight: 100, justifyContent: 'center' },
  bars: { gap: 4 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  name: { width: 104 },
  figure: { minWidth: 112, textAlign: 'right' },
});
