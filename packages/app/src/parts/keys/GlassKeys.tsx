import { t } from '@lingui/core/macro';
import type { Keyboard, Press } from '@yellow-latch/core/effort';
import { layerAfter, layerBefore } from '@yellow-latch/core/effort/glassLayer';
import { useRef, useState } from 'react';
import { Pressable, StyleSheet, View, type LayoutChangeEvent } from 'react-native';
import { Text } from 'react-native-paper';

import { FACES } from '@/look/fonts';
import { Icon, type IconName } from '@/look/icons';
import { keepingFocus } from '@/look/keepingFocus';
import { usePalette } from '@/look/useLook';
import { keyboardName } from '@/answers/effort/words';

import { extentOf, keysIn, layerName, type DrawnKey } from './drawing';

interface GlassKeysProps {
  keyboard: Keyboard;
  /** What it types into, where that may change by other means than its keys: the layer follows. */
  text?: string;
  /** No higher than this, in px. */
  mostHeight?: number;
  /** What stands before the caret. */
  before: () => string;
  onKey: (text: string) => void;
  onBackspace: () => void;
  /** Every tap on it, whatever it did. */
  onTap: () => void;
}

/** No key is drawn larger than this for each of its mm: a phone's stays a phone's. */
const LARGEST = 6.4;
/** The place that layouts leave free for it, right of the lowest row of letters. */
const BACKSPACE = { x: 0.93, width: 0.14 };
/** What lies behind a key is shown so far above it, in px: clear of the finger that still lies there. */
const ABOVE = 66;
const ICONS: Readonly<Record<string, IconName>> = { ' ': 'space', '\n': 'return' };

