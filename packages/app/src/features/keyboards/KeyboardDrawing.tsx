import { plural } from '@lingui/core/macro';
import type { Keyboard } from '@yellow-latch/core/effort';
import { View } from 'react-native';
import Svg, { Circle, G, Polyline, Rect, Text as SvgText } from 'react-native-svg';

import { FACES } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { keyboardName } from '@/answers/effort/words';

import { extentOf, keysIn, layerName } from '@/parts/keys/drawing';

interface KeyboardDrawingProps {
  keyboard: Keyboard;
  layer: string;
  /** The keys pressed one after the other in this layer; the last is where the finger is. */
  lit: readonly string[];
  width: number;
}

/** A keyboard drawn from its data, in one layer, with the way of the finger over it. */
export function KeyboardDrawing({ keyboard, layer, lit, width }: KeyboardDrawingProps) {
  const palette = usePalette();
  const extent = extentOf(keyboard);
  const scale = width / extent.width;
  const place = (x: number, y: number) => ({ x: (x - extent.left) * scale, y: (y - extent.top) * scale });
  const height = extent.height * scale;
  const way = lit.map((name) => keyboard.keys[name]!).map(({ x, y }) => place(x, y));
  const last = way.at(-1);
  return (
    <View
      role="img"
      aria-label={[
        `${keyboardName(keyboard)}: ${layerName(layer)}`,
        ...(lit.length > 0 ? [tellPressed(lit.length)] : []),
      ].join('; ')}
    >
      <Svg width={width} height={height} aria-hidden>
        {keysIn(keyboard, layer).map(({ name, key, label, behind, isSwitch }) => {
          const { x, y } = place(key.x, key.y);
          const [w, h] = [key.width * scale - 3, key.height * scale - 4];
          const isLit = lit.includes(name);
          const ground = isSwitch ? palette.line : palette.surface;
          const size = Math.min(label.length > 1 ? 13 : 17, h * 0.6, (w * 1.6) / label.length);
          return (
            <G key={name}>
              <Rect
                x={x - w / 2}
                y={y - h / 2}
                width={w}
                height={h}
                rx={4}
                fill={isLit ? palette.ink : ground}
                stroke={palette.inkSoft}
                strokeWidth={1}
              />
              <SvgText
                x={x}
                y={y + size * 0.34}
                fontSize={size}
                fontFamily={FACES.code}
                textAnchor="middle"
                fill={isLit ? palette.surface : palette.ink}
              >
                {label}
              </SvgText>
              {behind !== '' && h > 30 && (
                <SvgText
                  x={x + w / 2 - 3}
                  y={y - h / 2 + 10}
                  fontSize={9}
                  fontFamily={FACES.text}
                  textAnchor="end"
                  fill={isLit ? palette.surface : palette.inkSoft}
                >
                  {behind}
                </SvgText>
              )}
            </G>
          );
        })}
        {way.length > 1 && (
          <Polyline
            points={way.map(({ x, y }) => `${x},${y}`).join(' ')}
            fill="none"
            stroke={palette.alarm}
            strokeWidth={2}
            strokeDasharray="4 3"
            strokeLinejoin="round"
            opacity={0.85}
          />
        )}
        {last && (
          <Circle
            cx={last.x}
            cy={last.y}
            r={Math.min(16, height / 12)}
            fill="none"
            stroke={palette.alarm}
            strokeWidth={2.5}
          />
        )}
      </Svg>
    </View>
  );
}

function tellPressed(keys: number): string {
  return plural(keys, { one: '# key pressed', other: '# keys pressed' });
}
