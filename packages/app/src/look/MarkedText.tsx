import { StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';

import { FACES } from './fonts';
import { cutAtSpots, type Spot } from './spots';
import { usePalette } from './useLook';
import { webStyle } from './webStyle';

interface MarkedTextProps {
  text: string;
  /** In their order. */
  spots: readonly Spot[];
  /** Shows at most so much before and behind the first spot; all of it unless told. */
  around?: number;
}

/** A text with spots marked dark, in the face of codes, so that they stand out without colour. */
export function MarkedText({ text, spots, around = Infinity }: MarkedTextProps) {
  const palette = usePalette();
  const first = spots[0] ?? { start: 0, end: 0 };
  const from = Math.max(0, first.start - around);
  const past = Math.min(text.length, first.end + around);
  return (
    <Text style={styles.text}>
      {from > 0 && '…'}
      {cutAtSpots(text, spots, from, past).map((piece) =>
        piece.spot ? (
          <Text key={piece.start} style={[styles.spot, { backgroundColor: palette.ink, color: palette.ground }]}>
            {visible(piece.text)}
          </Text>
        ) : (
          piece.text
        ),
      )}
      {past < text.length && '…'}
    </Text>
  );
}

/** Blanks and new lines as signs, since in a mark they are what is meant. */
function visible(text: string): string {
  return text.replaceAll(' ', '␣').replaceAll('\n', '↵\n');
}

const styles = StyleSheet.create({
  text: { fontFamily: FACES.text, fontSize: 15, lineHeight: 24, ...webStyle({ overflowWrap: 'anywhere' }) },
  spot: { fontFamily: FACES.code, borderRadius: 3, paddingHorizontal: 2 },
});
