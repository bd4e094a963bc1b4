import { t } from '@lingui/core/macro';
import { SPOKEN } from '@yellow-latch/core/scenario/jobs';
import { useState } from 'react';
import { Pressable, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { Text } from 'react-native-paper';

import { useLive } from '@/frame/live';
import { STRONG } from '@/look/fonts';
import { Icon } from '@/look/icons';
import { keepingFocus } from '@/look/keepingFocus';
import { Sheet } from '@/look/Sheet';
import { usePalette } from '@/look/useLook';
import { GlassKeys } from '@/parts/keys/GlassKeys';
import { OffersStrip } from '@/parts/typing/OffersStrip';

import { useStandIn } from './useStandIn';

/** So much of the window the keys may take. */
const MOST_OF_HEIGHT = 0.36;

/** The keyboard of a stand-in: what it suggests, what it would correct, and its keys where it has them on glass. */
export function Keys() {
  const { tab, switches, typing, keyboard, kept, memory } = useStandIn();
  const activeName = useLive(typing.activeName);
  const { height } = useWindowDimensions();
  const hasKeys = tab.kind !== 'computer' || switches.tapsOnly;
  return (
    <View>
      <Suggestions />
      {hasKeys && (
        <GlassKeys
          key={keyboard.id}
          keyboard={keyboard}
          mostHeight={height * MOST_OF_HEIGHT}
          text={kept.texts[memory.scope + activeName] ?? ''}
          before={() => typing.before()}
          onKey={(text) => typing.key(text)}
          onBackspace={() => typing.backspace()}
          onTap={() => typing.tap()}
        />
      )}
    </View>
  );
}

function Suggestions() {
  const palette = usePalette();
  const { typing, textOfOffer } = useStandIn();
  const { offers, correction, waiting } = useLive(typing.offered);
  const [isSpeaking, setSpeaking] = useState(false);
  return (
    <View style={[styles.strip, { borderColor: palette.line }]}>
      <View style={styles.wide}>
        {correction && (
          <View style={[styles.correction, offers.length > 0 && styles.beside, { borderColor: palette.line }]}>
            <Text variant="bodyMedium" style={styles.words}>
              {t`A space makes it “${{ meant: correction.text }}”`}
            </Text>
            {offers.length === 0 && (
              <Pressable
                role="button"
                aria-label={t`Keep “${{ typed: correction.typed }}”`}
                onPress={() => typing.keep()}
                {...keepingFocus}
                style={styles.button}
              >
                <Icon name="close" size={20} color={palette.ink} />
              </Pressable>
            )}
          </View>
        )}
        {offers.length > 0 && (
          <View style={styles.offers}>
            <OffersStrip
              offers={offers}
              textOf={textOfOffer}
              chosen={null}
              waiting={waiting}
              onTake={(offer) => typing.take(offer)}
              onKeep={() => typing.keep()}
              onKeyDown={() => {}}
            />
          </View>
        )}
      </View>
      <Pressable
        role="button"
        onPress={() => setSpeaking(true)}
        {...keepingFocus}
        style={[styles.button, styles.dictate, { borderColor: palette.line }]}
      >
        <Text style={STRONG}>{t`Dictate`}</Text>
      </Pressable>
      <Dictation isOpen={isSpeaking} onClose={() => setSpeaking(false)} />
    </View>
  );
}

function Dictation({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const palette = usePalette();
  const { typing } = useStandIn();
  return (
    <Sheet title={t`Dictate`} isOpen={isOpen} onClose={onClose}>
      <ScrollView contentContainerStyle={styles.spoken}>
        <Text variant="bodyMedium">{t`Pick what you say. It arrives all at once, as spoken text does.`}</Text>
        {SPOKEN.map((text) => (
          <Pressable
            key={text}
            role="button"
            onPress={() => {
              onClose();
              typing.dictate(text);
            }}
            style={[styles.sentence, { borderColor: palette.line }]}
          >
            <Text variant="bodyLarge">{text}</Text>
          </Pressable>
        ))}
      </ScrollView>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: 'row', minHeight: 56, alignItems: 'center', borderTopWidth: 1 },
  wide: { flex: 1, minWidth: 0, flexDirection: 'row', alignItems: 'center' },
  offers: { flex: 1, minWidth: 0 },
  correction: { flexDirection: 'row', alignItems: 'center', paddingLeft: 16 },
  beside: { maxWidth: '34%', paddingRight: 8, borderRightWidth: 1 },
  words: { flexShrink: 1 },
  button: { minWidth: 48, minHeight: 48, alignItems: 'center', justifyContent: 'center' },
  dictate: { paddingHorizontal: 12, borderLeftWidth: 1 },
  spoken: { paddingHorizontal: 20, paddingBottom: 16, gap: 8 },
  sentence: { minHeight: 48, justifyContent: 'center', borderBottomWidth: 1, paddingVertical: 8 },
});
