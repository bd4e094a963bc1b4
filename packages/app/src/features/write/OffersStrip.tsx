import type { Offer } from '@yellow-latch/core/fire';
import { useEffect, useRef } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';

import { CodePlate } from '@/look/CodePlate';
import { Icon } from '@/look/icons';
import { usePalette } from '@/look/useLook';

import { keepingFocus } from '@/look/keepingFocus';

/** The element id of the list of offers, and of one in it, for the field whose offers they are. */
export const OFFERS_ID = 'offers';
export const offerId = (index: number) => `offer-${index}`;

interface OffersStripProps {
  offers: readonly Offer[];
  /** What each gives, for the eye. */
  textOf: (offer: Offer) => string;
  /** The one that the arrows have come to. */
  chosen: number | null;
  /** The shortcut that fires unless a longer code follows. */
  waiting: string | null;
  onTake: (offer: Offer) => void;
  onKeep: () => void;
}

/**
 * What could be had by a tap while a code, or its beginning, is typed. Whole codes stand first, with a keyline of ink;
 * of the others the part that is still to be typed is told by their plate.
 */
export function OffersStrip({ offers, textOf, chosen, waiting, onTake, onKeep }: OffersStripProps) {
  const palette = usePalette();
  const scroll = useRef<ScrollView>(null);
  const places = useRef<number[]>([]);
  useEffect(() => {
    if (chosen !== null) scroll.current?.scrollTo({ x: Math.max(0, (places.current[chosen] ?? 0) - 24), animated: false });
  }, [chosen]);
  return (
    <View style={styles.strip}>
      <ScrollView ref={scroll} horizontal keyboardShouldPersistTaps="always" style={styles.scroll} showsHorizontalScrollIndicator={false}>
        <View role={'listbox' as never} id={OFFERS_ID} aria-label="Offers" style={styles.list}>
          {offers.map((offer, index) => {
            const { entry, isExact } = offer;
            const isChosen = index === chosen;
            return (
              <Pressable
                key={entry.id}
                role="option"
                id={offerId(index)}
                aria-selected={isChosen}
                aria-label={`${entry.code}: ${textOf(offer)}`}
                tabIndex={-1}
                onPress={() => onTake(offer)}
                onLayout={({ nativeEvent }) => {
                  places.current[index] = nativeEvent.layout.x;
                }}
                {...keepingFocus}
                style={[
                  styles.offer,
                  { borderColor: isExact ? palette.ink : palette.line, backgroundColor: isChosen ? palette.ink : palette.surface },
                  isChosen && { borderColor: palette.ink },
                ]}
              >
                <View style={styles.plate}>
                  <CodePlate code={entry.code} />
                </View>
                <View style={styles.words}>
                  <Text numberOfLines={1} style={[styles.text, { color: isChosen ? palette.surface : palette.ink }]}>
                    {textOf(offer)}
                  </Text>
                  {entry.id === waiting && (
                    <Text variant="bodySmall" numberOfLines={1} style={{ color: isChosen ? palette.surface : palette.inkSoft }}>
                      waits: a longer code may follow
                    </Text>
                  )}
                </View>
              </Pressable>
            );
          })}
        </View>
      </ScrollView>
      <Pressable role="button" aria-label="Keep what I typed" onPress={onKeep} {...keepingFocus} style={[styles.keep, { borderColor: palette.line }]}>
        <Icon name="close" size={20} color={palette.ink} />
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: 'row', height: 56, alignItems: 'stretch' },
  scroll: { flex: 1 },
  list: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingHorizontal: 10 },
  offer: { flexDirection: 'row', alignItems: 'center', gap: 8, height: 48, maxWidth: 260, paddingHorizontal: 8, borderWidth: 1.5, borderRadius: 6 },
  plate: { flexShrink: 0 },
  words: { flexShrink: 1, minWidth: 0 },
  text: { fontSize: 15, lineHeight: 19 },
  keep: { width: 52, alignItems: 'center', justifyContent: 'center', borderLeftWidth: 1 },
});
