import { t } from '@lingui/core/macro';
import type { ListFigures } from '@yellow-latch/core/clash';
import { BREAKS_FROM, RISKY_FROM } from '@yellow-latch/core/clash/finding';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { Circle, Line, Rect } from 'react-native-svg';

import { deviceLabel, tellPerTenThousand } from '@/answers/audit/sentences';
import { STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { tellNumber } from '@/wording/format';

/** From one misfire in a hundred million words to a thousand in ten thousand, on a scale of tenfolds. */
const LEAST = 0.001;
const MOST = 1_000;
const WIDTH = 152;
const HEIGHT = 20;

/** The place of a figure on the scale, in px from its left. */
function placeOf(perTenThousand: number): number {
  const from = Math.log10(LEAST);
  const to = Math.log10(MOST);
  const at = (Math.log10(Math.max(LEAST, Math.min(MOST, perTenThousand))) - from) / (to - from);
  return 6 + at * (WIDTH - 12);
}

/** A line of the chart as a screen reader reads it, with its units. */
function tellLine(device: string, figure: ListFigures[string]): string {
  const label = deviceLabel(device);
  const words = tellPerTenThousand(figure);
  const links = figure.per100Contexts > 0 ? tellNumber(figure.per100Contexts) : t`none`;
  return t`${label}: misfires ${words} in 10,000 words · ${links} in 100 links and prices`;
}

/** How often the list fires by mistake on each device: a dot in its band, on a scale of tenfolds. */
export function FigureChart({ figures }: { figures: ListFigures }) {
  const palette = usePalette();
  return (
    <View style={styles.chart}>
      <Text
        variant="bodySmall"
        style={{ color: palette.inkSoft }}
      >{t`Misfires of your list in 10,000 words · in 100 links and prices`}</Text>
      {Object.entries(figures).map(([device, { perTenThousand, band, upTo, per100Contexts }]) => (
        <View key={device} role="img" aria-label={tellLine(device, figures[device]!)} style={styles.line}>
          <Text variant="bodyMedium" numberOfLines={2} style={styles.device}>
            {deviceLabel(device)}
          </Text>
          <Svg width={WIDTH} height={HEIGHT} aria-hidden>
            <Rect
              x={placeOf(RISKY_FROM)}
              y={4}
              width={WIDTH - placeOf(RISKY_FROM)}
              height={12}
              fill={palette.line}
              opacity={0.45}
            />
            <Rect x={placeOf(BREAKS_FROM)} y={4} width={WIDTH - placeOf(BREAKS_FROM)} height={12} fill={palette.line} />
            <Line x1={0} y1={HEIGHT / 2} x2={WIDTH} y2={HEIGHT / 2} stroke={palette.inkSoft} strokeWidth={1} />
            <Line
              x1={placeOf(perTenThousand * band.low)}
              y1={HEIGHT / 2}
              x2={placeOf(upTo)}
              y2={HEIGHT / 2}
              stroke={palette.ink}
              strokeWidth={4}
              strokeLinecap="round"
            />
            <Circle
              cx={perTenThousand > 0 ? placeOf(perTenThousand) : 6}
              cy={HEIGHT / 2}
              r={5}
              fill={perTenThousand > 0 ? palette.ink : palette.ground}
              stroke={palette.ink}
              strokeWidth={1.5}
            />
          </Svg>
          <Text variant="bodyMedium" style={styles.figure}>
            <Text style={styles.strong}>{tellPerTenThousand({ perTenThousand, upTo })}</Text>
            <Text style={{ color: palette.inkSoft }}>
              {' '}
              · {per100Contexts > 0 ? tellNumber(per100Contexts) : t`none`}
            </Text>
          </Text>
        </View>
      ))}
      <View style={styles.line}>
        <View style={styles.device} />
        <View style={styles.scale}>
          <Text
            variant="labelSmall"
            style={[styles.mark, { color: palette.inkSoft, right: WIDTH - placeOf(BREAKS_FROM) + 6 }]}
          >
            {t`risky`}
          </Text>
          <Text variant="labelSmall" style={[styles.mark, { color: palette.inkSoft, left: placeOf(BREAKS_FROM) }]}>
            {t`fix`}
          </Text>
        </View>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  chart: { gap: 2 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  device: { width: 88, fontSize: 15 },
  figure: { flex: 1, textAlign: 'right' },
  strong: STRONG,
  scale: { width: WIDTH, height: 14 },
  mark: { position: 'absolute', top: -3, fontSize: 12 },
});
