import { plural, t } from '@lingui/core/macro';
import type { Keyboard } from '@yellow-latch/core/effort';
import { wayInside } from '@yellow-latch/core/effort/inUse';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View, type LayoutChangeEvent } from 'react-native';
import { Text } from 'react-native-paper';

import { tellTaps } from '@/answers/effort/words';
import { Field } from '@/look/Field';
import { FACES, STRONG } from '@/look/fonts';
import { usePalette } from '@/look/useLook';
import { tellDuration } from '@/wording/format';

import { extentOf, layerName, tellPress } from '@/parts/keys/drawing';
import { KeyboardDrawing } from './KeyboardDrawing';

/** A longer text has no way that one could follow with the eye. */
const LONGEST = 80;
/** No keyboard is drawn wider, in px, nor larger than this for each of its mm: a phone stays a phone. */
const WIDEST = 620;
const LARGEST = 6.2;

/** A text typed on a keyboard in thought: the quickest way, press by press, lit on the keys. */
export function WayExplorer({ keyboard, sample, pace }: { keyboard: Keyboard; sample: string; pace: number }) {
  const palette = usePalette();
  const [width, setWidth] = useState(0);
  const [text, setText] = useState(sample);
  const [chosen, setChosen] = useState<number | null>(null);
  const way = wayInside(text.slice(0, LONGEST), keyboard);
  const presses = way.type === 'way' ? way.presses : [];
  const at = Math.min(chosen ?? presses.length - 1, presses.length - 1);
  const layer = presses[at]?.layer ?? keyboard.start;
  // What was pressed in this layer without leaving it.
  let from = Math.max(0, at);
  while (from > 0 && presses[from - 1]!.layer === layer) from -= 1;
  const lit = at < 0 ? [] : presses.slice(from, at + 1).map(({ key }) => key);
  return (
    <View
      style={styles.explorer}
      onLayout={({ nativeEvent }: LayoutChangeEvent) => setWidth(Math.min(WIDEST, nativeEvent.layout.width))}
    >
      <Field
        label={t`Type something to see the keys it takes`}
        isCode
        value={text}
        onChangeText={(next) => {
          setText(next);
          setChosen(null);
        }}
        onBlur={() => {}}
        onSubmit={() => {}}
        error={way.type === 'way' ? undefined : t`“${{ character: way.character }}” isn’t on this keyboard.`}
      />
      <Text role="status" variant="bodyMedium">
        {way.type === 'way' && text !== '' && (
          <>
            <Text style={STRONG}>{tellTaps(way.taps)}</Text>, {tellDuration(way.seconds * pace)}
            {text.length > LONGEST && ` · ${plural(LONGEST, { other: 'first # characters' })}`} · {layerName(layer)}
          </>
        )}
      </Text>
      {width > 0 && (
        <KeyboardDrawing
          keyboard={keyboard}
          layer={layer}
          lit={lit}
          width={Math.min(width, extentOf(keyboard).width * LARGEST)}
        />
      )}
      <ScrollView
        horizontal
        style={styles.row}
        contentContainerStyle={styles.presses}
        role="group"
        aria-label={t`Key by key`}
      >
        {presses.map((press, index) => {
          const isOn = index === at;
          const isLayerNew = index > 0 && presses[index - 1]!.layer !== press.layer;
          return (
            <Pressable
              key={index}
              role="button"
              aria-pressed={isOn}
              aria-label={t`Key ${{ number: index + 1 }}: ${{ press: tellPress(press) }}`}
              onPress={() => setChosen(index)}
              style={[
                styles.press,
                press.gives === '' && { backgroundColor: palette.line },
                { borderColor: isOn ? palette.ink : palette.line },
                isLayerNew && styles.apart,
              ]}
            >
              <Text style={[styles.name, isOn && STRONG]}>{tellPress(press)}</Text>
            </Pressable>
          );
        })}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  explorer: { gap: 8, minWidth: 0 },
  row: { flexGrow: 0 },
  presses: { gap: 6, paddingBottom: 8 },
  press: {
    minWidth: 48,
    minHeight: 48,
    paddingHorizontal: 10,
    borderWidth: 1.5,
    borderRadius: 6,
    alignItems: 'center',
    justifyContent: 'center',
  },
  apart: { marginLeft: 10 },
  name: { fontFamily: FACES.code, fontSize: 16 },
});
