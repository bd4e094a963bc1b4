import { t } from '@lingui/core/macro';
import type { DeviceList } from '@yellow-latch/core/compose';
import type { Evidence } from '@yellow-latch/core/learn';
import type { FieldEvent } from '@yellow-latch/field/own';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';

import { shownExpansion } from '@/answers/audit/sentences/mask';
import { announce } from '@/frame/announce';
import { CodePlate } from '@/look/CodePlate';
import { usePalette } from '@/look/useLook';

import { PracticeField } from './PracticeField';
import type { LearnItem } from './useLearn';

interface MessageCardProps {
  items: readonly LearnItem[];
  device: DeviceList;
  hasKeys: boolean;
  note: (how: Evidence['how'], shortcutId: string, seconds: number | null) => void;
  onDone: (forgotten: readonly string[], told: string) => void;
}

/** A short message to write, in which three codes fit: as at work, but with the list out of sight. */
export function MessageCard({ items, device, hasKeys, note, onDone }: MessageCardProps) {
  const palette = usePalette();
  const [written, setWritten] = useState<ReadonlySet<string>>(new Set());
  const [areShown, setShown] = useState(false);
  const ids = items.map(({ shortcut }) => shortcut.id);
  const missing = items.filter(({ shortcut }) => !written.has(shortcut.id));
  const finish = (known: ReadonlySet<string>) => {
    const forgotten = ids.filter((id) => !known.has(id));
    for (const id of forgotten) note('shown', id, null);
    onDone(forgotten, forgotten.length === 0 ? t`Message written.` : t`You’ll see the others again.`);
  };
  const onFiring = (event: FieldEvent, hesitation: number | null) => {
    if (event.type === 'taken-back' || !ids.includes(event.id) || written.has(event.id)) return;
    const next = new Set([...written, event.id]);
    setWritten(next);
    if (!areShown) note('drill', event.id, hesitation);
    announce(t`${{ count: next.size }} of ${{ all: ids.length }}`);
    if (next.size === ids.length && !areShown) finish(next);
  };
  return (
    <View style={styles.card}>
      <Text variant="titleMedium" role="heading" aria-level={2}>{t`Write a message with these`}</Text>
      <View role="list" style={styles.wanted}>
        {items.map(({ shortcut }) => {
          const isIn = written.has(shortcut.id);
          return (
            <View key={shortcut.id} role="listitem" style={styles.line}>
              <Text style={styles.tick}>{isIn ? '✓' : '·'}</Text>
              {areShown && <CodePlate code={shortcut.code} />}
              <Text variant="bodyMedium" numberOfLines={2} style={[styles.text, isIn && { color: palette.inkSoft }]}>
                {shownExpansion(shortcut, 120)}
              </Text>
            </View>
          );
        })}
      </View>
      <PracticeField
        label={t`Your message`}
        device={device}
        hasKeys={hasKeys}
        rows={3}
        focusOn={areShown}
        onFiring={onFiring}
      />
      <View style={styles.actions}>
        {!areShown && missing.length > 0 && (
          <Button mode="outlined" contentStyle={styles.tall} onPress={() => setShown(true)}>{t`Show the codes`}</Button>
        )}
        {(areShown || written.size > 0) && (
          <Button mode="text" contentStyle={styles.tall} onPress={() => finish(areShown ? new Set() : written)}>
            {t`Done`}
          </Button>
        )}
        {!areShown && written.size === 0 && (
          <Button mode="text" contentStyle={styles.tall} onPress={() => onDone([], t`Skipped the message.`)}>
            {t`Skip`}
          </Button>
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { gap: 12 },
  wanted: { gap: 8 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, minWidth: 0 },
  tick: { width: 16, textAlign: 'center' },
  text: { flex: 1, minWidth: 0 },
  actions: { flexDirection: 'row', gap: 8, flexWrap: 'wrap' },
  tall: { minHeight: 48 },
});
