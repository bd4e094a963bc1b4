import { plural, t } from '@lingui/core/macro';
import type { OddWord } from '@yellow-latch/core/corrections';
import { useState } from 'react';
import { StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';

import { Fold } from '@/look/Fold';
import { Tick } from '@/look/Tick';
import { usePalette } from '@/look/useLook';

interface CapitalsProps {
  words: readonly OddWord[];
  ticked: ReadonlySet<string>;
  canEdit: boolean;
  onTick: (word: string) => void;
}

const MOST = 20;

/** Words with unusual capitals: ticked, they become corrections along with the rest. */
export function Capitals({ words, ticked, canEdit, onTick }: CapitalsProps) {
  const palette = usePalette();
  const [isOpen, setOpen] = useState(false);
  if (words.length === 0 || !canEdit) return null;
  return (
    <Fold
      title={t`Names with capitals`}
      summary={t`Type them small; they come out right.`}
      isOpen={isOpen}
      onToggle={() => setOpen(!isOpen)}
      isNext
    >
      {words.slice(0, MOST).map(({ text, count }) => (
        <Tick key={text} role="checkbox" isOn={ticked.has(text)} onPress={() => onTick(text)}>
          <Text style={styles.word}>{text}</Text>
          <Text variant="bodySmall" style={{ color: palette.inkSoft }}>
            {plural(count, { one: 'Typed # time', other: 'Typed # times' })}
          </Text>
        </Tick>
      ))}
    </Fold>
  );
}

const styles = StyleSheet.create({ word: { flex: 1, minWidth: 0, fontSize: 16 } });
