import type { OnKeyboard } from '@yellow-latch/core/effort';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import type { EffortOfOne } from '@/answers/effort/workerApi';
import { tellDuration, tellTaps } from '@/answers/effort/words';
import { Bar } from '@/look/Bar';
import { STRONG } from '@/look/fonts';
import { useList } from '@/frame/replica/ReplicaProvider';

import { useEffort } from './useEffort';
import type { Draft } from './useVerdict';

/** Code against text on the keyboards in use. Its place is kept while it is reckoned, so that nothing moves. */
export function EffortBar({ draft }: { draft: Draft }) {
  const effort = useEffort(draft);
  return <View style={styles.block}>{effort && <Bars effort={effort} />}</View>;
}

function Bars({ effort: { on, names, saved } }: { effort: EffortOfOne }) {
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
  const missing = on.flatMap(({ keyboard, code: typed }) =>
    typed.type === 'not-on-keyboard' ? [`${typed.character} is not on ${names[keyboard]!}`] : [],
  );
  const fromTable = [...new Set(on.flatMap(({ text: { fromTable: signs } }) => signs))];
  return (
    <View role="status" style={styles.bars}>
      <Line name="Typing it" taps={code.taps} seconds={code.seconds} most={most} />
      <Line name="Writing it out" taps={text.taps} seconds={text.seconds} most={most} />
      <Text variant="bodyMedium">
        {saved === null ? (
          'It cannot be typed on any keyboard in use.'
        ) : (
          <>
            <Text style={STRONG}>
              {saved.seconds >= 0
                ? `Saves ${tellDuration(saved.seconds)} each time`
                : `Costs ${tellDuration(-saved.seconds)} more each time`}
            </Text>
            , on your keyboards together, without word prediction.
          </>
        )}
        {missing.length > 0 && saved !== null ? ` ${missing[0]!}.` : ''}
        {fromTable.length > 0
          ? ` ${fromTable.slice(0, 3).join(' ')} ${fromTable.length === 1 ? 'comes' : 'come'} from a table of signs.`
          : ''}
      </Text>
    </View>
  );
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
        {taps === null || seconds === null ? 'not on them' : `${tellTaps(taps)}, ${tellDuration(seconds)}`}
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