/** A keyboard on glass, drawn from its data, on which one really types: its layers have to be changed as on a device. */
export function GlassKeys({
  keyboard,
  text,
  mostHeight = Infinity,
  before,
  onKey,
  onBackspace,
  onTap,
}: GlassKeysProps) {
  const palette = usePalette();
  const [room, setRoom] = useState(0);
  const [layer, setLayer] = useState(() => layerBefore(before(), keyboard.start, keyboard));
  const [seen, setSeen] = useState(text);
  const [isByKey, setByKey] = useState(false);
  if (seen !== text) {
    setSeen(text);
    setByKey(false);
    if (!isByKey) setLayer(layerBefore(before(), keyboard.start, keyboard));
  }
  /** The key that is held, and what lies behind it. */
  const [held, setHeld] = useState<{ key: DrawnKey; choices: readonly Press[] } | null>(null);
  const wasHeld = useRef(false);
  const extent = extentOf(keyboard);
  const width = Math.min(room, extent.width * Math.min(LARGEST, mostHeight / extent.height));
  const scale = width / extent.width;
  const height = extent.height * scale;
  const press = (one: Press) => {
    onTap();
    setHeld(null);
    if (one.gives !== '') {
      onKey(one.gives);
      setByKey(true);
    }
    setLayer(layerAfter(one, before(), keyboard));
  };
  const back = () => {
    onTap();
    onBackspace();
    setByKey(true);
    setLayer(layerBefore(before(), layer, keyboard));
  };
  const pressesOf = (name: string) => keyboard.presses.filter((one) => one.layer === layer && one.key === name);
  const place = ({ x, y, width: w, height: h }: Pick<DrawnKey['key'], 'x' | 'y' | 'width' | 'height'>) => ({
    left: (x - w / 2 - extent.left) * scale + 1.5,
    top: (y - h / 2 - extent.top) * scale + 2,
    width: w * scale - 3,
    height: h * scale - 4,
  });
  const rows = [...new Set(Object.values(keyboard.keys).map(({ y }) => y))].sort((a, b) => a - b);
  const rowHeight = Object.values(keyboard.keys)[0]!.height;
  const backspace = {
    x: BACKSPACE.x * extent.width + extent.left,
    y: rows.at(-2)!,
    width: BACKSPACE.width * extent.width,
    height: rowHeight,
  };
  return (
    <View
      role="group"
      aria-label={`${keyboardName(keyboard)}: ${layerName(layer)}`}
      onLayout={({ nativeEvent }: LayoutChangeEvent) => setRoom(nativeEvent.layout.width)}
      style={[styles.board, { backgroundColor: palette.ground, borderColor: palette.line }]}
    >
      <View style={{ width, height }}>
        {width > 0 &&
          keysIn(keyboard, layer).map((drawn) => {
            const presses = pressesOf(drawn.name);
            const plain = presses.find(({ hold }) => hold === undefined) ?? presses[0]!;
            const choices = presses.filter(({ hold }) => hold !== undefined);
            const isUp = plain.gives === '' && (layer === 'capitals' || layer === 'locked') && drawn.name === 'shift';
            const icon = drawn.name === 'shift' && layer !== 'locked' ? 'shift' : ICONS[plain.gives];
            const color = isUp ? palette.surface : palette.ink;
            const ground = drawn.isSwitch ? palette.line : palette.surface;
            const label =
              choices.length > 0 ? t`${{ key: drawn.label }}, hold for ${{ more: drawn.behind }}` : drawn.label;
            return (
              <Pressable
                key={drawn.name}
                role="button"
                aria-label={
                  drawn.isSwitch ? t`${{ key: drawn.label }}, switch to ${{ layer: layerName(plain.to[0]!) }}` : label
                }
                tabIndex={-1}
                delayLongPress={400}
                onLongPress={
                  choices.length > 0
                    ? () => {
                        wasHeld.current = true;
                        setHeld({ key: drawn, choices });
                      }
                    : undefined
                }
                onPressIn={() => {
                  wasHeld.current = false;
                }}
                onPress={() => {
                  if (!wasHeld.current) press(plain);
                }}
                {...keepingFocus}
                style={({ pressed }) => [
                  styles.key,
                  place(drawn.key),
                  {
                    borderColor: palette.inkSoft,
                    backgroundColor: isUp ? palette.ink : ground,
                  },
                  pressed && { backgroundColor: palette.inkSoft },
                ]}
              >
                {icon ? (
                  <Icon name={icon} size={20} color={color} />
                ) : (
                  <Text style={[styles.sign, { color, fontSize: drawn.label.length > 2 ? 14 : 19 }]}>
                    {drawn.label}
                  </Text>
                )}
                {drawn.behind !== '' && (
                  <Text aria-hidden numberOfLines={1} style={[styles.behind, { color: palette.inkSoft }]}>
                    {drawn.behind.slice(0, 2)}
                  </Text>
                )}
              </Pressable>
            );
          })}
        {width > 0 && (
          <Pressable
            role="button"
            aria-label={t`Backspace`}
            tabIndex={-1}
            onPress={back}
            {...keepingFocus}
            style={[styles.key, place(backspace), { borderColor: palette.inkSoft, backgroundColor: palette.line }]}
          >
            <Icon name="backspace" size={20} color={palette.ink} />
          </Pressable>
        )}
        {held && (
          <View
            role="group"
            aria-label={t`More for ${{ key: held.key.label }}`}
            style={[
              styles.held,
              { backgroundColor: palette.surface, borderColor: palette.ink, top: place(held.key.key).top - ABOVE },
            ]}
          >
            {held.choices.map((choice) => (
              <Pressable
                key={choice.gives}
                role="button"
                aria-label={choice.gives}
                onPress={() => press(choice)}
                {...keepingFocus}
                style={styles.choice}
              >
                <Text style={styles.sign}>{choice.gives}</Text>
              </Pressable>
            ))}
            <Pressable
              role="button"
              aria-label={t`None`}
              onPress={() => setHeld(null)}
              {...keepingFocus}
              style={styles.choice}
            >
              <Icon name="close" size={18} color={palette.ink} />
            </Pressable>
          </View>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  board: { alignItems: 'center', paddingVertical: 6, borderTopWidth: 1 },
  key: { position: 'absolute', borderWidth: 1, borderRadius: 5, alignItems: 'center', justifyContent: 'center' },
  sign: { fontFamily: FACES.code, fontSize: 19, lineHeight: 24 },
  behind: { position: 'absolute', top: 1, right: 4, fontSize: 10, lineHeight: 13 },
  held: {
    position: 'absolute',
    alignSelf: 'center',
    left: 8,
    right: 8,
    flexDirection: 'row',
    flexWrap: 'wrap',
    justifyContent: 'center',
    borderWidth: 1.5,
    borderRadius: 8,
    padding: 4,
    zIndex: 1,
  },
  choice: { minWidth: 48, minHeight: 48, alignItems: 'center', justifyContent: 'center' },
});
