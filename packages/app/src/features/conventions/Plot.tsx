import { t } from '@lingui/core/macro';
import type { Comparison, MarkCost } from '@yellow-latch/core/convention';
import { frontOf } from '@yellow-latch/core/convention/front';
import { useState } from 'react';
import { View, type LayoutChangeEvent } from 'react-native';
import { Text } from 'react-native-paper';
import Svg, { Circle, G, Line, Polyline, Rect, Text as SvgText } from 'react-native-svg';

import { titleOfMark } from '@/answers/effort/words';
import { FACES } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { tellCount, tellDuration, tellList } from '@/wording/format';

const HEIGHT = 268;
const LEFT = 44;
const BOTTOM = 38;
const TOP = 34;
const WIDEST = 640;
/** Misfires in a week from which they are drawn; below is never. */
const LEAST = 0.01;
const MOST = 100;
const STEPS = [0.01, 0.1, 1, 10, 100];

interface PlotProps {
  comparison: Comparison;
  rows: readonly MarkCost[];
  chosen: MarkCost | null;
}

/** What each mark costs: seconds of one use across, misfires in a week upwards on a scale of tenfolds. */
export function Plot({ comparison: { present, recommendation }, rows, chosen }: PlotProps) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const all = [...rows.map(({ effort }) => effort.seconds), present.effort.seconds];
  const [from, to] = [Math.min(...all) - 0.05, Math.max(...all) + 0.05];
  const x = (seconds: number) => LEFT + ((seconds - from) / (to - from)) * (width - LEFT - 14);
  const y = (aWeek: number) => {
    if (aWeek < LEAST) return HEIGHT - BOTTOM;
    const at = Math.log10(Math.min(MOST, aWeek) / LEAST) / Math.log10(MOST / LEAST);
    return HEIGHT - BOTTOM - 18 - at * (HEIGHT - BOTTOM - 18 - TOP);
  };
  // Of what is shown, which may be signs alone.
  const onFront = frontOf(
    rows.map(({ effort }) => effort.seconds),
    rows.map(({ misfires }) => misfires.aWeek),
  );
  const front = rows.filter((_, index) => onFront.has(index)).sort((a, b) => a.effort.seconds - b.effort.seconds);
  const isRecommended = ({ mark }: MarkCost) =>
    recommendation !== null && mark.place === recommendation.mark.place && mark.marker === recommendation.mark.marker;
  const named = [...new Set([...rows.filter(isRecommended), ...(chosen ? [chosen] : []), ...front.slice(0, 6)])];
  const steps = ticksOf(from, to);
  return (
    <View onLayout={({ nativeEvent }: LayoutChangeEvent) => setWidth(Math.min(WIDEST, nativeEvent.layout.width))}>
      <Text
        variant="bodySmall"
        style={{ color: palette.inkSoft }}
      >{t`Further left is quicker to type, further down has fewer misfires a week. The line joins the best markers.`}</Text>
      {width > 0 && (
        <Svg
          width={width}
          height={HEIGHT}
          role="img"
          aria-label={t`${{ count: tellCount(rows.length) }} markers by typing time and misfires. The best are ${{ best: tellList(front.map(({ mark }) => titleOfMark(mark))) }}`}
        >
          {STEPS.map((step) => (
            <G key={step}>
              <Line x1={LEFT} x2={width} y1={y(step)} y2={y(step)} stroke={palette.line} strokeWidth={1} />
              <SvgText
                x={LEFT - 6}
                y={y(step) + 4}
                fontSize={12}
                fontFamily={FACES.text}
                textAnchor="end"
                fill={palette.inkSoft}
              >
                {step}
              </SvgText>
            </G>
          ))}
          <Line x1={LEFT} x2={width} y1={y(0)} y2={y(0)} stroke={palette.inkSoft} strokeWidth={1.5} />
          <SvgText
            x={LEFT - 6}
            y={y(0) + 4}
            fontSize={12}
            fontFamily={FACES.text}
            textAnchor="end"
            fill={palette.inkSoft}
          >
            {t`never`}
          </SvgText>
          {steps.map((step) => (
            <SvgText
              key={step}
              x={x(step)}
              y={HEIGHT - BOTTOM + 18}
              fontSize={12}
              fontFamily={FACES.text}
              textAnchor="middle"
              fill={palette.inkSoft}
            >
              {tellDuration(step)}
            </SvgText>
          ))}
          {rows.map(({ mark, effort, misfires }) => (
            <Circle
              key={`${mark.place} ${mark.marker}`}
              cx={x(effort.seconds)}
              cy={y(misfires.aWeek)}
              r={3}
              fill={palette.inkSoft}
              opacity={0.55}
            />
          ))}
          <Polyline
            points={front.map(({ effort, misfires }) => `${x(effort.seconds)},${y(misfires.aWeek)}`).join(' ')}
            fill="none"
            stroke={palette.ink}
            strokeWidth={1.5}
          />
          {front.map(({ mark, effort, misfires }) => (
            <Circle
              key={`${mark.place} ${mark.marker}`}
              cx={x(effort.seconds)}
              cy={y(misfires.aWeek)}
              r={4.5}
              fill={palette.ink}
            />
          ))}
          <Circle
            cx={x(present.effort.seconds)}
            cy={y(present.misfires.aWeek)}
            r={7}
            fill="none"
            stroke={palette.alarm}
            strokeWidth={2.5}
          />
          <SvgText
            x={x(present.effort.seconds) + (x(present.effort.seconds) > width - 90 ? -12 : 12)}
            y={y(present.misfires.aWeek) + 4}
            fontSize={13}
            fontFamily={FACES.strong}
            textAnchor={x(present.effort.seconds) > width - 90 ? 'end' : 'start'}
            fill={palette.alarm}
          >{t`now`}</SvgText>
          {named.map((row) => {
            const label = shortMark(row);
            const isLatch = isRecommended(row);
            const [cx, cy] = [x(row.effort.seconds), y(row.misfires.aWeek)];
            const w = 12 + label.length * 8.5;
            return (
              <G key={label}>
                <Rect
                  x={cx - w / 2}
                  y={cy - 29}
                  width={w}
                  height={21}
                  rx={4}
                  fill={isLatch ? palette.latch : palette.surface}
                  stroke={palette.keyline}
                  strokeWidth={1.2}
                />
                <SvgText
                  x={cx}
                  y={cy - 14}
                  fontSize={14}
                  fontFamily={FACES.code}
                  textAnchor="middle"
                  fill={isLatch ? palette.onLatch : palette.ink}
                >
                  {label}
                </SvgText>
              </G>
            );
          })}
        </Svg>
      )}
    </View>
  );
}

/** A mark on a code that is only dots. */
function shortMark({ mark: { place, marker } }: MarkCost): string {
  switch (place) {
    case 'before':
      return `${marker}··`;
    case 'after':
      return `··${marker}`;
    case 'both':
      return `${marker}·${marker}`;
    case 'doubled':
      return 'aa·';
    case 'bare':
      return '··';
  }
}

/** Round steps between two lengths of time. */
function ticksOf(from: number, to: number): number[] {
  const step = [0.1, 0.2, 0.5, 1, 2, 5].find((one) => (to - from) / one <= 6) ?? 10;
  const first = Math.ceil(from / step);
  return Array.from(
    { length: Math.floor(to / step) - first + 1 },
    (_, index) => Math.round((first + index) * step * 10) / 10,
  );
}
