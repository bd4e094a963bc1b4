import { plural, t } from '@lingui/core/macro';
import { tellCount, tellNumber } from '@/wording/format';
import type { Misfires } from '@yellow-latch/core/clash/finding';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import Svg, { Rect } from 'react-native-svg';

import { deviceLabel } from '@/answers/audit/sentences';
import { MarkedText } from '@/look/MarkedText';
import { usePalette } from '@/look/useLook';

const WIDTH = 88;
/** So many are shown until all are asked for, so that what helps is not far below. */
const FIRST = 6;

/** The words in which a code fires, with the share of each, and the figure on each device. */
export function WordShares({
  examples,
  perTenThousand,
  byDevice,
  count,
  code,
}: Misfires & { count: number; code: string }) {
  const palette = usePalette();
  const [isWhole, setWhole] = useState(false);
  const most = examples[0]?.perTenThousand ?? 1;
  const shown = isWhole ? examples : examples.slice(0, FIRST);
  const rest = perTenThousand - shown.reduce((sum, one) => sum + one.perTenThousand, 0);
  return (
    <View style={styles.block}>
      {shown.map(({ word, language, perTenThousand: share }) => {
        const at = word.toLowerCase().indexOf(code.toLowerCase());
        return (
          <View key={`${language} ${word}`} style={styles.line}>
            <View style={styles.word}>
              <MarkedText text={word} spots={at < 0 ? [] : [{ start: at, end: at + code.length }]} />
            </View>
            <Svg width={WIDTH} height={14} aria-hidden>
              <Rect
                x={0.75}
                y={2}
                width={Math.max(2, (share / most) * (WIDTH - 2))}
                height={10}
                rx={2}
                fill={palette.inkSoft}
              />
            </Svg>
            <Text variant="bodyMedium" style={styles.figure}>
              {tellNumber(share)}
            </Text>
          </View>
        );
      })}
      {count > shown.length && (
        <View style={styles.rest}>
          <Text variant="bodyMedium" style={[styles.word, { color: palette.inkSoft }]}>
            {tellRest(count - shown.length, rest)}
          </Text>
          {examples.length > shown.length && (
            <Button
              mode="text"
              onPress={() => setWhole(true)}
              contentStyle={styles.tall}
            >{t`Show ${{ count: tellCount(examples.length) }}`}</Button>
          )}
        </View>
      )}
      <Text
        variant="bodySmall"
        style={{ color: palette.inkSoft }}
      >{t`Times in 10,000 words, as many people write. ${{ devices: tellDevices(byDevice) }}`}</Text>
    </View>
  );
}

function tellRest(words: number, misfires: number): string {
  const sum = tellNumber(Math.max(0, misfires));
  return plural(words, { one: `and # more word (${sum})`, other: `and # more words (${sum} together)` });
}

function tellDevices(byDevice: Misfires['byDevice']): string {
  return Object.entries(byDevice)
    .map(([device, figure]) => `${deviceLabel(device)}: ${tellNumber(figure)}`)
    .join(' · ');
}

const styles = StyleSheet.create({
  block: { gap: 4 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  word: { flex: 1, minWidth: 0 },
  rest: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  tall: { minHeight: 48 },
  figure: { minWidth: 44, textAlign: 'right' },
});
