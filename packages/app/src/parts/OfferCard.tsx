import { t } from '@lingui/core/macro';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { LatchButton } from '@/look/LatchButton';
import { usePalette } from '@/look/useLook';

interface OfferCardProps {
  glyph: ReactNode;
  text: string;
  /** What the button does. */
  action: string;
  onTake: () => void;
  onDecline: () => void;
}

/** Something to do next, below a list so that no row moves when it comes; it may be declined. */
export function OfferCard({ glyph, text, action, onTake, onDecline }: OfferCardProps) {
  const palette = usePalette();
  return (
    <View style={[styles.card, { borderColor: palette.ink, backgroundColor: palette.surface }]}>
      <View style={styles.line}>
        {glyph}
        <Text variant="bodyMedium" style={styles.words}>
          {text}
        </Text>
      </View>
      <View style={styles.actions}>
        <Button mode="text" onPress={onDecline} contentStyle={styles.tall}>{t`Not now`}</Button>
        <LatchButton label={action} isQuiet onPress={onTake} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  card: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    borderWidth: 1.5,
    borderRadius: 8,
    marginHorizontal: 10,
    marginTop: 8,
    padding: 4,
    paddingLeft: 12,
    gap: 4,
  },
  line: { flexGrow: 1, flexDirection: 'row', gap: 12, alignItems: 'center' },
  words: { flexShrink: 1 },
  actions: { flexGrow: 1, flexDirection: 'row', justifyContent: 'flex-end', gap: 4 },
  tall: { minHeight: 48 },
});
