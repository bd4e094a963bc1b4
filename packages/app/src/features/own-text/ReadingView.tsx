import { t } from '@lingui/core/macro';
import { useEffect, useRef } from 'react';
import { ScrollView, StyleSheet, Text, View } from 'react-native';

import { FACES } from '@/look/fonts';
import { cutAtSpots } from '@/look/spots';
import { usePalette } from '@/look/useLook';
import { webStyle } from '@/look/webStyle';

import type { OwnPlace } from './places';

interface ReadingViewProps {
  text: string;
  /** What of the text is shown. */
  from: number;
  past: number;
  /** The misfires in it, in their order. */
  spots: readonly OwnPlace[];
  /** The one that is stepped to; it is scrolled to. */
  current: OwnPlace | null;
}

/** A page of a text with its misfires marked, the current one most. */
export function ReadingView({ text, from, past, spots, current }: ReadingViewProps) {
  const palette = usePalette();
  const spot = useRef<Text & HTMLElement>(null);
  const at = current?.start;
  useEffect(() => {
    spot.current?.scrollIntoView({ block: 'center' });
  }, [at]);
  return (
    // It takes the focus so that the arrow keys scroll it.
    <ScrollView
      tabIndex={0}
      role="region"
      aria-label={t`Your text with its misfires`}
      style={[styles.view, { backgroundColor: palette.surface, borderColor: palette.line }]}
    >
      <View style={styles.page}>
        <Text style={[styles.text, { color: palette.ink }]}>
          {from > 0 && '…\n'}
          {cutAtSpots(text, spots, from, past).map((piece) =>
            piece.spot ? (
              <Text
                key={piece.start}
                ref={piece.start === at ? spot : undefined}
                style={[
                  styles.spot,
                  piece.start === at
                    ? { backgroundColor: palette.ink, color: palette.ground }
                    : { color: palette.ink, textDecorationLine: 'underline', textDecorationStyle: 'double' },
                ]}
              >
                {piece.text}
              </Text>
            ) : (
              piece.text
            ),
          )}
          {past < text.length && '\n…'}
        </Text>
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  view: { flex: 1, minHeight: 0, borderTopWidth: 1 },
  page: { padding: 16, maxWidth: 760 },
  text: { fontFamily: FACES.text, fontSize: 17, lineHeight: 28, ...webStyle({ overflowWrap: 'anywhere' }) },
  spot: { fontFamily: FACES.code },
});
