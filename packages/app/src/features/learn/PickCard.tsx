import { t } from '@lingui/core/macro';
import { useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { shownExpansion } from '@/answers/audit/sentences/mask';
import { announce } from '@/frame/announce';
import { CodePlate } from '@/look/CodePlate';
import { usePalette } from '@/look/useLook';

import { choicesFor } from './choices';
import type { LearnItem } from './useLearn';

interface PickCardProps {
  item: LearnItem;
  items: readonly LearnItem[];
  onDone: (told: string) => void;
}

/** A new code: what does it stand for? Guessing is allowed, since nobody has learnt it yet. */
export function PickCard({ item: { shortcut }, items, onDone }: PickCardProps) {
  const palette = usePalette();
  const { code, id } = shortcut;
  const choices = useMemo(
    () =>
      choicesFor(
        shortcut,
        items.map((item) => item.shortcut),
      ),
    // They stay as they are while the card is asked.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [id],
  );
  const [wrong, setWrong] = useState<ReadonlySet<string>>(new Set());
  const pick = (picked: (typeof choices)[number]) => {
    if (picked.id === id) return onDone(wrong.size === 0 ? t`Right: that’s “${code}”.` : t`That’s “${code}”.`);
    setWrong(new Set([...wrong, picked.id]));
    announce(t`No, that’s “${{ code: picked.code }}”. Try another.`);
  };
  const canSpeak = 'speechSynthesis' in globalThis;
  return (
    <View style={styles.card}>
      <View style={styles.line}>
        <CodePlate code={code} size="large" />
        {canSpeak && (
          <Button
            mode="text"
            contentStyle={styles.tall}
            onPress={() => speechSynthesis.speak(new SpeechSynthesisUtterance([...code].join(' ')))}
          >{t`Hear it`}</Button>
        )}
      </View>
      <Text variant="titleMedium" role="heading" aria-level={2}>{t`What does this code stand for?`}</Text>
      <View role="list" style={styles.choices}>
        {choices.map((choice) => {
          const isWrong = wrong.has(choice.id);
          const text = shownExpansion(choice, 120);
          return (
            <View key={choice.id} role="listitem">
              <Pressable
                role="button"
                disabled={isWrong}
                onPress={() => pick(choice)}
                style={[
                  styles.choice,
                  { borderColor: isWrong ? palette.line : palette.inkSoft, backgroundColor: palette.surface },
                ]}
              >
                <Text variant="bodyLarge" numberOfLines={3}>
                  {text}
                </Text>
                {isWrong && (
                  <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
                    {t`No, that’s “${{ code: choice.code }}”`}
                  </Text>
                )}
              </Pressable>
            </View>
          );
        })}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { gap: 14 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 16, flexWrap: 'wrap' },
  choices: { gap: 10 },
  choice: { borderWidth: 1.5, borderRadius: 6, padding: 12, minHeight: 56, justifyContent: 'center', gap: 2 },
  tall: { minHeight: 48 },
});
