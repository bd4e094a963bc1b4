import { t } from '@lingui/core/macro';
import { splitMarker } from '@yellow-latch/core/model';
import { StyleSheet, Text, View } from 'react-native';

import { FACES } from './fonts';
import { usePalette } from './useLook';

interface CodePlateProps {
  code: string;
  size?: 'row' | 'large';
}

/**
 * A code on its plate. The marker stands out in yellow, as the latch that holds the plate; a code
 * without a marker has none. Blanks inside a code are drawn as ␣.
 */
export function CodePlate({ code, size = 'row' }: CodePlateProps) {
  const palette = usePalette();
  const { before, mnemonic, after } = splitMarker(code);
  const large = size === 'large';
  const text = [styles.text, large && styles.largeText, { color: palette.ink }];
  const latch = (marker: string) => (
    <View
      style={[
        styles.latch,
        large && styles.largeLatch,
        { backgroundColor: palette.latch, borderColor: palette.keyline },
      ]}
    >
      <Text style={[text, { color: palette.onLatch }]}>{marker}</Text>
    </View>
  );
  return (
    <View style={styles.plateRow} role="img" aria-label={t`Code ${code}`}>
      {before !== '' && latch(before)}
      <View
        aria-hidden
        style={[
          styles.plate,
          { backgroundColor: palette.surface, borderColor: palette.keyline },
          before !== '' && styles.heldLeft,
          after !== '' && styles.heldRight,
        ]}
      >
        <Text style={text}>{mnemonic.replaceAll(' ', '␣')}</Text>
      </View>
      {after !== '' && latch(after)}
    </View>
  );
}

const styles = StyleSheet.create({
  plateRow: { flexDirection: 'row', alignItems: 'center', alignSelf: 'flex-start', flexShrink: 1 },
  plate: {
    borderWidth: 1.5,
    borderRadius: 5,
    paddingHorizontal: 6,
    paddingVertical: 1,
    flexShrink: 1,
  },
  heldLeft: { borderLeftWidth: 0, borderTopLeftRadius: 0, borderBottomLeftRadius: 0 },
  heldRight: { borderRightWidth: 0, borderTopRightRadius: 0, borderBottomRightRadius: 0 },
  latch: { borderWidth: 1.5, borderRadius: 4, paddingHorizontal: 5, paddingVertical: 3, zIndex: 1 },
  largeLatch: { paddingHorizontal: 9 },
  text: { fontFamily: FACES.code, fontSize: 16, lineHeight: 22 },
  largeText: { fontSize: 24, lineHeight: 32 },
});
