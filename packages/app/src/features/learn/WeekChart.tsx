import { useState } from 'react';
import { StyleSheet, View, type LayoutChangeEvent } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { Circle, Line, Path, Rect, Text as SvgText } from 'react-native-svg';

import { FACES, STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { tellDay } from '@/wording/format';

interface WeekChartProps {
  title: string;
  /** What it shows in a sentence, with its figures. */
  told: string;
  /** A value for each week, the latest last; null: none. */
  values: readonly (number | null)[];
  /** When each week ended; ms since 1970. */
  ends: readonly number[];
  as: 'bars' | 'line';
  tell: (value: number) => string;
}

const HEIGHT = 132;
const TOP = 22;
const BOTTOM = 22;
const WIDEST = 560;

/** How something went, week by week: a small chart, its last figure beside it, and all of it in a sentence. */
export function WeekChart({ title, told, values, ends, as, tell }: WeekChartProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const known = values.filter((value) => value !== null);
  const most = Math.max(...known, as === 'bars' ? 4 : 0.5);
  const step = width / values.length;
  const x = (index: number) => (index + 0.5) * step;
  const y = (value: number) => HEIGHT - BOTTOM - (value / most) * (HEIGHT - TOP - BOTTOM);
  const points = values.flatMap((value, index) => (value === null ? [] : [{ value, index }]));
  const last = points.at(-1);
  return (
    <View onLayout={({ nativeEvent }: LayoutChangeEvent) => setWidth(Math.min(WIDEST, nativeEvent.layout.width))}>
      <Text variant="titleMedium" role="heading" aria-level={2} style={STRONG}>
        {title}
      </Text>
      <Text variant="bodyMedium">{told}</Text>
      {width > 0 && known.length > 0 && (
        <Svg width={width} height={HEIGHT} role="img" aria-label={`${title}: ${told}`} style={styles.chart}>
          <Line x1={0} x2={width} y1={y(0)} y2={y(0)} stroke={palette.inkSoft} strokeWidth={1.5} />
          {as === 'bars' &&
            points.map(({ value, index }) => (
              <Rect
                key={index}
                x={x(index) - step * 0.32}
                width={step * 0.64}
                y={y(value)}
                height={Math.max(0, y(0) - y(value))}
                fill={index === last?.index ? palette.latch : palette.line}
                stroke={palette.keyline}
                strokeWidth={1}
              />
            ))}
          {as === 'line' && (
            <Path
              d={points.map(({ value, index }, at) => `${at === 0 ? 'M' : 'L'}${x(index)} ${y(value)}`).join(' ')}
              fill="none"
              stroke={palette.ink}
              strokeWidth={2}
            />
          )}
          {as === 'line' &&
            points.map(({ value, index }) => (
              <Circle key={index} cx={x(index)} cy={y(value)} r={4} fill={palette.ink} />
            ))}
          {last && (
            <SvgText
              x={x(last.index)}
              y={y(last.value) - 8}
              fontSize={14}
              fontFamily={FACES.strong}
              textAnchor={last.index > values.length - 3 ? 'end' : 'middle'}
              fill={palette.ink}
            >
              {tell(last.value)}
            </SvgText>
          )}
          <SvgText x={0} y={HEIGHT - 4} fontSize={13} fontFamily={FACES.text} fill={palette.inkSoft}>
            {tellDay(ends[0]!)}
          </SvgText>
          <SvgText
            x={width}
            y={HEIGHT - 4}
            fontSize={13}
            fontFamily={FACES.text}
            textAnchor="end"
            fill={palette.inkSoft}
          >
            {tellDay(ends.at(-1)!)}
          </SvgText>
        </Svg>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ chart: { marginTop: 6 } });
